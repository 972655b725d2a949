import { z } from 'zod';
import { pressureDewPointC } from '../../air/dew-point';
import { vapourFractionFromRatio } from '../../air/humidity';
import { type Conduit, pressureBehindPa, velocityMPerS } from '../../pipe-flow/friction';
import {
  boreOf,
  FITTINGS,
  type Fitting,
  fittingK,
  MATERIALS,
  NOMINAL,
  type Nominal,
  nextSize,
  type PipeMaterial,
} from '../../pipe-flow/pipes';
import type { AirStream } from '../../stream/air-stream';
import { coolAlong } from '../cooling/cooling-run';
import { askedField } from '../shared/build-fields';
import { drained, drainFields } from '../shared/drain-fields';
import { aboveAtmosphere, choiceField, chokes, defineKind, numberField, Refusal } from '../shared/kind';

/** Fastest that the air should go: so slow that drops stay on the floor of a main (trade handbook, common practice). */
const FASTEST = { main: 6, branch: 9, service: 15 } as const;
const ENOUGH_FALL = 0.01; // 1–2 %, common practice
const LEGS_EVERY_M = 30; // 15–30 m, common practice
const PER_LEG = 0.5; // of the drops that pass a low point (estimate, as in a cooling run)

const cautionOf = (material: PipeMaterial): [string] | undefined => {
  const { caution } = MATERIALS[material] as { caution?: string };
  return caution ? [caution] : undefined;
};

type Counts = Record<Fitting, number>;
interface Settings extends Counts {
  material: PipeMaterial;
  size: Nominal;
  lengthM: number;
  legs: number;
  fall: number;
}

function boreAndOutside(p: Settings) {
  const bore = boreOf(p.material, p.size);
  if (!bore) throw new Refusal('size', 'This pipe is not made in this size. Choose the size that stands on it.');
  return bore;
}

function conduitOf(p: Settings): Conduit {
  const { boreM } = boreAndOutside(p);
  const { roughnessM } = MATERIALS[p.material];
  const k = (Object.keys(FITTINGS) as Fitting[]).reduce((sum, f) => sum + p[f] * fittingK(f, roughnessM, boreM), 0);
  return { boreM, lengthM: p.lengthM, roughnessM, k };
}

const flowing = ({ dryAirKgPerS, temperatureC, pressurePa }: AirStream) => ({
  kgPerS: dryAirKgPerS,
  temperatureC,
  pressurePa,
});

const dewPointOf = (air: AirStream): number =>
  pressureDewPointC(vapourFractionFromRatio(air.vapourKgPerS / air.dryAirKgPerS), air.pressurePa, air.basis);

function leavesPa(inlet: AirStream, p: Settings): number {
  const out = pressureBehindPa(flowing(inlet), conduitOf(p));
  if (out === undefined) throw chokes('pipe');
  return out;
}

/** What one elbow costs at this flow: folklore has it that bends eat pressure. */
function elbowPa(inlet: AirStream, p: Settings): number {
  const { boreM, roughnessM } = conduitOf(p);
  const bend: Conduit = { boreM, roughnessM, lengthM: 0, k: fittingK('elbows', roughnessM, boreM) };
  return inlet.pressurePa - (pressureBehindPa(flowing(inlet), bend) ?? inlet.pressurePa);
}

const tubeOf = (p: Settings) =>
  ({
    material: MATERIALS[p.material].outside,
    air: 'still',
    lengthM: p.lengthM,
    outsideDiameterM: boreAndOutside(p).outsideM,
  }) as const;

const caught = (p: Settings): number => 1 - (1 - PER_LEG * Math.min(1, p.fall / ENOUGH_FALL)) ** p.legs;

const count = (fitting: Fitting) =>
  z
    .int()
    .min(0)
    .max(200)
    .default(0)
    .meta({ label: `Number of ${FITTINGS[fitting].label}`, least: 0, most: 200, source: 'none counted' });

/** Pipe as it is laid: a header, a drop, a branch, a run through a cold room. */
export const pipe = defineKind({
  kind: 'pipe',
  family: 'serving',
  label: 'Pipe',
  does: 'A run of pipe with its fittings: it costs pressure, and where it crosses a colder room it drops water.',
  alsoCalled: ['header', 'main', 'ring main', 'drop pipe', 'tubing', 'black iron', 'copper', 'elbow', 'tee', 'fitting'],
  equation: 'p₁² − p₂² = (m/A)²·R·T·(f·L/D + Σ n·f_T + 2·ln(p₁/p₂)), f by Colebrook–White; T as a cooling run',
  ids: ['Pipework'],
  service: ['M02', 'M03', 'M04'],
  cautions: ['C07', 'C38', 'C35'],
  moreCautions: (p) => cautionOf(p.material) ?? [],
  parameters: z.strictObject({
    material: choiceField({
      label: 'Pipe',
      options: Object.fromEntries(Object.entries(MATERIALS).map(([id, m]) => [id, m.label])) as Record<
        PipeMaterial,
        string
      >,
    }),
    size: choiceField({ label: 'Nominal size', options: NOMINAL, default: '3/4' }),
    use: choiceField({
      label: 'It is',
      options: { main: 'a main or header', branch: 'a branch or drop', service: 'a short service pipe' },
    }),
    lengthM: numberField({
      label: 'Length',
      quantity: 'length',
      least: 0.1,
      most: 3000,
      default: 15.24,
      source: 'typical, common practice',
      uncertainty: { rel: 0.05 },
    }),
    elbows: count('elbows'),
    longElbows: count('longElbows'),
    halfElbows: count('halfElbows'),
    branchTees: count('branchTees'),
    throughTees: count('throughTees'),
    gateValves: count('gateValves'),
    ballValves: count('ballValves'),
    globeValves: count('globeValves'),
    fall: numberField({
      label: 'Fall towards its low points',
      help: '1 % is 1 cm in a metre, ⅛ in per foot; ¼ in per foot is 2.1 %.',
      quantity: 'fall',
      least: 0,
      most: 1,
      default: 0.01,
      source: 'typical, 1–2 %; common practice',
    }),
    legs: z
      .int()
      .min(0)
      .max(100)
      .default(0)
      .meta({ label: 'Drip legs along it', least: 0, most: 100, source: 'none counted' }),
    ...drainFields('manual', 3e-4),
    takeOff: askedField(
      'It leaves the main',
      { top: 'from the top', side: 'from the side or bottom' },
      {
        when: { field: 'use', is: ['branch', 'service'] },
      },
    ),
    joints: askedField('Its joints', { metal: 'threaded, pressed, brazed', soft: 'soft-soldered' }),
  }),
  pass(inlet, p, around) {
    const out = aboveAtmosphere(leavesPa(inlet, p), 'pipe', around);
    coolAlong(inlet, tubeOf(p), around, out);
    if (p.legs > 0) inlet.catchDrops(drained(p.drain, caught(p), around));
  },
  wider(p) {
    const size = nextSize(p.material, p.size);
    const [own, wider] = [boreOf(p.material, p.size), size && boreOf(p.material, size)];
    if (!size || !own || !wider) return undefined;
    const metal = (b: { outsideM: number; boreM: number }): number => b.outsideM ** 2 - b.boreM ** 2;
    const times = metal(wider) / metal(own);
    return {
      parameters: { ...p, size },
      says: `${NOMINAL[size]} pipe`,
      costs: `${times.toFixed(1)} × the price of this pipe: it goes by weight (estimate)`,
    };
  },
  airSpaceM3: (p) => (Math.PI / 4) * (boreOf(p.material, p.size)?.boreM ?? 0) ** 2 * p.lengthM,
  catches: (p, around) => ({
    efficiency: drained(p.drain, caught(p), around),
    source: 'half at each low point where the pipe falls 1 % or more, estimate',
  }),
  shows(inlet, p, around) {
    const { boreM } = boreAndOutside(p);
    const speed = velocityMPerS(flowing(inlet), boreM);
    const spacing = p.lengthM / (p.legs + 1);
    const [caution] = cautionOf(p.material) ?? [];
    return [
      { label: 'True bore', quantity: 'size', value: boreM },
      { label: 'Velocity', quantity: 'speed', value: speed, warns: speed > FASTEST[p.use] },
      ...(speed > FASTEST[p.use]
        ? [{ label: 'Too fast: at most', quantity: 'speed' as const, value: FASTEST[p.use], warns: true }]
        : []),
      { label: 'One 90° elbow costs here', quantity: 'pressureDifference', value: elbowPa(inlet, p) },
      { label: 'Holds', quantity: 'volume', value: (Math.PI / 4) * boreM ** 2 * p.lengthM },
      ...(p.use !== 'service' && p.lengthM > LEGS_EVERY_M && spacing > LEGS_EVERY_M
        ? [{ label: 'A low point with a leg every', quantity: 'length' as const, value: spacing, warns: true }]
        : []),
      ...(p.use === 'main' && p.fall < ENOUGH_FALL && p.lengthM > 6
        ? [{ label: 'Falls', text: 'too little for water to run: 1–2 %', warns: true }]
        : []),
      ...(around.roomTemperatureC < 0 && (inlet.liquidKgPerS > 0 || dewPointOf(inlet) > around.roomTemperatureC)
        ? [
            {
              label: 'Freezes',
              text: 'water condenses in it and freezes: dry the air before, trace the pipe or move it',
              warns: true,
            },
          ]
        : []),
      ...(caution === 'C05'
        ? [{ label: 'Danger', text: 'it shatters under air: take it out of service now', warns: true }]
        : caution
          ? [{ label: 'Not rated', text: 'made for water: its maker must list it for compressed air', warns: true }]
          : []),
    ];
  },
  whyTemperature: (inlet, p, around) => ({
    formula: 'dT/dL = −U·π·D·(T − room) / (m·(cp + r·dw/dT)), in steps along the pipe',
    inputs: [
      { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
      { label: 'room', quantity: 'temperature', value: around.roomTemperatureC, from: 'Survey, where it stands' },
      { label: 'length', quantity: 'length', value: p.lengthM, from: 'this stage' },
    ],
    source: 'heat exchange with constant surroundings; U is an estimate',
  }),
  whyPressure(inlet, p) {
    const { boreM, k } = conduitOf(p);
    return {
      formula: 'p₁² − p₂² = (m/A)²·R·T·(f·L/D + K of its fittings + 2·ln(p₁/p₂))',
      inputs: [
        { label: 'arrives', quantity: 'pressure', value: inlet.pressurePa, from: 'stage before' },
        { label: 'm, air', quantity: 'massFlow', value: inlet.dryAirKgPerS, from: 'its share of the air' },
        { label: 'bore', quantity: 'size', value: boreM, from: NOMINAL[p.size] },
        { label: 'length', quantity: 'length', value: p.lengthM, from: 'this stage' },
        { label: 'K of its fittings', quantity: 'number', value: k, from: 'n·f_T, counted' },
        { label: 'velocity', quantity: 'speed', value: velocityMPerS(flowing(inlet), boreM), from: 'm, bore, density' },
      ],
      source: 'Darcy–Weisbach with Colebrook–White, isothermal compressible flow',
    };
  },
});
