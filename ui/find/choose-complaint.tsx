import { useMemo, useState } from 'react';
import { SHOWS } from '@/core/diagnosis/finding/shows';
import { SYMPTOMS } from '@/core/diagnosis/symptoms';
import { allStages, standing } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';

/** What is wrong, in people’s words, and where it shows. */
export function ChooseComplaint() {
  const { plan, planId } = usePlan();
  const [words, setWords] = useState('');
  const [at, setAt] = useState('');
  const stages = useMemo(() => allStages(standing(plan)), [plan]);
  const all = words.toLowerCase().trim().split(/\s+/);
  const shown = SYMPTOMS.filter((s) =>
    all.every((w) => `${s.says} ${s.causes.map((c) => c.title).join(' ')}`.toLowerCase().includes(w)),
  );
  // What the line can calculate comes first.
  const sorted = [...shown.filter((s) => s.id in SHOWS), ...shown.filter((s) => !(s.id in SHOWS))];
  return (
    <section aria-label="What is wrong" className="grid max-w-3xl gap-3">
      <div className="grid gap-3 sm:grid-cols-2">
        <label className="grid gap-1">
          <span className="font-medium">What is wrong? Search</span>
          <input
            type="search"
            className="control min-h-12"
            placeholder="water, pressure, oil"
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        </label>
        <label className="grid gap-1">
          <span className="font-medium">Where it shows</span>
          <select className="control min-h-12" value={at} onChange={(e) => setAt(e.target.value)}>
            <option value="">not said</option>
            {stages.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <ul>
        {sorted.map((s) => (
          <li key={s.id} className="border-b border-hairline">
            <Link
              className="flex min-h-12 items-center gap-3 py-1.5"
              href={`/lines/${planId}/find?complaint=${s.id}${at && `&at=${encodeURIComponent(at)}`}`}
            >
              <span className="min-w-0 flex-1">{s.says}</span>
              <span className="shrink-0 text-[0.82rem] text-quiet">
                {s.id in SHOWS ? 'calculated' : `${s.causes.length} usual causes`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {sorted.length === 0 && <p className="text-quiet">Nothing of these words. Try one of them alone.</p>}
    </section>
  );
}
