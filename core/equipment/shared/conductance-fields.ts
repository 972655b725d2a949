import { z } from 'zod';
import { type Conductance, pressureBehindValvePa } from '../../pipe-flow/conductance';
import type { AirStream } from '../../stream/air-stream';
import { aboveAtmosphere, choiceField, chokes, type Surroundings } from './kind';

const B = 0.3; // critical pressure ratio, typical of valves and regulators, ISO 6358 (estimate)
const TO_SI = 1e-8; // dm³/(s·bar), as makers print it

export interface Passes {
  readonly passes: 'not-said' | 'typical' | 'sheet';
  readonly conductance: number;
}

/**
 * What a valve or a regulator passes, where its sheet says so.
 * @example Object.keys(conductanceFields(5e-8, 'sheet')) // ["passes","conductance"]
 */
export const conductanceFields = (usual: number, source: string, fallback: Passes['passes'] = 'not-said') => ({
  passes: choiceField({
    label: 'What it passes',
    options: { 'not-said': 'not said: enough', typical: 'typical of its size', sheet: 'by its sheet' },
    default: fallback,
  }),
  conductance: z
    .number()
    .min(0.05)
    .max(1000)
    .default(usual)
    .meta({
      label: 'Sonic conductance C, dm³/(s·bar)',
      least: 0.05,
      most: 1000,
      source,
      when: { field: 'passes', is: ['typical', 'sheet'] },
    }),
});

export const valveOf = (conductance: number): Conductance => ({ c: conductance * TO_SI, b: B });

/**
 * The pressure downstream of it with nothing else in the way; what arrives, where its sheet does not say.
 * @throws Refusal where it chokes
 * @source ISO 6358-1 (recalled)
 * @example behindValvePa(air, { passes: 'sheet', conductance: 3 }, 'Valve', around) // 762978
 */
export function behindValvePa(inlet: AirStream, p: Passes, what: string, around: Surroundings): number {
  if (p.passes === 'not-said') return inlet.pressurePa;
  const out = pressureBehindValvePa(valveOf(p.conductance), inlet.dryAirKgPerS, inlet.pressurePa, inlet.temperatureC);
  if (out === undefined) throw chokes(what);
  return aboveAtmosphere(out, what, around);
}

/**
 * One that passes twice as much: about the next size.
 * @example passesMore({ passes: 'sheet', conductance: 3e-8 }, 'Valve').parameters.conductance // 6e-8
 */
export const passesMore = <P extends Passes>(p: P, what: string) =>
  p.passes !== 'not-said'
    ? { parameters: { ...p, conductance: p.conductance * 2 }, says: `${what} that passes twice as much` }
    : undefined;
