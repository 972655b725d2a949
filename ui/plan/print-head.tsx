import { unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';
import { nowOnTheWall, sayTime } from '@/ui/units/when';
import { usePlan } from './plan-provider';

/** What stands at the head of paper: shop, line, date and units. */
export function PrintHead({ className = '' }: { className?: string }) {
  const { plan } = usePlan();
  const { choice } = useUnits();
  const units = (['temperature', 'pressure', 'volumeFlow', 'waterFlow'] as const).map(
    (of) => unitOf(of, choice[of]).symbol,
  );
  return (
    <p className={`flex flex-wrap gap-x-4 border-b border-ink pb-1 ${className}`}>
      <strong className="min-w-0">
        {plan.survey.shop} · {plan.name}
      </strong>
      <span className="ml-auto" suppressHydrationWarning>
        {sayTime(nowOnTheWall())}
      </span>
      <span>{units.join(', ')}</span>
    </p>
  );
}
