import { z } from 'zod';

/** Directions of a leg, with what each adds in metres east, north and up. */
export const DIRECTIONS = {
  up: { label: 'up', is: [0, 0, 1] },
  down: { label: 'down', is: [0, 0, -1] },
  east: { label: 'east', is: [1, 0, 0] },
  north: { label: 'north', is: [0, 1, 0] },
  west: { label: 'west', is: [-1, 0, 0] },
  south: { label: 'south', is: [0, -1, 0] },
} as const;
export type Direction = keyof typeof DIRECTIONS;
/**
 * Whether a leg goes up or down.
 * @example isUpright('north') // false
 */
export const isUpright = (to: Direction): boolean => to === 'up' || to === 'down';

export const LEAST_LEG_M = 0.02;
export const MOST_LEG_M = 500;
export const MOST_LEGS = 60;
/** Falling steeper than this it is no level pipe: draw it as two legs. */
export const MOST_FALL = 0.2;

/** One straight piece of a run, in the direction of flow. */
export const legSchema = z.strictObject({
  to: z.enum(Object.keys(DIRECTIONS) as [Direction, ...Direction[]]),
  lengthM: z
    .number()
    .min(LEAST_LEG_M, 'A leg measures at least 2 cm.')
    .max(MOST_LEG_M, `A leg measures at most ${MOST_LEG_M} m.`),
  /** Of its length, downwards in the direction of flow; below 0 it rises. Of an upright leg nothing. */
  fall: z.number().min(-MOST_FALL).max(MOST_FALL).default(0),
  /** Whether a drain hangs at its end. */
  drain: z.literal(true).optional(),
  /** The place of the survey that it passes through, where that is not the place of the stage. */
  place: z.string().max(40).optional(),
});
export type Leg = z.infer<typeof legSchema>;
export const legsSchema = z
  .array(legSchema)
  .min(1, 'A run has a leg at least.')
  .max(MOST_LEGS, `At most ${MOST_LEGS} legs.`);

/** A point of a run, m east, north and up of its beginning. */
export type Point = readonly [east: number, north: number, up: number];

/**
 * Where the run begins, and where each leg ends.
 * @param from where it begins
 * @returns a point more than there are legs
 * @example pointsOf([{ to: 'up', lengthM: 2, fall: 0 }, { to: 'east', lengthM: 10, fall: 0.01 }]) // [[0,0,0],[0,0,2],[10,0,1.9]]
 */
export function pointsOf(legs: readonly Leg[], from: Point = [0, 0, 0]): Point[] {
  const points: Point[] = [from];
  for (const { to, lengthM, fall } of legs) {
    const [e, n, u] = points.at(-1) as Point;
    const [de, dn, du] = DIRECTIONS[to].is;
    const drop = isUpright(to) ? 0 : fall * lengthM;
    points.push([e + de * lengthM, n + dn * lengthM, u + du * lengthM - drop]);
  }
  return points;
}

/** Lower by less than this is level: a hand’s breadth of a spirit level in a long run. */
const LEVEL_M = 1e-6;

/**
 * Ends of legs from which water runs neither on nor back: the lowest places between two that are higher.
 * @returns indices of the legs at whose end they are
 * @example lowPoints([{ to: 'down', lengthM: 1, fall: 0 }, { to: 'up', lengthM: 1, fall: 0 }]) // [0]
 */
export function lowPoints(legs: readonly Leg[]): number[] {
  const height = pointsOf(legs).map(([, , up]) => up);
  return legs.flatMap((_, i) => {
    const here = height[i + 1] as number;
    if (i === legs.length - 1 || Math.abs((height[i + 2] as number) - here) < LEVEL_M) return []; // a level stretch counts at its end
    if ((height[i + 2] as number) < here) return [];
    const before = height.slice(0, i + 1).findLast((h) => Math.abs(h - here) >= LEVEL_M);
    return before !== undefined && before > here ? [i] : [];
  });
}

/** What a drawn run comes to. */
export interface RunMeasures {
  readonly lengthM: number;
  /** Changes of direction: an elbow or a bend each. */
  readonly bends: number;
  /** Of its end over its beginning; below 0 it ends lower. */
  readonly riseM: number;
  /** Legs at whose end water stands and no drain hangs. */
  readonly undrained: readonly number[];
  /** Drains along it. */
  readonly drains: number;
  /** The least fall of its level legs; 1, all upright. */
  readonly leastFall: number;
  /** The longest piece between two bends. */
  readonly longestM: number;
}

/**
 * Length, bends, rise, low points and fall of a run.
 * @example measuresOf([{ to: 'up', lengthM: 2, fall: 0 }, { to: 'east', lengthM: 10, fall: 0.01 }]).bends // 1
 */
export function measuresOf(legs: readonly Leg[]): RunMeasures {
  const straight: number[] = [];
  legs.forEach(({ to, lengthM }, i) => {
    if (i > 0 && legs[i - 1]?.to === to) straight.push((straight.pop() as number) + lengthM);
    else straight.push(lengthM);
  });
  const level = legs.filter(({ to }) => !isUpright(to));
  return {
    lengthM: legs.reduce((sum, l) => sum + l.lengthM, 0),
    bends: straight.length - 1,
    riseM: (pointsOf(legs).at(-1) as Point)[2],
    undrained: lowPoints(legs).filter((i) => !legs[i]?.drain),
    drains: legs.filter((l) => l.drain).length,
    leastFall: Math.min(1, ...level.map((l) => l.fall)),
    longestM: Math.max(...straight),
  };
}
