'use client';

import { useMemo, useState } from 'react';
import { jointsOf } from '@/core/fitting/joints';
import { airVolumesOf, judgeLeak, type LeakReadings, SETTLES_S, STEPS } from '@/core/fitting/leak-test';
import { allStages, standing } from '@/core/plan/runs';
import { placeOf } from '@/core/plan/survey';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { OfBefore } from '@/ui/forms/of-before';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures, Headline } from '@/ui/primitives/figures';
import { useUnits } from '@/ui/units/units';
import { useTicks } from '../use-ticks';
import { InService } from './in-service';
import { Record } from './record';
import { StopWatch } from './stop-watch';
import { Ticked } from './ticked';
import { VERDICTS } from './verdicts';

/** Without the sign of a nought. */
const percent = (share: number): string => `${(Math.round(share * 1e4) / 100 || 0).toFixed(2)} %`;

/** The leak test: steps of pressure, soap, a shut-in with its correction, and the record. */
export function LeakTestView() {
  const { plan, section } = usePlan();
  const { say, atmosphericPa } = useUnits();
  const line = standing(plan);
  const volumes = airVolumesOf(plan);
  const roomC = placeOf(plan.survey, plan.survey.roomPlaceId).temperatureC;
  const cutOutPa = Math.max(...allStages(line).map((s) => (s.kind === 'compressor' ? s.parameters.cutOutPa : 0)));
  const [read, setRead] = useState<LeakReadings>(() => ({
    line: 'new',
    volumeM3: volumes.totalM3,
    fromPa: cutOutPa,
    toPa: cutOutPa,
    seconds: 2 * 3600,
    fromC: roomC,
    toC: roomC,
    gaugeStepPa: 1e4,
  }));
  const set = (more: Partial<LeakReadings>): undefined => {
    setRead((r) => ({ ...r, ...more }));
  };
  const joints = useMemo(() => jointsOf(plan, section), [plan, section]);
  const { ticks, tick } = useTicks();
  const lists = Object.entries(ticks).flatMap(([key, { count }]) =>
    key.startsWith('step:leak ') ? [{ key, count }] : [],
  );
  const judged = judgeLeak(plan, read);
  const good = judged.verdict === 'tight' || judged.verdict === 'acceptable';
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div className="grid gap-4">
        <Cautions ids={['C07', 'C04', 'C05']} />
        <section aria-label="Before the test">
          <h2 className="mb-1">Raise the pressure by steps</h2>
          <p className="text-quiet">
            Stand clear, eyes covered. Walk round at each step; never above the lowest rating in the run. Plastics: not
            with air at all unless their maker says so. Tests that a law asks for are the inspector’s.
          </p>
          <ol className="mt-2 grid gap-1">
            {STEPS.map((share) => (
              <Ticked key={share} of={`raise ${share}`}>
                To {say((cutOutPa - atmosphericPa) * share, 'pressureDifference')} gauge, walk round
              </Ticked>
            ))}
            <Ticked of="shut in">
              Shut in at the test valve; wait {SETTLES_S / 60} min until air and pipe have one temperature
            </Ticked>
          </ol>
        </section>
        <section aria-label="Soap list">
          <h2 className="mb-1">Soap every joint</h2>
          <ol className="columns-1 gap-x-6 sm:columns-2">
            {joints.map((j) => (
              <Ticked key={j.id} of={`soap ${j.id}`}>
                {j.sides[0].name} – {j.sides[1].name}
              </Ticked>
            ))}
          </ol>
          <p className="mt-2">
            <button type="button" className="button" onClick={() => tick(lists, undefined)}>
              Begin the lists again
            </button>
          </p>
        </section>
      </div>
      <div className="grid gap-4">
        <section aria-label="Readings" className="grid gap-3 rounded-md border border-hairline bg-card p-4">
          <h2>Hold it</h2>
          <StopWatch onSeconds={(seconds) => set({ seconds })} />
          <div className="grid gap-3 sm:grid-cols-2">
            <ChoiceInput
              id="leak-line"
              label="The line is"
              value={read.line}
              options={{ new: 'new', old: 'in use for some time' }}
              onCommit={(v) => set({ line: v as LeakReadings['line'] })}
            />
            <QuantityInput
              id="leak-seconds"
              label="Time it was shut in"
              quantity="time"
              value={read.seconds}
              min={10}
              max={864_000}
              onCommit={(seconds) => set({ seconds })}
            />
            <QuantityInput
              id="leak-from"
              label="Pressure at the start"
              quantity="pressure"
              value={read.fromPa}
              min={1.1e5}
              max={41e5}
              onCommit={(fromPa) => set({ fromPa })}
            />
            <QuantityInput
              id="leak-to"
              label="Pressure at the end"
              quantity="pressure"
              value={read.toPa}
              min={0.9e5}
              max={41e5}
              onCommit={(toPa) => set({ toPa })}
            />
            <QuantityInput
              id="leak-from-c"
              label="Air in the line at the start"
              quantity="temperature"
              value={read.fromC ?? roomC}
              min={-30}
              max={80}
              onCommit={(fromC) => set({ fromC })}
            />
            <QuantityInput
              id="leak-to-c"
              label="Air in the line at the end"
              quantity="temperature"
              value={read.toC ?? roomC}
              min={-30}
              max={80}
              onCommit={(toC) => set({ toC })}
            />
            <QuantityInput
              id="leak-volume"
              label="Room for air that was shut in"
              quantity="volume"
              value={read.volumeM3}
              min={1e-4}
              max={200}
              help={`Of this line: receivers ${say(volumes.receiversM3, 'volume')}, pipe and hose ${say(volumes.pipesM3, 'volume')}. Less, if the tank is shut off.`}
              onCommit={(volumeM3) => set({ volumeM3 })}
            />
            <QuantityInput
              id="leak-step"
              label="Smallest step of the gauge"
              quantity="pressureDifference"
              value={read.gaugeStepPa}
              min={10}
              max={1e5}
              onCommit={(gaugeStepPa) => set({ gaugeStepPa })}
            />
          </div>
        </section>
        <section
          aria-label="Verdict"
          aria-live="polite"
          className={`grid gap-2 border-l-4 pl-4 ${good ? 'border-water' : 'border-brick'}`}
        >
          <OfBefore />
          <Headline>
            {good ? '✓' : '▲'} {VERDICTS[judged.verdict]}
          </Headline>
          <Figures
            rows={[
              ['Leaks, free air', say(judged.leakM3PerS, 'volumeFlow')],
              ['Allowed at most', say(judged.allowedM3PerS, 'volumeFlow')],
              ['Of what the compressors deliver', percent(judged.ofDelivery)],
              ['Of its absolute pressure, an hour', percent(judged.perHour)],
              ['Of the fall, by temperature', say(judged.fromTemperaturePa, 'pressureDifference')],
              ['This gauge needs at least', say(judged.leastS, 'time')],
            ]}
          />
          <p className="text-[0.85rem] text-quiet">
            A fall of {say(1, 'temperatureDifference')} looks like a leak of 0.34 % of the absolute pressure; it is
            taken off.
          </p>
        </section>
        <Record read={read} judged={judged} />
        <InService />
      </div>
    </div>
  );
}
