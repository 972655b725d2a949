import { z } from 'zod';
import { MOST_C, ZERO_CELSIUS_K } from '../../air/saturation';
import { CFM } from '../../quantity/constants';
import { FLOW_BASIS_LABELS } from '../../quantity/flow-basis';
import type { AirStream } from '../../stream/air-stream';
import { askedField } from '../shared/build-fields';
import { choiceField, defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';

const TYPES = {
  piston1: 'piston, one stage',
  piston2: 'piston, two stages',
  screw: 'screw, oil-flooded',
  oilfree: 'oil-free screw or scroll',
} as const;
type CompressorType = keyof typeof TYPES;

const CONTROLS = {
  'start-stop': 'starts and stops',
  unload: 'runs on unloaded',
  'run-on': 'unloads, stops after a while',
  speed: 'variable speed',
} as const;

// Heat lost through cylinder and head makes the measured discharge cooler than the adiabatic figure. These polytropic
// exponents return the usual head-outlet temperatures: one stage 325 °F at 125 psig from 80 °F, two stages 275 °F at
// 175 psig with 110 °F between the stages (typical, common practice; the exponents are our estimate, ±25 K).
const POLYTROPIC: Record<'piston1' | 'piston2', number> = { piston1: 1.2, piston2: 1.25 };
const INTERSTAGE_C = 43.3; // 110 °F, common practice
const SCREW_PACKAGE_RISE_K = 9.7; // 15–20 °F over the room after the built-in cooler, common practice
const OIL_FREE_C = 177; // 300–400 °F after the last stage, upstream of a cooler, common practice

// Oil carried over, mg/m³ of free air: 10–25 ppm by mass of one stage, 5–15 of two, 2–5 of a screw downstream of its own separator
// (common practice and estimates; worn ones 50 and more).
export const OIL_MG: Record<CompressorType, number> = { piston1: 18, piston2: 12, screw: 4, oilfree: 0 };

/**
 * Estimated temperature of the air that leaves the compressor.
 * @param pressureRatio absolute pressures, 1…20
 * @returns °C; ±25 K for pistons: measure rather than rely on it
 * @throws Refusal above 200 °C, where the moist-air equations end
 * @source polytropic compression, exponents set to usual head-outlet temperatures (common practice, estimate)
 * @example estimatedDischargeC('screw', 25, 8, 24) // 33.7
 */
export function estimatedDischargeC(
  type: CompressorType,
  inletC: number,
  pressureRatio: number,
  roomTemperatureC: number,
): number {
  if (type === 'screw') return roomTemperatureC + SCREW_PACKAGE_RISE_K;
  if (type === 'oilfree') return OIL_FREE_C;
  const n = POLYTROPIC[type];
  const stages = type === 'piston2' ? 2 : 1;
  const startC = stages === 2 ? INTERSTAGE_C : inletC;
  const dischargeC = (startC + ZERO_CELSIUS_K) * pressureRatio ** ((n - 1) / n / stages) - ZERO_CELSIUS_K;
  if (dischargeC > MOST_C)
    throw new Refusal(
      'dischargeTemperatureFrom',
      'The estimate passes {200 °C}, where the equations end. Measure the discharge temperature and enter it.',
    );
  return dischargeC;
}

/**
 * The middle of the band that the pressure switch keeps, Pa absolute: what the line runs at on average.
 * @example workingPressurePa({ cutInPa: 8e5, cutOutPa: 10e5 }) // 900000
 */
export function workingPressurePa(p: { readonly cutInPa: number; readonly cutOutPa: number }): number {
  return (p.cutInPa + p.cutOutPa) / 2;
}

function dischargeC(
  inlet: AirStream,
  p: {
    type: CompressorType;
    dischargeTemperatureFrom: string;
    dischargeTemperatureC: number;
    cutInPa: number;
    cutOutPa: number;
  },
  around: Surroundings,
): number {
  return p.dischargeTemperatureFrom === 'measured'
    ? p.dischargeTemperatureC
    : estimatedDischargeC(p.type, inlet.temperatureC, workingPressurePa(p) / inlet.pressurePa, around.roomTemperatureC);
}

/** The compressor: its free air delivery is the flow of the whole line while it is loaded. */
export const compressor = defineKind({
  kind: 'compressor',
  family: 'source',
  label: 'Compressor',
  does: 'Sets the flow, the pressure and the heat. All the water that came in leaves it as vapour.',
  equation: 'T₂ = T₁·r^((n−1)/(n·stages)) or measured; p₂ = middle of the band; no water leaves',
  ids: ['recip1', 'recip2', 'screw_oil', 'oilfree'],
  service: ['M05', 'M06', 'M06S', 'M08', 'M30', 'M31', 'M32', 'M33', 'M39', 'T04'],
  cautions: ['C09', 'C08', 'C11', 'C12'],
  parameters: z.strictObject({
    type: choiceField({ label: 'Type', options: TYPES }),
    freeAirDeliveryM3PerS: numberField({
      label: 'Free air delivery',
      help: 'What it delivers, counted as air at its inlet; not its displacement.',
      quantity: 'volumeFlow',
      least: 1e-4,
      most: 1,
      default: 16 * CFM, // 16 cfm
      source: 'typical of 5 hp (3.5 cfm/hp), common practice',
      uncertainty: { rel: 0.1 }, // condensate ±15–20 % with flow ±10 % (trade handbook)
    }),
    flowBasis: choiceField({
      label: 'Flow is counted',
      options: FLOW_BASIS_LABELS,
    }),
    control: choiceField({ label: 'Control', options: CONTROLS }),
    cutInPa: numberField({
      label: 'Cuts in at',
      help: 'Starts, or loads, when the pressure has fallen to this.',
      quantity: 'pressure',
      least: 1.2e5,
      most: 41e5,
      default: 7.56e5, // 95 psig
      source: 'typical of one stage, common practice',
      uncertainty: { abs: 13800 }, // 2.5 in grade B gauge, ±2 psi (ASME B40.100, recalled)
    }),
    cutOutPa: numberField({
      label: 'Cuts out at',
      quantity: 'pressure',
      least: 1.3e5,
      most: 41e5,
      default: 9.64e5, // 125 psig
      source: 'typical of one stage, common practice',
      uncertainty: { abs: 13800 },
    }),
    dischargeTemperatureFrom: choiceField({
      label: 'Discharge temperature',
      options: { estimated: 'estimated', measured: 'measured' },
    }),
    dischargeTemperatureC: numberField({
      label: 'Measured at the head outlet',
      help: 'Tape or matt paint over bare metal before using an infrared gun.',
      quantity: 'temperature',
      least: 0,
      most: 200,
      default: 163, // 325 °F
      source: 'typical of one stage, common practice',
      uncertainty: { abs: 5 },
      when: { field: 'dischargeTemperatureFrom', is: ['measured'] },
    }),
    dutyLimit: numberField({
      label: 'Loaded share of the time, at most',
      help: 'The limit without overheating.',
      quantity: 'share',
      least: 0.05,
      most: 1,
      default: 0.6,
      source: 'typical: 50–60 % of one stage, 60–75 % of two, screws 100 %; common practice',
    }),
    startsPerHour: z
      .int()
      .min(1)
      .max(120)
      .default(10)
      .meta({
        label: 'Starts in an hour, at most',
        least: 1,
        most: 120,
        source: 'typical motor limit: 10 up to 5 hp, 6 from 10 hp; common practice',
        when: { field: 'control', is: ['start-stop', 'run-on', 'speed'] },
      }),
    runOnS: numberField({
      label: 'Runs on unloaded for',
      quantity: 'duration',
      least: 0,
      most: 7200,
      default: 300,
      source: 'typical of a screw, common practice',
      when: { field: 'control', is: ['run-on'] },
    }),
    leastSpeed: numberField({
      label: 'Slowest, as a share of full delivery',
      quantity: 'share',
      least: 0.05,
      most: 1,
      default: 0.3,
      source: 'typical, common practice',
      when: { field: 'control', is: ['speed'] },
    }),
    dischargeSpaceM3: numberField({
      label: 'Air space of head and discharge pipe',
      help: 'Blown off by the unloader at each stop.',
      quantity: 'volume',
      least: 0,
      most: 0.2,
      default: 3e-4,
      source: 'estimate',
      when: { field: 'control', is: ['start-stop'] },
    }),
    joint: askedField('Its first joint is', { flexible: 'flexible', rigid: 'rigid' }),
  }),
  pass(inlet, p, around) {
    if (inlet.pressurePa > around.atmosphericPa)
      throw new Refusal(
        '',
        'A compressor stands directly downstream of its intake, before coolers, tanks and dryers. The air that comes here is compressed already: take it out, or give it a run of its own.',
      );
    if (p.cutInPa >= p.cutOutPa)
      throw new Refusal('cutInPa', 'It must cut in below the pressure at which it cuts out. Are the two swapped?');
    if (p.cutInPa <= inlet.pressurePa)
      throw new Refusal('cutInPa', 'The cut-in pressure must be above that of the intake air.');
    inlet.bringTo(dischargeC(inlet, p, around), workingPressurePa(p));
  },
  whyTemperature(inlet, p, around) {
    if (p.dischargeTemperatureFrom === 'measured')
      return {
        formula: 'as measured at the head outlet',
        inputs: [{ label: 'measured', quantity: 'temperature', value: p.dischargeTemperatureC, from: 'this stage' }],
        source: 'entered',
      };
    if (p.type === 'screw')
      return {
        formula: 'room + rise after the built-in cooler',
        inputs: [
          { label: 'room', quantity: 'temperature', value: around.roomTemperatureC, from: 'Survey' },
          { label: 'rise', quantity: 'temperatureDifference', value: SCREW_PACKAGE_RISE_K, from: 'typical' },
        ],
        source: 'typical, common practice',
      };
    if (p.type === 'oilfree')
      return {
        formula: 'typical of the last stage upstream of a cooler',
        inputs: [{ label: 'typical', quantity: 'temperature', value: OIL_FREE_C, from: 'typical' }],
        source: 'typical, common practice',
      };
    const two = p.type === 'piston2';
    return {
      formula: two ? 'T₂ = T₁ · r^((n−1)/(2n)), T₁ between the stages' : 'T₂ = T₁ · r^((n−1)/n)',
      inputs: [
        {
          label: 'T₁',
          quantity: 'temperature',
          value: two ? INTERSTAGE_C : inlet.temperatureC,
          from: two ? 'typical' : 'intake',
        },
        {
          label: 'r, absolute',
          quantity: 'number',
          value: workingPressurePa(p) / inlet.pressurePa,
          from: 'pressures',
        },
        { label: 'n', quantity: 'number', value: POLYTROPIC[p.type as 'piston1'], from: 'our estimate' },
      ],
      source: 'polytropic compression, n set to usual head-outlet readings (estimate, ±25 K)',
      note: 'Measure it: the head’s heat loss differs from compressor to compressor.',
    };
  },
  airSpaceM3: (p) => p.dischargeSpaceM3,
  cleans(dirt, p) {
    dirt.oilMg += OIL_MG[p.type];
    if (OIL_MG[p.type] > 0) dirt.oilWhy = `oil that a compressor (${TYPES[p.type]}) carries over, typical`;
  },
  whyPressure: (_inlet, p) => ({
    formula: 'middle of the band that the pressure switch keeps',
    inputs: [
      { label: 'cuts in at', quantity: 'pressure', value: p.cutInPa, from: 'this stage' },
      { label: 'cuts out at', quantity: 'pressure', value: p.cutOutPa, from: 'this stage' },
    ],
    source: 'entered',
  }),
});
