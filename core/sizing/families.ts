import { SALT_PER_WATER } from '../desiccant/salt';
import { sizeCartridge, WARM_INLET_C, waterLoadKgPerS } from '../desiccant/size-cartridge';
import { NAMED_TASKS } from '../log/named-tasks';
import { usualServiceMinutes } from '../maintenance/line-tasks';
import { taskById } from '../maintenance/tasks';
import { CFM, HOUR_S } from '../quantity/constants';
import { type DryerDuty, dutyM3PerS, hottestInletC, KWH_PER_KG_AIR } from './dryer-duty';
import { HEATED, type Heated, sizeHeated } from './size-heated';
import { sizeRefrigerated } from './size-refrigerated';
import { purgeShare } from './size-towers';

/** Families of dryers, by the kind of stage that they are. */
export const FAMILIES = {
  'refrigerated-dryer': 'Refrigerated',
  'cycling-dryer': 'Refrigerated, cycling',
  'bead-cartridge': 'Bead cartridge',
  'pellet-tower': 'Pellet tower',
  membrane: 'Membrane',
  'twin-tower': 'Twin tower, heatless',
  ...(Object.fromEntries(Object.entries(HEATED).map(([k, v]) => [k, `Twin tower, ${v.toLowerCase()}`])) as Record<
    Heated,
    string
  >),
} as const;
export type Family = keyof typeof FAMILIES;

/** What a family makes of a duty. */
export interface FamilyAnswer {
  readonly family: Family;
  /** Pressure dew point that it reaches. */
  readonly reachesC: number;
  /** Air let go, of what passes on average. */
  readonly airLost: number;
  /** Electric, on average, W. */
  readonly powerW: number;
  readonly kWhPerYear: number;
  /** Energy, upkeep, labour and a tenth of the price, in the person’s money. */
  readonly perYear: number;
  readonly minutesPerMonth: number;
  /** Why it is not for this duty. Empty: it is. */
  readonly not: readonly string[];
}

const CYCLES_LEAST = 0.15; // a cycling dryer idles at 10–20 % (estimate)
/** Suppression of usual salt, 20 °F; air over 100 °F makes pellets fuse (trade handbook). */
export const PELLETS = { suppressionK: 11.1, hottestC: 37.8, perKg: 1.5 } as const;
/** A membrane of usual size lowers the dew point so far, 35–100 °F by its maker’s table only; sweep 10–25 % (handbook, the middle). */
export const MEMBRANE = { suppressionK: 40, sweep: 0.17, hottestC: 49, most: 100 * CFM } as const;
const TOWER_HOTTEST_C = 49; // 120 °F
const HEATED_LEAST = 200 * CFM; // 250–2000 cfm (handbook), a little under it still
/**
 * Price and yearly upkeep (filters, media, service) at 100 cfm, in invented money, from the handbook’s orders of magnitude; a
 * price grows with size^0.8 (from its prices at 100 and 1000 cfm), upkeep with size^0.6 (six-tenths rule). A tenth of the price
 * falls on each year.
 */
const COSTS: Record<Family, { first: number; upkeep: number }> = {
  'refrigerated-dryer': { first: 4000, upkeep: 400 },
  'cycling-dryer': { first: 5000, upkeep: 450 },
  'bead-cartridge': { first: 900, upkeep: 120 },
  'pellet-tower': { first: 2000, upkeep: 80 },
  membrane: { first: 4500, upkeep: 300 },
  'twin-tower': { first: 6500, upkeep: 550 },
  'heated-purge-tower': { first: 12_000, upkeep: 700 },
  'blower-purge-tower': { first: 16_000, upkeep: 800 },
  'split-flow-tower': { first: 13_000, upkeep: 700 },
  'heat-of-compression-tower': { first: 14_000, upkeep: 700 },
};
const YEARS = 10;
/** Changing or drying a charge of beads, by its task. */
const CHARGE_MINUTES = taskById(NAMED_TASKS.changeCharge)?.minutes ?? 0;
/** Beads for the comparison: what outlasts four weeks, up to what two people lift. */
const WEEKS = 4;
const MOST_BEADS_KG = 20;
const PER_KG_BEADS = 8; // invented money; a charge is dried some ten times
const DRIED_TIMES = 10;

function cartridgeFor(duty: DryerDuty) {
  const airHPerDay = Math.min(24, duty.hoursPerYear / 250);
  const asked = { ...duty, dryAirKgPerS: duty.dryAirKgPerS * duty.load, medium: 'silica', airHPerDay } as const;
  const massKg = Math.min(MOST_BEADS_KG, Math.max(0.5, WEEKS * sizeCartridge({ ...asked, massKg: 1 }).weekKg));
  return { massKg, ...sizeCartridge({ ...asked, massKg }) };
}

/** What of a family is worked out for a duty, before its cost. */
interface Found extends Pick<FamilyAnswer, 'reachesC' | 'airLost' | 'powerW' | 'not'> {
  readonly family: Family;
  /** Money and minutes a month, besides its usual service. */
  readonly more?: { readonly money: number; readonly minutes: number };
}

/** What several families ask of a duty. */
interface Asked {
  readonly duty: DryerDuty;
  readonly flowM3PerS: number;
  readonly inletHotC: number;
}

const tooHot = (inletHotC: number, mostC: number): string[] =>
  inletHotC > mostC ? ['Air enters hotter than {48.89 °C}: cool it first.'] : [];

const coldPipe = (duty: DryerDuty, reachesC: number): string[] =>
  duty.coldestAfterC < reachesC ? ['A pipe after it gets colder than its dew point: water condenses there again.'] : [];

function refrigerated({ duty, flowM3PerS }: Asked): Found[] {
  const cold = sizeRefrigerated(duty);
  const base = { reachesC: cold.dewPointC, airLost: 0, powerW: cold.powerW, not: cold.notHere };
  const small = flowM3PerS < 50 * CFM ? ['Hardly made this small (estimate): the plain one is what there is.'] : [];
  const cycles = CYCLES_LEAST + (1 - CYCLES_LEAST) * duty.load;
  return [
    { family: 'refrigerated-dryer', ...base },
    {
      family: 'cycling-dryer',
      ...base,
      powerW: cold.powerW * Math.max(CYCLES_LEAST, cycles),
      not: [...cold.notHere, ...small],
    },
  ];
}

function cartridge({ duty, inletHotC }: Asked): Found {
  const beads = cartridgeFor(duty);
  const perYear = duty.hoursPerYear / beads.hours;
  return {
    family: 'bead-cartridge',
    reachesC: -40,
    airLost: 0,
    powerW: 0,
    more: {
      money: (perYear * beads.massKg * PER_KG_BEADS) / DRIED_TIMES,
      minutes: (perYear / 12) * CHARGE_MINUTES,
    },
    not: [...tooHot(inletHotC, WARM_INLET_C), ...(beads.worth === 'hopeless' ? [beads.because] : [])],
  };
}

function pellets({ duty, inletHotC }: Asked): Found {
  const reachesC = duty.inletC - PELLETS.suppressionK; // it follows the inlet
  const waterKg = waterLoadKgPerS(duty, reachesC) * duty.load * duty.hoursPerYear * HOUR_S;
  return {
    family: 'pellet-tower',
    reachesC,
    airLost: 0,
    powerW: 0,
    more: { money: waterKg * SALT_PER_WATER * PELLETS.perKg, minutes: 0 },
    not: [
      ...(inletHotC > PELLETS.hottestC ? ['Air over {37.78 °C} on the hottest day: pellets fuse.'] : []),
      ...coldPipe(duty, reachesC),
    ],
  };
}

function membrane({ duty, flowM3PerS, inletHotC }: Asked): Found {
  const sweep = MEMBRANE.sweep / duty.load;
  const reachesC = duty.inletC - MEMBRANE.suppressionK;
  return {
    family: 'membrane',
    reachesC,
    airLost: Math.min(1, sweep),
    powerW: 0,
    not: [
      ...tooHot(inletHotC, MEMBRANE.hottestC),
      ...(flowM3PerS > MEMBRANE.most ? ['For branches and instruments: at this size the sweep costs too much.'] : []),
      ...(sweep >= 0.5 ? ['Its sweep takes half of what passes at this load.'] : []),
      ...coldPipe(duty, reachesC),
    ],
  };
}

function heatless({ duty, inletHotC }: Asked): Found {
  const airLost = Math.min(1, purgeShare(duty.inletPa, duty.atmosphericPa) / duty.load);
  const most = airLost >= 0.8 ? ['Its fixed purge takes nearly all that passes at this load.'] : [];
  return {
    family: 'twin-tower',
    reachesC: -40,
    airLost,
    powerW: 0,
    not: [...tooHot(inletHotC, TOWER_HOTTEST_C), ...most],
  };
}

function heated({ duty, flowM3PerS, inletHotC }: Asked): Found[] {
  const isSmall = flowM3PerS < HEATED_LEAST;
  const small = isSmall ? ['Built for {7.08 m³/min} and more: at this size heatless is simpler and cheaper.'] : [];
  const of = (family: Heated, not: string[]): Found => {
    const { reachesC, purgeShare: purge, averageW } = sizeHeated(family, duty);
    return {
      family,
      reachesC,
      airLost: purge / duty.load,
      powerW: averageW,
      not: [...tooHot(inletHotC, TOWER_HOTTEST_C), ...not],
    };
  };
  const hotAir = 'Only directly downstream of an oil-free compressor, by its hot air ({121.1 °C} and more).';
  return [
    of('heated-purge-tower', small),
    of('blower-purge-tower', small),
    of('split-flow-tower', small),
    of('heat-of-compression-tower', [...(isSmall ? ['Made for plants.'] : []), ...(duty.hotOilFree ? [] : [hotAir])]),
  ];
}

/** A family with what a year of it costs. */
function withCost({ duty, flowM3PerS }: Asked, { more, ...found }: Found): FamilyAnswer {
  const { family, airLost, powerW, reachesC, not } = found;
  const minutesPerMonth = usualServiceMinutes(family) + (more?.minutes ?? 0);
  const airKWh = airLost * duty.load * duty.dryAirKgPerS * duty.hoursPerYear * HOUR_S * KWH_PER_KG_AIR;
  const kWhPerYear = airKWh + (powerW / 1000) * duty.hoursPerYear;
  const size = flowM3PerS / (100 * CFM);
  const { first, upkeep } = COSTS[family];
  const kept = (first / YEARS) * size ** 0.8 + upkeep * size ** 0.6 + (more?.money ?? 0);
  const missed = reachesC > duty.wantedC + 0.05 ? ['Does not reach the dew point that is wanted.'] : [];
  return {
    ...found,
    kWhPerYear,
    minutesPerMonth,
    perYear: kWhPerYear * duty.perKWh + kept + ((minutesPerMonth * 12) / 60) * duty.perHour,
    not: [...missed, ...not],
  };
}

/**
 * All families for one duty: the dew point they reach, the air they let go, power, what a year costs, and tasks.
 * @param duty inlet 5…60 °C, 1.5…41 bar absolute, hours above 0
 * @throws OutOfRange of the air’s equations
 * @source energy of common practice (handbook, recalled); money invented, of the handbook’s order of magnitude
 * @example familiesFor(dryerDuty)[0].family // 'refrigerated-dryer'
 */
export function familiesFor(duty: DryerDuty): FamilyAnswer[] {
  const asked = { duty, flowM3PerS: dutyM3PerS(duty), inletHotC: hottestInletC(duty) };
  return [
    ...refrigerated(asked),
    cartridge(asked),
    pellets(asked),
    membrane(asked),
    heatless(asked),
    ...heated(asked),
  ].map((found) => withCost(asked, found));
}
