import { CLOSED_K } from '@/core/line/outlet-criteria';
import { walk } from '@/core/line/walk';
import { pathTo } from '@/core/plan/runs';
import { useUnits } from '@/ui/units/units';
import type { ProposedLine } from '@/workers/planner.worker';

const STEP = 10; // a stage, in the units of the drawing
const HEIGHT = 100;
/** Without a cooler air is far hotter than anything after it: the curve comes in from above. */
const HOTTEST_C = 60;

/** The job with the least margin on the warm day, and the air along its way there from the compressor. */
export function wayOf({ plan, warm }: ProposedLine) {
  const job = warm.reduce((a, b) => ((b.marginK ?? Infinity) < (a.marginK ?? Infinity) ? b : a));
  const section = walk(plan);
  const stations = pathTo(plan, job.stageId)
    .filter((s) => s.kind !== 'intake' && s.kind !== 'compressor')
    .flatMap((s) => section.at(s.id) ?? []);
  return { job, stations };
}

/** Air temperature and dew point along a line, small: where they meet, water condenses. */
export function SmallSection({ line, className }: { line: ProposedLine; className: string }) {
  const { stations } = wayOf(line);
  const least = Math.min(0, ...stations.map((s) => s.pressureDewPointC)) - 3;
  const most = Math.min(HOTTEST_C, Math.max(...stations.map((s) => s.temperatureC)) + 3);
  const y = (c: number): string => (((most - c) / (most - least)) * HEIGHT).toFixed(2);
  const points = (of: readonly number[]): string => of.map((c, i) => `${i * STEP + STEP / 2},${y(c)}`).join(' ');
  const air = stations.map((s) => s.temperatureC);
  const dew = stations.map((s) => s.pressureDewPointC);
  const wet = stations.map((s, i) =>
    s.temperatureC - s.pressureDewPointC < CLOSED_K ? `M${i * STEP} 0h${STEP}v${HEIGHT}h${-STEP}z` : '',
  );
  const curve = { fill: 'none', strokeWidth: 2, vectorEffect: 'non-scaling-stroke' } as const;
  return (
    <svg
      aria-hidden
      viewBox={`0 0 ${stations.length * STEP} ${HEIGHT}`}
      preserveAspectRatio="none"
      className={`block overflow-hidden rounded-sm bg-sunk ${className}`}
    >
      <path d={wet.join('')} className="fill-vapour" />
      <polyline points={points(dew)} className="stroke-deep" strokeDasharray="5 3" {...curve} />
      <polyline points={points(air)} className="stroke-copper" {...curve} />
    </svg>
  );
}

/** The same, larger, with its figures where the air arrives. */
export function SectionFigure({ line }: { line: ProposedLine }) {
  const { say } = useUnits();
  const { job, stations } = wayOf(line);
  const end = stations.at(-1);
  if (!end) return null;
  return (
    <figure>
      <SmallSection line={line} className="h-28 w-full" />
      <figcaption className="mt-1 flex flex-wrap gap-x-4 text-[0.85rem] text-quiet">
        <span>From the compressor to {job.name}, warm day:</span>
        <span>
          <span aria-hidden className="text-copper">
            ━
          </span>{' '}
          air, {say(end.temperatureC, 'temperature')} there
        </span>
        <span>
          <span aria-hidden className="text-deep">
            ╍
          </span>{' '}
          dew point, {say(end.pressureDewPointC, 'temperature')} there
        </span>
        <span>
          <span aria-hidden className="text-vapour">
            ■
          </span>{' '}
          water condenses
        </span>
      </figcaption>
    </figure>
  );
}
