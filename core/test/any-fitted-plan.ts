import fc from 'fast-check';
import { END_FAMILIES, type End, type FamilyName, type Gender } from '../piping/ends';
import { DIRECTIONS, type Direction, type Leg } from '../piping/legs';
import { isDrawable } from '../plan/drawn';
import { setLegs } from '../plan/edit-legs';
import { type Plan, planSchema, type Stage } from '../plan/plan';
import { allStages, withStage } from '../plan/runs';
import { anyPlan } from './any-plan';

const ENDS: readonly End[] = Object.entries(END_FAMILIES).flatMap(([family, { sizes, genders }]) =>
  sizes.flatMap((size) =>
    Object.keys(genders).map((gender) => ({ family: family as FamilyName, size, gender: gender as Gender })),
  ),
);
const end = fc.constantFrom(...ENDS);
const leg = fc
  .record({
    to: fc.constantFrom(...(Object.keys(DIRECTIONS) as Direction[])),
    lengthM: fc.double({ min: 0.1, max: 40, noNaN: true }),
    drained: fc.boolean(),
  })
  .map(({ drained, ...own }): Leg => ({ ...own, fall: 0, ...(drained && { drain: true }) }));
const said = fc.record({
  nth: fc.nat({ max: 60 }),
  in: fc.option(end, { nil: undefined }),
  out: fc.option(end, { nil: undefined }),
  leastBoreM: fc.option(fc.constantFrom(0.006, 0.012, 0.025), { nil: undefined }),
  legs: fc.option(fc.array(leg, { minLength: 1, maxLength: 6 }), { nil: undefined }),
});

/** Any line of which somebody said what ends some of its things have, and drew some of its runs. */
export const anyFittedPlan = (): fc.Arbitrary<Plan> =>
  fc.tuple(anyPlan(), fc.array(said, { maxLength: 6 })).map(([plan, all]) =>
    all.reduce((p, { nth, legs, ...own }) => {
      const stages = allStages(p);
      const stage = stages[nth % stages.length] as Stage;
      const fit = Object.fromEntries(Object.entries(own).filter(([, v]) => v !== undefined));
      const fitted = withStage(p, stage.id, (s) => ({ ...s, fit: { ...s.fit, ...fit } }) as Stage);
      const drawn = legs && isDrawable(stage) ? setLegs(fitted, stage.id, legs) : fitted;
      return planSchema.safeParse(drawn).data ?? p;
    }, plan),
  );
