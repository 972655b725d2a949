import type { Sentence } from '../advice/rule';
import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { allStages, stageById } from '../plan/runs';
import type { Asked } from './base-line';
import type { Merits } from './front';
import {
  type Against,
  buysCompressor,
  judgeProposal,
  meritsOf,
  onColdDay,
  outletMarginAt,
  worstMarginK,
} from './judge-proposal';
import { type Proposal, proposedLine } from './judged-front';
import { nameLine, toldApart } from './name-line';
import type { Option, Position } from './positions';
import type { Found } from './search';

/** The most lines that are shown of a front. */
export const MOST_SHOWN = 8;

/** A job on a day: how much drier its air is than asked for, and the pressure that is left over. */
export interface JobThen {
  readonly stageId: string;
  readonly name: string;
  readonly marginK: number | undefined;
  readonly sparePa: number;
}

/** A line as it is shown. */
export interface Shown extends Proposal {
  readonly name: string;
  /** Each job at the design hour, and on the coldest day. */
  readonly warm: readonly JobThen[];
  readonly cold: readonly JobThen[];
}

/** An obvious line that is not on the front. */
export interface WhyNot {
  readonly what: string;
  readonly plan: Plan;
}

/** What is wrong with it; where nothing is, by what it is compared. */
export interface Because {
  readonly because: readonly Sentence[];
  readonly merits?: Merits;
}

const SCALES: readonly (keyof Merits)[] = ['purchase', 'yearly', 'minutesPerWeek', 'marginK'];

/** How far two lines lie apart by what they are compared by, each on the scale of the front. */
function apart(a: Merits, b: Merits, front: readonly Proposal[]): number {
  return SCALES.reduce((sum, f) => {
    const all = front.map((p) => p.merits[f]);
    const range = Math.max(...all) - Math.min(...all);
    return sum + (range > 0 ? ((a[f] - b[f]) / range) ** 2 : 0);
  }, 0);
}

/**
 * Of a front at most eight lines: the best by each merit, then those that lie furthest from what is chosen already.
 * @example fewOf(found.front).length // 2
 */
export function fewOf(front: readonly Proposal[]): readonly Proposal[] {
  if (front.length <= MOST_SHOWN) return front.toSorted((a, b) => a.merits.purchase - b.merits.purchase);
  const best = SCALES.map((f) =>
    front.reduce((a, b) => ((f === 'marginK' ? b.merits[f] > a.merits[f] : b.merits[f] < a.merits[f]) ? b : a)),
  );
  const few = [...new Set(best)];
  while (few.length < MOST_SHOWN) {
    const nearest = (p: Proposal): number => Math.min(...few.map((q) => apart(p.merits, q.merits, front)));
    few.push(front.filter((p) => !few.includes(p)).reduce((a, b) => (nearest(b) > nearest(a) ? b : a)));
  }
  return few.sort((a, b) => a.merits.purchase - b.merits.purchase);
}

/** Each job of a line as the air reaches it. */
function jobsOn(plan: Plan): JobThen[] {
  const section = walk(plan);
  const verdicts = judgeOutlets(plan, section);
  return allStages(plan).flatMap((s) => {
    const verdict = verdicts.get(s.id);
    if (s.kind !== 'outlet' || !verdict) return [];
    const sparePa = verdict.pressure.getsPa - verdict.pressure.needsPa;
    return [{ stageId: s.id, name: s.name, marginK: outletMarginAt(plan, s, section), sparePa }];
  });
}

const compressorOf = ({ stages }: Plan): string => stages.find((s) => s.kind === 'compressor')?.name ?? '';
const lowered = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

/**
 * The lines to show, named, with their days.
 * @example shownOf(found)[0].name // 'Cool, separate, chill, filter, carbon'
 */
export function shownOf({ front }: Pick<Found, 'front'>): Shown[] {
  const few = fewOf(front);
  const names = toldApart(
    few.map((p) =>
      buysCompressor(p.asked) ? `${compressorOf(p.plan)}: ${lowered(nameLine(p.plan))}` : nameLine(p.plan),
    ),
    few.map((p) => p.plan),
  );
  return few.map((p, i) => ({
    ...p,
    name: names[i] as string,
    warm: jobsOn(p.plan),
    cold: jobsOn(onColdDay(p.asked, p.plan)),
  }));
}

/** The position where a kind may stand, and the option of it; the first of several. */
function pick(positions: readonly Position[], test: (o: Option) => boolean, at?: (p: Position) => boolean) {
  for (const [p, position] of positions.entries()) {
    if (at && !at(position)) continue;
    const k = position.options.findIndex(test);
    if (k >= 0) return [p, k] as const;
  }
  return undefined;
}
const holds =
  (kind: string, grade?: string) =>
  (o: Option): boolean =>
    o.stages.some(
      (s) => s.kind === kind && (grade === undefined || (s.parameters as { grade?: string }).grade === grade),
    );
const atJobs = (p: Position): boolean => typeof p.where === 'number';

/** Choices with some kinds put in and all else left as it is. */
function having(
  positions: readonly Position[],
  from: readonly number[],
  ...wanted: readonly (readonly [test: (o: Option) => boolean, at?: (p: Position) => boolean])[]
): number[] | undefined {
  const choices = [...from];
  for (const [test, at] of wanted) {
    const found = pick(positions, test, at);
    if (!found) return undefined;
    choices[found[0]] = found[1];
  }
  return choices;
}

/** What is wrong with a line, gravest first, in words: at most a few. */
export function againstInWords(plan: Plan, { rules, jobs, practice }: Against): Sentence[] {
  const names = jobs.map((id) => stageById(plan, id)?.name ?? id);
  const said = rules.slice(0, 2).map((a) => a.finding.what);
  if (said.length > 0) return said;
  if (names.length > 0) return [`${names.join(', ')} does not get what it needs.`];
  return [...practice];
}

/**
 * The obvious lines that are not among those shown: each with its own reason, see {@link becauseOf}.
 * @example whyNot(found).length // 3
 */
export function whyNot(found: Found): WhyNot[] {
  const { asked, positions, front } = found;
  const none = new Array<number>(positions.length).fill(0);
  const own = front.filter((p) => p.asked === asked);
  const cheapest = own.toSorted((a, b) => a.merits.purchase - b.merits.purchase)[0]?.choices ?? none;
  const coalescers = [
    [holds('coalescing-filter', 'general'), atJobs],
    [holds('coalescing-filter', 'fine'), atJobs],
  ] as const;
  const cool = positions.findIndex((p) => p.id === 'cool');
  const obvious: readonly (readonly [string, number[] | undefined])[] = [
    ['A bead cartridge alone', having(positions, none, ...coalescers, [holds('bead-cartridge'), atJobs])],
    [
      'A twin tower for everything',
      having(positions, cheapest, ...coalescers, [holds('twin-tower')], [holds('particulate-filter')]),
    ],
    ['No aftercooler', cool >= 0 && cheapest[cool] !== 0 ? cheapest.with(cool, 0) : undefined],
    [
      'More stages, to be safe',
      having(
        positions,
        cheapest,
        ...coalescers,
        [holds('refrigerated-dryer')],
        [holds('bead-cartridge'), atJobs],
        [holds('particulate-filter'), atJobs],
        [holds('carbon-filter'), atJobs],
      ),
    ],
  ];
  const key = (choices: readonly number[]): string => choices.join(' ');
  const shown = new Set(own.map((p) => key(p.choices)));
  return obvious.flatMap(([what, choices]) => {
    if (!choices || shown.has(key(choices))) return [];
    return [{ what, plan: proposedLine(asked, positions, choices) }];
  });
}

/**
 * What is wrong with a line, or what it would cost.
 * @example becauseOf(asked, plan).because.length // 1
 */
export function becauseOf(asked: Asked, plan: Plan): Because {
  const { against, section } = judgeProposal(asked, plan);
  const because = againstInWords(plan, against);
  const marginK = worstMarginK(plan, section);
  if (because.length > 0 || marginK === undefined) return { because };
  return { because, merits: meritsOf(asked, plan, section, marginK) };
}
