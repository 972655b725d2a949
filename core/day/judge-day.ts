import type { Plan, Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { surroundingsOf } from '../plan/surroundings';
import { DAY_S } from '../quantity/constants';
import type { CompressorTotals } from './compressor-unit';
import { mostStartsPerHour, receiverTimeS } from './cycle';
import type { DayCycle } from './simulate-day';

/** What is worth saying of a day, at the stage that it is about. Amounts are left to the reader’s units. */
export interface DayRemark {
  readonly stageId: string;
  /** Whether something wears out, fails or floods; else it is good to know. */
  readonly matters: boolean;
  readonly what:
    | { readonly name: 'too-many-starts'; readonly starts: number; readonly limit: number; readonly enoughM3: number }
    | { readonly name: 'over-duty'; readonly share: number; readonly limit: number }
    | {
        readonly name: 'cannot-keep-up';
        readonly fromS: number;
        readonly lowestPa: number;
        readonly shortM3PerS: number;
      }
    | { readonly name: 'too-low'; readonly seconds: number; readonly needsPa: number }
    | { readonly name: 'sump-full'; readonly atS: number; readonly kg: number }
    | { readonly name: 'pan-over'; readonly atS: number; readonly kg: number }
    | { readonly name: 'pulse-too-small'; readonly perCycleKg: number; readonly pulseKg: number }
    | { readonly name: 'never-rests' }
    | { readonly name: 'never-depressurised' }
    | { readonly name: 'long-hiss'; readonly seconds: number }
    | { readonly name: 'small-receiver'; readonly cycleS: number }
    | { readonly name: 'lake'; readonly fillS: number };
}

/** The hiss of an unloader must end within 10–20 s (common practice); longer, and the compressor may start against pressure. */
const LONGEST_HISS_S = 20;
/** A receiver that a compressor fills from cut-in to cut-out in less is small; one that takes longer than a day’s work from empty is large (estimates). */
const SMALL_RECEIVER_S = 5;
/** Under cut-in by more than a switch scatters, for so long, all compressors have fallen behind (estimates). */
const UNDER_CUT_IN = 0.99;
const BEHIND_S = 600;

function compressorRemarks(
  plan: Plan,
  compressor: CompressorTotals,
  volumeM3: number,
  receiverId: string,
): DayRemark[] {
  const stage = stageById(plan, compressor.stageId) as Extract<Stage, { kind: 'compressor' }>;
  const { cutInPa, cutOutPa, startsPerHour, dutyLimit, control, freeAirDeliveryM3PerS: full } = stage.parameters;
  const { atmosphericPa } = surroundingsOf(plan);
  const { working } = plan.survey;
  const say = (what: DayRemark['what'], stageId = compressor.stageId): DayRemark => ({ stageId, matters: true, what });
  const remarks: DayRemark[] = [];
  const cycleS = receiverTimeS(volumeM3, cutInPa, cutOutPa, full, atmosphericPa);
  const fillS = receiverTimeS(volumeM3, atmosphericPa, cutOutPa, full, atmosphericPa);
  if (control !== 'unload' && compressor.mostStartsInAnHour > startsPerHour) {
    const enoughM3 = (volumeM3 * mostStartsPerHour(volumeM3, cutOutPa - cutInPa, full, atmosphericPa)) / startsPerHour;
    remarks.push(
      say({ name: 'too-many-starts', starts: compressor.mostStartsInAnHour, limit: startsPerHour, enoughM3 }),
    );
  }
  if (compressor.mostLoadedShareOfAnHour > dutyLimit)
    remarks.push(say({ name: 'over-duty', share: compressor.mostLoadedShareOfAnHour, limit: dutyLimit }));
  if (compressor.blowOff && compressor.blowOff.seconds > LONGEST_HISS_S)
    remarks.push(say({ name: 'long-hiss', seconds: compressor.blowOff.seconds }));
  if (cycleS < SMALL_RECEIVER_S) remarks.push(say({ name: 'small-receiver', cycleS }, receiverId));
  if (fillS > (working.endsAtH - working.startsAtH) * 3600) remarks.push(say({ name: 'lake', fillS }, receiverId));
  return remarks;
}

/** The longest stretch of some minutes in which all compressors run under their cut-in, where the jobs ask for more than they make. */
function fallsBehind(plan: Plan, day: DayCycle): DayRemark[] {
  const compressors = day.compressors.map((p) => stageById(plan, p.stageId) as Extract<Stage, { kind: 'compressor' }>);
  const cutIn = Math.min(...compressors.map((p) => p.parameters.cutInPa));
  const full = compressors.reduce((sum, p) => sum + p.parameters.freeAirDeliveryM3PerS, 0);
  let fromS = -1;
  let lowestPa = Number.POSITIVE_INFINITY;
  let longest: { fromS: number; seconds: number; lowestPa: number } | undefined;
  for (let s = 0; s < DAY_S; s++) {
    const behind = day.loaded[s] === compressors.length && (day.pressurePa[s] as number) < cutIn * UNDER_CUT_IN;
    if (!behind) fromS = -1;
    else {
      if (fromS < 0) [fromS, lowestPa] = [s, Number.POSITIVE_INFINITY];
      lowestPa = Math.min(lowestPa, day.pressurePa[s] as number);
      if (s - fromS > (longest?.seconds ?? BEHIND_S)) longest = { fromS, seconds: s - fromS, lowestPa };
    }
  }
  if (!longest || !compressors[0]) return [];
  const { fromS: from, seconds } = longest;
  const asked = day.demandM3PerS.subarray(from, from + seconds).reduce((sum, q) => sum + q, 0) / seconds;
  if (asked < full) return []; // it is only filling up
  const what = { name: 'cannot-keep-up', fromS: from, lowestPa: longest.lowestPa, shortM3PerS: asked - full } as const;
  return [{ stageId: compressors[0].id, matters: true, what }];
}

function pointRemarks(plan: Plan, day: DayCycle): DayRemark[] {
  // Being switched off after work is no rest that a drain could count on.
  const endS = plan.survey.working.endsAtH * 3600;
  const rests = day.events.filter((e) => e.what === 'rests' && e.second < endS).length;
  const pans = day.points.flatMap(({ stageId, panOverAtS, drainedKg, panKg }): DayRemark[] =>
    panOverAtS === undefined
      ? []
      : [{ stageId, matters: true, what: { name: 'pan-over', atS: panOverAtS, kg: drainedKg - panKg } }],
  );
  const sumps = day.points.flatMap(
    ({ stageId, drain, caughtKg, carriedOnKg, fullAtS, pulseKg, blownOut }): DayRemark[] => {
      const say = (what: DayRemark['what']): DayRemark[] => [{ stageId, matters: true, what }];
      const byUnloader = drain === 'unloader' || drain === 'unloader-start';
      if (drain === 'pressure-loss' && plan.survey.working.overnight !== 'depressurised')
        return say({ name: 'never-depressurised' });
      if (byUnloader && caughtKg > 0 && rests === 0) return say({ name: 'never-rests' });
      if (byUnloader && !blownOut && rests > 0 && caughtKg / rests > pulseKg)
        return say({ name: 'pulse-too-small', perCycleKg: caughtKg / rests, pulseKg });
      return fullAtS === undefined ? [] : say({ name: 'sump-full', atS: fullAtS, kg: carriedOnKg });
    },
  );
  return [...sumps, ...pans];
}

/**
 * What an experienced eye sees in a day, the compressor first, then the drains, then the jobs.
 * @example judgeDay(plan, simulateDay(plan)).length // 0
 */
export function judgeDay(plan: Plan, day: DayCycle): DayRemark[] {
  const receiver = stageById(plan, day.receiverId) as Extract<Stage, { kind: 'receiver' }>;
  const jobs = Object.entries(day.shortS).flatMap(([stageId, seconds]): DayRemark[] => {
    const stage = stageById(plan, stageId);
    if (stage?.kind !== 'outlet' || seconds === 0) return [];
    return [{ stageId, matters: true, what: { name: 'too-low', seconds, needsPa: stage.parameters.leastPressurePa } }];
  });
  return [
    ...fallsBehind(plan, day),
    ...day.compressors.flatMap((p) => compressorRemarks(plan, p, receiver.parameters.volumeM3, receiver.id)),
    ...pointRemarks(plan, day),
    ...jobs,
  ];
}

/** A long blast: how far the receiver carries one outlet from cut-out, and how long the compressor takes to recover. */
export interface Blast {
  /** From cut-out to what the job needs, with the compressor helping as soon as it cuts in; infinite where the compressor keeps up. */
  readonly holdsS: number;
  /** From there to cut-out with the outlet shut. */
  readonly recoversS: number;
}

/**
 * @param flowM3PerS free air
 * @source isothermal receiver, {@link receiverTimeS}
 * @example longBlast({ cutInPa: 9e5, cutOutPa: 11e5, freeAirDeliveryM3PerS: 0.01 }, 0.5, 0.03, 7e5, 101325).holdsS // 82.2
 */
export function longBlast(
  band: { readonly cutInPa: number; readonly cutOutPa: number; readonly freeAirDeliveryM3PerS: number },
  volumeM3: number,
  flowM3PerS: number,
  needsPa: number,
  atmosphericPa: number,
): Blast {
  const { cutInPa, cutOutPa, freeAirDeliveryM3PerS: full } = band;
  const alone = receiverTimeS(
    volumeM3,
    cutOutPa,
    Math.max(cutInPa, Math.min(needsPa, cutOutPa)),
    -flowM3PerS,
    atmosphericPa,
  );
  const helped = needsPa < cutInPa ? receiverTimeS(volumeM3, cutInPa, needsPa, full - flowM3PerS, atmosphericPa) : 0;
  return {
    holdsS: alone + helped,
    recoversS: receiverTimeS(volumeM3, Math.min(needsPa, cutOutPa), cutOutPa, full, atmosphericPa),
  };
}
