import { INCH } from '../quantity/constants';

/** Flank angle of a thread: 60° of the unified and NPT threads, 55° of the Whitworth forms (BSP). */
export type ThreadForm = 60 | 55;

/** A thread as it can be measured on the thing in hand. */
export interface Thread {
  readonly form: ThreadForm;
  /** Outside diameter of the male thread, m; of a taper thread that of its pipe. */
  readonly outsideM: number;
  readonly perInch: number;
  readonly taper: boolean;
}

const npt = (outsideInch: number, perInch: number): Thread => ({
  form: 60,
  outsideM: outsideInch * INCH,
  perInch,
  taper: true,
});
/** Outside diameter of the pipe and threads an inch. ASME B1.20.1, table 2 (recalled). */
export const NPT = {
  '1/8': npt(0.405, 27),
  '1/4': npt(0.54, 18),
  '3/8': npt(0.675, 18),
  '1/2': npt(0.84, 14),
  '3/4': npt(1.05, 14),
  '1': npt(1.315, 11.5),
  '1-1/4': npt(1.66, 11.5),
  '1-1/2': npt(1.9, 11.5),
  '2': npt(2.375, 11.5),
} as const;
export type PipeThread = keyof typeof NPT;
/** Smallest first; keys that are numbers come first in an object whatever its order. */
export const PIPE_THREADS = [
  '1/8',
  '1/4',
  '3/8',
  '1/2',
  '3/4',
  '1',
  '1-1/4',
  '1-1/2',
  '2',
] as const satisfies readonly PipeThread[];

/** Major diameter, mm, and threads an inch. ISO 7-1 at the gauge plane and ISO 228-1 (recalled): the two share them. */
const BSP: Record<PipeThread, readonly [mm: number, perInch: number]> = {
  '1/8': [9.728, 28],
  '1/4': [13.157, 19],
  '3/8': [16.662, 19],
  '1/2': [20.955, 14],
  '3/4': [26.441, 14],
  '1': [33.249, 11],
  '1-1/4': [41.91, 11],
  '1-1/2': [47.803, 11],
  '2': [59.614, 11],
};
const bsp = (taper: boolean): Record<PipeThread, Thread> =>
  Object.fromEntries(
    Object.entries(BSP).map(([size, [mm, perInch]]) => [size, { form: 55, outsideM: mm / 1e3, perInch, taper }]),
  ) as Record<PipeThread, Thread>;
export const BSPT = bsp(true);
export const BSPP = bsp(false);

const unified = (inch: number, perInch: number): Thread => ({
  form: 60,
  outsideM: inch * INCH,
  perInch,
  taper: false,
});
const SEVEN_16_20 = unified(7 / 16, 20);
const HALF_20 = unified(1 / 2, 20);
const THREE_4_16 = unified(3 / 4, 16);
const SEVEN_8_14 = unified(7 / 8, 14);
const ONE_1_16_12 = unified(17 / 16, 12);

/** Threads of the 37° flare by dash size, sixteenths of an inch of tube. SAE J514, ISO 8434-2 (recalled). */
export const FLARE_37 = {
  '-4': SEVEN_16_20,
  '-5': HALF_20,
  '-6': unified(9 / 16, 18),
  '-8': THREE_4_16,
  '-10': SEVEN_8_14,
  '-12': ONE_1_16_12,
  '-16': unified(21 / 16, 12),
} as const;
export type Dash = keyof typeof FLARE_37;

/** Threads of the 45° flare by outside diameter of the tube. SAE J512 (recalled). */
export const FLARE_45 = {
  '1/4': SEVEN_16_20,
  '5/16': HALF_20,
  '3/8': unified(5 / 8, 18),
  '1/2': THREE_4_16,
  '5/8': SEVEN_8_14,
  '3/4': unified(17 / 16, 14),
} as const;

/** Threads of the O-ring boss by dash size. ISO 11926-1, SAE J1926 (recalled). */
export const O_RING_BOSS = {
  '-4': SEVEN_16_20,
  '-6': FLARE_37['-6'],
  '-8': THREE_4_16,
  '-10': SEVEN_8_14,
  '-12': ONE_1_16_12,
} as const;

const SAME_OUTSIDE_M = 5e-5;

/**
 * Whether two threads screw together as one.
 * @example isSameThread(FLARE_37['-8'], FLARE_45['1/2']) // true
 */
export function isSameThread(a: Thread, b: Thread): boolean {
  return (
    a.form === b.form &&
    a.perInch === b.perInch &&
    a.taper === b.taper &&
    Math.abs(a.outsideM - b.outsideM) < SAME_OUTSIDE_M
  );
}

const SAME_PITCH = 0.005; // 27 against 28 threads an inch bind within a turn or two
const NEAR_OUTSIDE = 0.025; // of the diameter: a taper thread takes up so much

/**
 * Whether two threads of different forms start into each other and bind before they seal: equal pitch, nearly one diameter.
 * @example startsInto(NPT['1/2'], BSPT['1/2']) // true
 */
export function startsInto(a: Thread, b: Thread): boolean {
  return (
    Math.abs(a.perInch / b.perInch - 1) < SAME_PITCH &&
    Math.abs(a.outsideM - b.outsideM) < NEAR_OUTSIDE * Math.max(a.outsideM, b.outsideM)
  );
}

/**
 * What the mouth of the female thread measures inside: its minor diameter.
 * @returns m; of a taper thread at its large end, an estimate
 * @example insideOfFemaleM(BSPP['1/2']) // 0.01863
 */
export function insideOfFemaleM({ form, outsideM, perInch, taper }: Thread): number {
  const pitchM = INCH / perInch;
  // Heights of the basic profiles, ISO 68-1 (1.0825 of the pitch) and ISO 228-1 (1.2807); of NPT 1.6, its truncated height.
  const height = form === 55 ? 1.280654 : taper ? 1.6 : 1.082532;
  return outsideM - height * pitchM;
}
