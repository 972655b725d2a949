'use client';

import { memo } from 'react';
import type { StationFigure } from '@/core/line/explain';
import { explainGrade } from '@/core/line/explain-grade';
import { written } from '@/core/line/grade-line';
import { inAll, type OutletJudgement, type Verdicts } from '@/core/line/judge-outlet';
import type { OutletStage } from '@/core/line/outlet-criteria';
import { explainPeak } from '@/core/line/peak-pressure';
import { allStages, stageById, standing } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';

const MARK = { meets: '●', open: '◆', fails: '▲' } as const;
const WORD = { meets: 'meets the need', open: 'borderline', fails: 'not met' } as const;
const TONE = {
  meets: 'border-l-water text-water',
  open: 'border-l-amber text-amber',
  fails: 'border-l-brick text-brick',
} as const;

/** The figure behind what an outlet gets. */
const FIGURE: Record<OutletStage['parameters']['need'], StationFigure> = {
  'no-liquid': 'margin',
  'dew-point': 'dewPoint',
  'iso-class': 'dewPoint',
  'humidity-expanded': 'humidityExpanded',
  'humidity-in-line': 'humidity',
  'humidity-unknown': 'humidity',
};

/** At the end of the line: what each job needs, what it gets, and the margin. */
export const OutletList = memo(function OutletList({
  judgements,
  selected,
  onSelect,
}: {
  judgements: Verdicts;
  selected: string | undefined;
  onSelect: (stageId: string) => void;
}) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const outlets = allStages(standing(plan)).filter((s): s is OutletStage => s.kind === 'outlet');
  // In a plant only what asks for attention is spelt out.
  const brief = outlets.length > MOST_IN_FULL;
  if (outlets.length === 0)
    return <p className="p-3 text-quiet">No outlet yet. Add one and say what the job needs: it is judged here.</p>;
  return (
    <ul className="grid gap-2 max-lg:grid-cols-2 max-sm:grid-cols-1">
      {outlets.map((stage) => {
        const judged = judgements.get(stage.id);
        if (brief && judged && inAll(judged) === 'meets' && selected !== stage.id)
          return (
            <li key={stage.id}>
              <button
                type="button"
                onClick={() => onSelect(stage.id)}
                className="flex w-full items-baseline justify-between gap-2 rounded-md border border-l-4 border-hairline border-l-water bg-card px-2.5 py-1 text-left hover:bg-sunk"
              >
                <span className="min-w-0 truncate font-semibold">{stage.name}</span>
                <span className="shrink-0 text-[0.86rem] text-water">
                  <span aria-hidden>{MARK.meets} </span>
                  <span className="sr-only">{WORD.meets}, at </span>
                  {say(judged.pressure.getsPa, 'pressure')}
                </span>
              </button>
            </li>
          );
        return (
          <li key={stage.id}>
            <div
              className={`relative rounded-md border border-l-4 border-hairline bg-card p-2.5 ${judged ? TONE[inAll(judged)] : ''} ${selected === stage.id ? 'outline-2 outline-copper' : ''}`}
            >
              <button
                type="button"
                aria-pressed={selected === stage.id}
                onClick={() => onSelect(stage.id)}
                className="block w-full text-left font-semibold text-ink after:absolute after:inset-0"
              >
                {stage.name}
              </button>
              {judged ? (
                <Judgement judged={judged} stage={stage} />
              ) : (
                <span className="text-quiet">Not calculated: an upstream stage has an error.</span>
              )}
            </div>
          </li>
        );
      })}
    </ul>
  );
});

function Judgement({ judged, stage }: { judged: OutletJudgement; stage: OutletStage }) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const p = stage.parameters;
  const dryMargin = p.need === 'no-liquid';
  const what = {
    'no-liquid': 'no liquid water',
    'dew-point': 'dew point',
    'iso-class': `class ${p.waterClass}`,
    'humidity-expanded': 'RH expanded',
    'humidity-in-line': 'RH in the line',
    'humidity-unknown': 'RH, basis not said',
  }[p.need];
  const limit = dryMargin ? '' : ` ≤ ${say(judged.limit, judged.quantity)}`;
  const gets = dryMargin
    ? judged.liquidKgPerS > 0
      ? `${say(judged.liquidKgPerS, 'waterFlow')} of drops`
      : `${say(Math.max(0, -judged.gets), 'temperatureDifference')} above dew point`
    : `${say(judged.gets, judged.quantity)}`;
  const half = (judged.high - judged.low) / 2;
  const unsure = say(half, judged.quantity === 'temperature' ? 'temperatureDifference' : judged.quantity);
  return (
    <span className="grid gap-0.5 text-[0.86rem] leading-snug">
      <span className="text-quiet">
        needs {what}
        {limit}
      </span>
      <span className="text-ink">
        gets{' '}
        <Why figure={{ stageId: stage.id, name: FIGURE[p.need] }} className="relative z-10 font-semibold">
          {gets}
        </Why>
        {half > 0.005 && <span className="text-quiet"> ± {unsure}</span>}
        {judged.other && ' in the line'}
      </span>
      {judged.other && (
        <span className="text-ink">
          or{' '}
          <Why figure={{ stageId: stage.id, name: 'humidityExpanded' }} className="relative z-10 font-semibold">
            {say(judged.other.gets, 'share')}
          </Why>{' '}
          expanded: {WORD[judged.other.verdict]}
        </span>
      )}
      {judged.clean && judged.grade && (
        <span className="text-quiet">
          particles and oil{' '}
          <Why
            figure={() => judged.grade && explainGrade(judged.grade, stage.name)}
            className="relative z-10 font-semibold text-ink"
          >
            {written(judged.grade)}
          </Why>{' '}
          of {judged.clean.needs}
          {!judged.clean.enough && <span className="font-semibold text-brick"> ▲ not as clean</span>}
        </span>
      )}
      <span className="text-quiet">
        at its worst moment{' '}
        <Why
          figure={() => explainPeak(plan, stage.id, judged.pressure.getsPa)}
          className="relative z-10 font-semibold text-ink"
        >
          {judged.pressure.getsPa > 0 ? say(judged.pressure.getsPa, 'pressure') : 'no pressure'}
        </Why>{' '}
        of {say(judged.pressure.needsPa, 'pressure')}
        {!judged.pressure.enough && <span className="font-semibold text-brick"> ▲ too little</span>}
        {judged.pressure.beyondCompressor && ': more than the compressor makes when it cuts in'}
      </span>
      <Losses of={judged} />
      <span>
        <strong>
          <span aria-hidden>{MARK[inAll(judged)]} </span>
          {judged.verdict === 'meets' && inAll(judged) === 'fails' ? 'dry enough, but not met' : WORD[inAll(judged)]}
        </strong>
        {judged.note && (
          <span className="text-quiet">
            : <InUnits text={judged.note} />
          </span>
        )}
      </span>
    </span>
  );
}

const MOST_NAMED = 2;
const MOST_IN_FULL = 6;
const LITTLE_PA = 3000; // less than a gauge shows
const NEAR_PA = 3e4; // so close to too little that one asks where it goes

/** What takes the pressure on the way to an outlet, the largest first; or what stops it. */
function Losses({ of: { pressure } }: { of: OutletJudgement }) {
  const { plan } = usePlan();
  const { say } = useUnits();
  if (pressure.stopped)
    return (
      <span className="text-brick">
        {stageById(plan, pressure.stopped.stageId)?.name}: <InUnits text={pressure.stopped.message} />
      </span>
    );
  if (pressure.getsPa > pressure.needsPa + NEAR_PA) return null;
  const named = pressure.losses.filter((l) => l.lossPa > LITTLE_PA).slice(0, MOST_NAMED);
  if (named.length === 0) return null;
  return (
    <span className="text-quiet">
      lost: {named.map((l) => `${l.name} ${say(l.lossPa, 'pressureDifference')}`).join(', ')}
    </span>
  );
}
