import { demoPlan } from '../../db/demo';
import { Finding, isFound, type NextCheck, type Reading } from '../diagnosis/finding/belief';
import { checkKind } from '../diagnosis/finding/checks';
import { placesOf, SHOWS } from '../diagnosis/finding/shows';
import { FAULTS, type Fault, withFault } from '../fault/faults';
import { walk } from '../line/walk';
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
const SEEDS = [1, 2, 3];
const MOST_CHECKS = 10;
const WARM_UP = 50;

/** What came of looking for a fault. */
export interface Looked {
  readonly checks: number;
  readonly minutes: number;
  readonly sure: number;
  readonly right: boolean;
}

/** Which check is made next, of those that are left. */
type Order = (left: readonly NextCheck[]) => NextCheck | undefined;
export const BY_WHAT_IT_TELLS: Order = (left) => left.find((n) => n.bits >= 0.01);
/** Along the line, from the compressor to the tool. */
export const ALONG_THE_LINE =
  (finding: Finding): Order =>
  (left) =>
    finding.checks.flatMap((c) => left.find((n) => n.check === c) ?? [])[0];

/** Puts a fault into a line and looks for it: each reading comes with the scatter of its instrument. */
function lookFor(
  plan: Plan,
  fault: Fault,
  stageId: string,
  seed: number,
  orderOf: (finding: Finding) => Order,
): Looked | undefined {
  const draw = normalDraws(seed * 7919 + stageId.length);
  for (let i = 0; i < WARM_UP; i++) draw(); // the first numbers of near seeds are near each other
  const size = fault.sizes[seed % fault.sizes.length] as number;
  const faulty = withFault(plan, { faultId: fault.id, stageId, size });
  const [sound, section] = [walk(plan), walk(faulty)];
  const complaint = Object.keys(SHOWS).flatMap((symptom) => {
    const before = placesOf(symptom, plan, sound, sound) ?? [];
    return (placesOf(symptom, plan, sound, section) ?? [])
      .filter((id) => !before.includes(id))
      .map((id) => ({ symptom, stageId: id }));
  })[0];
  if (!complaint) return undefined; // nobody would notice it
  const finding = new Finding(plan, complaint);
  const order = orderOf(finding);
  const readings: Reading[] = [];
  let minutes = 0;
  while (readings.length < MOST_CHECKS && !isFound(finding.believe(readings))) {
    const next = order(finding.nextChecks(readings))?.check;
    const truth = next && checkKind(next.of).read(section, faulty, next.stageId);
    if (!next || truth === undefined) break;
    const { abs, rel } = checkKind(next.of);
    minutes += checkKind(next.of).minutes;
    readings.push({ checkId: next.id, value: truth + draw() * Math.hypot(abs, rel * truth) });
  }
  const [top] = finding.believe(readings);
  return {
    ...{ checks: readings.length, minutes, sure: top?.probability ?? 0 },
    right: top?.cause.id === `${fault.id} ${stageId}`,
  };
}

/** Every fault of three lines, looked for with the scatter of several seeds; those that nobody would notice left out. */
export const lookForAll = (orderOf: (finding: Finding) => Order = () => BY_WHAT_IT_TELLS): Looked[] =>
  LINES.flatMap((plan) =>
    allStages(plan).flatMap((stage) =>
      FAULTS.filter((f) => f.canHave(stage)).flatMap((fault) =>
        SEEDS.flatMap((seed) => lookFor(plan, fault, stage.id, seed, orderOf) ?? []),
      ),
    ),
  );
