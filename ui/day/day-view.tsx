'use client';

import { Pause, Play } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { DayCycle } from '@/core/day/simulate-day';
import { isInUse, usesOf } from '@/core/day/uses';
import { kindOf } from '@/core/equipment/index';
import { receiverHeelM } from '@/core/equipment/supply/receiver';
import { withIntakeAt } from '@/core/line/working-day';
import { stageById } from '@/core/plan/runs';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { DAY_S } from '@/core/quantity/constants';
import { spell } from '@/core/quantity/spell';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Drag } from '@/ui/forms/drag';
import { StageForm } from '@/ui/forms/stage-form';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Amount, useUnits } from '@/ui/units/units';
import { BusyHours } from './busy-hours';
import { clock, type Window } from './day-series';
import { DrainTable } from './drain-table';
import { LongBlast } from './long-blast';
import { Remarks } from './remarks';
import { TankDrawing } from './tank-drawing';
import { Timeline } from './timeline';
import { useDay } from './use-day';

const PUMP_FIELDS = [
  'control',
  'cutInPa',
  'cutOutPa',
  'freeAirDeliveryM3PerS',
  'dutyLimit',
  'startsPerHour',
  'runOnS',
  'leastSpeed',
  'dischargeSpaceM3',
];
const SPANS = { day: 0, hour: 3600, minutes: 600 } as const;
/** Seconds of the day that pass in a second of playing. */
const SPEEDS = { day: 1200, hour: 120, minutes: 20 } as const;
type Span = keyof typeof SPANS;

/** A day of the compressor: played, scrubbed, judged; with what decides it at hand. */
export function DayView() {
  const { plan, edit } = usePlan();
  const { working } = plan.survey;
  const [placeId, setPlaceId] = useState(plan.survey.intakePlaceId);
  const { answer, busy } = useDay(useMemo(() => withIntakeAt(plan, placeId), [plan, placeId]));
  const day = answer?.day;
  const compressor = plan.stages.find((s) => s.kind === 'compressor');
  return (
    <div className="grid gap-4 p-4">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <h1>Compressor cycle</h1>
        {answer ? day && <Summary day={day} /> : <p className="min-h-[2.8rem] w-full sm:min-h-[1.4rem] sm:w-auto" />}
        <div className="ml-auto w-56">
          {plan.survey.places.length > 1 && (
            <ChoiceInput
              id="day-place"
              label="A day with the air of"
              value={placeId}
              options={Object.fromEntries(plan.survey.places.map((p) => [p.id, p.name]))}
              onCommit={setPlaceId}
            />
          )}
        </div>
      </div>
      {answer && !day && (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          Nothing to show: a compressor cycles with a receiver, and this line has none. Add one on the Line.
        </p>
      )}
      {!answer && <p className="min-h-[67rem] text-quiet lg:min-h-[49.5rem]">Calculating the day…</p>}
      {answer && day && (
        <div className={`grid gap-4 ${busy ? 'opacity-80' : ''}`} aria-busy={busy}>
          <Remarks remarks={answer.remarks} />
          <Played day={day} startS={working.startsAtH * 3600} endS={working.endsAtH * 3600} />
          <DrainTable day={day} />
        </div>
      )}
      <div className="grid items-start gap-x-8 gap-y-5 border-t border-hairline pt-4 lg:grid-cols-[1fr_1fr_16rem]">
        {compressor && (
          <section className="grid gap-2">
            <h2 className="text-[1rem]">{compressor.name}</h2>
            <StageForm stage={compressor} only={PUMP_FIELDS} columns="sm:grid-cols-2" />
          </section>
        )}
        <div className="grid min-w-0 gap-4">
          <BusyHours />
          <ChoiceInput
            id="overnight"
            label="After work the line"
            value={working.overnight}
            options={{ charged: 'stays under pressure', depressurised: 'is depressurised' }}
            onCommit={(v) =>
              edit((p) => ({
                ...p,
                survey: { ...p.survey, working: { ...p.survey.working, overnight: v as typeof working.overnight } },
              }))
            }
          />
        </div>
        <LongBlast />
        <div className="lg:col-span-3">
          <Cautions ids={kindOf('compressor').cautions} />
        </div>
      </div>
    </div>
  );
}

function Summary({ day }: { day: DayCycle }) {
  const { plan } = usePlan();
  const { say } = useUnits();
  return (
    <ul className="text-quiet">
      {day.compressors.map((p) => (
        <li key={p.stageId}>
          <strong className="text-ink">{stageById(plan, p.stageId)?.name}</strong> loaded {spell(p.loadedS)}
          {p.unloadedS > 0 && `, unloaded ${spell(p.unloadedS)}`}
          {' · '}
          {p.starts === p.loads
            ? `${p.starts} starts, at most ${p.mostStartsInAnHour} in an hour`
            : `${p.starts} starts, loads ${p.loads} times`}
          {p.blowOff &&
            ` · blows off ${say(p.blowOff.freeAirM3, 'volume')} of free air in ${spell(p.blowOff.seconds)} at each stop`}
        </li>
      ))}
    </ul>
  );
}

function Played({ day, startS, endS }: { day: DayCycle; startS: number; endS: number }) {
  const { plan } = usePlan();
  const [at, setAt] = useState(Math.min(DAY_S - 1, startS + 3600));
  const [playing, setPlaying] = useState(false);
  const [span, setSpan] = useState<Span>('day');
  const [width, setWidth] = useState(900);
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return;
    const watch = new ResizeObserver(([entry]) => entry && setWidth(Math.floor(entry.contentRect.width)));
    watch.observe(box.current);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    if (!playing) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      const gone = (Math.min(200, now - last) / 1000) * SPEEDS[span];
      last = now;
      setAt((t) => (t + gone >= endS ? startS : t + gone));
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, span, startS, endS]);
  const dayWindow: Window = { fromS: Math.max(0, startS - 1800), toS: Math.min(DAY_S, endS + 3600) };
  const half = SPANS[span] / 2;
  const from = Math.max(0, Math.min(DAY_S - 2 * half, at - half));
  const shown = span === 'day' ? dayWindow : { fromS: from, toS: from + 2 * half };
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[1fr_13rem]">
      <div ref={box} className="min-w-0">
        <Timeline plan={plan} day={day} shown={shown} at={at} width={width} onPoint={setAt} />
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <button type="button" className="button min-w-24" onClick={() => setPlaying(!playing)}>
            {playing ? <Pause size={15} aria-hidden /> : <Play size={15} aria-hidden />} {playing ? 'Pause' : 'Play'}
          </button>
          <div className="min-w-40 flex-1">
            <Drag
              label="Time of day"
              value={Math.round(at)}
              min={dayWindow.fromS}
              max={dayWindow.toS - 1}
              step={1}
              says={clock}
              onChange={setAt}
            />
          </div>
          <ToggleGroup.Root
            type="single"
            aria-label="Shown"
            value={span}
            onValueChange={(v) => v && setSpan(v as Span)}
            className="flex"
          >
            {(['day', 'hour', 'minutes'] as const).map((s) => (
              <ToggleGroup.Item
                key={s}
                value={s}
                className="button rounded-none data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-paper"
              >
                {{ day: 'Day', hour: 'Hour', minutes: '10 min' }[s]}
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
        </div>
      </div>
      <Moment day={day} second={Math.floor(at)} />
    </div>
  );
}

/** The line at one second of the day. */
function Moment({ day, second }: { day: DayCycle; second: number }) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const tank = stageById(plan, day.receiverId);
  const compressor = plan.stages.find((s) => s.kind === 'compressor');
  if (tank?.kind !== 'receiver' || !compressor) return null;
  const { volumeM3 } = tank.parameters;
  const atmosphericPa = surveyAtmosphericPa(plan.survey);
  const pressurePa = day.pressurePa[second] as number;
  const heelKg = day.heelKg[second] as number;
  const delivers = (day.loaded[second] as number) > 0;
  const blowing = usesOf(plan).filter((u) => isInUse(u, second));
  return (
    <section aria-label="At this time" className="grid grid-cols-[8rem_1fr] gap-3 lg:grid-cols-1">
      <TankDrawing
        volumeM3={volumeM3}
        heelKg={heelKg}
        filled={(pressurePa - atmosphericPa) / (compressor.parameters.cutOutPa - atmosphericPa)}
        delivers={delivers}
      />
      <dl className="grid grid-cols-[auto_1fr] content-start gap-x-3 gap-y-0.5 text-[0.92rem]">
        <dt className="text-quiet">At</dt>
        <dd className="font-semibold">{clock(second, true)}</dd>
        <dt className="text-quiet">Compressor</dt>
        <dd>{delivers ? 'delivers' : 'rests'}</dd>
        <dt className="text-quiet">Pressure</dt>
        <dd>
          <Amount si={pressurePa} quantity="pressure" />
        </dd>
        <dt className="text-quiet">Tank air</dt>
        <dd>
          <Amount si={day.temperatureC[second] as number} quantity="temperature" />
        </dd>
        <dt className="text-quiet">Water</dt>
        <dd>
          <Amount si={heelKg / 1000} quantity="drained" />
          <span className="text-quiet"> · {say(receiverHeelM(volumeM3, heelKg / 1000), 'size')} high</span>
        </dd>
        <dt className="text-quiet">Taken</dt>
        <dd>{blowing.length === 0 ? 'nothing' : blowing.map((u) => stageById(plan, u.stageId)?.name).join(', ')}</dd>
      </dl>
    </section>
  );
}
