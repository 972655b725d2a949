import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import { walk } from '../line/walk';
import type { SiteTime } from '../log/site-clock';
import { setParameter } from '../plan/edit';
import type { JobId } from '../plan/jobs';
import { LEVELS, type Level } from '../plan/maintenance-settings';
import type { Plan, Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { startPlan } from '../plan/start-plan';
import { dueTasks } from './due';
import { maintenanceFacts } from './facts';
import { intervalOf } from './interval';
import { drainsToAutomate, minutesPerWeek, tasksOfLine } from './line-tasks';
import type { Task } from './task';
import { taskById } from './tasks';

const shop = (cooled: boolean, job: JobId): Plan =>
  startPlan(
    {
      shop: 'Shop',
      lineName: 'Line',
      intakeTemperatureC: 27,
      intakeRelativeHumidity: 0.6,
      compressor: { type: 'piston1', freeAirDeliveryM3PerS: 0.0075, cutInPa: 751325, cutOutPa: 951325 },
      receiverVolumeM3: 0.23,
      has: { aftercooler: cooled, refrigeratedDryer: cooled },
      job,
      distanceM: 10,
    },
    () => crypto.randomUUID(),
  );
const at = (plan: Plan, level: Level) => {
  const own = { ...plan, routine: { ...plan.routine, level } };
  return maintenanceFacts(own, walk(own));
};
const perWeek = (plan: Plan, level: Level): number => minutesPerWeek(at(plan, level), level);
const WEEKS_A_MONTH = 30.4 / 7;

test('a routine that people will do: 20 min a week, 2 h a month, 5 h in the organ workshop', () => {
  expect(perWeek(shop(false, 'wrench'), 'essential')).toBeLessThan(20);
  expect(perWeek(shop(true, 'solvent-spray'), 'essential')).toBeLessThan(20);
  for (const cooled of [true, false])
    for (const job of ['solvent-spray', 'wrench', 'nailer'] as const)
      expect(perWeek(shop(cooled, job), 'normal') * WEEKS_A_MONTH).toBeLessThan(120);
  expect(perWeek(demoPlan(), 'normal') * WEEKS_A_MONTH).toBeLessThan(300);
});

test('each level takes more time than the one before, and has every task of it; what prevents danger is in all', () => {
  for (const plan of [shop(true, 'solvent-spray'), demoPlan(), dairyPlan()]) {
    const of = (level: Level) => tasksOfLine(at(plan, level)).map((t) => `${t.stage.id} ${t.task.id}`);
    const [few, some, all] = (Object.keys(LEVELS) as Level[]).map(of) as [string[], string[], string[]];
    expect(some).toEqual(expect.arrayContaining(few));
    expect(all).toEqual(expect.arrayContaining(some));
    expect(perWeek(plan, 'essential')).toBeLessThan(perWeek(plan, 'normal'));
    expect(perWeek(plan, 'normal')).toBeLessThan(perWeek(plan, 'thorough'));
    // Vessels and their inspection, relief valves, hoses, frost, the tank’s water.
    const guards = tasksOfLine(at(plan, 'thorough')).filter(
      (t) => t.task.legal || ['M01', 'M26', 'M28', 'M29', 'M35', 'M39'].includes(t.task.id),
    );
    expect(guards.length).toBeGreaterThan(2);
    expect(few).toEqual(expect.arrayContaining(guards.map((t) => `${t.stage.id} ${t.task.id}`)));
  }
});

test('a drain that would be opened every hour is offered an automatic one, and is no task; a float makes it a try', () => {
  const plan = shop(false, 'solvent-spray');
  const [hourly] = drainsToAutomate(at(plan, 'normal'));
  expect(hourly?.interval.days).toBeLessThan(2);
  const id = hourly?.stage.id as string;
  expect(tasksOfLine(at(plan, 'normal')).filter((t) => t.stage.id === id && t.task.id === 'M02')).toEqual([]);
  const float = setParameter(plan, id, 'drain', 'float');
  expect(drainsToAutomate(at(float, 'normal'))).toEqual([]);
  expect(tasksOfLine(at(float, 'normal')).find((t) => t.stage.id === id && t.task.id === 'M03')?.interval.days).toBe(
    30,
  );
  // One who pins it says that somebody does it.
  const pinned = { ...plan, routine: { ...plan.routine, pins: [{ stageId: id, task: 'M02', days: 0.2 }] } };
  expect(drainsToAutomate(at(pinned, 'normal'))).toEqual([]);
});

test('what makes a task frequent is named with what makes it rare', () => {
  const why = (plan: Plan, task: string): string =>
    tasksOfLine(at(plan, 'thorough'))
      .filter((t) => t.task.id === task)
      .flatMap((t) => t.interval.why)
      .map((w) => (typeof w === 'string' ? w : w((si) => String(si))))
      .join(' ');
  expect(why(setParameter(demoPlan(), 'receiver', 'sumpM3', 3e-4), 'M01') + why(demoPlan(), 'M22')).toMatch(
    /float or level-sensing drain|makes it last/,
  );
});

test('a drain is no task from one opening in two days on: 1.9 days is not, 2.1 days is', () => {
  const plan = shop(false, 'solvent-spray');
  const id = drainsToAutomate(at(plan, 'essential'))[0]?.stage.id as string;
  const days = (sumpM3: number): number =>
    intervalOf(
      at(setParameter(plan, id, 'sumpM3', sumpM3), 'essential'),
      stageById(plan, id) as Stage,
      taskById('M02') as Task,
    ).days;
  // The interval is in proportion to the sump.
  const perM3 = days(1e-5) / 1e-5;
  const offered = (d: number): number =>
    drainsToAutomate(at(setParameter(plan, id, 'sumpM3', d / perM3), 'essential')).length;
  expect([offered(1.9), offered(2.1)]).toEqual([1, 0]);
});

test('within a week is soon, more than a week ahead it is later', () => {
  const plan = demoPlan();
  const begun = {
    ...plan,
    routine: { ...plan.routine, startedOn: '2026-11-02', pins: [{ stageId: 'receiver', task: 'M28', days: 10 }] },
  };
  const state = (now: SiteTime) =>
    dueTasks(maintenanceFacts(begun, walk(begun)), [], [], now).find(
      (t) => t.stage.id === 'receiver' && t.task.id === 'M28',
    );
  const due = state('2026-11-02T09:00')?.dueMs as number;
  const before = (days: number): SiteTime => new Date(due - days * 86_400_000).toISOString().slice(0, 16) as SiteTime;
  expect([state(before(8))?.state, state(before(6))?.state]).toEqual(['later', 'soon']);
});
