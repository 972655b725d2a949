import { X } from 'lucide-react';
import type { Reading } from '@/core/diagnosis/finding/cause';
import { type Check, checkKind } from '@/core/diagnosis/finding/checks';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { useSayCheck } from '@/ui/units/say-check';
import { sayTime } from '@/ui/units/when';

/** What was read so far, in order; a slip is taken back. */
export function DoneReadings({
  checks,
  readings,
  onRemove,
}: {
  checks: readonly Check[];
  readings: readonly Reading[];
  onRemove: (checkId: string) => void;
}) {
  const { plan } = usePlan();
  const say = useSayCheck();
  if (readings.length === 0) return null;
  return (
    <section aria-label="Read so far">
      <h2>Read so far</h2>
      <ol>
        {readings.map(({ checkId, value, at }) => {
          const check = checks.find((c) => c.id === checkId);
          if (!check) return null;
          const kind = checkKind(check.of);
          const name = stageById(plan, check.stageId)?.name;
          return (
            <li key={checkId} className="flex items-center gap-3 border-b border-hairline py-1.5">
              <span className="min-w-0 flex-1">
                {name}: {kind.label.toLowerCase()}
                {at && <span className="block text-[0.82rem] text-quiet">from the log, {sayTime(at)}</span>}
              </span>
              <strong>{say(value, check.of)}</strong>
              <button
                type="button"
                className="button px-2"
                aria-label={`Take back: ${name}, ${kind.label.toLowerCase()}`}
                onClick={() => onRemove(checkId)}
              >
                <X size={15} aria-hidden />
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
