import { symptomById } from '@/core/diagnosis/symptoms';
import type { LoggedEntry } from '@/core/log/log-entry';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { sayTime } from '@/ui/units/when';

/** Searches that somebody left open: anybody goes on with them. */
export function OpenFindings({ findings }: { findings: readonly LoggedEntry[] }) {
  const { plan, planId } = usePlan();
  const open = findings.filter((e) => e.finding?.state === 'open');
  if (open.length === 0) return null;
  return (
    <section aria-label="Left open" className="max-w-3xl">
      <h2>Left open</h2>
      <ul>
        {open.map((e) => (
          <li key={e.id} className="border-b border-hairline">
            <Link
              className="flex min-h-12 items-center gap-3 py-1.5"
              href={`/lines/${planId}/find?complaint=${e.symptom}&entry=${e.id}`}
            >
              <span className="min-w-0 flex-1">
                {symptomById(e.symptom)?.says}
                {e.finding?.at && ` · ${stageById(plan, e.finding.at)?.name ?? ''}`}
                <span className="block text-[0.82rem] text-quiet">
                  {e.who}, {sayTime(e.measuredAt)} · {e.finding?.readings.length} read so far
                </span>
              </span>
              <span className="shrink-0 font-medium">Go on</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
