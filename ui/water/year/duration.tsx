import dynamic from 'next/dynamic';
import { unitOf } from '@/core/quantity/units';
import type { Series } from '@/core/year/series';
import { durationCurve } from '@/core/year/sums';
import { useUnits } from '@/ui/units/units';

const Curve = dynamic(() => import('./duration-curve').then((m) => m.DurationCurve), {
  ssr: false,
  loading: () => <div className="h-48" />,
});

/** The worked hours of a year from the largest value down: for how many hours it is more than so much. */
export function Duration({ series, load, designHours }: { series: Series; load: Float32Array; designHours: number }) {
  const { choice, say } = useUnits();
  const u = unitOf(series.quantity, choice[series.quantity]);
  const curve = durationCurve(series.values, load);
  const design = curve[Math.min(designHours, curve.length - 1)];
  return (
    <figure>
      <Curve series={series} curve={curve} designHours={designHours} />
      <figcaption className="text-[0.85rem]">
        {design === undefined ? (
          'Nobody works in this year.'
        ) : (
          <>
            For <strong>{designHours} h a year</strong> it is more than{' '}
            <strong>{Number.isFinite(design) ? say(design, series.quantity) : 'dry air could hold'}</strong>.{' '}
            <span className="text-quiet">
              {curve.length} worked hours; {u.symbol} against hours.
            </span>
          </>
        )}
      </figcaption>
    </figure>
  );
}
