import { LineFacts } from '../advice/line-facts';
import { CHILLED, DESICCANT, DRYERS, is, TREATMENT } from '../equipment/groups';
import type { KindName } from '../equipment/index';
import type { Section } from '../line/section';
import { walk } from '../line/walk';
import { costOfPressure } from '../line/waterfall';
import { type Money, priceOfStage } from '../plan/money';
import type { Plan } from '../plan/plan';
import { hoursPerWeek } from '../plan/working-time';
import { CFM, WORKING_WEEKS } from '../quantity/constants';
import { taskLoad } from './task-load';

/** Of a refrigerated dryer, W for each m³/s of rating: 0.6–0.9 kW for 100 cfm, always on (trade handbook). */
export const CHILLED_W = 750 / (100 * CFM);
const CYCLES = 0.5; // of that, by load (0.2–0.8, trade handbook)
const ELEMENTS: readonly KindName[] = [
  'bowl-filter',
  'coalescing-filter',
  'particulate-filter',
  'droplet-separator',
  'tool-filter',
];
const MEDIA: readonly KindName[] = [
  ...DESICCANT,
  'heat-of-compression-tower',
  'pellet-tower',
  'carbon-filter',
  'oil-water-separator',
];

/**
 * Whether a kind is bought and kept: an intake and an outlet are places.
 * @example hasPrice('outlet') // false
 */
export const hasPrice = (kind: KindName): boolean => kind !== 'outlet' && kind !== 'intake';

/** What a line costs, in the person’s currency. First cost once, the rest in a year. */
export interface LineCost {
  readonly first: number;
  readonly pressure: number;
  /** Purge and sweep of dryers. */
  readonly purge: number;
  /** Leaks, samples, and what timed drains blow. */
  readonly airLost: number;
  readonly refrigeration: number;
  readonly elements: number;
  readonly media: number;
  readonly service: number;
  readonly labour: number;
  readonly yearly: number;
  readonly worth: number;
  /** Of that, what somebody only claims. */
  readonly claimed: number;
  /** Over the person’s years, less what dry air is worth. */
  readonly whole: number;
  /** kWh behind the energy, and minutes a year behind the labour. */
  readonly kWh: Readonly<Record<'pressure' | 'purge' | 'airLost' | 'refrigeration', number>>;
  readonly minutes: number;
  /** Kinds whose price is a placeholder still. */
  readonly placeholders: readonly string[];
}

/**
 * What a line costs to buy and to keep.
 * @param money the person’s own figures
 * @source specific power, 0.5 % a psi and dryers’ power: trade handbook, orders of magnitude; prices: the person’s or
 *   invented placeholders
 * @example costOfLine(plan, moneySchema.parse({})).kWh.pressure // 163.5
 */
export function costOfLine(plan: Plan, money: Money, section: Section = walk(plan)): LineCost {
  const line = new LineFacts(plan, section);
  const { yearKWh, kWhPerPa } = costOfPressure(plan);
  const losses = line.of('outlet').map((o) =>
    line
      .losses(o)
      .filter((l) => is(TREATMENT, line.stage(l.stageId)?.kind ?? 'outlet'))
      .reduce((sum, l) => sum + l.lossPa, 0),
  );
  const { lostM3PerS, deliveredM3PerS } = line.balance;
  const purged = line.stages
    .filter((s) => is(DRYERS, s.kind))
    .reduce((sum, s) => sum + (line.at(s)?.ventedAirKgPerS ?? 0), 0);
  const purgeM3PerS = line.section.dryAirKgPerS > 0 ? (purged / line.section.dryAirKgPerS) * deliveredM3PerS : 0;
  const hours = hoursPerWeek(plan.survey.working) * WORKING_WEEKS;
  const chilledW = line
    .of(...CHILLED, 'high-inlet-dryer')
    .reduce((sum, s) => sum + CHILLED_W * s.parameters.ratedFlowM3PerS * (s.kind === 'cycling-dryer' ? CYCLES : 1), 0);
  // Air that is given away is given away at every hour at which the line stands under pressure.
  const perM3 = deliveredM3PerS > 0 ? yearKWh / (deliveredM3PerS * loadedHours(plan) * 3600) : 0;
  const kWh = {
    pressure: Math.max(0, ...losses) * kWhPerPa,
    purge: purgeM3PerS * hours * 3600 * perM3,
    airLost: Math.max(0, lostM3PerS - purgeM3PerS) * hours * 3600 * perM3,
    refrigeration: (chilledW / 1000) * hours,
  };
  const prices = line.stages
    .map((s) => ({ kind: s.kind, ...priceOfStage(money, s) }))
    .filter(({ kind }) => hasPrice(kind));
  const minutes = taskLoad(plan, line.section).reduce((sum, c) => sum + c.minutesPerYear, 0);
  const first = prices.reduce((sum, p) => sum + p.price.first, 0);
  const upkeep = (of: (kind: KindName) => boolean): number =>
    prices.filter((p) => of(p.kind)).reduce((sum, p) => sum + p.price.yearly, 0);
  const energy = (what: keyof typeof kWh): number => kWh[what] * money.perKWh;
  const a = {
    pressure: energy('pressure'),
    purge: energy('purge'),
    airLost: energy('airLost'),
    refrigeration: energy('refrigeration'),
    elements: upkeep((k) => is(ELEMENTS, k)),
    media: upkeep((k) => is(MEDIA, k)),
    service: upkeep((k) => !is([...ELEMENTS, ...MEDIA], k)),
    labour: (minutes / 60) * money.perHour,
  };
  const yearly = Object.values(a).reduce((sum, amount) => sum + amount, 0);
  const sum = (list: Money['worth']): number => list.reduce((all, w) => all + w.yearly, 0);
  const worth = sum(money.worth);
  return {
    first,
    ...a,
    yearly,
    worth,
    claimed: sum(money.worth.filter((w) => w.claim)),
    whole: first + money.years * (yearly - worth),
    kWh,
    minutes,
    placeholders: [...new Set(prices.filter((p) => !p.own).map((p) => p.kind))],
  };
}

function loadedHours(plan: Plan): number {
  const { working } = plan.survey;
  return hoursPerWeek(working) * working.loadedShare * WORKING_WEEKS;
}
