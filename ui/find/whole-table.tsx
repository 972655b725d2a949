import type { Finding } from '@/core/diagnosis/finding/belief';
import type { Believed } from '@/core/diagnosis/finding/cause';
import { type Check, checkKind } from '@/core/diagnosis/finding/checks';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useSayCheck } from '@/ui/units/say-check';
import { percent } from './beliefs';

/** What every check would read under every cause. */
export function WholeTable({ finding, believed }: { finding: Finding; believed: readonly Believed[] }) {
  const { plan } = usePlan();
  const say = useSayCheck();
  const reads = (causeId: string, { id, of }: Check): string => {
    const all = finding.expected(causeId, id);
    if (all.length === 0) return '–';
    const [low, high] = [say(Math.min(...all), of), say(Math.max(...all), of)];
    return low === high ? low : `${low} to ${high}`;
  };
  return (
    <details>
      <summary className="min-h-8 cursor-pointer font-semibold">All causes and all checks</summary>
      <Scrolls label="What each check would read under each cause">
        <table className="mt-2 text-[0.86rem]">
          <thead>
            <tr className="align-bottom">
              <th scope="col" className="sticky left-0 bg-paper px-2 py-1 text-left">
                Cause
              </th>
              {finding.checks.map((c) => (
                <th key={c.id} scope="col" className="min-w-28 px-2 py-1 text-left font-medium">
                  {stageById(plan, c.stageId)?.name}
                  <span className="block font-normal text-quiet">{checkKind(c.of).label}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {believed.map(({ cause, probability }) => (
              <tr key={cause.id} className="border-t border-hairline align-top">
                <th scope="row" className="sticky left-0 min-w-44 bg-paper px-2 py-1 text-left font-medium">
                  {cause.says} <span className="font-normal text-quiet">{percent(probability)}</span>
                </th>
                {finding.checks.map((c) => (
                  <td key={c.id} className="px-2 py-1">
                    {reads(cause.id, c)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
    </details>
  );
}
