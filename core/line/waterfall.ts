import type { Basis } from '../air/enhancement-factor';
import { kindOf } from '../equipment/index';
import { isMeeting } from '../network/ring';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, stageById, standing } from '../plan/runs';
import { hoursPerWeek } from '../plan/working-time';
import { CFM, PSI, WORKING_WEEKS } from '../quantity/constants';
import { type WorstMoment, worstMoments } from './peak-pressure';

/** What pressure is lost at one stage on the way to an outlet. */
export interface Loss {
  readonly stageId: string;
  readonly name: string;
  /** Lost there; what a regulator was set down by is not lost. */
  readonly lossPa: number;
  /** Set down on purpose. */
  readonly setDownPa: number;
}

/** The same with what the next size would give back: at the outlet, and what it costs beside this one. */
export interface PressureStep extends Loss {
  readonly wider?: { readonly says: string; readonly givesBackPa: number; readonly costs?: string };
}

/** From the compressor’s band to one outlet, at its worst moment. */
export interface Waterfall {
  /** What the compressor comes up to before it stops, and at what it starts again: the worst of the band is the bottom. */
  readonly cutOutPa: number;
  readonly cutInPa: number;
  readonly arrivesPa: number;
  /** Largest loss first. */
  readonly steps: readonly PressureStep[];
  readonly totalLossPa: number;
}

const WORTH_ASKING_PA = 500; // less than any gauge shows

/** The pressure that a stage holds on purpose. */
function setTo(stage: Stage): number | undefined {
  return stage.kind === 'regulator' || stage.kind === 'flow-controller' ? stage.parameters.setPressurePa : undefined;
}

function bandOf(path: readonly Stage[], line: Plan): { cutInPa: number; cutOutPa: number } | undefined {
  const compressor = path.find((s) => s.kind === 'compressor') ?? line.stages[1];
  return compressor?.kind === 'compressor' ? compressor.parameters : undefined;
}

/**
 * What is lost at each stage on the way to an outlet at its worst moment, largest first; nothing where no air arrives.
 * @example lossesTo(plan, 'outlet', worstMoments(plan).get('outlet'))[0].stageId // 'refrigerated-dryer'
 */
export function lossesTo(plan: Plan, outletId: string, { section, drawn }: WorstMoment): Loss[] {
  const path = pathTo(drawn, outletId);
  const band = bandOf(path, plan);
  if (!band || !section.at(outletId)) return [];
  const losses: Loss[] = [];
  let before = band.cutInPa;
  for (const stage of path) {
    const station = section.at(stage.id);
    if (!station || stage.kind === 'intake' || stage.kind === 'compressor') continue;
    const fell = before - station.pressurePa;
    const set = setTo(stage);
    const setDownPa = set === undefined ? 0 : Math.max(0, Math.min(fell, before - set));
    before = station.pressurePa;
    if (fell > 0 && !isMeeting(stage))
      losses.push({ stageId: stage.id, name: stage.name, lossPa: Math.max(0, fell - setDownPa), setDownPa });
  }
  return losses.sort((a, b) => b.lossPa - a.lossPa);
}

/**
 * Where the pressure goes on the way to an outlet at its worst moment, largest first, with what the next size would give back.
 * @returns `undefined` where the outlet is never used, or the line cannot pass so much
 * @source the walk at coincident peak and cut-in; “one size up” is the same walk with that stage changed
 * @example waterfallTo(plan, 'outlet').arrivesPa // 751325
 */
export function waterfallTo(plan: Plan, outletId: string, basis: Basis = 'real'): Waterfall | undefined {
  const moment = worstMoments(plan, basis).get(outletId);
  const arrivesPa = moment?.section.at(outletId)?.pressurePa;
  const line = standing(plan);
  const band = bandOf(moment ? pathTo(moment.drawn, outletId) : [], line);
  if (!moment || arrivesPa === undefined || !band) return undefined;
  const steps = lossesTo(line, outletId, moment).map((loss): PressureStep => {
    const stage = stageById(line, loss.stageId) as Stage;
    const wider = loss.lossPa >= WORTH_ASKING_PA ? kindOf(stage.kind).wider?.(stage.parameters) : undefined;
    const better = wider && moment.with(stage.id, wider.parameters as Stage['parameters']).at(outletId)?.pressurePa;
    if (!wider || better === undefined) return loss;
    const givesBackPa = Math.max(0, better - arrivesPa);
    return { ...loss, wider: { says: wider.says, givesBackPa, ...(wider.costs && { costs: wider.costs }) } };
  });
  const totalLossPa = steps.reduce((sum, s) => sum + s.lossPa, 0);
  return { cutOutPa: band.cutOutPa, cutInPa: band.cutInPa, arrivesPa, steps, totalLossPa };
}

/** Power of a compressor for its free air at 100 psig, W for each m³/s: middle of what is usual (trade handbook). */
const SPECIFIC_W = {
  piston1: 25e3 / (100 * CFM),
  piston2: 21.5e3 / (100 * CFM),
  screw: 18e3 / (100 * CFM),
  oilfree: 21e3 / (100 * CFM),
} as const;
/** Of its power for each pascal that it need not make: 0.5 % a psi near 100 psig (US DOE, recalled). */
export const SHARE_PER_PA = 0.005 / PSI;

/**
 * What the compressors deliver while loaded, m³/s of free air, and draw for it, W.
 * @example compressorsOf(plan).deliveryM3PerS // 0.01
 */
export function compressorsOf(plan: Plan): { deliveryM3PerS: number; watts: number } {
  let [deliveryM3PerS, watts] = [0, 0];
  for (const s of allStages(standing(plan))) {
    if (s.kind !== 'compressor') continue;
    deliveryM3PerS += s.parameters.freeAirDeliveryM3PerS;
    watts += s.parameters.freeAirDeliveryM3PerS * SPECIFIC_W[s.parameters.type];
  }
  return { deliveryM3PerS, watts };
}

/**
 * Energy that the compressors put into a cubic metre of free air, J/m³; 0 where there is none.
 * @example energyPerM3(plan) // 455559
 */
export function energyPerM3(plan: Plan): number {
  const { deliveryM3PerS, watts } = compressorsOf(plan);
  return deliveryM3PerS > 0 ? watts / deliveryM3PerS : 0;
}

/**
 * What the compressors use in a year, kWh, and what each pascal less at their outlet would save of it.
 * @example costOfPressure(plan).yearKWh // 4100
 */
export function costOfPressure(plan: Plan): { readonly yearKWh: number; readonly kWhPerPa: number } {
  const { working } = plan.survey;
  const yearKWh = (compressorsOf(plan).watts / 1000) * hoursPerWeek(working) * working.loadedShare * WORKING_WEEKS;
  return { yearKWh, kWhPerPa: yearKWh * SHARE_PER_PA };
}
