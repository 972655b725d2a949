import { ON_THE_WAY_MIN } from '@/core/diagnosis/finding/belief';
import { checkKind, costMin } from '@/core/diagnosis/finding/checks';
import type { FaultyLine } from '@/core/practice/faulty-line';
import { useSayCheck } from '@/ui/units/say-check';

/** What can be read on the line, what it takes, and what the log has of the weeks before. */
export function SearchMeasure({
  line,
  nameOf,
  onRead,
}: {
  line: FaultyLine;
  nameOf: (checkId: string) => string;
  onRead: (checkId: string) => void;
}) {
  const say = useSayCheck();
  return (
    <section aria-label="Measure" className="grid gap-2">
      <h2>Measure</h2>
      <ul>
        {line.finding.checks.map((c) => {
          const kind = checkKind(c.of);
          const before = line.before(c).map((value) => say(value, c.of));
          return (
            <li key={c.id} className="flex flex-wrap items-center gap-x-3 border-b border-hairline py-1">
              <span className="min-w-48 flex-1">
                {nameOf(c.id)}
                <span className="block text-[0.82rem] text-quiet">
                  {ON_THE_WAY_MIN + costMin(c.of)} min
                  {kind.standsMin > 0 && ', the line stands'}
                  {before.length > 0 && `; by the log before ${before.join(', ')}`}
                </span>
              </span>
              <button type="button" className="button min-h-11" onClick={() => onRead(c.id)}>
                Read<span className="sr-only">: {nameOf(c.id)}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
