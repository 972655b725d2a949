import { demoPlan } from '../../db/demo';
import { Finding, type NextCheck, ON_THE_WAY_MIN } from '../diagnosis/finding/belief';
import { isFound, NOT_THE_AIR, type Reading } from '../diagnosis/finding/cause';
import { type CheckName, checkKind, costMin, readUnder } from '../diagnosis/finding/checks';
import { type Complaint, complaintOf, toldBy } from '../diagnosis/finding/complaint';
import type { Fault } from '../fault/fault';
import { FAULTS } from '../fault/faults';
import { walkedWith } from '../fault/walked';
import type { Plan } from '../plan/plan';
import { allStages } from '../plan/runs';
import { normalDraws } from '../quantity/normal-draws';
import { all, behind, goodDry, goodShop } from './good-lines';
import { stageOf } from './plan-of';

/** The good shop with beads and a hose at its end. */
export const SHOP = all(
  goodShop(),
  behind('fine', stageOf('bead-cartridge', { massKg: 5, spentShare: 0.1 })),
  behind('regulator', stageOf('hose')),
);
const LINES: readonly Plan[] = [SHOP, goodDry(), demoPlan()];
const seeds = (n: number): number[] => Array.from({ length: n }, (_, i) => i + 1);
const SEEDS = seeds(3);
/** Of what counts for much, so that its scatter is taken more often. */
const SEEDS_OF_LIKELY = seeds(16);
const MOST_CHECKS = 10;
const WARM_UP = 50;

/** What came of looking for a fault. */
export interface Looked {
  readonly checks: number;
  readonly minutes: number;
  readonly sure: number;
  readonly right: boolean;
  /** What was said of each cause after each reading, and whether it was true. */
  readonly said: readonly { readonly probability: number; readonly isTrue: boolean }[];
  /** How likely its complaint comes with the fault. */
  readonly told: number;
  /** How often the fault comes with its complaint, by the estimates: a belief is right by that, not by how many faults there are. */
  readonly weight: number;
}

/** Which check is made next, of those that are left. */
type Order = (left: readonly NextCheck[]) => NextCheck | undefined;
export const BY_WHAT_IT_TELLS: Order = (left) => left.find((n) => n.bits >= 0.01);
type OrderOf = (finding: Finding, symptom: string) => Order;
/** Along the line, from the compressor to the tool. */
export const ALONG_THE_LINE: OrderOf = (finding) => (left) =>
  finding.checks.flatMap((c) => left.find((n) => n.check === c) ?? [])[0];

/** A fault that is put into a line; nothing for a line that has none. */
type Hidden = { readonly fault: Fault; readonly stageId: string } | undefined;

const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** A size of a fault: of any of its grid alike, anywhere half-way to the next ones. */
function sizeOf(sizes: readonly number[], seed: number): number {
  const i = seed % sizes.length;
  const own = sizes[i] as number;
  if (sizes.length === 1) return own;
  const below = (own - (sizes[i - 1] ?? 0)) / 2;
  const above = ((sizes[i + 1] ?? 2 * own - (sizes[i - 1] as number)) - own) / 2;
  return own - below + ((seed * GOLDEN) % 1) * (below + above);
}

const findings = new WeakMap<Plan, Map<string, Finding>>();
/** What is known of a complaint of a line: made once, for all that may be behind it. */
function findingOf(plan: Plan, complaint: Complaint): Finding {
  const own = findings.get(plan) ?? new Map<string, Finding>();
  findings.set(plan, own);
  const key = JSON.stringify(complaint);
  const finding = own.get(key) ?? new Finding(plan, complaint);
  own.set(key, finding);
  return finding;
}

/** Puts a fault into a line and looks for it: each reading comes with the scatter of its instrument. */
function lookFor(
  plan: Plan,
  hidden: Hidden,
  seed: number,
  orderOf: OrderOf,
  complains?: Complaint,
): Looked | undefined {
  const draw = normalDraws(seed * 7919 + (hidden?.stageId.length ?? 0));
  for (let i = 0; i < WARM_UP; i++) draw(); // the first numbers of near seeds are near each other
  const size = hidden ? sizeOf(hidden.fault.sizes, seed) : 0;
  const sound = walkedWith(plan);
  const faulty = walkedWith(plan, hidden ? [{ ...hidden, size }] : []);
  const complaint = complains ?? complaintOf(sound, faulty);
  if (!complaint) return undefined; // nobody would notice it
  const truly = hidden ? `${hidden.fault.id} ${hidden.stageId}` : 'nothing';
  const finding = findingOf(plan, complaint);
  const order = orderOf(finding, complaint.symptom);
  const readings: Reading[] = [];
  const said: { probability: number; isTrue: boolean }[] = [];
  let minutes = 0;
  while (readings.length < MOST_CHECKS && !isFound(finding.believe(readings))) {
    const next = order(finding.nextChecks(readings))?.check;
    const truth = next && readUnder(faulty, next);
    if (!next || truth === undefined) break;
    const { abs, rel } = checkKind(next.of);
    minutes += ON_THE_WAY_MIN + costMin(next.of);
    // A look shows what is so.
    const err = checkKind(next.of).quantity === 'look' ? 0 : draw() * Math.hypot(abs, rel * truth);
    readings.push({ checkId: next.id, value: truth + err });
    for (const { cause, probability } of finding.believe(readings))
      said.push({ probability, isTrue: cause.id === truly });
  }
  const [top] = finding.believe(readings);
  const told = toldBy(complaint, sound, faulty);
  return {
    ...{ checks: readings.length, minutes, sure: top?.probability ?? 0, right: top?.cause.id === truly, said },
    told,
    weight: 1,
  };
}

/**
 * Of what was said at about a probability, how much was true.
 * @param from and `to`: the band, 0…1
 */
export function trueOf(cases: readonly Looked[], from: number, to: number): { said: number; held: number; n: number } {
  const all = cases.flatMap((c) =>
    c.said.filter((s) => s.probability >= from && s.probability < to).map((s) => ({ ...s, weight: c.weight })),
  );
  const weight = all.reduce((sum, s) => sum + s.weight, 0);
  return {
    said: all.reduce((sum, s) => sum + s.weight * s.probability, 0) / weight,
    held: all.reduce((sum, s) => sum + (s.isTrue ? s.weight : 0), 0) / weight,
    n: all.length,
  };
}

/** Which checks the trade handbook has first for a complaint; then along the line. */
const HANDBOOK: Readonly<Record<string, readonly CheckName[]>> = {
  D01: ['held', 'temperature', 'dew-point', 'bypass', 'below'],
  D03: ['coldest', 'held', 'in-the-morning'],
  D04: ['dew-point', 'cooling-air', 'held'],
  D05: ['held', 'dew-point', 'bypass'],
  D06: ['held', 'catch'],
  D07: ['hiss', 'runs-without-air'],
  D13: ['drop', 'pressure', 'good-gauge'],
  D14: ['delivery', 'leak-down', 'hiss', 'intake-loss', 'drop'],
  D15: ['delivery', 'leak-down', 'hiss', 'intake-loss', 'drop'],
  D17: ['hiss'],
  D18: ['cooling-air', 'fan', 'temperature'],
  D19: ['dew-point', 'cooling-air', 'held', 'second-meter'],
  D22: ['dew-point', 'back-pressure', 'purge', 'one-tower', 'brown', 'held', 'second-meter'],
  D25: ['colour', 'dew-point', 'held'],
};
export const BY_THE_HANDBOOK: OrderOf = (finding, symptom) => {
  const rank = ({ of }: { of: CheckName }): number => {
    const at = (HANDBOOK[symptom] ?? []).indexOf(of);
    return at === -1 ? Infinity : at;
  };
  const order = finding.checks.toSorted((a, b) => (rank(a) === rank(b) ? 0 : rank(a) - rank(b)));
  return (left) => order.flatMap((c) => left.find((n) => n.check === c) ?? [])[0];
};

const faultsOf = (plan: Plan) =>
  allStages(plan).flatMap((stage) =>
    FAULTS.filter((f) => f.canHave(stage)).map((fault) => ({ fault, stageId: stage.id })),
  );

/** Every fault of three lines, looked for with the scatter of several seeds; those that nobody would notice left out. */
export const lookForAll = (orderOf: OrderOf = () => BY_WHAT_IT_TELLS): Looked[] =>
  LINES.flatMap((plan) =>
    faultsOf(plan).flatMap((hidden) => SEEDS.flatMap((seed) => lookFor(plan, hidden, seed, orderOf) ?? [])),
  );

/** Complaints of which each may come from any fault of its line, or from none. */
const COMPLAINTS: readonly (readonly [Plan, Complaint])[] = [
  [SHOP, { symptom: 'D13', stageId: 'outlet' }],
  [SHOP, { symptom: 'D06', stageId: 'separator' }],
  [demoPlan(), { symptom: 'D18', stageId: 'aftercooler' }],
  [goodDry(), { symptom: 'D22', stageId: 'twin-tower' }],
];

/** Some complaints with every fault that may be behind them, and with none: what is said of them is true as often as it says. */
export const lookForAnyCause = (): Looked[] =>
  COMPLAINTS.flatMap(([plan, complaint]) => {
    const faults = faultsOf(plan);
    const sound = walkedWith(plan);
    const seen = (hidden: Hidden, weight: number): Looked[] => {
      const placed = hidden && { ...hidden, size: Math.max(...hidden.fault.sizes) };
      const isLikely = !placed || toldBy(complaint, sound, walkedWith(plan, [placed])) > 0.5;
      const times = isLikely ? SEEDS_OF_LIKELY : SEEDS.slice(0, 1);
      return times.flatMap((seed) => {
        const looked = lookFor(plan, hidden, seed, () => BY_WHAT_IT_TELLS, complaint);
        return looked ? [{ ...looked, weight: (weight * looked.told) / times.length }] : [];
      });
    };
    const perYear = faults.reduce((sum, { fault }) => sum + fault.perYear, 0);
    const all = [
      ...faults.flatMap((hidden) => seen(hidden, hidden.fault.perYear)),
      ...seen(undefined, (NOT_THE_AIR * perYear) / (1 - NOT_THE_AIR)),
    ];
    // Each complaint counts alike, however rare its faults are.
    const sum = all.reduce((s, l) => s + l.weight, 0);
    return all.map((l) => ({ ...l, weight: l.weight / sum }));
  });
