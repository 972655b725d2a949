import { Finding, ON_THE_WAY_MIN } from '../diagnosis/finding/belief';
import { isFound, type Reading } from '../diagnosis/finding/cause';
import { type Check, checkKind, costMin, readUnder } from '../diagnosis/finding/checks';
import { ACTS, type ActName } from '../fault/fault';
import { withFault } from '../fault/faults';
import type { Section } from '../line/section';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { hoursPerWeek } from '../plan/working-time';
import { HOUR_S } from '../quantity/constants';
import { normalDraws } from '../quantity/normal-draws';
import type { Asked, PracticeCase } from './case';
import { warmedBy } from './season';

/** Weeks that are played after a search, and how much the air of one differs from that of the season, K (estimate). */
export const WEEKS = 4;
const WEEK_K = 3;
/** So many readings of each kind the log has of the weeks before. */
const LOGGED = 3;

/** The line of a case with its fault, as its instruments show it. */
export class FaultyLine {
  readonly finding: Finding;
  private readonly faulty: Plan;
  private readonly walked: { readonly sound: Section; readonly faulty: Section };

  /** @throws RangeError for a case that hides no fault */
  constructor(private readonly of: Pick<PracticeCase, 'asked' | 'plan' | 'seed'>) {
    const { asked, plan } = of;
    if (asked.form !== 'find') throw new RangeError('this case hides no fault');
    this.hidden = asked.hidden;
    this.finding = new Finding(plan, asked.complaint);
    this.faulty = withFault(plan, { faultId: asked.hidden.fault.id, ...asked.hidden });
    this.walked = { sound: walk(plan), faulty: walk(this.faulty) };
  }
  readonly hidden: Extract<Asked, { form: 'find' }>['hidden'];

  get causeId(): string {
    return `${this.hidden.fault.id} ${this.hidden.stageId}`;
  }

  /** What is done about a cause, and whether that is what the hidden fault needs: causes of one stage may have one repair. */
  actOn(causeId: string): { readonly act: (typeof ACTS)[ActName]; readonly isRight: boolean } {
    const causes = this.finding.believe([]).map((b) => b.cause);
    const [done, needed] = [causeId, this.causeId].map((id) => causes.find((c) => c.id === id));
    const isRight = done?.stageId === needed?.stageId && done?.repair === needed?.repair;
    return { act: ACTS[done?.fault?.act ?? 'repair'], isRight };
  }

  /**
   * What an instrument shows: with its error, the same each time, as a systematic one is; after the repair of the cause, what a
   * sound line shows.
   * @returns SI; nothing where it cannot be read
   */
  reads(check: Check, repaired: boolean): number | undefined {
    const truth = repaired
      ? readUnder(this.of.plan, this.walked.sound, [], check)
      : readUnder(this.faulty, this.walked.faulty, [this.hidden], check);
    if (truth === undefined) return undefined;
    return this.scattered(check, truth, 0);
  }

  /**
   * What the log has of the weeks before the fault, oldest first; of looks nothing.
   * @returns SI
   */
  before(check: Check): readonly number[] {
    const truth = readUnder(this.of.plan, this.walked.sound, [], check);
    if (truth === undefined || checkKind(check.of).quantity === 'look') return [];
    return Array.from({ length: LOGGED }, (_, i) => this.scattered(check, truth, i + 1));
  }

  /** A reading with the error of its instrument: another one each time that it was taken. */
  private scattered(check: Check, truth: number, time: number): number {
    const { abs, rel, quantity } = checkKind(check.of);
    if (quantity === 'look') return truth;
    const index = this.finding.checks.findIndex((c) => c.id === check.id);
    const draw = normalDraws(this.of.seed * 7919 + index * 104_729);
    for (let i = 0; i < 50 + time; i++) draw(); // the first numbers of near seeds are near each other
    const read = truth + draw() * Math.hypot(abs, rel * truth) * 0.6; // without the error of the model
    return ['catch', 'held', 'delivery'].includes(check.of) ? Math.max(0, read) : read;
  }

  /** The way that the engine goes, with what the same instruments show, and whether it ends at the cause. */
  reference(): { readonly checkIds: readonly string[]; readonly minutes: number; readonly finds: boolean } {
    const readings: Reading[] = [];
    for (let n = 0; n < 10 && !isFound(this.finding.believe(readings)); n++) {
      const next = this.finding.nextChecks(readings)[0];
      const value = next && next.bits >= 0.01 ? this.reads(next.check, false) : undefined;
      if (!next || value === undefined) break;
      readings.push({ checkId: next.check.id, value });
    }
    const checkIds = readings.map((r) => r.checkId);
    const believed = this.finding.believe(readings);
    const finds = isFound(believed) && believed[0]?.cause.id === this.causeId;
    return { checkIds, minutes: this.minutesOf(checkIds) + this.actOn(this.causeId).act.minutes, finds };
  }

  /** Minutes of readings, with the way to each. */
  minutesOf(checkIds: readonly string[]): number {
    return checkIds.reduce((sum, id) => {
      const check = this.finding.checks.find((c) => c.id === id);
      return sum + (check ? ON_THE_WAY_MIN + costMin(check.of) : 0);
    }, 0);
  }

  /**
   * Water that reaches the tools in each week after, kg: each has weather of its own, about the season.
   * @param repaired whether the fault is out of it
   */
  weeksKg(repaired: boolean): readonly number[] {
    const plan = repaired ? this.of.plan : this.faulty;
    const { working } = plan.survey;
    const draw = normalDraws(this.of.seed * 7919);
    for (let i = 0; i < 50; i++) draw(); // as above
    return Array.from({ length: WEEKS }, () => {
      const week = warmedBy(plan, WEEK_K * draw());
      const section = walk(week);
      const kgPerS = week.stages.reduce(
        (sum, s) => sum + (s.kind === 'outlet' ? (section.at(s.id)?.liquidKgPerS ?? 0) : 0),
        0,
      );
      return kgPerS * HOUR_S * hoursPerWeek(working) * working.loadedShare;
    });
  }
}
