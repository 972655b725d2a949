import { wholeBalance } from '@/core/diagnosis/whole-balance';
import type { LoggedDrain } from '@/core/log/judge-log';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { Amount } from '@/ui/units/units';
import { sayTime } from '@/ui/units/when';

const VERDICT = {
  agrees: '● All drains agree with the line',
  split: '▲ Right in all, wrongly split',
  total: '▲ Wrong in all',
};
/** A litre of it weighs a kilogram. */
const M3_PER_KG = 1e-3;

/** All drains of the newest round against what the line took in; nothing where only one was opened. */
export function WholeBalance({ entries }: { entries: readonly LoggedDrain[] }) {
  const { planId } = usePlan();
  const balance = wholeBalance(entries);
  if (!balance) return null;
  const { verdict, drains, says, kg, low, high, at } = balance;
  const amount = (of: number) => <Amount si={Math.max(0, of) * M3_PER_KG} quantity="drained" />;
  return (
    <section aria-label="All drains of the round" className="grid gap-1 rounded-md border border-hairline bg-card p-4">
      <h2 className={verdict === 'agrees' ? 'text-water' : 'text-brick'}>{VERDICT[verdict]}</h2>
      <p>
        {drains.length} drains of {sayTime(at)} gave <strong>{amount(kg)}</strong>; expected {amount(low)} to{' '}
        {amount(high)}. {says}
      </p>
      <ul>
        {drains.map((d) => (
          <li key={d.stageId} className="flex flex-wrap gap-x-3 border-t border-hairline py-1">
            <span className="min-w-0 flex-1">{d.name}</span>
            <span>
              {amount(d.kg)} of {amount(d.expectedKg)}
            </span>
            {d.is !== 'in line' && (
              <Link
                className="text-brick underline underline-offset-4"
                href={`/lines/${planId}/find?complaint=D06&at=${encodeURIComponent(d.stageId)}`}
              >
                ▲ {d.is} than its share
              </Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
