import { CP_DRY_AIR } from '../air/enthalpy';
import { CHILLED_W } from '../cost/cost-of-line';
import { CHILLED, FILTERS, is } from '../equipment/groups';
import type { Section, Station } from '../line/section';
import type { Leg } from '../piping/legs';
import type { Stage } from '../plan/plan';
import { FREE_AIR_KG_PER_M3 } from '../quantity/constants';
import { AirStream } from '../stream/air-stream';

/** Heights over the floor at which a gauge is read and a bowl is reached, m (common practice, no source). */
export const READ_AT_M = [1.3, 1.6] as const;
/** Air that a fan or a flywheel moves, for which the warming of its wind is told, m³/s (estimate: 200 cfm). */
const WIND_M3_PER_S = 0.1;
/** Warmer by more than this, the motor behind the cooler wants another look (estimate). */
export const WARM_WIND_K = 10;
const VOLTS = [120, 230] as const;

const OPPOSITE: Readonly<Record<Leg['to'], Leg['to']>> = {
  up: 'down',
  down: 'up',
  east: 'west',
  west: 'east',
  north: 'south',
  south: 'north',
};
/** Kinds that hang on a wall with a bracket, and have a side for a gauge. */
const ON_WALL = [...FILTERS, 'regulator', 'lubricator', 'separator'] as const;

/** Which way the air goes on the wall that one faces, by where it comes from. */
function alongWall(along: Leg['to']): string {
  if (along === 'up' || along === 'down') return `Air comes from ${along === 'up' ? 'below' : 'above'}.`;
  const wall = along === 'east' || along === 'west' ? 'north' : 'west';
  const ways = along === 'east' || along === 'north' ? 'left to right' : 'right to left';
  return `Air comes from the ${OPPOSITE[along]} and goes ${along}: on a wall to the ${wall} from ${ways}, gauge to the room.`;
}

const streamOf = (s: Station, liquidKgPerS: number): AirStream => {
  const air = new AirStream('real', s.dryAirKgPerS, s.vapourKgPerS, s.temperatureC, s.pressurePa);
  air.liquidKgPerS = liquidKgPerS;
  return air;
};

/**
 * Heat that a cooler passes to the air round it while the compressor runs loaded.
 * @param before the station before it
 * @returns W
 * @source balance of energy of the stream, condensing water included
 * @example heatOfCoolerW(section.at('compressor'), section.at('aftercooler')) // 1588
 */
export function heatOfCoolerW(before: Station, after: Station): number {
  const leaves = streamOf(after, after.liquidKgPerS + after.caughtKgPerS);
  return streamOf(before, before.liquidKgPerS).enthalpyW - leaves.enthalpyW;
}

/** By how much a wind gets warmer that takes a heat up. */
const warmingK = (heatW: number): number => heatW / (WIND_M3_PER_S * FREE_AIR_KG_PER_M3 * CP_DRY_AIR);

/** What the plate asks for and what was found at the place. */
function asFound({ kind, thing }: Stage): (string | undefined)[] {
  const { clearanceM, cordM, outlet } = thing ?? {};
  return [
    clearanceM ? `Leave {${clearanceM} m} free round it, as its plate asks.` : undefined,
    kind === 'compressor' ? 'The first connection after it is flexible: what shakes breaks a rigid pipe.' : undefined,
    cordM ? `Its cord is {${cordM} m} long: the outlet no farther, and no extension lead.` : undefined,
    outlet === 'shared'
      ? '▲ Something else is on its outlet: ask the electrician for one of its own; what starts together trips together.'
      : undefined,
  ];
}

/** What an electrician needs to know of a thing with a plug. */
function electrical(stage: Stage): string | undefined {
  const told = 'fixed wiring is an electrician’s work';
  if (is(CHILLED, stage.kind)) {
    const watts = CHILLED_W * (stage.parameters as { ratedFlowM3PerS: number }).ratedFlowM3PerS;
    const amps = VOLTS.map((v) => `${(watts / v).toFixed(1)} A at ${v} V`).join(' or ');
    return `For the electrician: about ${Math.round(watts / 10) * 10} W by its size, ${amps}, more as it starts; its plate decides. An outlet of its own within its cord, not one shared with the compressor; ${told}.`;
  }
  if (stage.kind === 'compressor')
    return `For the electrician: volts, phases and amperes from the motor’s plate, a circuit of its own, a disconnector in sight; ${told}.`;
  const { drain } = stage.parameters as { drain?: string };
  if (drain === 'timer' || drain === 'level') return `Its drain needs power: an outlet within its cord; ${told}.`;
  return undefined;
}

/**
 * What one has to know to mount a stage: which way the air comes, where gauge and bowl go, what a cooler does to the wind
 * it stands in, and what the electrician needs.
 * @param along the direction in which the air reaches it
 * @param before the stage before it
 * @returns sentences; lengths in braces are for {@link sayText}
 * @example mountingOf(section, stage('regulator'), undefined, 'east')[0].startsWith('Air comes from the west') // true
 */
export function mountingOf(section: Section, stage: Stage, before: Stage | undefined, along: Leg['to']): string[] {
  const [low, high] = READ_AT_M;
  const out: (string | undefined)[] = [];
  if (is(ON_WALL, stage.kind))
    out.push(alongWall(along), `Gauge and drain between {${low} m} and {${high} m} over the floor.`);
  const [from, to] = [section.at(before?.id), section.at(stage.id)];
  if (stage.kind === 'fluid-cooler' && stage.parameters.wind === 'pump' && from && to) {
    const heatW = heatOfCoolerW(from, to);
    const warmer = warmingK(heatW);
    out.push(
      `It gives ${Math.round(heatW / 10) * 10} W to the wind, which makes {${WIND_M3_PER_S * 60} m³/min} of it {${warmer.toFixed(1)} K} warmer. ${
        warmer > WARM_WIND_K
          ? 'Too warm for a motor that this wind cools: hang it where the motor draws first, or give it a fan.'
          : 'Hang it where the motor draws first, and keep the guard on.'
      }`,
    );
  }
  out.push(...asFound(stage), electrical(stage));
  return out.filter((s) => s !== undefined);
}
