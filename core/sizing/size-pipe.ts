import { type Flowing, pressureBehindPa, velocityMPerS } from '../pipe-flow/friction';
import { boreOf, MATERIALS, NOMINAL, type Nominal, type PipeMaterial } from '../pipe-flow/pipes';
import { type Sized, smallestOf } from './next-size';

/** Fastest that air should go in a pipe, m/s: drops stay on the floor of a main (trade handbook, common practice). */
export const FASTEST_M_PER_S = { main: 6, branch: 9, service: 15 } as const;
/** Of the absolute pressure, lost on the way from the tank to the drop, at most: 3 % (common practice, no source). */
export const MOST_PIPE_LOSS = 0.03;

export interface PipeDuty extends Flowing {
  /** Of a ring, its whole circumference. */
  readonly lengthM: number;
  readonly material: PipeMaterial;
  readonly use: keyof typeof FASTEST_M_PER_S;
  /** Left out, one pipe from end to end. */
  readonly shape?: 'single' | 'ring';
  /** Pressure that may be lost in it; left out, {@link MOST_PIPE_LOSS} of what arrives. */
  readonly mostLossPa?: number;
}

/** The worst place of a ring, opposite where it is fed: half of the air comes to it each way, through half the length. */
const worstOf = <D extends PipeDuty>(duty: D): D =>
  duty.shape === 'ring' ? { ...duty, kgPerS: duty.kgPerS / 2, lengthM: duty.lengthM / 2 } : duty;

/** What a size of pipe makes of a flow. */
export interface PipeAt {
  readonly size: Nominal;
  readonly velocityMPerS: number;
  /** Infinite where the flow chokes. */
  readonly lossPa: number;
}

function pipeAt(whole: PipeDuty, size: Nominal): PipeAt {
  const duty = worstOf(whole);
  const boreM = boreOf(duty.material, size)?.boreM ?? 0;
  const { roughnessM } = MATERIALS[duty.material];
  const out = pressureBehindPa(duty, { boreM, lengthM: duty.lengthM, roughnessM, k: 0 });
  return {
    size,
    velocityMPerS: velocityMPerS(duty, boreM),
    lossPa: out === undefined ? Number.POSITIVE_INFINITY : duty.pressurePa - out,
  };
}

/**
 * The smallest pipe that keeps a flow slow enough and its pressure loss within its budget, with the sizes beside it. Of a
 * ring, for all the air drawn at the place opposite its feed: nowhere else is it worse while the ring is open all round.
 * @param duty dry air, kg/s; pressure absolute, 1.5…41 bar; length 0…3000 m
 * @returns the size, and what one size down and one up would change; the largest made where none will do
 * @source isothermal flow by Darcy–Weisbach (core/pipe-flow); velocities of the trade handbook
 * @example sizePipe({ kgPerS: 0.009, temperatureC: 20, pressurePa: 8e5, lengthM: 15, material: 'aluminium', use: 'branch' }).size // '1/2'
 */
export function sizePipe(
  duty: PipeDuty,
): PipeAt & { readonly beside: Omit<Sized<PipeAt>, 'size'>; readonly fits: boolean } {
  const made = (Object.keys(NOMINAL) as Nominal[]).filter((s) => boreOf(duty.material, s));
  const most = duty.mostLossPa ?? MOST_PIPE_LOSS * duty.pressurePa;
  const willDo = (p: PipeAt): boolean => p.velocityMPerS <= FASTEST_M_PER_S[duty.use] && p.lossPa <= most;
  const { size, down, up } = smallestOf(
    made.map((s) => pipeAt(duty, s)).toSorted((a, b) => b.velocityMPerS - a.velocityMPerS),
    willDo,
  );
  return { ...size, beside: { down, up }, fits: willDo(size) };
}
