'use client';

import { useRouter } from 'next/navigation';
import { type ReactNode, useMemo } from 'react';
import { sayIn as said } from '@/core/advice/rule';
import { written } from '@/core/line/grade-line';
import { inAll } from '@/core/line/judge-outlet';
import { align } from '@/core/plan/align';
import { changes } from '@/core/plan/changes';
import type { PlanSummary, RevisionSummary } from '@/core/plan/plan';
import { gradeOf, MARKS } from '@/ui/advice/grade-mark';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { CostRows } from './cost-rows';
import { MoneyForm } from './money-form';
import { Revisions } from './revisions';
import { sideOf, type Titled } from './side';

const VERDICT = { meets: '● meets the need', open: '◆ borderline', fails: '▲ not met' } as const;
const TONE = { meets: 'text-water', open: 'text-amber', fails: 'text-brick' } as const;

/** Two or three plans side by side, and what changed between them, in words. */
export function CompareView({
  revisions,
  lines,
  others,
}: {
  revisions: readonly RevisionSummary[];
  lines: readonly PlanSummary[];
  others: readonly Titled[];
}) {
  const { plan, planId } = usePlan();
  const router = useRouter();
  const sides = useMemo<readonly Titled[]>(
    () => [{ key: 'now', title: 'As it is now', plan }, ...others],
    [plan, others],
  );
  const choose = (keys: readonly string[]): void => {
    const chosen = keys.filter(Boolean);
    router.replace(`/lines/${planId}/compare${chosen.length > 0 ? `?with=${chosen.join(',')}` : ''}`);
  };
  const keyAt = (i: number): string => others[i]?.key ?? '';
  return (
    <div className="mx-auto grid max-w-[1240px] gap-5 p-4">
      <h1>Compare</h1>
      <div className="grid items-start gap-x-8 gap-y-4 lg:grid-cols-[1fr_21rem]">
        <section aria-label="Plans to compare" className="grid gap-3 sm:grid-cols-2">
          {[0, 1].map((i) => (
            <label key={i} className="grid min-w-0 gap-1">
              <span>{i === 0 ? 'Compare with' : 'And with'}</span>
              <select
                className="control"
                value={keyAt(i)}
                disabled={i === 1 && others.length === 0}
                onChange={(e) => choose(i === 0 ? [e.target.value, keyAt(1)] : [keyAt(0), e.target.value])}
              >
                <option value="">–</option>
                {revisions.length > 0 && (
                  <optgroup label="Revisions of this line">
                    {revisions.map((r) => (
                      <option key={r.id} value={`revision:${r.id}`}>
                        {r.name}
                      </option>
                    ))}
                  </optgroup>
                )}
                <optgroup label="Other lines and copies">
                  {lines.map((l) => (
                    <option key={l.id} value={`line:${l.id}`}>
                      {l.shop} · {l.name}
                    </option>
                  ))}
                </optgroup>
              </select>
            </label>
          ))}
        </section>
        <Revisions revisions={revisions} />
      </div>
      {others.length === 0 ? (
        <p className="max-w-prose text-quiet">
          Choose a revision of this line, or another line, to see them side by side: section, jobs, water, pressure,
          purity, advice, tasks and money. To try something without touching this line, make a copy of it.
        </p>
      ) : (
        <Changed sides={sides} />
      )}
      <Table sides={sides} />
      <MoneyForm />
    </div>
  );
}

function Changed({ sides }: { sides: readonly Titled[] }) {
  const { say } = useUnits();
  const [now, ...others] = sides;
  const [one, other] = others;
  const pairs = [
    ...others.flatMap((o) => (now ? [[o, now] as const] : [])),
    ...(one && other ? [[one, other] as const] : []),
  ];
  return (
    <section aria-label="What changed" className="grid gap-3 border-t border-hairline pt-3">
      <h2>What changed</h2>
      <div className={`grid gap-x-8 gap-y-3 ${pairs.length > 1 ? 'lg:grid-cols-3' : ''}`}>
        {pairs.map(([from, to]) => {
          const list = changes(from.plan, to.plan);
          return (
            <div key={`${from.key} ${to.key}`}>
              <h3 className="text-quiet">
                From “{from.title}” to {to === now ? 'as it is now' : `“${to.title}”`}
              </h3>
              {list.length === 0 ? (
                <p>Nothing: they are the same.</p>
              ) : (
                <ul className="mt-1 max-h-64 list-disc overflow-auto pl-5">
                  {list.map((c) => {
                    const text = c.says(say);
                    return <li key={text}>{text}</li>;
                  })}
                </ul>
              )}
            </div>
          );
        })}
      </div>
    </section>
  );
}

function Table({ sides }: { sides: readonly Titled[] }) {
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
    <div className="relative overflow-x-auto">
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
              {cells((i) => {
                const id = row[i]?.id;
                const side = all[i]?.side;
                const judged = id === undefined ? undefined : side?.judgements.get(id);
                const station = side?.section.at(id);
                if (!judged || !station) return row[i] && <span className="text-brick">▲ no air reaches it</span>;
                const verdict = inAll(judged);
                const grade = side?.grades.get(judged.stageId);
                return (
                  <>
                    <span className={`font-semibold ${TONE[verdict]}`}>{VERDICT[verdict]}</span>
                    <span className="block text-[0.88rem]">
                      {say(station.pressureDewPointC, 'temperature')} dew point ·{' '}
                      {say(judged.pressure.getsPa, 'pressure')}
                      {grade && ` · ${written(grade)}`}
                    </span>
                  </>
                );
              })}
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
            {cells((i) => {
              const grave = (all[i]?.side.advice ?? []).filter((a) => a.rule.grade !== 'note');
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
            })}
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
    </div>
  );
}
