import type { Fault } from '../../fault/fault';
import { FAULTS } from '../../fault/faults';
import { siteTimeMs } from '../../log/site-clock';
import type { Drifting } from '../../maintenance/drifting';
import type { DueTask } from '../../maintenance/due';
import type { Opening } from '../../maintenance/logged';
import type { Plan, Stage } from '../../plan/plan';
import { allStages, standing } from '../../plan/runs';
import { surroundingsAt, surroundingsOf } from '../../plan/surroundings';
import { DAY_MS } from '../../quantity/constants';

/** Why a fault is likelier or less likely on this line than it is elsewhere. */
export interface Reason {
  readonly stageId: string;
  readonly faultId: string;
  /** So many times as likely. */
  readonly times: number;
  readonly says: string;
}

/** What is known of a line besides its plan. */
export interface Known {
  readonly tasks: readonly Pick<DueTask, 'stage' | 'task' | 'state'>[];
  readonly drifts: readonly Drifting[];
  readonly events: readonly Opening[];
  /** The clock of the site. */
  readonly now: string;
}

// How many times as likely: estimates, no source. Each is shown with its cause, and none of them alone decides.
const OVERDUE = 2;
const DRIFTS = 4;
const OPENED = 2;
const OLD = 1.5;
const NEW_ELEMENT = 0.3;
const HOT = 2;
const FROST = 3;
/** Opened so lately that it counts. */
export const LATELY_DAYS = 14;
/** An age from which a thing counts as old. */
export const OLD_YEARS = 10;
/** Intake or room from which a cooler or condenser has it hard, and at which a drain may freeze, °C. */
export const HOT_C = 32;
export const FROST_C = 2;

/** Faults that an opening may have brought: something was put together wrongly, or left shut. */
const BY_HAND = [
  'drain-shut',
  'element-torn',
  'regulator-droops',
  'hose-narrow',
  'bypass-leaks',
  'leaks',
  'beads-channelled',
  'timer-rare',
];
const BY_AGE = [
  'drain-shut',
  'compressor-worn',
  'regulator-droops',
  'dryer-warm',
  'gauge-off',
  'tank-gauge-off',
  'leaks',
  'check-valve-leaks',
  'tower-leaks',
];
const BY_HEAT = ['dryer-warm', 'cooler-fouled', 'hot-air', 'fan-dead'];

/**
 * What this line, its log and its weather say for and against each fault.
 * @example reasonsOf(plan, { tasks: [], drifts: [], events: [], now: '2026-07-01T08:00' }).length // 0
 */
export function reasonsOf(plan: Plan, known: Known): Reason[] {
  return allStages(standing(plan)).flatMap((stage) =>
    FAULTS.filter((f) => f.canHave(stage)).flatMap((fault) =>
      [...byTasks(stage, fault, known), ...byLog(stage, fault, known), ...byPlace(plan, stage, fault, known)].map(
        ([times, says]) => ({ stageId: stage.id, faultId: fault.id, times, says }),
      ),
    ),
  );
}

type Said = readonly [times: number, says: string];

function byTasks(stage: Stage, fault: Fault, { tasks }: Known): Said[] {
  const late = tasks.find((t) => t.stage.id === stage.id && t.state === 'overdue' && fault.tasks.includes(t.task.id));
  return late ? [[OVERDUE, `“${late.task.does}” is overdue.`]] : [];
}

function byLog(stage: Stage, fault: Fault, { drifts, events, now }: Known): Said[] {
  const drift = drifts.find((d) => d.stageId === stage.id && drifted(fault, d));
  const opened = events.find((e) => e.stageId === stage.id && e.what === 'opened');
  const days = opened ? (siteTimeMs(now) - siteTimeMs(opened.at)) / DAY_MS : Infinity;
  const lately = days >= 0 && days <= LATELY_DAYS;
  return [
    ...(drift ? ([[DRIFTS, `Its log drifts: ${drift.drift.says.toLowerCase()}`]] as const) : []),
    ...(lately && BY_HAND.includes(fault.id) ? ([[OPENED, `It was opened ${daysAgo(days)}.`]] as const) : []),
    ...(lately && fault.id === 'element-clogged' ? ([[NEW_ELEMENT, `It was opened ${daysAgo(days)}.`]] as const) : []),
  ];
}

function drifted({ id }: Fault, { of, drift }: Drifting): boolean {
  const less = drift.direction === 'less';
  if (['drain-shut', 'timer-rare', 'separator-flooded', 'cooler-fouled', 'fan-dead', 'hot-air'].includes(id))
    return of === 'drain' && less;
  if (id === 'dryer-frozen' || id === 'hose-narrow') return of === 'pressure-drop' && !less;
  if (id === 'element-clogged') return of === 'pressure-drop' && !less;
  if (id === 'element-torn') return of === 'pressure-drop' && less;
  const slow = ['compressor-worn', 'belt-slips', 'intake-clogged', 'leaks', 'unloader-leaks', 'check-valve-leaks'];
  return slow.includes(id) && of === 'seconds' && !less;
}

const daysAgo = (days: number): string => (days < 1 ? 'today' : `${Math.floor(days)} days ago`);

function byPlace(plan: Plan, stage: Stage, { id }: Fault, { now }: Known): Said[] {
  const { roomTemperatureC: here } = surroundingsAt(plan, stage);
  const warmest = Math.max(here, surroundingsOf(plan).intakeTemperatureC);
  const since = stage.thing?.installedOn;
  const years = since ? Number(now.slice(0, 4)) - Number(since.slice(0, 4)) : 0;
  return [
    ...(years >= OLD_YEARS && BY_AGE.includes(id) ? ([[OLD, `It is ${years} years old.`]] as const) : []),
    ...(warmest >= HOT_C && BY_HEAT.includes(id)
      ? ([[HOT, `The air is hot: {${Math.round(warmest)} °C}.`]] as const)
      : []),
    ...(here <= FROST_C && id === 'drain-shut'
      ? ([[FROST, `It stands at {${Math.round(here)} °C}: its drain may be frozen.`]] as const)
      : []),
  ];
}
