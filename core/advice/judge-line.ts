import type { DayRemark } from '../day/judge-day';
import { inAll, type Verdicts } from '../line/judge-outlet';
import type { Section } from '../line/section';
import { walk } from '../line/walk';
import type { Dismissal, Plan } from '../plan/plan';
import { say as inUnits } from '../quantity/format';
import { AT_THE_JOB, BY_VERDICT } from './at-the-job';
import { CATCHING } from './catching';
import { CHARGE_CARE } from './charge-care';
import { COLD_PLACES } from './cold-places';
import { COMPRESSOR_CYCLE } from './compressor-cycle';
import { COMPRESSOR_LOAD } from './compressor-load';
import { CONDENSATE } from './condensate';
import { COOLING } from './cooling';
import { DRAINS } from './drains';
import { DRYING_DUTY } from './drying-duty';
import { DRYING_NEED } from './drying-need';
import { DRYING_ORDER } from './drying-order';
import { FILTERING } from './filters';
import { HEAT } from './heat';
import { LineFacts } from './line-facts';
import { OIL_AND_CARE } from './oil-and-care';
import { PIPEWORK } from './pipework';
import { PRESSURE_LEFT } from './pressure-left';
import { type Finding, type Rule, type Say, sayIn } from './rule';
import { SAFETY } from './safety';
import { TOOL_PRESSURE } from './tool-pressure';
import { VESSELS } from './vessels';

/** Every rule, family by family. */
export const RULES: readonly Rule[] = [
  ...SAFETY,
  ...VESSELS,
  ...HEAT,
  ...TOOL_PRESSURE,
  ...COOLING,
  ...CATCHING,
  ...COLD_PLACES,
  ...FILTERING,
  ...DRYING_ORDER,
  ...OIL_AND_CARE,
  ...DRYING_DUTY,
  ...CHARGE_CARE,
  ...DRYING_NEED,
  ...AT_THE_JOB,
  ...DRAINS,
  ...CONDENSATE,
  ...PIPEWORK,
  ...PRESSURE_LEFT,
  ...COMPRESSOR_LOAD,
  ...COMPRESSOR_CYCLE,
];

/** What a rule says of a line at one place. */
export interface Advice {
  /** The same as long as it is said of the same stages. */
  readonly key: string;
  readonly rule: Rule;
  readonly finding: Finding;
  /** Why it was set aside, as long as what it rests on is as it was then. */
  readonly dismissed?: string;
}

/** A rule that broke: the others still speak. */
export interface Broken {
  readonly ruleId: string;
  readonly message: string;
}

export interface LineJudgement {
  /** Dangers first, then must, should, note; what was set aside comes last. */
  readonly advice: readonly Advice[];
  readonly broken: readonly Broken[];
}

const ORDER = { must: 1, should: 2, note: 3 } as const;
const rank = ({ rule, dismissed }: Advice): number =>
  dismissed === undefined ? (rule.stop ? 0 : ORDER[rule.grade]) : 4;

const placeOf = ({ rule }: Advice): number => RULES.indexOf(rule);

const SI: Say = (si, quantity) => inUnits(si, quantity);
/** What a finding rests on: its own words and figures, in units that nobody changes. */
const restsOn = ({ what, why }: Finding): string => `${sayIn(what, SI)} ${sayIn(why, SI)}`.slice(0, 1000);

const sameStages = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((id, i) => id === b[i]);

/**
 * What an experienced colleague would say on seeing a line.
 * @param rules left out, all of them
 * @param day what was seen in the compressor cycle; left out, the rules on it are silent; those on starts and load count on the
 *   compressor’s cycle at its average demand in either case, so that what is set aside stays so on every screen
 * @param verdicts on the outlets, with their uncertainty; left out, what is open there is not spoken of
 * @source each rule’s own
 * @example judgeLine(plan).advice.map((a) => a.rule.id) // ["O09","O13"]
 */
export function judgeLine(
  plan: Plan,
  section: Section = walk(plan),
  rules: readonly Rule[] = RULES,
  day: readonly DayRemark[] = [],
  verdicts?: Verdicts,
): LineJudgement {
  const line = new LineFacts(plan, section, day, verdicts);
  const advice: Advice[] = [];
  const broken: Broken[] = [];
  for (const rule of rules) {
    try {
      for (const finding of rule.finds(line)) {
        const aside = rule.stop
          ? undefined
          : plan.dismissed.find((a) => a.rule === rule.id && sameStages(a.stageIds, finding.stageIds));
        advice.push({
          key: [rule.id, ...finding.stageIds].join(' '),
          rule,
          finding,
          ...(aside && aside.restsOn === restsOn(finding) && { dismissed: aside.reason }),
        });
      }
    } catch (error) {
      broken.push({ ruleId: rule.id, message: error instanceof Error ? error.message : String(error) });
    }
  }
  return { advice: advice.toSorted((a, b) => rank(a) - rank(b)), broken };
}

/**
 * A judgement with what the verdicts on the outlets change in it: only the rules that ask for them judge anew.
 * @param judgement of the same line without verdicts
 * @example withVerdicts(judgeLine(plan), plan, section, judgeOutlets(plan, section)).advice.length // 2
 */
export function withVerdicts(
  { advice, broken }: LineJudgement,
  plan: Plan,
  section: Section,
  verdicts: Verdicts,
): LineJudgement {
  const anew = judgeLine(plan, section, BY_VERDICT, [], verdicts);
  const kept = advice.filter((a) => !BY_VERDICT.includes(a.rule));
  return {
    advice: [...kept, ...anew.advice].toSorted((a, b) => rank(a) - rank(b) || placeOf(a) - placeOf(b)),
    broken: [...broken.filter((b) => !BY_VERDICT.some((r) => r.id === b.ruleId)), ...anew.broken],
  };
}

/**
 * Whether a line may be called ready: no danger stands on it, nothing that it must have is missing, the walk goes through, and
 * every job gets what it asks for even at the worse edge of the uncertainty.
 * @example isReady(judgeLine(plan), section, judgeOutlets(plan, section)) // true
 */
export function isReady({ advice, broken }: LineJudgement, section: Section, verdicts: Verdicts): boolean {
  return (
    broken.length === 0 &&
    section.problems.length === 0 &&
    [...verdicts.values()].every((v) => inAll(v) === 'meets') &&
    !advice.some((a) => a.rule.grade === 'must' && a.dismissed === undefined)
  );
}

/**
 * The plan with a piece of advice set aside, until what it rests on changes. A danger cannot be.
 * @example dismiss(plan, judgeLine(plan).advice[0], 'asked for').dismissed.length // 1
 */
export function dismiss(plan: Plan, { rule, finding }: Advice, reason: string): Plan {
  if (rule.stop) return plan;
  const entry: Dismissal = { rule: rule.id, stageIds: [...finding.stageIds], reason, restsOn: restsOn(finding) };
  return { ...plan, dismissed: [...restore(plan, { rule, finding }).dismissed, entry] };
}

/**
 * The plan with it standing again.
 * @example restore(plan, judgeLine(plan).advice[0]).dismissed.length // 0
 */
export function restore(plan: Plan, { rule, finding }: Pick<Advice, 'rule' | 'finding'>): Plan {
  return {
    ...plan,
    dismissed: plan.dismissed.filter((a) => a.rule !== rule.id || !sameStages(a.stageIds, finding.stageIds)),
  };
}
