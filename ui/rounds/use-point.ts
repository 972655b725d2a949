'use client';

import { type FormEvent, useEffect, useMemo, useState } from 'react';
import { collectingSince } from '@/core/log/collecting-since';
import { expectDrain } from '@/core/log/expect-drain';
import { expectReadings } from '@/core/log/expect-reading';
import type { LogEntry } from '@/core/log/log-entry';
import { READINGS, type ReadingName } from '@/core/log/readings';
import type { DueTask } from '@/core/maintenance/due';
import { readingsOf, taskLog } from '@/core/maintenance/task-log';
import type { Plan } from '@/core/plan/plan';
import { placeOf } from '@/core/plan/survey';
import { WATER_KG_PER_M3 } from '@/core/quantity/constants';
import { parseQuantity } from '@/core/quantity/parse';
import { QUANTITIES, type QuantityName, unitOf } from '@/core/quantity/units';
import { type Outgoing, pictureOf } from '@/ui/outbox/outbox';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { nowOnTheWall } from '@/ui/units/when';
import { entryOf, fresh } from '../outbox/entry-of';
import type { useSender } from '../outbox/use-sender';
import { rememberedWho, rememberWho } from '../people/remembered-who';
import { type KeptAnswer, keepAnswer, keptAnswer } from './kept-answer';

const UNITS_SHOWN = 3;

/** What the plan expects to be read or drained, in SI. */
function expectedOf(
  plan: Plan,
  stageId: string,
  { drains, of, since, at }: { drains: boolean; of: ReadingName | undefined; since: string; at: string },
): { readonly low: number; readonly high: number } | undefined {
  if (drains) {
    const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
    const drain = expectDrain(plan, {
      stageId,
      drainedAt: at,
      sinceAt: since,
      loadedHours: null,
      intakeTemperatureC: intake.temperatureC,
      intakeRelativeHumidity: intake.relativeHumidity,
    });
    return drain && { low: drain.lowKg / WATER_KG_PER_M3, high: drain.highKg / WATER_KG_PER_M3 };
  }
  if (!of) return undefined;
  const readings = [{ of, value: 0 }];
  const entry = entryOf(plan, { kind: 'done', stageId, who: 'x', readings, instrument: 'fitted' });
  return expectReadings(plan, entry)[0] ?? undefined;
}

/** The number that is read at a point: typed in one of the first units of its quantity, or a share of beads. */
function useReading(of: ReadingName | undefined, spentShare: number, kept: KeptAnswer) {
  const quantity: QuantityName = of ? READINGS[of].quantity : 'mass';
  const { choice, atmosphericPa } = useUnits();
  const units = QUANTITIES[quantity].units.slice(0, UNITS_SHOWN);
  const [unitOwn, setUnit] = useState(kept.unitId);
  const unitId = units.find((u) => u.id === unitOwn)?.id ?? unitOf(quantity, choice[quantity]).id;
  const [text, setText] = useState(kept.text ?? '');
  const [spent, setSpent] = useState(spentShare);
  /** SI; words where what was typed is no number; nothing where nothing was typed. */
  const value = (): number | string | undefined => {
    if (of === 'spent') return spent;
    if (!of || text.trim() === '' || text === '-') return undefined;
    const parsed = parseQuantity(text, quantity, { choice: { ...choice, [quantity]: unitId }, atmosphericPa });
    return parsed.ok ? parsed.value : parsed.message;
  };
  return { quantity, units, unitId, setUnit, text, setText, spent, setSpent, value };
}

/** What somebody answers at a point of a round, and what becomes of it. */
export function usePoint(
  due: DueTask,
  drained: Parameters<typeof collectingSince>[1],
  put: ReturnType<typeof useSender>['put'],
  onNext: (how: 'done' | 'could not') => void,
) {
  const { plan, planId } = usePlan();
  const { task, stage } = due;
  const [kept] = useState(() => keptAnswer(planId, due.key));
  const drains = task.drains === true;
  const [readings, setReadings] = useState<LogEntry['readings']>(kept.readings ?? []);
  const asked = readingsOf(task);
  const of = asked[readings.length];
  const reading = useReading(of, stage.kind === 'bead-cartridge' ? stage.parameters.spentShare : 0, kept);
  const [looks, setLooks] = useState(kept.looks);
  const [who, setWho] = useState(rememberedWho);
  const [photo, setPhoto] = useState<string>();
  const [couldNot, setCouldNot] = useState(false);
  const [because, setBecause] = useState(kept.because ?? '');
  const [wrong, setWrong] = useState(kept.wrong ?? false);
  const [problem, setProblem] = useState<string>();
  const { text, unitId } = reading;
  useEffect(
    () => keepAnswer(planId, due.key, { text, unitId, because, wrong, looks, readings }),
    [planId, due.key, text, unitId, because, wrong, looks, readings],
  );
  const started = useMemo(nowOnTheWall, []);
  const since = drains ? collectingSince(plan, drained, stage.id, started) : started;
  const expected = useMemo(
    () => expectedOf(plan, stage.id, { drains, of, since, at: started }),
    [plan, stage.id, drains, of, since, started],
  );
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const number = reading.value();
    if (!couldNot && of && typeof number === 'number' && readings.length + 1 < asked.length) {
      setReadings([...readings, { of, value: number }]);
      reading.setText('');
      setProblem(undefined);
      return;
    }
    const photoId = photo && !couldNot ? crypto.randomUUID() : null;
    const log = taskLog(plan, due, { who, number, readings, looks, wrong, couldNot, because, photoId, since }, fresh);
    if ('problem' in log) {
      setProblem(log.problem);
      return;
    }
    rememberWho(who.trim());
    const outgoing: Outgoing[] = [];
    if (photo && photoId) outgoing.push({ to: `photos/${photoId}`, body: pictureOf(photo) });
    if (log.drain) outgoing.push({ to: 'drains', body: { ...log.drain } });
    if (log.entry) outgoing.push({ to: 'entries', body: { ...log.entry } });
    keepAnswer(planId, due.key, undefined);
    void put(...outgoing);
    onNext(couldNot ? 'could not' : 'done');
  };
  return {
    drains,
    of,
    /** Which of the readings is asked for, of how many. */
    step: { at: readings.length + 1, of: asked.length },
    ...reading,
    ...{ looks, setLooks, who, setWho, photo, setPhoto, couldNot, setCouldNot, because, setBecause, wrong, setWrong },
    ...{ since, expected, problem, submit },
  };
}
