import { INCH } from '../quantity/constants';
import { fullyRoughFactor } from './friction';

const inches = (bore: number, outside: number) => ({ boreM: bore * INCH, outsideM: outside * INCH });
const mm = (outside: number, wall: number) => ({ boreM: (outside - 2 * wall) / 1e3, outsideM: outside / 1e3 });

/** Nominal sizes, smallest first. */
export const NOMINAL = {
  '1/4': '¼ in · DN 8',
  '3/8': '⅜ in · DN 10',
  '1/2': '½ in · DN 15',
  '3/4': '¾ in · DN 20',
  '1': '1 in · DN 25',
  '1-1/4': '1¼ in · DN 32',
  '1-1/2': '1½ in · DN 40',
  '2': '2 in · DN 50',
  '2-1/2': '2½ in · DN 65',
  '3': '3 in · DN 80',
  '4': '4 in · DN 100',
  '6': '6 in · DN 150',
} as const;
export type Nominal = keyof typeof NOMINAL;
const SIZES = [
  '1/4',
  '3/8',
  '1/2',
  '3/4',
  '1',
  '1-1/4',
  '1-1/2',
  '2',
  '2-1/2',
  '3',
  '4',
  '6',
] as const satisfies readonly Nominal[];

interface Bore {
  readonly boreM: number;
  readonly outsideM: number;
}
interface Material {
  readonly label: string;
  /** Roughness inside, clean. */
  readonly roughnessM: number;
  /** How it gives off heat: as the cooling run names it. */
  readonly outside: 'copper' | 'dark' | 'hose';
  readonly sizes: Partial<Record<Nominal, Bore>>;
  /** Id of the caution of what must not carry air. */
  readonly caution?: 'C05' | 'C06';
}

// ASME B36.10 schedule 40 (recalled).
const SCHEDULE_40 = {
  '1/4': inches(0.364, 0.54),
  '3/8': inches(0.493, 0.675),
  '1/2': inches(0.622, 0.84),
  '3/4': inches(0.824, 1.05),
  '1': inches(1.049, 1.315),
  '1-1/4': inches(1.38, 1.66),
  '1-1/2': inches(1.61, 1.9),
  '2': inches(2.067, 2.375),
  '2-1/2': inches(2.469, 2.875),
  '3': inches(3.068, 3.5),
  '4': inches(4.026, 4.5),
  '6': inches(6.065, 6.625),
};

/** Pipe by what it is made of, with true bores. Roughness: texts on fluid mechanics (recalled); plastics as drawn tube. */
export const MATERIALS = {
  black: { label: 'black steel, schedule 40', roughnessM: 46e-6, outside: 'dark', sizes: SCHEDULE_40 },
  galvanised: { label: 'galvanised steel, schedule 40', roughnessM: 150e-6, outside: 'dark', sizes: SCHEDULE_40 },
  copper: {
    label: 'copper, type L',
    roughnessM: 1.5e-6,
    outside: 'copper',
    // ASTM B88 (recalled).
    sizes: {
      '1/4': inches(0.315, 0.375),
      '3/8': inches(0.43, 0.5),
      '1/2': inches(0.545, 0.625),
      '3/4': inches(0.785, 0.875),
      '1': inches(1.025, 1.125),
      '1-1/4': inches(1.265, 1.375),
      '1-1/2': inches(1.505, 1.625),
      '2': inches(1.985, 2.125),
      '2-1/2': inches(2.465, 2.625),
      '3': inches(2.945, 3.125),
      '4': inches(3.905, 4.125),
    },
  },
  stainless: {
    label: 'stainless steel, pressed',
    roughnessM: 1.5e-6,
    outside: 'copper',
    // EN 10312, series 2 (recalled).
    sizes: {
      '3/8': mm(15, 1),
      '1/2': mm(18, 1),
      '3/4': mm(22, 1.2),
      '1': mm(28, 1.2),
      '1-1/4': mm(35, 1.5),
      '1-1/2': mm(42, 1.5),
      '2': mm(54, 1.5),
      '2-1/2': mm(76.1, 2),
      '3': mm(88.9, 2),
      '4': mm(108, 2),
    },
  },
  aluminium: {
    label: 'aluminium, for compressed air',
    roughnessM: 1.5e-6,
    outside: 'dark',
    // Walls differ from maker to maker (estimate): look at the print on the pipe.
    sizes: {
      '1/2': mm(20, 1.5),
      '3/4': mm(25, 1.5),
      '1': mm(32, 1.6),
      '1-1/4': mm(40, 1.8),
      '1-1/2': mm(50, 2),
      '2': mm(63, 2.2),
      '3': mm(80, 2.5),
      '4': mm(110, 3),
    },
  },
  'rated-plastic': {
    label: 'plastic that its maker rates for compressed air',
    roughnessM: 1.5e-6,
    outside: 'hose',
    // Polyethylene SDR 11 (ISO 4427, recalled).
    sizes: {
      '1/2': mm(20, 2),
      '3/4': mm(25, 2.3),
      '1': mm(32, 3),
      '1-1/4': mm(40, 3.7),
      '1-1/2': mm(50, 4.6),
      '2': mm(63, 5.8),
      '2-1/2': mm(75, 6.8),
      '3': mm(90, 8.2),
      '4': mm(110, 10),
    },
  },
  'water-pex': {
    label: 'PEX water tube, not rated for air',
    roughnessM: 1.5e-6,
    outside: 'hose',
    // ASTM F876, SDR 9 (recalled).
    sizes: {
      '3/8': inches(0.35, 0.5),
      '1/2': inches(0.475, 0.625),
      '3/4': inches(0.671, 0.875),
      '1': inches(0.863, 1.125),
    },
    caution: 'C06',
  },
  pvc: {
    label: 'PVC or CPVC: must not carry air',
    roughnessM: 1.5e-6,
    outside: 'hose',
    sizes: SCHEDULE_40,
    caution: 'C05',
  },
} as const satisfies Record<string, Material>;
export type PipeMaterial = keyof typeof MATERIALS;

/**
 * The true bore and outside diameter of a nominal size; `undefined` where the material is not made in it.
 * @returns m
 * @source as beside each material of the table
 * @example boreOf('black', '1/2')?.boreM // 0.01580
 */
export function boreOf(material: PipeMaterial, size: Nominal): Bore | undefined {
  return (MATERIALS[material].sizes as Partial<Record<Nominal, Bore>>)[size];
}

/**
 * The next nominal size in which a material is made.
 * @returns nothing above the largest
 * @example nextSize('black', '1/2') // '3/4'
 */
export function nextSize(material: PipeMaterial, size: Nominal): Nominal | undefined {
  return SIZES.slice(SIZES.indexOf(size) + 1).find((s) => boreOf(material, s));
}

/** Equivalent lengths of fittings in diameters, n of K = n·f_T (texts on flow through fittings, recalled; reference group 9). */
export const FITTINGS = {
  elbows: { label: '90° elbows', perBore: 30 },
  longElbows: { label: '90° elbows, long radius', perBore: 14 },
  halfElbows: { label: '45° elbows', perBore: 16 },
  branchTees: { label: 'tees into the branch', perBore: 60 },
  throughTees: { label: 'tees straight through', perBore: 20 },
  gateValves: { label: 'gate valves, open', perBore: 8 },
  ballValves: { label: 'ball valves, open, full bore', perBore: 3 },
  globeValves: { label: 'globe valves, open', perBore: 340 },
} as const;
export type Fitting = keyof typeof FITTINGS;

/**
 * Loss coefficient of one fitting, in velocity heads.
 * @param roughnessM, boreM m
 * @returns K, on the velocity in that bore
 * @source n · f_T (texts on flow through fittings, recalled; reference group 9)
 * @example fittingK('elbows', 4.6e-5, 0.0127) // 0.828
 */
export function fittingK(fitting: Fitting, roughnessM: number, boreM: number): number {
  return FITTINGS[fitting].perBore * fullyRoughFactor(roughnessM / boreM);
}
