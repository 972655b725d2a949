'use client';

import Link from 'next/link';
import { type FormEvent, useEffect, useMemo, useState } from 'react';
import { kindOf } from '@/core/equipment/index';
import { collectingSince } from '@/core/log/collecting-since';
import { APPEARANCES, type DrainEntry } from '@/core/log/drain-entry';
import { expectDrain } from '@/core/log/expect-drain';
import { expectReadings } from '@/core/log/expect-reading';
import type { LogEntry } from '@/core/log/log-entry';
import { READINGS } from '@/core/log/readings';
import type { DueTask } from '@/core/maintenance/due';
import type { LogSummary } from '@/core/maintenance/log-summary';
import { readingsOf, taskLog } from '@/core/maintenance/task-log';
import { placeOf } from '@/core/plan/survey';
import { parseQuantity } from '@/core/quantity/parse';
import { QUANTITIES, type QuantityName, unitOf } from '@/core/quantity/units';
import { AppearanceChoice } from '@/ui/logbook/appearance-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { nowOnTheWall, sayTime } from '@/ui/units/when';
import { PhotoInput } from '../forms/photo-input';
import { entryOf, fresh } from '../outbox/entry-of';
import { rememberedWho, rememberWho, type useSender } from '../outbox/use-sender';
import { BeadSwatches } from './bead-swatches';
import { NumberPad } from './number-pad';

const UNITS_SHOWN = 3;

/** One task on the phone: what to do, what to expect, a number, and on. */
export function RoundTask({
  task: t,
  log,
  put,
  onNext,
}: {
  task: DueTask;
  log: LogSummary;
  put: ReturnType<typeof useSender>['put'];
  onNext: (how: 'done' | 'could not') => void;
}) {
  const { plan, planId } = usePlan();
  const { task, stage } = t;
  const drains = task.drains === true;
  const [readings, setReadings] = useState<LogEntry['readings']>([]);
  const asked = readingsOf(task);
  const of = asked[readings.length];
  const quantity: QuantityName = of ? READINGS[of].quantity : 'mass';
  const { choice, atmosphericPa, say } = useUnits();
  const units = QUANTITIES[quantity].units.slice(0, UNITS_SHOWN);
  const [unitOwn, setUnit] = useState<string>();
  const unitId = units.some((u) => u.id === unitOwn) ? unitOwn : unitOf(quantity, choice[quantity]).id;
  const [text, setText] = useState('');
  const [spent, setSpent] = useState(() => (stage.kind === 'bead-cartridge' ? stage.parameters.spentShare : 0));
  const [looks, setLooks] = useState<DrainEntry['appearance']>();
  const [who, setWho] = useState(rememberedWho);
  const [known, setKnown] = useState(() => rememberedWho() !== '');
  const [photo, setPhoto] = useState<string>();
  const [couldNot, setCouldNot] = useState(false);
  const [because, setBecause] = useState('');
  const [wrong, setWrong] = useState(false);
  const [problem, setProblem] = useState<string>();
  const started = useMemo(nowOnTheWall, []);
  const since = drains ? collectingSince(plan, log.drained, stage.id, started) : started;
  const expected = useMemo(() => {
    if (drains) {
      const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
      const x = expectDrain(plan, {
        stageId: stage.id,
        drainedAt: started,
        sinceAt: since,
        loadedHours: null,
        intakeTemperatureC: intake.temperatureC,
        intakeRelativeHumidity: intake.relativeHumidity,
      });
      return x && { low: x.lowKg / 1000, high: x.highKg / 1000 };
    }
    if (!of) return undefined;
    const entry = entryOf(plan, {
      kind: 'done',
      stageId: stage.id,
      who: 'x',
      readings: [{ of, value: 0 }],
      instrument: 'fitted',
    });
    return expectReadings(plan, entry)[0] ?? undefined;
  }, [plan, stage.id, drains, of, started, since]);
  const isBeads = of === 'spent';
  const value = (): number | string | undefined => {
    if (!of || isBeads) return isBeads ? spent : undefined;
    if (text.trim() === '' || text === '-') return undefined;
    const parsed = parseQuantity(text, quantity, {
      choice: { ...choice, [quantity]: unitId as string },
      atmosphericPa,
    });
    return parsed.ok ? parsed.value : parsed.message;
  };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const number = value();
    if (!couldNot && of && typeof number === 'number' && readings.length + 1 < asked.length) {
      setReadings([...readings, { of, value: number }]);
      setText('');
      setProblem(undefined);
      return;
    }
    const photoId = photo && !couldNot ? crypto.randomUUID() : null;
    const log = taskLog(plan, t, { who, number, readings, looks, wrong, couldNot, because, photoId, since }, fresh);
    if ('problem' in log) {
      setProblem(log.problem);
      return;
    }
    rememberWho(who.trim());
    void put(
      ...(photo && photoId ? [{ to: `photos/${photoId}` as const, body: photo }] : []),
      ...(log.drain ? [{ to: 'drains' as const, body: { ...log.drain } }] : []),
      ...(log.entry ? [{ to: 'entries' as const, body: { ...log.entry } }] : []),
    );
    onNext(couldNot ? 'could not' : 'done');
  };
  const place = placeOf(plan.survey, stage.place ?? plan.survey.roomPlaceId).name;
  return (
    <form className="flex flex-1 flex-col gap-4 p-4" onSubmit={submit} noValidate>
      <div>
        <h1 className="text-[1.55rem] leading-tight">
          {stage.name}: {task.does.toLowerCase()}
        </h1>
        <p className="text-quiet">
          {kindOf(stage.kind).label.toLowerCase()} · {place}
        </p>
      </div>
      {task.cautions.length > 0 && (
        <Cautions ids={task.cautions.filter((c) => c !== 'C07' || task.isolates).slice(0, 3)} />
      )}
      {couldNot ? (
        <label className="grid gap-1 font-medium">
          Reason
          <textarea
            className="control min-h-24 font-normal"
            value={because}
            onChange={(e) => setBecause(e.target.value)}
          />
        </label>
      ) : (
        <>
          <Steps task={t} />
          {task.renews === 'charge' && (
            <p>
              <Link href={`/lines/${planId}/charges`} className="text-water underline underline-offset-4">
                Log it under Charges
              </Link>{' '}
              instead, and it is known which charge goes in.
            </p>
          )}
          {isBeads ? (
            <BeadSwatches share={spent} onShare={setSpent} />
          ) : (
            of && (
              <div className="grid gap-3">
                <div className="flex items-end gap-3">
                  <output
                    className="min-w-32 border-b-4 border-copper text-right text-[2.6rem] leading-none font-semibold"
                    aria-label={READINGS[of].label}
                  >
                    {text || '–'}
                  </output>
                  <div className="flex gap-1.5" role="radiogroup" aria-label="Unit">
                    {units.map((u) => (
                      <button
                        key={u.id}
                        type="button"
                        role="radio"
                        aria-checked={u.id === unitId}
                        className={`button min-h-12 ${u.id === unitId ? 'border-ink bg-ink text-paper' : ''}`}
                        onClick={() => setUnit(u.id)}
                      >
                        {u.symbol}
                      </button>
                    ))}
                  </div>
                </div>
                <p className="text-quiet">
                  {asked.length > 1 && `${readings.length + 1} of ${asked.length}: `}
                  {READINGS[of].label.toLowerCase()}
                  {expected && (
                    <>
                      , expected{drains && ` since ${sayTime(since)}`}:{' '}
                      <strong className="text-ink">
                        {say(expected.low, quantity)} to {say(expected.high, quantity)}
                      </strong>
                    </>
                  )}
                </p>
                {drains && <AppearanceChoice value={looks} onValue={setLooks} options={APPEARANCES} />}
                <NumberPad text={text} onText={setText} signed={quantity === 'temperature'} />
              </div>
            )
          )}
          {!drains && (
            <label className="flex min-h-12 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-(--water)"
                checked={wrong}
                onChange={(e) => setWrong(e.target.checked)}
              />
              Not OK
            </label>
          )}
          {wrong && (
            <label className="grid gap-1 font-medium">
              What is wrong{' '}
              <span className="font-normal text-quiet">
                <InUnits text={task.abnormal} />
              </span>
              <textarea
                className="control min-h-20 font-normal"
                value={because}
                onChange={(e) => setBecause(e.target.value)}
              />
            </label>
          )}
          <PhotoInput photo={photo} onPhoto={setPhoto} />
        </>
      )}
      {known ? (
        <p className="text-quiet">
          as <strong className="text-ink">{who}</strong>{' '}
          <button
            type="button"
            className="min-h-8 text-water underline underline-offset-4"
            onClick={() => setKnown(false)}
          >
            somebody else
          </button>
        </p>
      ) : (
        <label className="grid gap-1 font-medium">
          Who
          <input
            className="control min-h-12 font-normal"
            autoComplete="name"
            value={who}
            onChange={(e) => setWho(e.target.value)}
          />
        </label>
      )}
      {problem && (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          {problem}
        </p>
      )}
      <div className="sticky bottom-0 mt-auto grid grid-cols-[1fr_2fr] gap-2.5 bg-paper py-3">
        <button type="button" className="button min-h-14" onClick={() => setCouldNot(!couldNot)}>
          {couldNot ? 'Back' : 'Could not'}
        </button>
        <button type="submit" className="button button-strong min-h-14 text-[1.1rem]">
          {couldNot ? 'Save and next' : 'Log and next'}
        </button>
      </div>
    </form>
  );
}

/** The steps, with a clock where one must take its time. */
function Steps({ task: { task } }: { task: DueTask }) {
  return (
    <details open={task.steps.length <= 2}>
      <summary className="cursor-pointer font-semibold">How</summary>
      <ol className="mt-1 grid list-decimal gap-1 pl-5">
        {task.steps.map((s) =>
          typeof s === 'string' ? (
            <li key={s}>
              <InUnits text={s} />
            </li>
          ) : (
            <li key={s.says}>
              <InUnits text={s.says} /> {s.waitS !== undefined && <Wait seconds={s.waitS} />}
            </li>
          ),
        )}
      </ol>
      <p className="mt-1 text-[0.9rem] text-quiet">
        Good: <InUnits text={task.accept} />
      </p>
    </details>
  );
}

function Wait({ seconds }: { seconds: number }) {
  const [ends, setEnds] = useState<number>();
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    if (ends === undefined) return;
    const tick = setInterval(() => setLeft(Math.max(0, Math.ceil((ends - Date.now()) / 1000))), 250);
    return () => clearInterval(tick);
  }, [ends]);
  const words = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  return (
    <button type="button" className="button my-1 min-h-12" onClick={() => setEnds(Date.now() + seconds * 1000)}>
      <span role="timer">{ends === undefined ? `Start ${words}` : left > 0 ? words : 'Time is up'}</span>
    </button>
  );
}
