'use client';

import { format } from 'date-fns';
import dynamic from 'next/dynamic';
import { parseAsString, useQueryState } from 'nuqs';
import type { TrendName, Trend as TrendOfLog } from '@/core/log/log-pages';
import { READINGS } from '@/core/log/readings';
import { limitOf } from '@/core/maintenance/limit';
import { stageById } from '@/core/plan/runs';
import { fromSi, unitOf } from '@/core/quantity/units';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { WhenSeen } from '@/ui/primitives/when-seen';
import { useUnits } from '@/ui/units/units';
import { TableOf } from '@/ui/water/data-table';
import type { TrendPoint } from './trend-chart';

const TrendChart = dynamic(() => import('./trend-chart').then((m) => m.TrendChart), { ssr: false });

/** One quantity of one point through time. */
export function Trend({ trend }: { trend: TrendOfLog }) {
  const { plan } = usePlan();
  const [, choose] = useQueryState('trend', parseAsString.withOptions({ shallow: false }));
  const { chosen, names } = trend;
  if (!chosen) return null;
  const keyOf = ({ stageId, of }: TrendName): string => `${stageId}:${of}`;
  const said = ({ stageId, of }: TrendName): string =>
    `${stageById(plan, stageId)?.name ?? (stageId || plan.name)}: ${READINGS[of].label.toLowerCase()}`;
  return (
    <section aria-label="Trend" className="grid gap-2">
      <div className="w-80 max-w-full">
        <ChoiceInput
          id="trend"
          label="Trend"
          value={keyOf(chosen)}
          options={Object.fromEntries(
            names.toSorted((a, b) => said(a).localeCompare(said(b))).map((n) => [keyOf(n), said(n)]),
          )}
          onCommit={(v) => void choose(v)}
        />
      </div>
      <Drawn trend={trend} {...chosen} />
    </section>
  );
}

/** Over the band that the plan expected on each day; changes and openings of the point are marked. */
function Drawn({ trend, stageId, of }: { trend: TrendOfLog } & TrendName) {
  const { plan } = usePlan();
  const { choice, say, atmosphericPa } = useUnits();
  const { quantity, label } = READINGS[of];
  const u = unitOf(quantity, choice[quantity]);
  const inUnit = (si: number): number => fromSi(si, u, atmosphericPa);
  const data = trend.points.map(
    ({ at, value, low, high }): TrendPoint => ({
      at: new Date(at).getTime(),
      read: inUnit(value),
      si: value,
      band: low === null || high === null ? undefined : [inUnit(low), inUnit(high)],
    }),
  );
  const stage = stageById(plan, stageId);
  const limit = stage && limitOf(stage, of, trend.expected);
  return (
    <figure>
      <WhenSeen className="h-52">
        <TrendChart
          of={READINGS[of]}
          data={data}
          opened={trend.opened}
          limit={limit === undefined ? undefined : inUnit(limit)}
        />
      </WhenSeen>
      <figcaption className="flex flex-wrap gap-x-4 text-[0.8rem] text-quiet">
        <span>
          {label.toLowerCase()}, {u.symbol}
        </span>
        <span className="flex items-center gap-1">
          <i className="inline-block h-2.5 w-4 bg-vapour" /> expected, 95 %
        </span>
        {limit !== undefined && <span className="text-brick">— asks for a change at {say(limit, quantity)}</span>}
        {trend.opened.length > 0 && <span className="text-copper">┆ changed or opened</span>}
        {trend.each > 1 && <span>each point is the mean of about {trend.each} readings</span>}
      </figcaption>
      <TableOf
        table={() => ({
          name: label,
          columns: ['time', `${label}, ${u.symbol}`, 'expected from', 'to'],
          rows: data.map((p) => [
            format(p.at, 'yyyy-MM-dd HH:mm'),
            Number(p.read.toPrecision(5)),
            ...(p.band ? p.band.map((b) => Number(b.toPrecision(5))) : ['', '']),
          ]),
        })}
      />
    </figure>
  );
}
