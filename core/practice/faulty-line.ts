import { Finding, ON_THE_WAY_MIN } from '../diagnosis/finding/belief';
import { type Cause, isFound, type Reading } from '../diagnosis/finding/cause';
import { type Check, checkKind, costMin, readUnder } from '../diagnosis/finding/checks';
import { ACTS, type ActName } from '../fault/fault';
import { type Walked, walkedWith } from '../fault/walked';
import { airBalance } from '../line/balance';
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
  private readonly sound: Walked;
  private readonly faulty: Walked;

  /** @throws RangeError for a case that hides no fault */
  constructor(private readonly of: Pick<PracticeCase, 'asked' | 'plan' | 'seed'>) {
    const { asked, plan } = of;
    if (asked.form !== 'find') throw new RangeError('this case hides no fault');
    this.hidden = asked.hidden;
    this.finding = new Finding(plan, asked.complaint);
    this.sound = walkedWith(plan);
    this.faulty = walkedWith(plan, [asked.hidden]);
  }
  readonly hidden: Extract<Asked, { form: 'find' }>['hidden'];

  get causeId(): string {
    return `${this.hidden.fault.id} ${this.hidden.stageId}`;
  }

  get plan(): Plan {
    return this.of.plan;
  }

  /** What is done about a cause, and whether that is what the hidden fault needs. */
  actOn(causeId: string): { readonly act: (typeof ACTS)[ActName]; readonly isRight: boolean } {
    return { act: ACTS[this.causeOf(causeId)?.fault?.act ?? 'repair'], isRight: this.isRepairedBy(causeId) };
  }

  /** Whether what is done about a cause is what the hidden fault needs: causes of one stage may have one repair. */
  isRepairedBy(causeId: string | undefined): boolean {
    const [done, needed] = [this.causeOf(causeId), this.causeOf(this.causeId)];
    return done?.stageId === needed?.stageId && done?.repair === needed?.repair;
  }

  /** How likely a cause is before anything is read, beside the likeliest; 0 for none. */
  plausible(causeId: string | undefined): number {
    const believed = this.finding.believe([]);
    const own = believed.find((b) => b.cause.id === causeId)?.probability ?? 0;
    return own / Math.max(1e-9, believed[0]?.probability ?? 0);
  }

  private causeOf(causeId: string | undefined): Cause | undefined {
    return this.finding.believe([]).find((b) => b.cause.id === causeId)?.cause;
  }

  /**
   * What an instrument shows: with its error, the same each time, as a systematic one is; after the repair of the cause, what a
   * sound line shows.
   * @returns SI; nothing where it cannot be read
   */
  reads(check: Check, repaired: boolean): number | undefined {
    const truth = readUnder(repaired ? this.sound : this.faulty, check);
    if (truth === undefined) return undefined;
    return this.scattered(check, truth, 0);
  }

  /**
   * What the log has of the weeks before the fault, oldest first; of looks nothing.
   * @returns SI
   */
  before(check: Check): readonly number[] {
    const truth = readUnder(this.sound, check);
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
   * @param repairedAfterMin working minutes until the fault is out of it; left out, it stays in
   */
  weeksKg(repairedAfterMin?: number): readonly number[] {
    const { working } = this.of.plan.survey;
    const draw = normalDraws(this.of.seed * 7919);
    for (let i = 0; i < 50; i++) draw(); // as above
    const weekS = HOUR_S * hoursPerWeek(working);
    return Array.from({ length: WEEKS }, (_, week) => {
      const warmer = WEEK_K * draw();
      const [sound, faulty] = [this.sound, this.faulty].map(({ plan }) => waterAtTools(warmedBy(plan, warmer)));
      const begunS = weekS * week;
      const withFault =
        repairedAfterMin === undefined ? 1 : Math.min(1, Math.max(0, (60 * repairedAfterMin - begunS) / weekS));
      const kgPerS = withFault * (faulty as number) + (1 - withFault) * (sound as number);
      return kgPerS * weekS * working.loadedShare;
    });
  }

  /** Share of the time that the compressor runs loaded for what the jobs take and the line loses. */
  loadedShare(repaired: boolean): number {
    const { plan, section } = repaired ? this.sound : this.faulty;
    const { usedM3PerS, lostM3PerS, deliveredM3PerS } = airBalance(plan, section);
    return Math.min(1, (usedM3PerS + lostM3PerS) / Math.max(1e-9, deliveredM3PerS));
  }
}

/** Drops that reach the tools of a line while it is loaded, kg/s. */
function waterAtTools(plan: Plan): number {
  const section = walk(plan);
  return plan.stages.reduce((sum, s) => sum + (s.kind === 'outlet' ? (section.at(s.id)?.liquidKgPerS ?? 0) : 0), 0);
}
