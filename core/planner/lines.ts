import { costOfPressure } from '../line/waterfall';
import type { Asked } from './base-line';
import { type Bound, leastOf, NOTHING, plus } from './bound';
import { EXACT, type Slack } from './fast-walk';
import { inSteps, type Merits, withMember } from './front';
import { ENOUGH_K } from './judge-proposal';
import type { LeastCost } from './least-cost';
import type { Part } from './part';

/** A line that is not built yet, with what it costs at least and the most that its margin may be. */
export interface Line extends Merits {
  readonly choices: readonly number[];
}

/** Where the parts of a line stand among its positions, by their numbers. */
export interface Places {
  readonly main: readonly number[];
  readonly groups: readonly (readonly number[])[];
}

/** What is worked out once for a question. */
interface Given {
  readonly asked: Asked;
  readonly cost: LeastCost;
  /** Of the walk that the parts come from, where something vents. */
  readonly slack: Slack;
  readonly places: Places;
  readonly isBeaten: (least: Merits) => boolean;
}

/** Puts lines together from a main and a run for each group. */
export class Lines {
  private readonly pressurePerPa: number;
  private readonly startMinutes: number;

  constructor(private readonly given: Given) {
    const { base, question } = given.asked;
    this.pressurePerPa = costOfPressure(base).kWhPerPa * question.money.perKWh;
    this.startMinutes = given.cost.startMinutes();
  }

  /** All lines with a main that may be on the front. */
  of(main: Part, perGroup: readonly (readonly Part[])[]): Line[] {
    const { isBeaten } = this.given;
    const lines: Line[] = [];
    /** What the groups that follow cost at least. */
    const rest = perGroup.map((_, g) =>
      perGroup.slice(g + 1).reduce((sum, parts) => plus(sum, leastOf(parts)), NOTHING),
    );
    const parts: Part[] = [];
    const slackK = Math.max(this.given.slack.k, EXACT.k);
    /** @param marginK the most that it may be with the runs so far */
    const follow = (g: number, paid: Bound, marginK: number): void => {
      if (g === perGroup.length) {
        const merits = this.meritsOf(paid, main, parts);
        if (merits && !isBeaten(merits)) lines.push({ ...merits, choices: this.choicesOf(main, parts) });
        return;
      }
      for (const part of perGroup[g] as readonly Part[]) {
        parts[g] = part;
        const sum = plus(paid, part);
        const most = Math.min(marginK, part.marginK + slackK);
        if (!isBeaten({ ...plus(sum, rest[g] as Bound), marginK: most })) follow(g + 1, sum, most);
      }
    };
    follow(0, main, ENOUGH_K);
    return lines;
  }

  /** What a line costs at least, and the most that its margin may be; nothing where a job misses its air for certain. */
  private meritsOf(paid: Bound, main: Part, runs: readonly Part[]): Merits | undefined {
    const parts = [main, ...runs];
    const isVented = parts.some((p) => p.isVented);
    if (!isVented && !parts.every((p) => p.isServed)) return undefined;
    const sum = (of: (p: Part) => number): number => parts.reduce((n, p) => n + of(p), 0);
    const { cost, slack } = this.given;
    const wearMinutes = isVented
      ? cost.ventMinutes(sum((p) => p.ventedM3PerS))
      : this.startMinutes + sum((p) => p.moreMinutes);
    const { purchase, yearly, minutesPerWeek } = cost.withAir(paid, { wearMinutes, ventedM3PerS: 0 });
    const lostPa = Math.max(0, ...runs.map((p) => p.lostPa));
    const marginK = Math.min(...runs.map((p) => p.marginK)) + (isVented ? slack : EXACT).k;
    return {
      purchase,
      yearly: yearly + lostPa * this.pressurePerPa,
      minutesPerWeek,
      marginK: Math.min(ENOUGH_K, marginK),
    };
  }

  private choicesOf(main: Part, runs: readonly Part[]): number[] {
    const { main: places, groups } = this.given.places;
    const choices: number[] = [];
    const put = (at: readonly number[], part: Part | undefined): void => {
      for (const [i, place] of at.entries()) choices[place] = part?.choices[i] ?? 0;
    };
    put(places, main);
    for (const [g, at] of groups.entries()) put(at, runs[g]);
    return choices;
  }
}

const MOST_SCOUTED = 3;

/** Of lines with all the margin that is worth having those that may be on the front by their bounds, some of all sorts. */
export function bestOf(lines: readonly Line[]): readonly Line[] {
  const best = lines
    .filter((l) => l.marginK >= ENOUGH_K)
    .reduce<readonly { readonly line: Line; readonly merits: Merits }[]>(
      (front, line) => withMember(front, { line, merits: inSteps(line) }),
      [],
    );
  const every = Math.ceil(best.length / MOST_SCOUTED);
  return best.flatMap(({ line }, n) => (n % every === 0 ? [line] : []));
}
