import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import { TWO_STAGE } from '../test/two-stage';
import { type Asked, askedOf } from './base-line';
import { type Merits, noWorse, withMember } from './front';
import { isFeasible, judgeProposal, meritsOf, worstMarginK } from './judge-proposal';
import { proposedLine } from './judged-front';
import { type Position, positionsOf } from './positions';
import { type Question, question, questionJob } from './question';
import { searched } from './search';

const shop = (more: Parameters<typeof question>[0]): Question =>
  question({
    compressor: TWO_STAGE,
    minutesPerWeek: 300,
    ...more,
  });

/** Only some positions may be filled; those that have to be something keep their options. */
const only = (positions: readonly Position[], ids: readonly string[]): Position[] =>
  positions.map((p) => (ids.includes(p.id) || p.id.startsWith('serve') ? p : { ...p, options: p.options.slice(0, 1) }));

/** Every line there is, without order, bounds or a fast walk; its pipe and hose are the smallest that bring the pressure. */
function bruteForce(asked: Asked, positions: readonly Position[]): Merits[] {
  let front: readonly { merits: Merits }[] = [];
  const free = positions.map((p) => (p.id.startsWith('serve') ? 1 : p.options.length));
  const serve = positions.findIndex((p) => p.id.startsWith('serve'));
  const all = free.reduce((n, k) => n * k, 1);
  for (let i = 0; i < all; i++) {
    let rest = i;
    const choices = free.map((k) => {
      const own = rest % k;
      rest = Math.floor(rest / k);
      return own;
    });
    const sized = [0, 1, 2].map((k) => proposedLine(asked, positions, choices.with(serve, k)));
    const plan = sized.find((p) => [...judgeOutlets(p, walk(p)).values()].every((v) => v.pressure.enough));
    if (!plan) continue;
    const { question: q } = asked;
    const section = walk(plan);
    const marginK = worstMarginK(plan, section);
    if (marginK === undefined || !isFeasible(judgeProposal(asked, plan))) continue;
    const merits = meritsOf(asked, plan, section, marginK);
    if (merits.purchase <= q.budget && merits.minutesPerWeek <= q.minutesPerWeek) front = withMember(front, { merits });
  }
  return front.map((m) => m.merits);
}

const byPurchase = (a: Merits, b: Merits): number => a.purchase - b.purchase || a.yearly - b.yearly;

test.each([
  ['tools', [questionJob('sander', { usedShare: 0.5 })], ['cool', 'drains', 'chill', 'general-1']],
  ['plasma', [questionJob('plasma')], ['cool', 'chill', 'general-1', 'fine-1', 'carbon-1']],
  ['spray', [questionJob('solvent-spray', { usedShare: 0.1 })], ['general-1', 'fine-1', 'dry-1', 'carbon-1', 'dust-1']],
] as const)('%s: the search finds what trying every line finds', (_, jobs, ids) => {
  const q = shop({ jobs: [...jobs] });
  const asked = askedOf(q);
  const positions = only(positionsOf(asked), ids);
  const expected = bruteForce(asked, positions).toSorted(byPurchase);
  const found = searched(q, positions).front.map((p) => p.merits);
  expect(found.toSorted(byPurchase)).toEqual(expected);
});

test('more budget never has a worse margin, a weaker need never costs more, one more part never makes the front worse', () => {
  const jobs = [questionJob('solvent-spray', { usedShare: 0.1 })];
  const all = searched(shop({ jobs })).front;
  const margin = (front: typeof all): number => Math.max(0, ...front.map((p) => p.merits.marginK));
  const least = (front: typeof all): number => Math.min(...front.map((p) => p.merits.purchase));
  expect(margin(searched(shop({ jobs, budget: least(all) })).front)).toBeLessThanOrEqual(margin(all));
  // The same air in the same place: of class 2 by oil and particles, and of class 3.
  const { flowM3PerS, leastGaugePa, usedShare } = questionJob('plasma');
  const asks = (job: 'plasma' | 'packaging') =>
    searched(shop({ jobs: [questionJob(job, { flowM3PerS, leastGaugePa, usedShare })], refused: ['membrane'] })).front;
  expect(least(asks('packaging'))).toBeLessThanOrEqual(least(asks('plasma')));
  // The same job, of which drier air is asked than is usual for it.
  const costs = [0.05, 0.2, 0.8].map((relativeHumidity) => {
    const drier = { need: 'humidity-expanded', relativeHumidity, usedShare: 0.3 } as const;
    return least(searched(question({ jobs: [questionJob('powder-gun', drier)], minutesPerWeek: 3000 })).front);
  });
  expect(costs).toEqual(costs.toSorted((a, b) => b - a));
  expect(costs[0]).toBeGreaterThan(costs[2] as number);
  const fewer = searched(shop({ jobs, refused: ['membrane', 'aftercooler'] })).front;
  for (const p of fewer) expect(all.some((q) => noWorse(q.merits, p.merits))).toBe(true);
});
