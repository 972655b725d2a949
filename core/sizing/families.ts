import { SALT_PER_WATER } from '../desiccant/salt';
import { sizeCartridge, waterLoadKgPerS } from '../desiccant/size-cartridge';
import { NAMED_TASKS } from '../log/named-tasks';
import { usualServiceMinutes } from '../maintenance/due';
import { taskById } from '../maintenance/tasks';
import { CFM } from '../quantity/constants';
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

/**
 * All families for one duty: the dew point they reach, the air they let go, power, what a year costs, and tasks.
 * @param duty inlet 5…60 °C, 1.5…41 bar absolute, hours above 0
 * @throws OutOfRange of the air’s equations
 * @source energy of common practice (handbook, recalled); money invented, of the handbook’s order of magnitude
 */
export function familiesFor(duty: DryerDuty): FamilyAnswer[] {
  const flow = dutyM3PerS(duty);
  const cold = sizeRefrigerated(duty);
  const beads = cartridgeFor(duty);
  const inletHot = hottestInletC(duty);
  const beadsPerYear = duty.hoursPerYear / beads.hours;
  const waterKgPerYear = (of: number): number => waterLoadKgPerS(duty, of) * duty.load * duty.hoursPerYear * 3600;
  const coldPipe = (reachesC: number): string[] =>
    duty.coldestAfterC < reachesC
      ? ['A pipe after it gets colder than its dew point: water condenses there again.']
      : [];
  const answer = (
    family: Family,
    a: Omit<FamilyAnswer, 'family' | 'perYear' | 'kWhPerYear' | 'minutesPerMonth'> & {
      more?: { money: number; minutes: number };
    },
  ): FamilyAnswer => {
    const { more, ...rest } = a;
    const minutesPerMonth = usualServiceMinutes(family) + (more?.minutes ?? 0);
    const airKWh = a.airLost * duty.load * duty.dryAirKgPerS * duty.hoursPerYear * 3600 * KWH_PER_KG_AIR;
    const kWhPerYear = airKWh + (a.powerW / 1000) * duty.hoursPerYear;
    const size = flow / (100 * CFM);
    const { first, upkeep } = COSTS[family];
    const kept = (first / YEARS) * size ** 0.8 + upkeep * size ** 0.6 + (more?.money ?? 0);
    return {
      family,
      ...rest,
      kWhPerYear,
      minutesPerMonth,
      perYear: kWhPerYear * duty.perKWh + kept + ((minutesPerMonth * 12) / 60) * duty.perHour,
      not: [...(a.reachesC > duty.wantedC + 0.05 ? ['Does not reach the dew point that is wanted.'] : []), ...a.not],
    };
  };
  const warmTower = inletHot > TOWER_HOTTEST_C ? ['Air enters hotter than {48.89 °C}: cool it first.'] : [];
  const purge = purgeShare(duty.inletPa, duty.atmosphericPa);
  const fixed = Math.min(1, purge / duty.load);
  const sweep = MEMBRANE.sweep / duty.load;
  const pelletC = duty.inletC - PELLETS.suppressionK; // it follows the inlet
  const heated = (kind: Heated, not: string[]): FamilyAnswer => {
    const s = sizeHeated(kind, duty);
    return answer(kind, {
      reachesC: s.reachesC,
      airLost: s.purgeShare / duty.load,
      powerW: s.averageW,
      not: [...warmTower, ...not],
    });
  };
  const small =
    flow < HEATED_LEAST ? ['Built for {7.08 m³/min} and more: at this size heatless is simpler and cheaper.'] : [];
  return [
    answer('refrigerated-dryer', {
      reachesC: cold.dewPointC,
      airLost: 0,
      powerW: cold.powerW,
      not: cold.notHere,
    }),
    answer('cycling-dryer', {
      reachesC: cold.dewPointC,
      airLost: 0,
      powerW: cold.powerW * Math.max(CYCLES_LEAST, CYCLES_LEAST + (1 - CYCLES_LEAST) * duty.load),
      not: [
        ...cold.notHere,
        ...(flow < 50 * CFM ? ['Hardly made this small (estimate): the plain one is what there is.'] : []),
      ],
    }),
    answer('bead-cartridge', {
      reachesC: -40,
      airLost: 0,
      powerW: 0,
      more: {
        money: (beadsPerYear * beads.massKg * PER_KG_BEADS) / DRIED_TIMES,
        minutes: (beadsPerYear / 12) * CHARGE_MINUTES,
      },
      not: beads.worth === 'hopeless' ? [beads.because] : [],
    }),
    answer('pellet-tower', {
      reachesC: pelletC,
      airLost: 0,
      powerW: 0,
      more: { money: waterKgPerYear(pelletC) * SALT_PER_WATER * PELLETS.perKg, minutes: 0 },
      not: [
        ...(inletHot > PELLETS.hottestC ? ['Air over {37.78 °C} on the hottest day: pellets fuse.'] : []),
        ...coldPipe(pelletC),
      ],
    }),
    answer('membrane', {
      reachesC: duty.inletC - MEMBRANE.suppressionK,
      airLost: Math.min(1, sweep),
      powerW: 0,
      not: [
        ...(inletHot > MEMBRANE.hottestC ? ['Air enters hotter than {48.89 °C}: cool it first.'] : []),
        ...(flow > MEMBRANE.most ? ['For branches and instruments: at this size the sweep costs too much.'] : []),
        ...(sweep >= 0.5 ? ['Its sweep takes half of what passes at this load.'] : []),
        ...coldPipe(duty.inletC - MEMBRANE.suppressionK),
      ],
    }),
    answer('twin-tower', {
      reachesC: -40,
      airLost: fixed,
      powerW: 0,
      not: [...warmTower, ...(fixed >= 0.8 ? ['Its fixed purge takes nearly all that passes at this load.'] : [])],
    }),
    heated('heated-purge-tower', small),
    heated('blower-purge-tower', small),
    heated('split-flow-tower', small),
    heated('heat-of-compression-tower', [
      ...(flow < HEATED_LEAST ? ['Made for plants.'] : []),
      ...(duty.hotOilFree
        ? []
        : ['Only directly downstream of an oil-free compressor, by its hot air ({121.1 °C} and more).']),
    ]),
  ];
}
