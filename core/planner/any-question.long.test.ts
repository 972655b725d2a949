import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { walk } from '../line/walk';
import { CFM } from '../quantity/constants';
import { TWO_STAGE } from '../test/two-stage';
import { buildLine } from './build-line';
import { dominates } from './front';
import { isFeasible, judgeProposal, meritsOf, worstMarginK } from './judge-proposal';
import { proposedLine } from './judged-front';
import { question, questionJob } from './question';
import { type Found, searched } from './search';

/** The same numbers every time: 0…1. */
function drawn(seed: number): () => number {
  const random = xoroshiro128plus(seed);
  return () => (random.next() >>> 0) / 2 ** 32;
}

/** Lines that differ from one on the front in one or two positions, none of which may be feasible and beat it. */
function neighboursBeating({ asked, positions, front }: Found, tries: number, seed: number): number {
  const next = drawn(seed);
  const pick = (n: number): number => Math.floor(next() * n);
  let beating = 0;
  for (let i = 0; i < tries; i++) {
    const member = front[pick(front.length)] as Found['front'][number];
    let choices = [...member.choices];
    for (let k = 0; k <= pick(2); k++) {
      const at = pick(positions.length);
      choices = choices.with(at, pick(positions[at]?.options.length ?? 1));
    }
    const plan = buildLine(asked, positions, choices);
    const section = walk(plan);
    const marginK = worstMarginK(plan, section);
    if (marginK === undefined || marginK < 0) continue;
    const merits = meritsOf(asked, plan, section, marginK);
    if (!front.some((m) => dominates(merits, m.merits))) continue;
    // Cheaper or better, so something must be wrong with it; purge and filters as they would be built.
    const proposed = proposedLine(asked, positions, choices);
    const real = worstMarginK(proposed, walk(proposed));
    if (real === undefined || !isFeasible(judgeProposal(asked, proposed))) continue;
    const built = meritsOf(asked, proposed, walk(proposed), real);
    if (front.some((m) => dominates(built, m.merits))) beating++;
  }
  return beating;
}

test('two jobs of different needs: of 10,000 random neighbours none beats a line on the front', () => {
  const found = searched(
    question({
      compressor: TWO_STAGE,
      receiverM3: 0.3,
      minutesPerWeek: 120,
      refused: ['twin-tower'],
      jobs: [questionJob('solvent-spray', { usedShare: 0.3 }), questionJob('wrench')],
    }),
  );
  expect(found.front.length).toBeGreaterThan(1);
  expect(neighboursBeating(found, 10_000, 21)).toBe(0);
});

test('whatever is asked, nothing is wrong with what is proposed', () => {
  const next = drawn(7);
  const between = (least: number, most: number): number => least + next() * (most - least);
  const kinds = ['solvent-spray', 'plasma', 'sander', 'packaging'] as const;
  let lines = 0;
  for (let i = 0; i < 6; i++) {
    const intakeC = between(10, 36);
    const { asked, front } = searched(
      question({
        compressor: { ...TWO_STAGE, freeAirDeliveryM3PerS: between(14, 40) * CFM },
        receiverM3: between(0.2, 0.6),
        intakeC,
        intakeHumidity: between(0.3, 0.9),
        roomC: intakeC + between(0, 6),
        coldestRoomC: between(4, 15),
        altitudeM: between(0, 2000),
        minutesPerWeek: between(20, 120) | 0,
        refused: ['twin-tower', 'membrane'],
        jobs: [
          questionJob(kinds[i % kinds.length] ?? 'sander', {
            usedShare: between(0.05, 0.5),
            roomC: between(18, intakeC + 2),
          }),
        ],
      }),
    );
    for (const { plan } of front) {
      lines++;
      const anew = JSON.parse(JSON.stringify(plan)) as typeof plan; // as it comes out of a file
      expect(judgeProposal(asked, anew).against).toEqual({ jobs: [], rules: [], practice: [] });
    }
  }
  expect(lines).toBeGreaterThan(6);
});
