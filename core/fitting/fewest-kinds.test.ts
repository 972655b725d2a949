import fc from 'fast-check';
import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import { END_FAMILIES, type End, end, type FamilyName, type Gender } from '../piping/ends';
import type { Plan, Stage } from '../plan/plan';
import { withStage } from '../plan/runs';
import type { Chain } from './chains';
import { chainsBetween } from './chains';
import { fewestKinds, type Sum, sumOf } from './fewest-kinds';
import { type Joint, jointsOf, keyOfChain } from './joints';
import { PARTS } from './parts';

const LIMITS = { temperatureC: 20, gaugePa: 1e6, leastBoreM: 0 };
const jointOf = (id: string, a: End, b: End): Joint =>
  ({ id, ...LIMITS, chains: chainsBetween(a, b, PARTS, LIMITS), sides: [{ end: a }, { end: b }] }) as unknown as Joint;

/** All chains of as few parts as there can be, from the many best. */
function shortest(joint: Joint): readonly Chain[] {
  const chains = chainsBetween(joint.sides[0].end, joint.sides[1].end, PARTS, LIMITS, 60);
  const least = chains.ok ? (chains.best[0]?.joints ?? 0) : 0;
  return chains.ok ? chains.best.filter((c) => c.joints === least) : [];
}

/** The least sum by trying every choice. */
function tryAll(joints: readonly Joint[]): Sum {
  const options = joints.map(shortest);
  let best: Sum = [Infinity, Infinity, Infinity];
  const go = (i: number, chosen: Chain[]): void => {
    const list = options[i];
    if (!list) {
      const sum = sumOf(chosen);
      const at = sum.findIndex((x, k) => Math.abs(x - (best[k] as number)) > 1e-9);
      if (at >= 0 && (sum[at] as number) < (best[at] as number)) best = sum;
      return;
    }
    for (const c of list) go(i + 1, [...chosen, c]);
  };
  go(0, []);
  return best;
}

const NAMES = ['npt', 'bspt', 'flare-37', 'compression', 'tube'] as const satisfies readonly FamilyName[];
const ENDS = NAMES.flatMap((family) =>
  END_FAMILIES[family].sizes
    .filter((s) => ['1/4', '3/8', '1/2', '-6', '-8'].includes(s))
    .flatMap((size) => Object.keys(END_FAMILIES[family].genders).map((g) => end(family, size, g as Gender))),
);

it('is what trying every choice finds', () => {
  const anyJoint = fc.tuple(fc.constantFrom(...ENDS), fc.constantFrom(...ENDS));
  fc.assert(
    fc.property(fc.array(anyJoint, { minLength: 1, maxLength: 6 }), (pairs) => {
      const joints = pairs.map(([a, b], i) => jointOf(String(i), a, b)).filter((j) => j.chains.ok);
      fc.pre(joints.reduce((n, j) => n * shortest(j).length, 1) < 20_000);
      const found = sumOf([...fewestKinds(joints).values()]);
      const wanted = tryAll(joints);
      if (joints.length > 0) expect(found).toEqual(wanted.map((x) => expect.closeTo(x, 6)));
    }),
    { numRuns: 40 },
  );
});

it('is never more parts or kinds than the best of each joint by itself, also of a plant', () => {
  for (const plan of [demoPlan(), dairyPlan()]) {
    const joints = jointsOf(plan);
    const alone = sumOf(joints.flatMap((j) => (j.chains.ok ? [j.chains.best[0] as Chain] : [])));
    const together = sumOf([...fewestKinds(joints).values()]);
    expect(together[0]).toBe(alone[0]);
    expect(together[1]).toBeLessThanOrEqual(alone[1]);
  }
});

it('is what the line then has, also where it is not among the best of a joint', () => {
  const plan = dairyPlan();
  const found = fewestKinds(jointsOf(plan));
  const set = jointsOf(plan).reduce<Plan>((p, j) => {
    const chain = found.get(j.id);
    if (!chain) return p;
    const chains = (s: Stage) => ({ ...s.fit?.chains, [j.at]: keyOfChain(chain) });
    return withStage(p, j.stageId, (s) => ({ ...s, fit: { ...s.fit, chains: chains(s) } }) as Stage);
  }, plan);
  for (const j of jointsOf(set).filter((own) => found.has(own.id) && !own.union))
    expect([j.id, j.chosen && keyOfChain(j.chosen)]).toEqual([j.id, keyOfChain(found.get(j.id) as Chain)]);
});
