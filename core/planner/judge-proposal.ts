import type { Advice } from '../advice/judge-line';
import { judgeLine, RULES } from '../advice/judge-line';
import type { StageOf } from '../advice/line-facts';
import type { Rule } from '../advice/rule';
import { costOfLine } from '../cost/cost-of-line';
import { DESICCANT, is } from '../equipment/groups';
import type { Surroundings } from '../equipment/shared/kind';
import { gradeLine, isCleanEnough } from '../line/grade-line';
import { inAll, judgeOutlets, type Verdicts } from '../line/judge-outlet';
import { askedDewPointC, dryMarginK, type OutletStage } from '../line/outlet-criteria';
import type { Section, Station } from '../line/section';
import { walk } from '../line/walk';
import { maintenanceFacts } from '../maintenance/facts';
import { drainsToAutomate } from '../maintenance/line-tasks';
import { priceOfStage } from '../plan/money';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';
import { type Asked, IDS } from './base-line';
import { inSteps, type Merits } from './front';
import type { Ownable } from './question';

/** Dryer than this under what a job asks for is worth nothing more, K: the margin of instrument air, 18 °F (ISA-7.0.01, recalled). */
export const ENOUGH_K = 10;

/** Rules that only ask for a record: they name what to check before building, not a fault of the proposal. */
export const RECORDS = ['A03', 'A04', 'A16'];
/** Rules on the compressor and tank that are given: shown with the answer, no fault of what is put between them and the jobs. */
export const OF_WHAT_IS_GIVEN = ['O47'];
/** A tank for bursts through a dryer: nothing by which lines are compared, so it is said beside them. */
const FOR_BURSTS = ['O13'];
/** What the advice says beside a proposal. */
export const BESIDE: readonly string[] = [...OF_WHAT_IS_GIVEN, ...RECORDS, ...FOR_BURSTS];

/**
 * By how much the air of an outlet is drier than its job asks for, K of dew point at that pressure.
 * @example outletMarginK(stage('outlet'), section.at('outlet'), around) // 8.0
 */
export function outletMarginK(outlet: OutletStage, station: Station, around: Surroundings): number {
  const asked = askedDewPointC(outlet.parameters, station, around);
  const own = dryMarginK(station, around); // whatever it asks for, its hose must stay dry
  return asked === undefined ? own : Math.min(own, asked - station.pressureDewPointC);
}

/** The same of an outlet of a walked line; nothing where the air does not arrive. */
export function outletMarginAt(plan: Plan, outlet: OutletStage, section: Section): number | undefined {
  const station = section.at(outlet.id);
  return station && outletMarginK(outlet, station, surroundingsAt(plan, outlet));
}

/** The worst margin of all jobs, up to what is worth having; nothing where air does not arrive at one. */
export function worstMarginK(plan: Plan, section: Section): number | undefined {
  let worst = ENOUGH_K;
  for (const s of allStages(plan)) {
    if (s.kind !== 'outlet') continue;
    const margin = outletMarginAt(plan, s, section);
    if (margin === undefined) return undefined;
    worst = Math.min(worst, margin);
  }
  return worst;
}

const GIVEN: readonly string[] = [IDS.intake, IDS.valve];
const GIVEN_MACHINES: readonly string[] = [IDS.compressor, IDS.receiver];

/** Whether compressor and tank are bought with the line. */
export const buysCompressor = ({ question }: Pick<Asked, 'question'>): boolean => question.compressor.sized === 'open';

/** Whether a stage may have to be bought: not given with the question. */
const isNotGiven = (asked: Pick<Asked, 'question'>, { kind, id }: Stage): boolean =>
  kind !== 'outlet' && !GIVEN.includes(id) && (buysCompressor(asked) || !GIVEN_MACHINES.includes(id));

/** Whether a kind is owned already. */
export const isOwned = ({ question }: Pick<Asked, 'question'>, { kind }: Stage): boolean =>
  question.owned.includes(kind as Ownable);

/** Whether a stage has to be bought in any line: neither given nor of a kind that is owned. */
export const isAlwaysBought = (asked: Pick<Asked, 'question'>, stage: Stage): boolean =>
  isNotGiven(asked, stage) && !isOwned(asked, stage);

/**
 * What of a line has to be bought, by its ids: of a kind that is owned the first in the order of flow is there.
 * @example boughtIn(asked, asked.base).size // 3
 */
export function boughtIn(asked: Pick<Asked, 'question'>, plan: Plan): ReadonlySet<string> {
  const left = new Set<string>(asked.question.owned);
  return new Set(allStages(plan).flatMap((s) => (isNotGiven(asked, s) && !left.delete(s.kind) ? [s.id] : [])));
}

const tankOf = (plan: Plan): StageOf<'receiver'> =>
  plan.stages.find((s) => s.id === IDS.receiver) as StageOf<'receiver'>;

/** What another drain of the tank costs, where the tank itself is there. */
function priceOfDrain(asked: Pick<Asked, 'base' | 'question'>, plan: Plan): number {
  if (buysCompressor(asked)) return 0;
  const price = (of: Plan): number => priceOfStage(plan.money, tankOf(of)).price.first;
  return price(plan) - price(asked.base);
}

/** What of a line has to be bought, in the person’s money. */
export function purchaseOf(asked: Asked, plan: Plan): number {
  const bought = boughtIn(asked, plan);
  return (
    allStages(plan)
      .filter((s) => bought.has(s.id))
      .reduce((sum, s) => sum + priceOfStage(plan.money, s).price.first, 0) + priceOfDrain(asked, plan)
  );
}

/**
 * The same line on the coldest day: outdoors and compressor room as cold as they get.
 * @example onColdDay(asked, plan).survey.places[1].temperatureC // 10
 */
export function onColdDay({ question: q }: Pick<Asked, 'question'>, plan: Plan): Plan {
  const { intakePlaceId, roomPlaceId } = plan.survey;
  const coldest = new Map([
    [intakePlaceId, Math.min(q.intakeC, q.coldestRoomC)],
    [roomPlaceId, q.coldestRoomC],
    ...q.jobs.map((j, i) => [IDS.place(i), j.coldestC] as const),
  ]);
  return {
    ...plan,
    survey: {
      ...plan.survey,
      places: plan.survey.places.map((p) => ({ ...p, temperatureC: coldest.get(p.id) ?? p.temperatureC })),
    },
  };
}

/** What is wrong with a line: the jobs that it does not serve, and what the advice faults. */
export interface Against {
  readonly jobs: readonly string[];
  readonly rules: readonly Advice[];
  /** What no experienced hand would build, in words. */
  readonly practice: readonly string[];
}

export interface Judged {
  readonly section: Section;
  readonly verdicts: Verdicts;
  readonly against: Against;
}

/** The rules that fault a proposal: notes and records do not. On the coldest day only what must be. */
const faulting = (...grades: readonly Rule['grade'][]): readonly Rule[] =>
  RULES.filter(({ id, grade }) => grades.includes(grade) && ![...RECORDS, ...OF_WHAT_IS_GIVEN].includes(id));
const FAULTS = { warm: faulting('must', 'should'), cold: faulting('must') } as const;

const DRIED_IN_COLD = RULES.filter((r) => r.id === 'O17');

/** Drains by hand that would have to be opened too often, and media behind less than 1 µm and 0.01 µm (trade handbook, O07). */
function badPractice(plan: Plan, section: Section): string[] {
  const isFine = (s: Stage): boolean => s.kind === 'coalescing-filter' && s.parameters.grade === 'fine';
  const stages = allStages(plan);
  const oiled = stages.some((s) => s.kind === 'compressor' && s.parameters.type !== 'oilfree');
  const unguarded = stages.filter(
    (s) => oiled && is([...DESICCANT, 'carbon-filter'], s.kind) && !pathTo(plan, s.id).some(isFine),
  );
  return [
    ...drainsToAutomate(maintenanceFacts(plan, section)).map(
      ({ stage }) => `${stage.name} would have to be opened by hand more often than anybody does.`,
    ),
    ...unguarded.map((s) => `No 0.01 µm coalescer keeps oil from ${s.name}.`),
  ];
}

/** A line on one day, walked and judged. */
export interface Day {
  readonly plan: Plan;
  readonly section: Section;
  readonly verdicts: Verdicts;
}
export const dayOf = (plan: Plan, section: Section = walk(plan)): Day => ({
  plan,
  section,
  verdicts: judgeOutlets(plan, section),
});

const missedOn = ({ verdicts }: Day): string[] =>
  [...verdicts.values()].filter((v) => inAll(v) !== 'meets').map((v) => v.stageId);
/** Whether a job does not get what it asks for on a day, or may not: without what else is wrong. */
export const missesJob = (day: Day): boolean => missedOn(day).length > 0;

/**
 * Judges a line as its own screens do, at the design hour and on the coldest day.
 * @example judgeProposal(asked, asked.base).against.jobs.length // 1
 */
export const judgeProposal = (asked: Pick<Asked, 'question'>, plan: Plan): Judged =>
  judgeDays(dayOf(plan), dayOf(onColdDay(asked, plan)));

/** The same of a line that is walked already. */
export function judgeDays(warm: Day, cold: Day): Judged {
  const faults = ({ plan, section, verdicts }: Day, of: readonly Rule[]): readonly Advice[] =>
    judgeLine(plan, section, of, [], verdicts).advice;
  const rules = faults(warm, FAULTS.warm);
  return {
    section: warm.section,
    verdicts: warm.verdicts,
    against: {
      jobs: [...new Set([...missedOn(warm), ...missedOn(cold)])],
      practice: badPractice(warm.plan, warm.section),
      rules: [...rules, ...faults(cold, FAULTS.cold).filter((a) => !rules.some((b) => b.key === a.key))],
    },
  };
}

/** Whether the advice faults a line before its bands are worked out: for who only asks whether it is feasible. */
export const isFaultedAtOnce = (plan: Plan, section: Section, day: keyof typeof FAULTS): boolean =>
  judgeLine(plan, section, FAULTS[day]).advice.length > 0 || (day === 'warm' && badPractice(plan, section).length > 0);

/** Whether dried air meets pipe that is colder than its dew point. */
export const condensesDried = (plan: Plan, section: Section): boolean =>
  judgeLine(plan, section, DRIED_IN_COLD).advice.length > 0;

/** Whether a job gets more oil or particles than it asks for. */
export function isDirtyAtAJob(plan: Plan, section: Section): boolean {
  const grades = gradeLine(plan, section);
  return allStages(plan).some((s) => {
    const grade = s.kind === 'outlet' ? grades.get(s.id) : undefined;
    return grade !== undefined && !isCleanEnough(grade, s.parameters as OutletStage['parameters']);
  });
}

/** Whether nothing is wrong with a line. */
export const isFeasible = ({ against }: Pick<Judged, 'against'>): boolean =>
  against.jobs.length === 0 && against.rules.length === 0 && against.practice.length === 0;

/** A year of minutes as those of a week. */
export const perWeek = (minutesPerYear: number): number => minutesPerYear / 52;

/** By what a line is compared with others. */
export function meritsOf(asked: Asked, plan: Plan, section: Section, marginK: number): Merits {
  const cost = costOfLine(plan, plan.money, section);
  const purchase = purchaseOf(asked, plan);
  return inSteps({ purchase, yearly: cost.yearly, minutesPerWeek: perWeek(cost.minutes), marginK });
}
