import type { Basis } from '../air/enhancement-factor';
import { kindOf } from '../equipment/index';
import type { Plan, Stage } from '../line/plan';
import { pathTo, stageById, standing } from '../line/runs';
import { type WorstMoment, worstMoments } from './peak-pressure';
import { solveRings } from './ring';

/** Where pressure goes on the way to an outlet: one stage. */
export interface Step {
  readonly stageId: string;
  readonly name: string;
  /** Lost there; what a regulator was set down by is not lost. */
  readonly lossPa: number;
  /** Set down on purpose. */
  readonly setDownPa: number;
  /** The same one size up: what would arrive more at the outlet, and what it costs beside this one. */
  readonly wider?: { readonly says: string; readonly givesBackPa: number; readonly costs?: string };
}

/** From the pump’s band to one outlet, at its worst moment. */
export interface Waterfall {
  readonly stageId: string;
  /** What the pump comes up to before it stops, and at what it starts again: the worst of the band is the bottom. */
  readonly cutOutPa: number;
  readonly cutInPa: number;
  readonly arrivesPa: number;
  /** Largest loss first. */
  readonly steps: readonly Step[];
  readonly totalLossPa: number;
}

const WORTH_ASKING_PA = 500; // less than any gauge shows

/** What stages set down on purpose: the pressure that a regulator is set to. */
function setTo(stage: Stage): number | undefined {
  return stage.kind === 'regulator' ? stage.parameters.setPressurePa : undefined;
}

/**
 * Where the pressure goes on the way to an outlet at its worst moment, largest first, with what the next size would give back.
 * @returns `undefined` where the outlet is never used, or the line cannot pass so much
 * @source the walk at coincident peak and cut-in; “one size up” is the same walk with that stage changed
 */
export function waterfallTo(plan: Plan, outletId: string, basis: Basis = 'real'): Waterfall | undefined {
  const moment = worstMoments(plan, basis).get(outletId);
  return moment && fallOf(standing(plan), outletId, moment);
}

function fallOf(line: Plan, outletId: string, moment: WorstMoment): Waterfall | undefined {
  const { section } = moment;
  const arrivesPa = section.at(outletId)?.pressurePa;
  const drawn = solveRings(line, (s) => moment.peak.get(s.id) ?? 0).plan; // as the air goes
  const path = pathTo(drawn, outletId);
  const pump = path.find((s) => s.kind === 'compressor') ?? line.stages[1];
  if (arrivesPa === undefined || pump?.kind !== 'compressor') return undefined;
  const { cutInPa, cutOutPa } = pump.parameters;
  const steps: Step[] = [];
  let before = cutInPa;
  for (const stage of path) {
    const station = section.at(stage.id);
    if (!station || stage.kind === 'intake' || stage.kind === 'compressor') continue;
    const own = stageById(line, stage.id);
    const fell = before - station.pressurePa;
    before = station.pressurePa;
    const set = setTo(stage);
    const setDownPa = set === undefined ? 0 : Math.max(0, Math.min(fell, before + fell - set));
    const lossPa = Math.max(0, fell - setDownPa);
    if (!own || fell <= 0) continue;
    const wider = lossPa >= WORTH_ASKING_PA ? kindOf(stage.kind).wider?.(stage.parameters) : undefined;
    const better = wider && moment.with(stage.id, wider.parameters as Stage['parameters']).at(outletId)?.pressurePa;
    steps.push({
      stageId: stage.id,
      name: own.name,
      lossPa,
      setDownPa,
      ...(wider &&
        better !== undefined && {
          wider: {
            says: wider.says,
            givesBackPa: Math.max(0, better - arrivesPa),
            ...(wider.costs && { costs: wider.costs }),
          },
        }),
    });
  }
  steps.sort((a, b) => b.lossPa - a.lossPa);
  return {
    stageId: outletId,
    cutOutPa,
    cutInPa,
    arrivesPa,
    steps,
    totalLossPa: steps.reduce((sum, s) => sum + s.lossPa, 0),
  };
}
