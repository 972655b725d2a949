import { z } from 'zod';
import type { AirStream } from '../../stream/air-stream';
import { askedField, platePressure, ratingFields } from '../shared/build-fields';
import { catchField, drained, drainFields } from '../shared/drain-fields';
import { choiceField, defineKind, numberField, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

const HEIGHT_TO_DIAMETER = 2.5; // usual proportions of a shop receiver (estimate)

/**
 * Outside surface of a receiver of usual proportions: a cylinder two and a half times as long as it is wide, m².
 * @example receiverSurfaceM2(0.227) // 2.24
 */
export function receiverSurfaceM2(volumeM3: number): number {
  const diameter = ((4 * volumeM3) / (Math.PI * HEIGHT_TO_DIAMETER)) ** (1 / 3);
  return Math.PI * diameter ** 2 * (HEIGHT_TO_DIAMETER + 0.5);
}

/** How a receiver stands: its length is up, or along. */
export type Stands = 'upright' | 'lying';

/** Part of a circle's area that lies under a height, as a share of the whole; both as shares of the diameter. */
function segmentShare(height: number): number {
  const angle = 2 * Math.acos(1 - 2 * Math.min(1, Math.max(0, height)));
  return (angle - Math.sin(angle)) / (2 * Math.PI);
}

/**
 * How high water stands in a receiver of usual proportions (two and a half times as long as it is wide), m; dished ends
 * left out. Lying down the same water stands higher at first, for the vessel is narrow at its bottom.
 * @returns at most the height of the vessel
 * @source volume of a cylinder; of a circular segment, by bisection
 * @example receiverHeelM(0.227, 0.005) // 0.0268
 */
export function receiverHeelM(volumeM3: number, waterM3: number, stands: Stands = 'upright'): number {
  const diameter = ((4 * volumeM3) / (Math.PI * HEIGHT_TO_DIAMETER)) ** (1 / 3);
  const share = Math.min(1, waterM3 / volumeM3);
  if (stands === 'upright') return share * HEIGHT_TO_DIAMETER * diameter;
  let [low, high] = [0, 1];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (segmentShare(middle) < share) low = middle;
    else high = middle;
  }
  return high * diameter;
}

/**
 * What the wall of a receiver passes to the room, W/K.
 * @example receiverWallWPerK({ volumeM3: 0.5, heatLossWPerM2K: 10 }) // 37.9
 */
export const receiverWallWPerK = (p: { volumeM3: number; heatLossWPerM2K: number }): number =>
  p.heatLossWPerM2K * receiverSurfaceM2(p.volumeM3);

/**
 * Brings air to what a stirred vessel makes of it in steady running: the wall loses heat all the time, heat comes only
 * while the compressor is loaded, and vapour that condenses gives off its own.
 * @param around with the share of the working time in which the compressor is loaded
 * @source heat balance of a stirred vessel: φ·(H₁ − H₂) = U·A·(T₂ − room), H by ASHRAE Fundamentals ch. 1
 */
export function standInVessel(air: AirStream, wallWPerK: number, pressurePa: number, around: Surroundings): AirStream {
  const { loadedShare, roomTemperatureC } = around;
  if (!(loadedShare > 0)) return air.bringTo(roomTemperatureC, pressurePa);
  return air.bringToEnthalpy(air.enthalpyW, pressurePa, wallWPerK / loadedShare, roomTemperatureC);
}

const LEAST_ABOVE_K = 0.5; // less above the room tells nothing of the wall

/**
 * What the wall passes by a measured outlet temperature: the same balance, solved for the wall; `undefined` where it tells nothing.
 * @example impliedWallWPerK(air, 27, around) // 27.3
 */
export function impliedWallWPerK(air: AirStream, outletC: number, around: Surroundings): number | undefined {
  const aboveK = outletC - around.roomTemperatureC;
  const lostW = air.enthalpyW - air.copy().bringTo(outletC, air.pressurePa).enthalpyW;
  return aboveK >= LEAST_ABOVE_K && lostW > 0 ? (around.loadedShare * lostW) / aboveK : undefined;
}

/** Stores air, cools it through its wall and lets drops settle. */
export const receiver = defineKind({
  kind: 'receiver',
  family: 'source',
  label: 'Receiver',
  does: 'Stores the air, cools it through its wall and lets drops settle to its drain.',
  alsoCalled: ['tank', 'air tank', 'air receiver', 'reservoir', 'petcock'],
  equation: 'φ·(H₁ − H₂) = U·A·(T₂ − room), φ the share loaded, or measured; drops settle by a share',
  ids: ['rcv_wet', 'rcv_dry'],
  service: ['M01', 'M03', 'M04', 'M26', 'M28', 'M29'],
  cautions: ['C01', 'C04', 'C36', 'C35'],
  parameters: z.strictObject({
    volumeM3: numberField({
      label: 'Volume',
      quantity: 'volume',
      least: 0.004,
      most: 20,
      default: 0.2271, // 60 US gal
      source: 'typical of a small shop',
      uncertainty: { rel: 0.05 },
    }),
    stands: choiceField({ label: 'It stands', options: { upright: 'upright', lying: 'lying' } }),
    method: choiceField({
      label: 'Outlet temperature',
      options: { estimated: 'estimated from its surface', measured: 'measured' },
    }),
    heatLossWPerM2K: z
      .number()
      .min(0)
      .max(50)
      .default(8.5) // 1.5 Btu/(h·ft²·°F), still air
      .meta({
        label: 'Heat loss, W per m² and K',
        least: 0,
        most: 50,
        uncertainty: { rel: 0.4 },
        source: 'estimate, still air',
        reads: 'the temperature of the air that leaves it',
        when: { field: 'method', is: ['estimated'] },
      }),
    outletTemperatureC: numberField({
      label: 'Measured at its outlet',
      quantity: 'temperature',
      least: -20,
      most: 150,
      default: 35,
      source: 'typical, common practice',
      uncertainty: { abs: 2.8 },
      when: { field: 'method', is: ['measured'] },
    }),
    settlingEfficiency: catchField({
      label: 'Drops that settle',
      default: 0.7, // 0.6–0.8 at low flow
      source: 'estimate',
      uncertainty: 0.1,
    }),
    ...drainFields('manual', 5e-3),
    ...lossFields(0),
    nameplate: askedField('Its nameplate', {
      legible: 'is legible, and for air',
      none: 'is gone or not legible',
      other: 'is for another gas, or the tank was repaired by an unknown person',
    }),
    ...ratingFields(230, 'often 450 °F on small tanks, common practice'),
    relief: askedField('Relief valve', {
      own: 'of its own, nothing between',
      none: 'none',
    }),
    reliefSetGaugePa: platePressure('It opens at', 'Stamped on it.'),
    strainer: askedField('Strainer upstream of its drain', { fitted: 'fitted', none: 'none' }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    if (p.method === 'measured') inlet.bringTo(p.outletTemperatureC, pressurePa);
    else standInVessel(inlet, receiverWallWPerK(p), pressurePa, around);
    inlet.catchDrops(drained(p.drain, p.settlingEfficiency, around));
  },
  whyTemperature(inlet, p, around) {
    if (p.method === 'measured')
      return {
        formula: 'as measured at its outlet',
        inputs: [{ label: 'measured', quantity: 'temperature', value: p.outletTemperatureC, from: 'this stage' }],
        source: 'entered',
      };
    return {
      formula: 'share loaded · (H of air in − H of air out) = U·A·(T − room)',
      inputs: [
        { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
        { label: 'room', quantity: 'temperature', value: around.roomTemperatureC, from: 'Survey' },
        { label: 'U, W/(m²·K)', quantity: 'number', value: p.heatLossWPerM2K, from: 'this stage' },
        { label: 'A, m²', quantity: 'number', value: receiverSurfaceM2(p.volumeM3), from: 'volume, usual proportions' },
        { label: 'm, dry air', quantity: 'massFlow', value: inlet.dryAirKgPerS, from: 'compressor' },
        { label: 'share loaded', quantity: 'share', value: around.loadedShare, from: 'Survey' },
      ],
      source: 'heat balance of a stirred vessel, condensation included; U is an estimate',
      note: 'Heat comes only while the compressor is loaded; the wall loses it all the time.',
    };
  },
  catches: (p, around) => ({ efficiency: drained(p.drain, p.settlingEfficiency, around), source: 'estimate' }),
});
