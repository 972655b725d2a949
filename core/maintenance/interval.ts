import type { Sentence } from '../advice/rule';
import { dewPointFromVapourPressureC } from '../air/dew-point';
import { saturationPressurePa } from '../air/saturation';
import { handDays } from '../drains/drain-work';
import type { Stage } from '../plan/plan';
import { placeOf } from '../plan/survey';
import { HOUR_S, WATER_KG_PER_M3 } from '../quantity/constants';
import { spell } from '../quantity/spell';
import { fillDays, type MaintenanceFacts, neglectBefore } from './facts';
import { daysAt } from './levels';
import type { Task } from './task';

/** One of the triggers of a task, as days of this line’s use. */
export interface Trigger {
  readonly by: 'days' | 'loaded hours' | 'starts' | 'water' | 'beads' | 'pinned';
  readonly days: number;
}

/** How often a task comes here, and why so. */
export interface Interval {
  readonly days: number;
  readonly by: Trigger['by'];
  readonly triggers: readonly Trigger[];
  /** Why it is another interval than the usual one; nothing where it is the usual one. */
  readonly why: readonly Sentence[];
  readonly pinned: boolean;
}

const LEAST_DAYS = 1 / 24;
/** A century: what a line that hardly runs asks for later than that, it never asks for. */
const MOST_DAYS = 36_525;
/** What comes more often says what would make it rare (estimate: half a month). */
const OFTEN_DAYS = 14;
const DAMP_C = 16; // dew point outdoors from which people call it humid (common practice, no source)

/** Dew point of the intake air, for the reasons given. */
export function intakeDewPointC(facts: MaintenanceFacts): number {
  const { survey } = facts.plan;
  const { temperatureC, relativeHumidity } = placeOf(survey, survey.intakePlaceId);
  return dewPointFromVapourPressureC(relativeHumidity * saturationPressurePa(temperatureC, 'water'), 'water');
}

const inWords = (days: number): string =>
  days >= 0.95
    ? `every ${days < 1.5 ? 'day' : `${Math.round(days)} days`}`
    : `every ${spell(Math.max(1, Math.round(days * 24)) * 3600)}`;

/** What brings a task back, as it is put together. */
interface Found {
  /** Days by the level of this shop. */
  readonly usual: number | undefined;
  /** How much less it lasts by what reaches it. */
  readonly scale: number;
  readonly triggers: Trigger[];
  readonly why: Sentence[];
}

/** How much less lasts what a task renews, with the reasons. */
function wearOf(facts: MaintenanceFacts, stage: Stage, { lastsLess }: Task): { scale: number; why: Sentence[] } {
  const why: Sentence[] = [];
  let scale = 1;
  if (!lastsLess) return { scale, why };
  const { drops, oil } = neglectBefore(facts, stage);
  const less = (by: number | undefined, holds: boolean, because: string): void => {
    if (by === undefined || !holds) return;
    scale *= by;
    why.push(because);
  };
  if (lastsLess.heated !== undefined && stage.kind !== 'twin-tower') scale *= lastsLess.heated;
  less(lastsLess.either, drops || oil, `${drops ? 'Drops reach' : 'Oil reaches'} it: half of its usual life.`);
  less(lastsLess.drops, drops, 'Drops reach it: half of its usual life.');
  less(lastsLess.oil, oil, 'No coalescer stands upstream of it: a quarter of its usual life.');
  return { scale, why };
}

/** By the calendar, by the hours that the compressor runs loaded, and by its starts. */
function byUse(facts: MaintenanceFacts, { every }: Task, { usual, scale, triggers, why }: Found): void {
  if (usual !== undefined) triggers.push({ by: 'days', days: usual * scale });
  if (every.loadedH !== undefined && facts.loadedHPerDay > 0) {
    const { loadedH } = every;
    /** By how much the level of this shop stretches what handbooks have. */
    const stretch = usual !== undefined && every.days !== undefined ? usual / every.days : 1;
    const days = (loadedH * scale * stretch) / facts.loadedHPerDay;
    triggers.push({ by: 'loaded hours', days });
    if (usual === undefined || days < usual * scale * 0.95)
      why.push((say) => `${say(loadedH * HOUR_S, 'time')} loaded come in ${Math.round(days)} days at this use.`);
  }
  if (every.starts !== undefined && facts.startsPerDay > 0)
    triggers.push({ by: 'starts', days: every.starts / facts.startsPerDay });
}

/** By the water that fills its sump. */
function byWater(facts: MaintenanceFacts, stage: Stage, { usual, triggers, why }: Found): void {
  const duty = facts.duties.get(stage.id);
  const kg = (duty?.nowKgPerS ?? 0) * (duty?.loadedHoursPerDay ?? 0) * HOUR_S;
  const fill = fillDays(facts, stage.id);
  const { days, water } = handDays(usual ?? Number.POSITIVE_INFINITY, fill, kg, stage.kind === 'pellet-tower');
  if (water === 'sooner') {
    triggers.push({ by: 'water', days });
    const dewPointC = intakeDewPointC(facts);
    why.push(
      (say) =>
        `${inWords(days)}, not ${usual === undefined ? 'less' : usual > 1.5 ? inWords(usual) : usual >= 1 ? 'daily' : 'each shift'}: ${dewPointC >= DAMP_C ? `dew point of the intake air ${say(dewPointC, 'temperature')}, ` : ''}its sump holds ${say(duty?.stage.parameters.sumpM3 ?? 0, 'drained')}.`,
    );
    why.push('With a float or level-sensing drain it is a weekly try.');
  } else if (water === 'rarely') {
    triggers.splice(0, triggers.length, { by: 'water', days });
    why.push((say) => `Only ${say(kg / WATER_KG_PER_M3, 'drained')} a day come here now.`);
  }
}

/** By how long its desiccant or its pellets last. */
function byMedium(facts: MaintenanceFacts, stage: Stage, { every }: Task, { triggers, why }: Found): void {
  const lastsS = facts.line.lifeS(stage);
  if (lastsS === undefined || facts.loadedHPerDay <= 0) return;
  const inDays = (seconds: number): number => seconds / HOUR_S / facts.loadedHPerDay;
  if (every.spentShare !== undefined && (stage.kind === 'bead-cartridge' || stage.kind === 'home-made-housing')) {
    const wholeS = lastsS / Math.max(0.02, 1 - stage.parameters.spentShare);
    const days = Math.max(LEAST_DAYS, inDays(wholeS * every.spentShare));
    triggers.push({ by: 'beads', days });
    why.push((say) => `A charge lasts ${say(wholeS, 'time')} of air here.`);
    if (days < OFTEN_DAYS) why.push('A dryer upstream of it, or cooler air, makes it last: see Advice.');
  }
  if (every.toppedUp) {
    triggers.push({ by: 'beads', days: Math.max(1, inDays(lastsS)) });
    why.push((say) => `Half of the pellets are gone after ${say(lastsS, 'time')} of air here.`);
  }
}

/**
 * How often a task comes at a stage: the first of its triggers, by this line’s hours, starts and water; scaled by the load,
 * the climate and what is neglected upstream, each with its reason. A pinned interval holds, and says so.
 * @example intervalOf(facts, stage('receiver'), taskById('M01')).days // 1
 */
export function intervalOf(facts: MaintenanceFacts, stage: Stage, task: Task): Interval {
  const usual = daysAt(task, facts.plan.routine.level) ?? undefined;
  const { scale, why } = wearOf(facts, stage, task);
  const triggers: Trigger[] = [];
  const found = { usual, scale, triggers, why };
  byUse(facts, task, found);
  if (task.every.fillings !== undefined) byWater(facts, stage, found);
  byMedium(facts, stage, task, found);
  if (triggers.length === 0) triggers.push({ by: 'days', days: 365 });
  const first = triggers.reduce((a, b) => (b.days < a.days ? b : a), { by: 'days', days: MOST_DAYS });
  const pin = facts.plan.routine.pins.find((p) => p.stageId === stage.id && p.task === task.id);
  if (!pin) return { days: first.days, by: first.by, triggers, why, pinned: false };
  return {
    days: pin.days,
    by: 'pinned',
    triggers: [...triggers, { by: 'pinned', days: pin.days }],
    why: [`Set by hand; calculated it would be ${inWords(first.days)}.`],
    pinned: true,
  };
}

/**
 * An interval as people say it.
 * @example sayInterval(14) // 'every 2 weeks'
 */
export const sayInterval = (days: number): string =>
  days < 0.95
    ? `every ${spell(Math.max(1, Math.round(days * 24)) * 3600)}`
    : days < 1.5
      ? 'daily'
      : days < 5.5
        ? `every ${Math.round(days)} days`
        : days < 10.5
          ? 'weekly'
          : days < 45
            ? `every ${Math.round(days / 7)} weeks`
            : days < 335
              ? `every ${Math.round(days / 30.4)} months`
              : days < 550
                ? 'yearly'
                : `every ${Math.round(days / 365)} years`;
