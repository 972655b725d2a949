import { boreOf, type PipeMaterial } from '../pipe-flow/pipes';
import { isUpright, type Leg } from '../piping/legs';
import type { Stage } from '../plan/plan';

/** Widest distance between supports, m, up to an outside diameter, m. Common practice, no source. */
const SPACING: Readonly<
  Record<'copper' | 'steel' | 'aluminium' | 'plastic', readonly (readonly [outsideM: number, m: number])[]>
> = {
  copper: [
    [0.0225, 1.2],
    [0.03, 1.8],
    [Infinity, 2.4],
  ],
  steel: [
    [0.027, 2],
    [0.0335, 2.7],
    [Infinity, 3],
  ],
  aluminium: [
    [0.026, 2.5],
    [Infinity, 3],
  ],
  plastic: [
    [0.026, 0.6],
    [Infinity, 0.9],
  ],
};
/** Upright plastic may be held this much less often (common practice, no source). */
const UPRIGHT_PLASTIC = 2;
/** Growth of a metre for a kelvin, m. Handbooks of materials (recalled). */
const GROWS: Readonly<Record<keyof typeof SPACING, number>> = {
  copper: 17e-6,
  steel: 12e-6,
  aluminium: 23e-6,
  plastic: 165e-6,
};
/** A straight piece longer than this wants a loop or a flexible piece; 20–30 m, common practice, no source. */
export const LOOP_EVERY_M = 25;

/** What a pipe is as far as its supports and its growth go. */
export const SUPPORTED_AS: Readonly<Record<PipeMaterial, keyof typeof SPACING>> = {
  black: 'steel',
  galvanised: 'steel',
  copper: 'copper',
  stainless: 'steel',
  aluminium: 'aluminium',
  'rated-plastic': 'plastic',
  'water-pex': 'plastic',
  pvc: 'plastic',
};

/**
 * Supports of a run: each leg held at both ends and between, no further apart than its material allows.
 * @param outsideM outside diameter, m
 * @example supportsOf('copper', 0.022, [{ to: 'east', lengthM: 5, fall: 0.01 }]) // 6
 */
export const supportsOf = (
  material: keyof typeof SPACING,
  outsideM: number,
  legs: readonly Pick<Leg, 'to' | 'lengthM'>[],
): number => supportPlaces(material, outsideM, legs).length;

/**
 * Where the supports of a run are.
 * @param outsideM outside diameter, m
 * @returns for each the leg, from 0, and how far along it, m; the first at the beginning of the first leg
 * @example supportPlaces('copper', 0.022, [{ to: 'east', lengthM: 2.4 }]).map((s) => s.alongM) // [0,1.2,2.4]
 */
export function supportPlaces(
  material: keyof typeof SPACING,
  outsideM: number,
  legs: readonly Pick<Leg, 'to' | 'lengthM'>[],
): { readonly leg: number; readonly alongM: number }[] {
  const m = SPACING[material].find(([to]) => outsideM <= to)?.[1] as number;
  const between = legs.flatMap(({ to, lengthM }, leg) => {
    const apart = material === 'plastic' && isUpright(to) ? UPRIGHT_PLASTIC * m : m;
    const n = Math.max(1, Math.ceil(lengthM / apart - 1e-9));
    return Array.from({ length: n }, (_, i) => ({ leg, alongM: ((i + 1) * lengthM) / n }));
  });
  return [{ leg: 0, alongM: 0 }, ...between];
}

/**
 * Where a connecting tube is held: the things at its ends hold those.
 * @param outsideM outside diameter, m
 * @example tubeSupports(0.015, [{ to: 'up', lengthM: 1 }, { to: 'east', lengthM: 3 }]).length // 3
 */
export const tubeSupports = (outsideM: number, legs: readonly Pick<Leg, 'to' | 'lengthM'>[]) =>
  supportPlaces('copper', outsideM, legs).slice(1, -1);

/**
 * What a stage is to its supports: nothing where it is none that is held along its length.
 * @returns material and outside diameter, m
 * @example supportedAs(stage('receiver')) === undefined // true
 */
export function supportedAs(
  stage: Stage,
): { readonly as: keyof typeof SPACING; readonly outsideM: number } | undefined {
  if (stage.kind === 'pipe') {
    const { material, size } = stage.parameters;
    return { as: SUPPORTED_AS[material], outsideM: boreOf(material, size)?.outsideM ?? 0.02 };
  }
  if (stage.kind !== 'cooling-run' || stage.parameters.material === 'hose') return undefined;
  const { material, outsideDiameterM: outsideM } = stage.parameters;
  return { as: material === 'copper' ? 'copper' : 'steel', outsideM };
}

/**
 * How much longer a straight piece gets.
 * @returns m
 * @example growthM('aluminium', 30, 20) // 0.0138
 */
export const growthM = (material: keyof typeof SPACING, lengthM: number, warmerK: number): number =>
  GROWS[material] * lengthM * warmerK;
