import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Even draws of a case: the same for the same seed. */
export interface Draws {
  /** Between two numbers. */
  readonly between: (least: number, most: number) => number;
  readonly pick: <T>(of: readonly T[]) => T;
}

const WARM_UP = 20; // the first numbers of near seeds are near each other

/**
 * Draws from a seed.
 * @param seed a whole number
 * @example drawsOf(7).pick(['a']) // 'a'
 */
export function drawsOf(seed: number): Draws {
  const random = xoroshiro128plus(seed);
  for (let i = 0; i < WARM_UP; i++) uniformFloat64(random);
  return {
    between: (least, most) => least + (most - least) * uniformFloat64(random),
    pick: (of) => {
      if (of.length === 0) throw new RangeError('nothing to pick from');
      return of[Math.floor(uniformFloat64(random) * of.length)] as (typeof of)[number];
    },
  };
}
