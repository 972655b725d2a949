import { z } from 'zod';
import type { AirStream } from '../../stream/air-stream';
import { temperatureBehindWallC } from '../../stream/wall';
import { askedField } from '../shared/build-fields';
import { drained, drainFields } from '../shared/drain-fields';
import { choiceField, defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

const MATERIALS = { copper: 'bare copper', dark: 'black steel or painted pipe', hose: 'rubber hose' } as const;
// W/(m²·K) on the outside: 1.8 Btu/(h·ft²·°F) in still air and 4 in moving air for bare copper, 15–30 % more for dull or
// painted pipe, 0.8–1.2 for hose (trade handbook, estimates).
const BTU = 5.678;
const U: Record<keyof typeof MATERIALS, { still: number; moving: number }> = {
  copper: { still: 1.8 * BTU, moving: 4 * BTU },
  dark: { still: 2.2 * BTU, moving: 4.4 * BTU },
  hose: { still: 0.9 * BTU, moving: 1.2 * BTU },
};
const STEPS = 24;
const ENOUGH_FALL = 0.01; // 1–2 % of mains, common practice
const PER_LEG = 0.5; // of the drops that pass a low point with a drain (estimate)

interface Pipe {
  material: keyof typeof MATERIALS;
  air: 'still' | 'moving';
  lengthM: number;
  outsideDiameterM: number;
}

/** A place along a cooling run. */
export interface AlongRun {
  readonly atM: number;
  readonly temperatureC: number;
  /** What has dropped out of the air up to here. */
  readonly droppedKgPerS: number;
}

/** What its surface passes, W/K. */
const wallOf = (pipe: Pipe): number => U[pipe.material][pipe.air] * Math.PI * pipe.outsideDiameterM * pipe.lengthM;

/**
 * Temperature of the air along a bare pipe in a room, with the heat that condensing water sets free.
 * @param inlet the air that enters; left as it is
 * @returns a place a step, the inlet first
 */
export function alongCoolingRun(inlet: AirStream, pipe: Pipe, roomC: number): AlongRun[] {
  return Array.from({ length: STEPS + 1 }, (_, step) => {
    const part = step / STEPS;
    const temperatureC = temperatureBehindWallC(inlet, wallOf(pipe) * part, roomC);
    const air = inlet.copy().bringTo(temperatureC, inlet.pressurePa);
    return {
      atM: pipe.lengthM * part,
      temperatureC,
      droppedKgPerS: air.liquidKgPerS + (air.lost?.frozenKgPerS ?? 0) - inlet.liquidKgPerS,
    };
  });
}

/**
 * Lets the air cool along a pipe or hose, and then lose pressure in it.
 * @example coolAlong(air, { material: 'copper', size: '1/2', lengthM: 10 }, { roomTemperatureC: 20 }, 8e5).temperatureC // 30
 */
export function coolAlong(
  inlet: AirStream,
  pipe: Pipe,
  { roomTemperatureC, along }: Pick<Surroundings, 'roomTemperatureC' | 'along'>,
  pressurePa: number,
): AirStream {
  for (const { share, roomC } of along ?? [{ share: 1, roomC: roomTemperatureC }])
    inlet.bringTo(temperatureBehindWallC(inlet, wallOf(pipe) * share, roomC), inlet.pressurePa);
  return inlet.expandTo(pressurePa);
}

const boreM = (p: { outsideDiameterM: number; wallM: number }): number => p.outsideDiameterM - 2 * p.wallM;

/** Share of the drops that run to the low points; from a run that lies level they do not run (estimate). */
const caughtAlong = (p: { legs: number; fall: number }): number =>
  1 - (1 - PER_LEG * Math.min(1, p.fall / ENOUGH_FALL)) ** p.legs;

/** Bare pipe or hose in which the air cools towards the room. */
export const coolingRun = defineKind({
  kind: 'cooling-run',
  family: 'cooling',
  label: 'Cooling run',
  does: 'Bare copper in a zig-zag, or looped hose, in which the air cools towards the room. Every low point holds water.',
  alsoCalled: ['copper zig-zag', 'pig tail', 'cooling coil', 'radiator pipe', 'looped hose', 'drop leg manifold'],
  equation: 'dT/dL = −U·π·D·(T − room)/(m·(cp + r·dw/dT))',
  ids: ['coolrun', 'coolhose'],
  service: ['M02', 'M03', 'M04', 'M41'],
  cautions: ['C09', 'C38', 'C36'],
  parameters: z.strictObject({
    method: choiceField({
      label: 'Outlet temperature',
      options: { estimated: 'estimated from the pipe', measured: 'measured' },
    }),
    material: choiceField({ label: 'Pipe', options: MATERIALS }),
    air: choiceField({ label: 'Air round it', options: { still: 'still', moving: 'moved by a fan' } }),
    lengthM: numberField({
      label: 'Length',
      quantity: 'length',
      least: 0.3,
      most: 200,
      default: 15.24, // 50 ft
      source: 'typical, common practice',
      uncertainty: { rel: 0.05 },
    }),
    outsideDiameterM: numberField({
      label: 'Outside diameter',
      help: 'Tube is sized by outside diameter; ¾ in copper pipe measures {22 mm}.',
      quantity: 'size',
      least: 0.006,
      most: 0.12,
      default: 0.02223, // 3/4 in type L, 0.875 in
      source: 'typical, common practice',
    }),
    wallM: numberField({
      label: 'Wall',
      quantity: 'size',
      least: 2e-4,
      most: 0.02,
      default: 1.14e-3, // 0.045 in
      source: 'copper type L, 3/4 in (handbook, recalled)',
    }),
    outletTemperatureC: numberField({
      label: 'Measured at its end',
      quantity: 'temperature',
      least: -20,
      most: 150,
      default: 30,
      source: 'typical, common practice',
      uncertainty: { abs: 2.8 },
      when: { field: 'method', is: ['measured'] },
    }),
    legs: z
      .int()
      .min(0)
      .max(30)
      .default(3)
      .meta({ label: 'Low points or drip legs along it', least: 0, most: 30, source: 'typical of a zig-zag' }),
    fall: numberField({
      label: 'Fall towards its low points',
      help: '1 % is 1 cm in a metre; ¼ in per foot is 2.1 %. Lying level, it keeps its water.',
      quantity: 'fall',
      least: 0,
      most: 1,
      default: 0.02,
      source: 'typical, 1–2 %; common practice',
    }),
    ...drainFields('manual', 3e-4),
    ...lossFields(3e3),
    tube: askedField('The tube', { rated: 'is rated for this pressure', none: 'has no rating for air' }),
    joints: askedField('Its joints', { metal: 'threaded, pressed, brazed', soft: 'soft-soldered' }),
  }),
  pass(inlet, p, around) {
    if (boreM(p) <= 0)
      throw new Refusal('wallM', 'A wall this thick leaves no bore. Check it and the outside diameter.');
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    if (p.method === 'measured') inlet.bringTo(p.outletTemperatureC, pressurePa);
    else coolAlong(inlet, p, around, pressurePa);
    inlet.catchDrops(drained(p.drain, caughtAlong(p), around));
  },
  whyTemperature(inlet, p, around) {
    if (p.method === 'measured')
      return {
        formula: 'as measured at its end',
        inputs: [{ label: 'measured', quantity: 'temperature', value: p.outletTemperatureC, from: 'this stage' }],
        source: 'entered',
      };
    const near = alongCoolingRun(inlet, p, around.roomTemperatureC).find(
      (place) => Math.abs(place.temperatureC - around.roomTemperatureC) < 1,
    );
    return {
      formula: 'dT/dL = −U·π·D·(T − room) / (m·(cp + r·dw/dT)), in steps along the pipe',
      inputs: [
        { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
        { label: 'room', quantity: 'temperature', value: around.roomTemperatureC, from: 'Survey' },
        {
          label: 'U, W/(m²·K)',
          quantity: 'number',
          value: U[p.material][p.air],
          from: 'pipe and air round it, estimate',
        },
        { label: 'length', quantity: 'length', value: p.lengthM, from: 'this stage' },
        { label: 'outside diameter', quantity: 'size', value: p.outsideDiameterM, from: 'this stage' },
        { label: 'm, dry air', quantity: 'massFlow', value: inlet.dryAirKgPerS, from: 'its share of the air' },
      ],
      source: 'heat exchange with constant surroundings; U is an estimate',
      note: near
        ? `Within {1 K} of the room after {${near.atM.toFixed(1)} m}: beyond that hardly anything more drops.`
        : 'Still warmer than the room at its end: a longer run would drop more water.',
    };
  },
  airSpaceM3: (p) => (Math.PI / 4) * boreM(p) ** 2 * p.lengthM,
  catches: (p, around) => ({
    efficiency: drained(p.drain, caughtAlong(p), around),
    source: 'half at each low point where the run falls 1 % or more, estimate',
  }),
});
