import type { AirStream } from '../../stream/air-stream';
import { freeAirM3PerS } from './free-air';
import { numberField, Refusal, type Surroundings } from './kind';

/**
 * Pressure lost in the stage: as it was read, and at which flow.
 * @example Object.keys(lossFields(1e4)) // ["pressureLossPa","lossAtM3PerS"]
 */
export function lossFields(fallbackPa: number) {
  return {
    pressureLossPa: numberField({
      label: 'Pressure loss',
      help: 'As it is now, by its gauges or its sheet.',
      quantity: 'pressureDifference',
      least: 0,
      most: 3e5,
      default: fallbackPa,
      source: 'typical, common practice',
      uncertainty: { rel: 0.3 },
    }),
    lossAtM3PerS: numberField({
      label: '… while this much flows',
      help: 'Free air. At other flows it loses more or less; 0: the same at any flow.',
      quantity: 'volumeFlow',
      least: 0,
      most: 2,
      default: 0,
      source: 'not said: the same at any flow',
    }),
  };
}

/**
 * The same of what holds an element that clogs: as it is now, and as it was when new.
 * @example Object.keys(elementFields(1e4, 5e3)) // ["pressureLossPa","lossAtM3PerS","cleanLossPa"]
 */
export function elementFields(nowPa: number, newPa: number) {
  return {
    ...lossFields(nowPa),
    cleanLossPa: numberField({
      label: '… and with a new element',
      help: 'At the same flow: what changing it would give back.',
      quantity: 'pressureDifference',
      least: 0,
      most: 3e5,
      default: newPa,
      source: 'typical, common practice',
    }),
  };
}

const WORTH_CHANGING = 1.2; // now over new

/**
 * The same with a new element.
 * @example newElement({ pressureLossPa: 3e4, cleanLossPa: 1e4 }).parameters.pressureLossPa // 10000
 */
export const newElement = <P extends { readonly pressureLossPa: number; readonly cleanLossPa: number }>(p: P) =>
  p.pressureLossPa > p.cleanLossPa * WORTH_CHANGING
    ? { parameters: { ...p, pressureLossPa: p.cleanLossPa }, says: 'a new element' }
    : undefined;

/** What loses pressure, of the parameters of a stage. */
export interface LosesPressure {
  readonly pressureLossPa: number;
  readonly lossAtM3PerS: number;
}

const RATED_PA = 801_325; // 7 bar above the atmosphere, at which losses are read and rated (ISO 7183, recalled)

/** How losses grow with the flow: exponents, common practice (estimate). */
export const LOSS_GROWS = { media: 1.2, mixed: 1.85, ports: 2 } as const;

/**
 * The pressure that leaves a stage with a loss; refused where the loss would leave less than the atmosphere. The numbers are
 * taken one by one: whoever hands on whole parameters makes the engine look at a new shape for every kind.
 * @param lossPa as it was read, at the flow `atM3PerS`; 0 there: the same at any flow
 * @param atM3PerS free air at which the loss was read, m³/s; 0: at the flow of now
 * @returns Pa, absolute
 * @source Δp₂ = Δp₁ · (Q₂/Q₁)ⁿ · p₁/p₂ with n = 1.0–1.4 for coalescing media, 1.85 for pipe-like passages, 2 for ports
 *   (trade handbook, estimate)
 * @example pressureAfterLoss(air, 1e4, 0, around) // 790000
 */
export function pressureAfterLoss(
  inlet: AirStream,
  lossPa: number,
  atM3PerS: number,
  around: Surroundings,
  exponent: number = LOSS_GROWS.mixed,
): number {
  const left =
    inlet.pressurePa - (atM3PerS > 0 && lossPa > 0 ? grown(inlet, lossPa, atM3PerS, around, exponent) : lossPa);
  if (left < around.atmosphericPa)
    throw new Refusal('pressureLossPa', 'This pressure loss is more than the pressure that arrives here. Check both.');
  return left;
}

function grown(inlet: AirStream, lossPa: number, atM3PerS: number, around: Surroundings, exponent: number): number {
  return (lossPa * (freeAirM3PerS(inlet, around) / atM3PerS) ** exponent * RATED_PA) / inlet.pressurePa;
}
