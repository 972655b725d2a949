import { pressureBehindPa } from '../../pipe-flow/friction';
import type { AirStream } from '../../stream/air-stream';
import { aboveAtmosphere, chokes, numberField, type Surroundings } from '../shared/kind';
import { soapedLeakField } from '../shared/leak';

const ROUGHNESS_M = 1.5e-6; // rubber or plastic, drawn smooth (texts on fluid mechanics)

/** What decides how much a hose passes: its length, its bore, and the inserts at its ends, which are narrower. */
export const hoseFields = (lengthM: number, most: number) => ({
  lengthM: numberField({
    label: 'Length',
    quantity: 'length',
    least: 0.1,
    most,
    default: lengthM,
    source: 'typical, common practice',
  }),
  boreM: numberField({
    label: 'Bore',
    quantity: 'size',
    least: 0.002,
    most: 0.1,
    default: 0.0095, // 3/8 in
    source: 'typical, ⅜ in; common practice',
  }),
  insertBoreM: numberField({
    label: 'Bore of the inserts at its ends',
    help: 'The narrowest of a hose is where its ends are clamped on.',
    quantity: 'size',
    least: 0.001,
    most: 0.1,
    default: 0.0075,
    source: 'typical of ⅜ in hose (estimate)',
  }),
  leakM3PerS: soapedLeakField(),
});

export interface HoseFlow {
  readonly lengthM: number;
  readonly boreM: number;
  readonly insertBoreM: number;
}

const ENDS = 2;
const INTO = 0.5; // velocity heads where a pipe narrows sharply (texts on fluid mechanics)

/**
 * The pressure downstream of a hose: friction along it, and at each end an insert that it narrows into and widens from.
 * @throws Refusal where it chokes, or where less than the atmosphere would be left
 * @source isothermal flow by Darcy–Weisbach; K of an insert at its own bore: 0.5 + (1 − β²)² (Borda–Carnot)
 * @example pressureBehindHosePa(air, { lengthM: 7.62, boreM: 0.0127, insertBoreM: 0.01 }, around) // 794574
 */
export function pressureBehindHosePa(air: AirStream, p: HoseFlow, around: Surroundings): number {
  const insert = Math.min(p.insertBoreM, p.boreM);
  const perEnd = insert < p.boreM ? INTO + (1 - (insert / p.boreM) ** 2) ** 2 : 0;
  const k = ENDS * perEnd * (p.boreM / insert) ** 4; // in velocity heads at the bore of the hose
  const out = pressureBehindPa(
    { kgPerS: air.dryAirKgPerS, temperatureC: air.temperatureC, pressurePa: air.pressurePa },
    { boreM: p.boreM, lengthM: p.lengthM, roughnessM: ROUGHNESS_M, k },
  );
  if (out === undefined) throw chokes('hose');
  return aboveAtmosphere(out, 'hose', around);
}

const WIDER = 1.25; // about one step in the usual row of hoses: ¼, 5/16, ⅜, ½, ⅝, ¾ in

/** The hose one size up, with ends to match. */
export const widerHose = <P extends HoseFlow>(p: P) => ({
  parameters: { ...p, boreM: p.boreM * WIDER, insertBoreM: Math.min(p.boreM, p.insertBoreM * WIDER) },
  says: 'a hose of the next size up',
  costs: `some ${(WIDER ** 2).toFixed(1)} × the price of this hose (estimate)`,
});

export const whyHosePressure = (air: AirStream, p: HoseFlow) => ({
  formula: 'p₁² − p₂² = (m/A)²·R·T·(f·L/D + K of the inserts + 2·ln(p₁/p₂))',
  inputs: [
    { label: 'arrives', quantity: 'pressure', value: air.pressurePa, from: 'stage before' },
    { label: 'm, air', quantity: 'massFlow', value: air.dryAirKgPerS, from: 'its share of the air' },
    { label: 'length', quantity: 'length', value: p.lengthM, from: 'this stage' },
    { label: 'bore', quantity: 'size', value: p.boreM, from: 'this stage' },
    { label: 'bore of inserts', quantity: 'size', value: p.insertBoreM, from: 'this stage' },
  ] as const,
  source: 'Darcy–Weisbach with Colebrook–White, isothermal compressible flow',
});
