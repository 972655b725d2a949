import type { ParametersOf } from '../equipment/index';
import { CFM, PSI } from '../quantity/constants';
import type { Plan, Stage } from './plan';
import { withStage } from './runs';
import { surveyAtmosphericPa } from './survey';

type Need = Partial<
  Pick<
    ParametersOf<'outlet'>,
    'use' | 'need' | 'dewPointC' | 'relativeHumidity' | 'waterClass' | 'particleClass' | 'oilClass'
  >
>;

/** A usual job: what it asks of the air, and how much it takes. */
export interface Job {
  readonly label: string;
  readonly needs: Need;
  /** Gauge, at the tool. */
  readonly leastGaugePa: number;
  /** As makers state it: ISO 8778. */
  readonly flowM3PerS: number;
  readonly usedShare: number;
}

const job = (label: string, needs: Need, psig: number, cfm: number, usedShare: number): Job => ({
  label,
  needs,
  leastGaugePa: psig * PSI,
  flowM3PerS: cfm * CFM,
  usedShare,
});
const dry: Need = { need: 'no-liquid' };
const waterClass = (is: ParametersOf<'outlet'>['waterClass']): Need => ({ need: 'iso-class', waterClass: is });

/**
 * Usual jobs. Middle of the bands of common practice (common practice and estimates): the tool's own sheet wins. Humidity of a
 * finish is asked for without its basis more often than not: expanded is usual for solvent-borne ones, in the line is the
 * safer reading for water-borne ones. Ask its maker.
 */
export const JOBS = {
  'solvent-spray': job(
    'Spray gun, solvent-borne',
    { use: 'spray', need: 'humidity-expanded', relativeHumidity: 0.1, particleClass: '2', oilClass: '2' },
    40,
    14,
    0.45,
  ),
  'water-spray': job(
    'Spray gun, water-borne',
    { use: 'spray', need: 'humidity-in-line', relativeHumidity: 0.03, particleClass: '1', oilClass: '1' },
    40,
    16,
    0.5,
  ),
  'powder-gun': job(
    'Powder-coating gun',
    { use: 'spray', need: 'dew-point', dewPointC: 3, particleClass: '2', oilClass: '1' },
    60,
    6,
    0.75,
  ),
  plasma: job(
    'Plasma cutter, by hand',
    { use: 'cutting', ...waterClass('4'), particleClass: '2', oilClass: '2' },
    90,
    6,
    0.45,
  ),
  'blast-nozzle': job('Blast nozzle, 1/4 in', { use: 'blasting', ...waterClass('5'), oilClass: '4' }, 100, 81, 0.7),
  'blast-cabinet': job('Blast cabinet', { use: 'blasting', ...waterClass('5'), oilClass: '4' }, 75, 16, 0.65),
  sander: job('Orbital sander', { ...dry, oilClass: '4' }, 90, 13, 0.6),
  wrench: job('Impact wrench, 1/2 in', { ...dry, oilClass: '4' }, 90, 5, 0.3),
  grinder: job('Die grinder', { ...dry, oilClass: '4' }, 90, 12, 0.3),
  nailer: job('Nailers and staplers', { ...dry, oilClass: '4' }, 90, 1, 0.3),
  tyres: job('Tyre inflation', { use: 'tyres', ...dry, particleClass: '6', oilClass: '4' }, 150, 3, 0.15),
  spindle: job(
    'Machining spindle, tool changer',
    { use: 'instruments', ...waterClass('4'), particleClass: '3', oilClass: '3' },
    90,
    6,
    0.6,
  ),
  laser: job(
    'Laser cutting, air assist',
    { use: 'cutting', ...waterClass('4'), particleClass: '1', oilClass: '1' },
    185,
    40,
    0.65,
  ),
  packaging: job(
    'Packaging valves',
    { use: 'food', ...waterClass('4'), particleClass: '3', oilClass: '3' },
    85,
    5,
    0.5,
  ),
  instruments: job(
    'Instrument air',
    { use: 'instruments', ...waterClass('3'), particleClass: '2', oilClass: '2' },
    80,
    1,
    1,
  ),
  'blow-gun': job('Blow-gun', { use: 'blow-gun', ...dry, particleClass: '3', oilClass: '3' }, 29, 15, 0.1), // under 30 psig dead-ended
} as const satisfies Record<string, Job>;
export type JobId = keyof typeof JOBS;

/**
 * The plan with an outlet set to a usual job; its pressure counts from the local barometer.
 * @example setJob(plan, 'outlet', Object.keys(JOBS)[0]).stages.length // 12
 */
export function setJob(plan: Plan, stageId: string, id: JobId): Plan {
  const { needs, leastGaugePa, flowM3PerS, usedShare } = JOBS[id];
  const leastPressurePa = surveyAtmosphericPa(plan.survey) + leastGaugePa;
  const own = { use: 'tools', ...needs, leastPressurePa, flowM3PerS, flowBasis: 'anr', usedShare } as const;
  return withStage(plan, stageId, (s) =>
    s.kind === 'outlet' ? ({ ...s, parameters: { ...s.parameters, ...own } } as Stage) : s,
  );
}
