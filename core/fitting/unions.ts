import { DRYERS, is } from '../equipment/groups';
import { END_FAMILIES, type End, type FamilyName } from '../piping/ends';
import { mates } from '../piping/mates';
import type { Stage } from '../plan/plan';
import type { Chain } from './chains';
import { PARTS, type Part } from './parts';

/** Kinds that stand where they stand: they cannot be turned onto a thread. */
const STANDING = ['compressor', 'receiver', 'aftercooler', 'fluid-cooler', 'water-cooler', ...DRYERS] as const;
/** Dryers light enough to be turned on by hand before they go on their bracket. */
const LIGHT = ['bead-cartridge', 'membrane', 'pellet-tower'] as const;

/**
 * Whether a stage stands so that nothing can be screwed together by turning it.
 * @example isStanding(stage('receiver')) // true
 */
export const isStanding = ({ kind }: Pick<Stage, 'kind'>): boolean => is(STANDING, kind) && !is(LIGHT, kind);

const comesApart = ({ family }: End): boolean => 'parts' in END_FAMILIES[family as FamilyName];

/**
 * Whether a chain has a place that is closed without turning either side: a nut, a flange, a coupler, a union.
 * @example closesUnturned([end('npt', '1/2', 'male')], []) // false
 */
export function closesUnturned(ends: readonly End[], parts: readonly Part[]): boolean {
  return [...ends, ...parts.flatMap((p) => p.ends)].some(comesApart) || parts.some(isUnion);
}

export const isUnion = ({ id }: Part): boolean => id.startsWith('union:');

/**
 * A chain with a union in it, put behind a male pipe thread, and a nipple behind the union.
 * @returns the chain as it was where no such thread is in it
 * @example withUnion(jointsOf(plan, section)[3].chosen, jointsOf(plan, section)[3].sides[0].end).parts.length // 3
 */
export function withUnion(chain: Chain, from: End): Chain {
  let free = from;
  for (let i = 0; i <= chain.parts.length; i++) {
    const behind = free;
    if (behind.gender === 'male' && (behind.family === 'npt' || behind.family === 'bspt')) {
      const fits = (p: Part): boolean => p.ends.every((e) => e.family === behind.family && e.size === behind.size);
      const union = PARTS.find((p) => isUnion(p) && fits(p));
      const nipple = PARTS.find((p) => p.type === 'nipple' && fits(p));
      if (!union || !nipple) return chain;
      return {
        parts: chain.parts.toSpliced(i, 0, union, nipple),
        joints: chain.joints + 2,
        price: Math.round((chain.price + union.price + nipple.price) * 100) / 100,
        boreM: Math.min(chain.boreM, union.boreM, nipple.boreM),
        lengthM: chain.lengthM + union.lengthM + nipple.lengthM,
      };
    }
    const part = chain.parts[i];
    if (!part) break;
    free = mates(free, part.ends[0]).verdict === 'yes' ? part.ends[1] : part.ends[0];
  }
  return chain;
}
