import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import type { Asked } from './base-line';
import { asProposed, buildLine, type Choices } from './build-line';
import { inSteps, type Merits, noWorse, withMember } from './front';
import {
  boughtIn,
  condensesDried,
  dayOf,
  ENOUGH_K,
  isDirtyAtAJob,
  isFaultedAtOnce,
  isFeasible,
  type Judged,
  judgeDays,
  meritsOf,
  missesJob,
  onColdDay,
  worstMarginK,
} from './judge-proposal';
import type { Line } from './lines';
import { loadedFor } from './loaded-line';
import type { Position } from './positions';

/** A line that serves every job, with nothing wrong. */
export interface Proposal {
  /** With the compressor that this line has. */
  readonly asked: Asked;
  readonly plan: Plan;
  readonly choices: readonly number[];
  readonly merits: Merits;
  readonly judged: Judged;
}

/**
 * The line of a choice: its new stages told as proposed, its compressor loaded for what the jobs and its own losses take.
 * @example proposedLine(asked, positionsOf(asked), new Array(12).fill(0)).name // 'Proposed line'
 */
export function proposedLine(asked: Asked, positions: readonly Position[], choices: Choices): Plan {
  const plan = loadedFor(buildLine(asked, positions, choices));
  const bought = boughtIn(asked, plan);
  return asProposed(plan, (s) => bought.has(s.id));
}

/** The lines that no other beats, of those that were judged so far. */
export class JudgedFront {
  /** Lines whose air misses a job on one of the days, by {@link airKey}. */
  private readonly missed = new Set<string>();

  /** @param members those of the compressors before this one */
  constructor(
    private readonly asked: Asked,
    private readonly positions: readonly Position[],
    public members: readonly Proposal[],
  ) {}

  /** Whether what costs at least so much cannot be on the front: too dear, or another line is nowhere worse. */
  isBeaten(least: Merits): boolean {
    const { budget, minutesPerWeek: given } = this.asked.question;
    if (least.purchase > budget || least.minutesPerWeek > given) return true;
    const stepped = inSteps(least);
    return this.members.some((m) => noWorse(m.merits, stepped));
  }

  /** The same for lines that differ in their drains only: those change nothing in the air. */
  private airKey(choices: readonly number[]): string {
    return choices.map((k, p) => (this.positions[p]?.options[k]?.drains ? '' : k)).join(' ');
  }

  /** Judges a line as its own screens would, and keeps it where no other is nowhere worse. */
  consider({ choices, ...least }: Line): void {
    const { asked } = this;
    const key = this.airKey(choices);
    if (this.missed.has(key)) return;
    const plan = loadedFor(buildLine(asked, this.positions, choices));
    const section = walk(plan);
    const marginK = worstMarginK(plan, section);
    if (marginK === undefined || this.isBeaten({ ...least, marginK: Math.min(ENOUGH_K, marginK) })) return;
    // What misses a job by its middle figures does so all the more by its bands: no need to judge it.
    const cold = onColdDay(asked, plan);
    const coldSection = walk(cold);
    if (marginK < 0 || (worstMarginK(cold, coldSection) ?? -1) < 0) return;
    if (condensesDried(cold, coldSection)) {
      this.missed.add(key);
      return;
    }
    const merits = meritsOf(asked, plan, section, marginK);
    if (this.isBeaten(merits)) return;
    const bought = boughtIn(asked, plan);
    const proposed = asProposed(plan, (s) => bought.has(s.id));
    if (isDirtyAtAJob(cold, coldSection) || isFaultedAtOnce(proposed, section, 'warm')) return;
    const proposedCold = onColdDay(asked, proposed);
    if (isFaultedAtOnce(proposedCold, coldSection, 'cold')) return;
    const warmDay = dayOf(proposed, section);
    const coldDay = missesJob(warmDay) ? undefined : dayOf(proposedCold, coldSection);
    if (!coldDay || missesJob(coldDay)) {
      this.missed.add(key);
      return;
    }
    const judged = judgeDays(warmDay, coldDay);
    if (isFeasible(judged)) this.members = withMember(this.members, { asked, plan: proposed, choices, merits, judged });
  }
}
