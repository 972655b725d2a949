'use client';

import { type ReactNode, useMemo } from 'react';
import { sayIn as said } from '@/core/advice/rule';
import { written } from '@/core/line/grade-line';
import { inAll } from '@/core/line/judge-outlet';
import { align } from '@/core/plan/align';
import { gradeOf, MARKS } from '@/ui/advice/grade-mark';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';
import { CostRows } from './cost-rows';
import { sideOf, type Titled } from './side';

const VERDICT = { meets: '● meets the need', open: '◆ borderline', fails: '▲ not met' } as const;

const TONE = { meets: 'text-water', open: 'text-amber', fails: 'text-brick' } as const;

export function Table({ sides }: { sides: readonly Titled[] }) {
  const { say } = useUnits();
  const all = sides.map((s) => ({ ...s, side: sideOf(s.plan) }));
  const rows = useMemo(() => align(sides.map((s) => s.plan)), [sides]);
  const jobs = rows.filter((r) => r.some((s) => s?.kind === 'outlet'));
  const drains = rows.filter((r) => r.some((s, i) => s && all[i]?.side.drains.some((d) => d.stage.id === s.id)));
  const tasks = [...new Set(all.flatMap(({ side }) => side.taskLoad.map((c) => c.says)))];
  const cells = (of: (i: number) => ReactNode): ReactNode =>
    all.map(({ key }, i) => (
      <td key={key} className="border-l border-hairline px-3 py-1 align-top">
        {of(i) ?? <span className="text-quiet">–</span>}
      </td>
    ));
  const name = (row: (typeof rows)[number]): string => row.find((s) => s)?.name ?? '';
  const heading = (title: string, note = ''): ReactNode => (
    <tr>
      <th colSpan={all.length + 1} scope="colgroup" className="pt-5 pb-1 text-left">
        {title} <span className="font-normal text-quiet">{note && `· ${note}`}</span>
      </th>
    </tr>
  );
  return (
    <Scrolls label="Plans side by side">
      <table className="w-full min-w-[40rem] table-fixed text-left">
        <thead>
          <tr className="border-b border-edge">
            <th scope="col" className="w-56 py-1.5 pr-3 font-normal text-quiet">
              Side by side
            </th>
            {all.map(({ key, title, plan }) => (
              <th key={key} scope="col" className="border-l border-hairline px-3 py-1.5">
                {title}
                <span className="block text-[0.85rem] font-normal text-quiet">{plan.survey.shop}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {heading('Jobs', 'what arrives, and whether it is as asked')}
          {jobs.map((row) => (
            <tr key={row.map((s) => s?.id).join()} className="border-t border-hairline">
              <th scope="row" className="py-1 pr-3 align-top font-normal">
                {name(row)}
              </th>
              {cells((i) => row[i] && <JobCell side={all[i]?.side} stageId={row[i].id} />)}
            </tr>
          ))}
          {heading('Section', 'air and pressure dew point downstream of each stage')}
          {rows
            .filter((r) => !r.some((s) => s?.kind === 'outlet'))
            .map((row) => (
              <tr key={row.map((s) => s?.id).join()} className="border-t border-hairline">
                <th scope="row" className="py-1 pr-3 font-normal">
                  {name(row)}
                </th>
                {cells((i) => {
                  const station = all[i]?.side.section.at(row[i]?.id);
                  return (
                    station && (
                      <span className="whitespace-nowrap">
                        {say(station.temperatureC, 'temperature')}{' '}
                        <span className="text-quiet">
                          dew {say(station.pressureDewPointC, 'temperature')} · {say(station.pressurePa, 'pressure')}
                        </span>
                      </span>
                    )
                  );
                })}
              </tr>
            ))}
          {heading('Water', 'a working day, by drain')}
          {drains.map((row) => (
            <tr key={row.map((s) => s?.id).join()} className="border-t border-hairline">
              <th scope="row" className="py-1 pr-3 font-normal">
                {name(row)}
              </th>
              {cells((i) => {
                const drain = all[i]?.side.drains.find((d) => d.stage.id === row[i]?.id);
                return drain && say(drain.m3PerDay, 'drained');
              })}
            </tr>
          ))}
          {heading('Advice')}
          <tr className="border-t border-hairline">
            <th scope="row" className="py-1 pr-3 align-top font-normal">
              Open advice
            </th>
            {cells((i) => (
              <AdviceCell side={all[i]?.side} />
            ))}
          </tr>
          {heading('Tasks', 'minutes a year, as in Today')}
          {tasks.map((what) => (
            <tr key={what} className="border-t border-hairline">
              <th scope="row" className="py-1 pr-3 font-normal">
                {what}
              </th>
              {cells((i) => {
                const load = all[i]?.side.taskLoad.find((c) => c.says === what);
                return load && `${load.points === 1 ? 'one' : load.points} · ${Math.round(load.minutesPerYear)} min`;
              })}
            </tr>
          ))}
          {heading('Money', 'orders of magnitude; this line’s tariff and prices for all')}
          <CostRows plans={sides.map((s) => s.plan)} cells={cells} />
        </tbody>
      </table>
    </Scrolls>
  );
}

type Side = ReturnType<typeof sideOf> | undefined;

/** What a job gets of the air, against what it asks. */
function JobCell({ side, stageId }: { side: Side; stageId: string }) {
  const { say } = useUnits();
  const judged = side?.judgements.get(stageId);
  const station = side?.section.at(stageId);
  if (!judged || !station) return <span className="text-brick">▲ no air reaches it</span>;
  const verdict = inAll(judged);
  const grade = side?.grades.get(stageId);
  return (
    <>
      <span className={`font-semibold ${TONE[verdict]}`}>{VERDICT[verdict]}</span>
      <span className="block text-[0.88rem]">
        {say(station.pressureDewPointC, 'temperature')} dew point · {say(judged.pressure.getsPa, 'pressure')}
        {grade && ` · ${written(grade)}`}
      </span>
    </>
  );
}

/** The open advice on a line, notes left out. */
function AdviceCell({ side }: { side: Side }) {
  const { say } = useUnits();
  const grave = (side?.advice ?? []).filter((a) => a.rule.grade !== 'note');
  if (grave.length === 0) return <span className="text-water">● no advice</span>;
  return (
    <ul>
      {grave.map((a) => (
        <li key={a.key} className="flex gap-1.5 text-[0.88rem]">
          <span className={MARKS[gradeOf(a)].tone}>
            <span aria-hidden>{MARKS[gradeOf(a)].sign}</span>
            <span className="sr-only">{MARKS[gradeOf(a)].word}: </span>
          </span>
          {said(a.finding.what, say)}
        </li>
      ))}
    </ul>
  );
}
