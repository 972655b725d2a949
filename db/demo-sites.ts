import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Plan, Stage } from '../core/plan/plan';
import { DAY_MS } from '../core/quantity/constants';
import { dairyPlan } from './dairy';
import { demoPlan } from './demo';

const TRADES = ['Bindery', 'Ropewalk', 'Tannery', 'Brewhouse', 'Print works', 'Cooperage', 'Pottery', 'Laundry'];
const PLACES = [
  'Ellerby',
  'Nord Quay',
  'Tarn Head',
  'Mossgate',
  'Oldmill',
  'Kestrel Row',
  'Fenwick Street',
  'Harrow Lane',
];
const PEOPLE = ['R. Amsel', 'K. Doyle', 'T. Varga', 'S. Oyelaran', 'M. Lund'];
const NEWEST_DAYS = 3;
const OLDEST_DAYS = 90;

/** A made-up site with a line; the same for the same number. */
export interface DemoSite {
  readonly id: string;
  readonly planId: string;
  readonly name: string;
  readonly customer: string;
  readonly address: string;
  readonly contacts: string;
  readonly notes: string;
  readonly plan: Plan;
  /** Whether somebody complains there, and how much more comes out than expected. */
  readonly complains: boolean;
  readonly waterShare: number;
}

const idOf = (of: 'site' | 'line', n: number): string =>
  `5173000${of === 'site' ? 0 : 1}-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** A line of which these jobs ask for less: for a dew point of summer air. */
function asksLess(plan: Plan, jobs: readonly string[]): Plan {
  const easy = (stage: Stage): Stage =>
    stage.kind === 'outlet' && jobs.includes(stage.id)
      ? { ...stage, parameters: { ...stage.parameters, need: 'dew-point', dewPointC: 25 } }
      : stage;
  return {
    ...plan,
    stages: plan.stages.map(easy),
    branches: plan.branches.map((b) => ({ ...b, stages: b.stages.map(easy) })),
  };
}

/** Made-up sites for whoever looks after many: most like the workshop, each eighth like the dairy. */
export function demoSites(many: number, nowMs: number): DemoSite[] {
  const random = xoroshiro128plus(20261130);
  const among = (n: number): number => uniformInt(random, 0, n - 1);
  return Array.from({ length: many }, (_, i) => {
    const [trade, place] = [
      TRADES[i % TRADES.length] as string,
      PLACES[Math.floor(i / TRADES.length + i) % PLACES.length] as string,
    ];
    const name = `${trade}, ${place}${i >= TRADES.length * PLACES.length ? ` ${i}` : ''}`;
    const days = NEWEST_DAYS + among(OLDEST_DAYS - NEWEST_DAYS);
    const easy = [[], ['shellac'], ['shellac', 'frames']][i % 3] ?? [];
    const like = i % 8 === 5 ? dairyPlan() : asksLess(demoPlan(), easy);
    const startedOn = new Date(nowMs - days * DAY_MS).toISOString().slice(0, 10);
    return {
      id: idOf('site', i + 1),
      planId: idOf('line', i + 1),
      name,
      customer: `${place} ${trade.toLowerCase()} Ltd`,
      address: `${1 + among(90)} ${place}`,
      contacts: `${PEOPLE[among(PEOPLE.length)]}, works office`,
      notes: among(3) === 0 ? 'Report at the gate; hearing protection in the compressor room.' : '',
      plan: {
        ...like,
        name: 'Works air',
        survey: { ...like.survey, shop: name },
        routine: { ...like.routine, startedOn },
      },
      complains: among(5) === 0,
      waterShare: 0.7 + among(9) / 10,
    };
  });
}
