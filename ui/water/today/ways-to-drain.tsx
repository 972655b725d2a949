'use client';

import { sayIn as said } from '@/core/advice/rule';
import { meanLossM3PerS } from '@/core/drains/duty';
import { LEFT_ALONE } from '@/core/drains/timer';
import { bestTimer, timerLossPerDay, type Way, waysToDrain } from '@/core/drains/ways';
import { setParameter, setParameters, withSurvey } from '@/core/plan/edit';
import { surveySchema } from '@/core/plan/survey';
import { spell } from '@/core/quantity/spell';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { drainWords } from '../drain-marks';
import type { DrainRow } from '../use-drains';

const SUITS = [
  { word: 'cannot', edge: 'border-l-brick' },
  { word: 'poor', edge: 'border-l-amber' },
  { word: 'works', edge: 'border-l-water' },
  { word: 'suits', edge: 'border-l-water' },
] as const;
const REMEMBERS = surveySchema.shape.site.unwrap().shape.remembers.meta() as unknown as {
  label: string;
  options: Record<string, string>;
};

/** Every way of draining this place, those that suit first, with why, what it loses and what it asks of somebody. */
export function WaysToDrain({ row }: { row: DrainRow }) {
  const { plan, edit } = usePlan();
  const { say } = useUnits();
  const { duty } = row;
  const { stage } = duty;
  const ways = waysToDrain(duty);
  const isOwn = (w: Way): boolean => w.suits > 1 || w.drain === stage.parameters.drain;
  const own = ways.filter(isOwn);
  const not = ways.filter((w) => !isOwn(w));
  const best = bestTimer(duty);
  return (
    <section aria-label={`Ways to drain ${stage.name}`} className="grid content-start gap-2">
      <h2>Ways to drain it</h2>
      <ul className="grid gap-2">
        {own.map((w) => (
          <WayCard key={w.drain} way={w} row={row} />
        ))}
      </ul>
      {not.length > 0 && (
        <details className="text-[0.9rem]">
          <summary className="cursor-pointer text-water underline underline-offset-4">
            {not.length} unsuitable here
          </summary>
          <ul className="mt-2 grid gap-2">
            {not.map((w) => (
              <WayCard key={w.drain} way={w} row={row} />
            ))}
          </ul>
        </details>
      )}
      {best && (
        <p className="text-[0.85rem] text-quiet">
          A timer as most people leave it, {spell(LEFT_ALONE.openS)} every {spell(LEFT_ALONE.everyS)}, would waste{' '}
          {say(meanLossM3PerS(duty, timerLossPerDay(duty, LEFT_ALONE)), 'airLost')} on average; set for the worst hour,
          it is {say(meanLossM3PerS(duty, timerLossPerDay(duty, best)), 'airLost')}.
        </p>
      )}
      <div className="mt-1 grid gap-3 border-t border-hairline pt-3">
        <h3 className="eyebrow">Deciding factors</h3>
        <ChoiceInput
          id="drain-power"
          label="Mains power at the spot"
          value={stage.parameters.drainPower}
          options={{ 'not-said': 'not said', yes: 'yes', no: 'no' }}
          onCommit={(v) => edit((p) => setParameter(p, stage.id, 'drainPower', v))}
        />
        <ChoiceInput
          id="drain-remembers"
          label={REMEMBERS.label}
          value={plan.survey.site.remembers}
          options={REMEMBERS.options}
          onCommit={(v) =>
            edit((p) =>
              withSurvey(p, {
                ...p.survey,
                site: { ...p.survey.site, remembers: v as typeof p.survey.site.remembers },
              }),
            )
          }
        />
      </div>
    </section>
  );
}

function WayCard({ way, row }: { way: Way; row: DrainRow }) {
  const { plan, edit } = usePlan();
  const { say, number } = useUnits();
  const { stage } = row.duty;
  const fitted = stage.parameters.drain === way.drain;
  const same =
    fitted &&
    Object.entries(way.parameters).every(([k, v]) => (stage.parameters as unknown as Record<string, unknown>)[k] === v);
  const { word, edge } = SUITS[way.suits];
  const { perKWh, currency } = plan.money;
  const costs = way.kWhPerYear * perKWh;
  return (
    <li className={`rounded-md border border-l-4 border-hairline bg-card px-3 py-2 text-[0.9rem] ${edge}`}>
      <p className="font-semibold">
        {drainWords(stage.kind, way.drain)}
        <span className="font-normal text-quiet"> · {fitted ? 'fitted' : word}</span>
      </p>
      <p>{said(way.setting, say)}</p>
      <p className="text-quiet">{way.because.map((b) => said(b, say)).join(' ')}</p>
      <p className="text-[0.85rem] text-quiet">
        {way.lostKgPerDay > 0
          ? `loses ${say(meanLossM3PerS(row.duty, way.lostKgPerDay), 'airLost')}, ${say(way.lostKgPerDay * row.duty.m3PerKg, 'volume')} a day · ${costs >= 1 ? `${Math.round(costs)} ${currency} of power` : `under 1 ${currency}`} a year`
          : 'no air lost'}{' '}
        · {number(way.taskMinutes / 60, 1)} h of tasks a year
      </p>
      {!same && way.suits > 0 && (
        <button
          type="button"
          className="mt-1 min-h-target text-water underline underline-offset-4"
          onClick={() => edit((p) => setParameters(p, stage.id, way.parameters))}
        >
          {fitted ? 'Apply' : 'Use this drain'}
          <span className="sr-only">: {drainWords(stage.kind, way.drain)}</span>
        </button>
      )}
    </li>
  );
}
