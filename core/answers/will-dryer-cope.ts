import { askedBehind } from '../advice/dryers';
import { type Advice, judgeLine } from '../advice/judge-line';
import { LineFacts } from '../advice/line-facts';
import { CHILLED, DRYERS, is } from '../equipment/groups';
import { walk } from '../line/walk';
import { setParameters } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { sizeRefrigerated, USUAL_DEW_POINT_C } from '../sizing/size-refrigerated';
import { type Conditions, inConditions } from './conditions';
import { dryerDutyAt } from './dryer-duty-at';

/** A dryer on one day. */
export interface DryerDay {
  readonly inletC: number;
  readonly roomC: number;
  /** Pressure dew point of what leaves it; over its rating it rises. */
  readonly dewPointC: number;
  /** What its jobs ask of it on that day, as a pressure dew point. */
  readonly wantedC: number;
  /** Share of what it can do here; of a refrigerated dryer only. */
  readonly load: number | undefined;
}

export interface Cope {
  readonly stage: Stage;
  /** Nothing where the line refuses the air before it gets there: {@link refused} says why. */
  readonly today: DryerDay | undefined;
  readonly hottest: DryerDay | undefined;
  /** Dry enough, not overloaded, and no danger or certain failure that only the hot day brings. */
  readonly copes: boolean;
  /** What the advice says of it on the hottest day and does not say today. */
  readonly faults: readonly Advice[];
  readonly refused: string | undefined;
  /** The rating that copes, of a refrigerated dryer. */
  readonly neededM3PerS: number | undefined;
}

/**
 * The dryers that stand in a line, in the order of flow.
 * @example dryersOf(plan).map((s) => s.kind) // ["refrigerated-dryer","bead-cartridge"]
 */
export const dryersOf = (plan: Plan): Stage[] => allStages(standing(plan)).filter((s) => is(DRYERS, s.kind));

/** A refrigerated dryer is judged by its rating: a dew point that was once measured says nothing of a hotter day. */
function byRating(plan: Plan, stage: Stage, ratedM3PerS: number): Plan {
  const rated = { ratedFlowM3PerS: ratedM3PerS };
  return setParameters(plan, stage.id, stage.kind === 'refrigerated-dryer' ? { ...rated, method: 'rated' } : rated);
}

function dayOf(line: LineFacts, stageId: string): DryerDay | undefined {
  const stage = line.stage(stageId);
  const [comes, leaves] = [stage && line.inlet(stage), line.at(stage)];
  if (!stage || !comes || !leaves) return undefined;
  return {
    inletC: comes.temperatureC,
    roomC: line.roomC(stage),
    dewPointC: leaves.pressureDewPointC,
    wantedC: askedBehind(line, stage).wantedC,
    load: line.load(stage),
  };
}

/**
 * Whether a dryer still does what its jobs ask of it on the hottest day: the line walked twice, and its advice.
 * @param ratedM3PerS plate of a refrigerated dryer; left out, the one that is entered
 * @source walk and rules of the line; capacity of refrigerated dryers by generic tables (reference group 11)
 * @example willDryerCope(plan, stage('refrigerated-dryer'), hottestOf(plan)).copes // true
 */
export function willDryerCope(plan: Plan, stage: Stage, hottest: Conditions, ratedM3PerS?: number): Cope {
  const isChilled = is(CHILLED, stage.kind);
  const own = (stage.parameters as { ratedFlowM3PerS?: number }).ratedFlowM3PerS;
  const plate = ratedM3PerS ?? own;
  const rated = isChilled && plate !== undefined ? byRating(plan, stage, plate) : plan;
  const on = (day: Plan) => {
    const section = walk(day);
    const facts = new LineFacts(day, section);
    const advice = judgeLine(day, section).advice.filter(
      (a) => a.finding.stageIds.includes(stage.id) && a.rule.grade !== 'note',
    );
    return { section, facts, advice };
  };
  const today = on(rated);
  const hot = on(inConditions(rated, hottest));
  const hottestDay = dayOf(hot.facts, stage.id);
  const known = new Set(today.advice.map((a) => a.key));
  const faults = hot.advice.filter((a) => !known.has(a.key));
  const duty = isChilled ? dryerDutyAt(inConditions(rated, hottest), hot.section, stage) : undefined;
  return {
    stage,
    today: dayOf(today.facts, stage.id),
    hottest: hottestDay,
    copes:
      hottestDay !== undefined &&
      hottestDay.dewPointC <= hottestDay.wantedC &&
      (hottestDay.load ?? 0) <= 1 &&
      !faults.some((a) => a.rule.grade === 'must'),
    faults,
    refused: hottestDay ? undefined : hot.section.problem?.message,
    neededM3PerS:
      duty && sizeRefrigerated({ ...duty, hottestRoomC: duty.roomC, wantedC: USUAL_DEW_POINT_C }).ratedM3PerS,
  };
}
