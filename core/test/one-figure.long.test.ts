import fc from 'fast-check';
import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import { taskLoad } from '../cost/task-load';
import { handDraining } from '../drains/by-hand';
import { DRAIN_WORK } from '../drains/drain-work';
import { collectingStages, dutyOf, kgPerDay } from '../drains/duty';
import { waysToDrain } from '../drains/ways';
import { kindOf } from '../equipment/index';
import { airBalance } from '../line/balance';
import { readFigure, shownBy } from '../line/explain';
import { judgeOutlets } from '../line/judge-outlet';
import { pressureAt } from '../line/moments';
import { walk } from '../line/walk';
import { loadedHoursPerDay, waterInPerDayKg } from '../line/working-day';
import { expectDrain } from '../log/expect-drain';
import { expectReadings } from '../log/expect-reading';
import type { LoggedEntry } from '../log/log-entry';
import { beadPlaces, livesOf } from '../maintenance/charge-lives';
import { dueTasks } from '../maintenance/due';
import { fillDays, maintenanceFacts } from '../maintenance/facts';
import { daysAt } from '../maintenance/levels';
import { drainsToAutomate, hoursPerMonth, tasksOfLine, usualServiceMinutes } from '../maintenance/line-tasks';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { startPlan } from '../plan/start-plan';
import { FAMILIES } from '../sizing/families';
import { stageOf } from './plan-of';

// Pairs of screens that show one quantity: each pair from one function, or by the same rule. What differs by its nature
// (an average day and this weekday, a year of weather and today) is not paired.

const start = (aftercooler: boolean, refrigeratedDryer: boolean): Plan =>
  startPlan(
    {
      shop: 'Shop',
      lineName: 'Line',
      intakeTemperatureC: 27,
      intakeRelativeHumidity: 0.6,
      compressor: { type: 'piston1', freeAirDeliveryM3PerS: 0.0075, cutInPa: 751325, cutOutPa: 951325 },
      receiverVolumeM3: 0.23,
      has: { aftercooler, refrigeratedDryer },
    },
    () => crypto.randomUUID(),
  );
/** The stages of a workshop in a wrong order. */
const shuffled = (order: readonly number[]): Plan => {
  const plan = start(true, true);
  const more = [stageOf('bead-cartridge', {}, 'beads'), stageOf('hose', { lengthM: 10 }, 'hose')];
  const [intake, compressor, ...rest] = plan.stages;
  const outlet = rest.pop() as Stage;
  const middle = [...rest, ...more];
  const mixed = order.map((i) => middle[i % middle.length] as Stage);
  const unique = [...new Set([...mixed, ...middle])];
  return { ...plan, stages: [intake as Stage, compressor as Stage, ...unique, outlet] };
};

const LINES: readonly [string, Plan][] = [
  ['the workshop', demoPlan()],
  ['the dairy', dairyPlan()],
  ...[true, false].flatMap((a) =>
    [true, false].map((d): [string, Plan] => [`a line of the start page, cooler ${a}, dryer ${d}`, start(a, d)]),
  ),
  ...fc
    .sample(fc.array(fc.nat({ max: 9 }), { minLength: 10, maxLength: 10 }), { numRuns: 10, seed: 16 })
    .map((order, i): [string, Plan] => [`a wrong order, ${i + 1}`, shuffled(order)]),
];

/** The whole of the newest working Monday, for a log entry. */
const MONDAY = { sinceAt: '2026-11-23T00:00', drainedAt: '2026-11-24T00:00' };
const near = (a: number, b: number, rel = 1e-9): void =>
  expect(Math.abs(a - b)).toBeLessThanOrEqual(rel * Math.max(Math.abs(a), Math.abs(b)) + 1e-12);

describe.each(LINES)('%s: one figure for one quantity', (_name, plan) => {
  const section = walk(plan);
  const facts = maintenanceFacts(plan, section);
  const line = standing(plan);
  const reached = allStages(line).filter((s) => section.at(s.id));
  const drains = collectingStages(plan).filter((s) => section.at(s.id));

  test('condensate: Line, Water, Logbook, Compare', () => {
    for (const stage of drains) {
      const duty = dutyOf(plan, section, stage);
      const caught = section.at(stage.id)?.caughtKgPerS as number;
      near(duty?.nowKgPerS as number, caught); // Water: today
      near(kgPerDay(duty as never), caught * loadedHoursPerDay(plan) * 3600); // Compare, and Water: a day
      const { survey } = plan;
      const place = survey.places.find((p) => p.id === survey.intakePlaceId);
      const log = expectDrain(plan, {
        stageId: stage.id,
        ...MONDAY,
        loadedHours: loadedHoursPerDay(plan),
        intakeTemperatureC: place?.temperatureC as number,
        intakeRelativeHumidity: place?.relativeHumidity as number,
      });
      near(log?.expectedKg as number, caught * loadedHoursPerDay(plan) * 3600, 1e-6); // Logbook, the same hours
    }
    const all = drains.reduce((sum, s) => sum + (section.at(s.id)?.caughtKgPerS as number), 0);
    near(all / section.ledger.waterInKgPerS, (all * loadedHoursPerDay(plan) * 3600) / waterInPerDayKg(section, plan)); // head of Line
  });

  test('time to full: Water and Today', () => {
    for (const stage of drains) {
      const duty = dutyOf(plan, section, stage);
      const days = fillDays(facts, stage.id);
      if (!duty || days === undefined) continue;
      const { perDay } = handDraining(
        duty.nowKgPerS,
        stage.parameters.sumpM3,
        duty.loadedShare,
        duty.workedHoursPerDay,
      );
      near(days, 1 / perDay);
    }
  });

  test('dew point and dry margin: Line, outlet card, Logbook', () => {
    const judged = judgeOutlets(plan, section);
    for (const stage of reached) {
      const shown = readFigure(plan, section, stage.id, 'dewPoint') as number;
      near(shown, section.at(stage.id)?.pressureDewPointC as number);
      if (stage.kind === 'intake') continue;
      const [read] = expectReadings(plan, {
        stageId: stage.id,
        readings: [{ of: 'dew-point', value: 0 }],
        instrument: 'good',
        intakeTemperatureC: null,
        intakeRelativeHumidity: null,
      });
      near(read?.value as number, shown, 1e-9);
      const card = judged.get(stage.id);
      if (stage.kind !== 'outlet' || !card) continue;
      if (stage.parameters.need === 'dew-point' || stage.parameters.need === 'iso-class') near(card.gets, shown);
      if (stage.parameters.need === 'no-liquid')
        near(Math.max(0, -card.gets), readFigure(plan, section, stage.id, 'margin') as number);
    }
  }, 60_000);

  test('pressure at an outlet at its worst moment: outlet card and moments', () => {
    const judged = judgeOutlets(plan, section);
    for (const { id } of allStages(line)
      .filter((s) => s.kind === 'outlet')
      .slice(0, 3)) {
      const peak = pressureAt(plan, id, 'peak')?.pressurePa;
      const card = judged.get(id)?.pressure;
      if (peak !== undefined && card && airBalance(plan, section).usedM3PerS > 0) near(card.getsPa, peak);
    }
  }, 60_000);

  test('minutes of tasks: Today and Compare', () => {
    const today = hoursPerMonth(dueTasks(facts, [], [], '2026-11-25T09:00'));
    const compared = taskLoad(plan, section).reduce((sum, c) => sum + c.minutesPerYear, 0);
    near(compared / 60 / 12, today, 1e-9);
    expect(taskLoad(plan, section).reduce((sum, c) => sum + c.points, 0)).toBe(tasksOfLine(facts).length);
  });

  test('minutes of a dryer’s service: Dryers, and Today at the normal level, where the usual days hold', () => {
    const normal: Plan = { ...plan, routine: { ...plan.routine, level: 'normal', pins: [] } };
    const tasks = dueTasks({ ...facts, plan: normal }, [], [], '2026-11-25T09:00');
    for (const stage of allStages(line).filter((s) => s.kind in FAMILIES)) {
      const own = tasks.filter((t) => t.stage.id === stage.id);
      if (own.some((t) => t.interval.days !== daysAt(t.task, 'normal'))) continue;
      near(usualServiceMinutes(stage.kind), hoursPerMonth(own) * 60);
    }
  });

  test('minutes of a drain in a year: the ways to drain on Water, and the tasks that it brings to Today', () => {
    const thorough = { ...facts, plan: { ...plan, routine: { ...plan.routine, level: 'thorough' as const } } };
    const tasks = dueTasks(thorough, [], [], '2026-11-25T09:00').filter((t) => t.task.id in DRAIN_WORK);
    for (const stage of drains) {
      const duty = dutyOf(plan, section, stage);
      const own = tasks.filter((t) => t.stage.id === stage.id);
      const fitted =
        duty && waysToDrain(duty).find((w) => 'drain' in stage.parameters && w.drain === stage.parameters.drain);
      const legless = 'legs' in stage.parameters && stage.parameters.legs === 0; // no drain is there yet
      // A pin is the shop’s own choice; the ways to drain count what handbooks have; too often by hand is no task.
      if (!fitted || legless || own.some((t) => t.interval.pinned)) continue;
      if (drainsToAutomate(thorough).some((t) => t.stage.id === stage.id)) continue;
      near(fitted.taskMinutes, hoursPerMonth(own) * 60 * 12);
    }
  });

  test('life of a charge: the editor, the routine and Charges, of a new one', () => {
    const fresh: Plan = {
      ...plan,
      stages: plan.stages.map((s) =>
        'spentShare' in s.parameters ? ({ ...s, parameters: { ...s.parameters, spentShare: 0 } } as Stage) : s,
      ),
    };
    const own = walk(fresh);
    for (const place of beadPlaces(standing(fresh)).filter(
      (p) => own.at(p.id) && fresh.stages.some((s) => s.id === p.id),
    )) {
      const spentS = shownBy(fresh, own, place).find((s) => s.label === 'Exhausted after, loaded')?.value;
      const rate = own.at(place.id)?.adsorbedKgPerS as number;
      if (spentS === undefined || rate <= 0) continue;
      const entry: LoggedEntry = {
        id: crypto.randomUUID(),
        kind: 'change',
        stageId: place.id,
        task: null,
        measuredAt: '2026-11-20T08:00',
        who: 'Ida',
        result: null,
        chargeId: null,
        what: '',
        readings: [],
        instrument: 'hand',
        intakeTemperatureC: null,
        intakeRelativeHumidity: null,
        until: null,
        symptom: null,
        finding: null,
        amends: null,
        photoId: null,
        stageName: place.name,
        enteredAt: '',
        expected: [],
      };
      const [life] = (livesOf(fresh, undefined, [], [entry], '2026-11-25T09:00') ?? []).filter(
        (l) => l.stageId === place.id,
      );
      near((life?.handbookKg as number) / rate, spentS, 1e-6);
    }
  });
});

test('every kind that drains says so in one place only: its sump', () => {
  for (const [, plan] of LINES.slice(0, 2))
    for (const s of collectingStages(plan)) expect(kindOf(s.kind).parameters.shape).toHaveProperty('sumpM3');
});
