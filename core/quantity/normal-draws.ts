import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/**
 * Random numbers of the normal distribution, mean 0 and standard deviation 1: the same for the same seed.
 * @returns a function that draws the next
 * @source Box & Muller 1958
 * @example normalDraws(1)() // 2.291
 */
export function normalDraws(seed: number): () => number {
  const random = xoroshiro128plus(seed);
  let spare: number | undefined;
  return () => {
    if (spare !== undefined) {
      const own = spare;
      spare = undefined;
      return own;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniformFloat64(random)));
    const angle = 2 * Math.PI * uniformFloat64(random);
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}
