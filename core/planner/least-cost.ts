import { CHILLED_W } from '../cost/cost-of-line';
import { CHILLED, is } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import { walk } from '../line/walk';
import { energyPerM3 } from '../line/waterfall';
import { maintenanceFacts } from '../maintenance/facts';
import { hoursPerMonth, leastServiceMinutes, tasksOfLine } from '../maintenance/line-tasks';
import { priceOfStage } from '../plan/money';
import type { Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { hoursPerWeek } from '../plan/working-time';
import { WORKING_WEEKS } from '../quantity/constants';
import { type Asked, IDS } from './base-line';
import { type Bound, NOTHING, plus } from './bound';
import { isAlwaysBought, isOwned } from './judge-proposal';
import { rated } from './loaded-line';

const WEEKS_PER_MONTH = 30.4 / 7;
/** Of the cut-in pressure, what is certainly left where a dryer blows (the advice faults more loss than a tenth). */
const SWEPT_AT = 0.8;

/** What stages cost at least, whatever air comes to them: known before a line is walked. */
export class LeastCost {
  private readonly known = new Map<string, Bound>();

  constructor(private readonly asked: Asked) {}

  /** What is given: the compressor by its hours, anything else as usual. */
  given(pipes: readonly Stage[]): Bound {
    const { base, question } = this.asked;
    const machines = tasksOfLine(maintenanceFacts(base, walk(base))).filter(
      ({ stage }) => stage.kind === 'intake' || stage.kind === 'compressor',
    );
    const minutes = (hoursPerMonth(machines) * 60) / WEEKS_PER_MONTH;
    const compressor = stageById(base, IDS.compressor) as Stage;
    const { first, yearly } = priceOfStage(question.money, compressor).price;
    return plus(this.of([stageById(base, IDS.valve) as Stage, ...pipes]), {
      ...NOTHING,
      purchase: isAlwaysBought(this.asked, compressor) ? first : 0,
      yearly: yearly + ((minutes * 52) / 60) * question.money.perHour,
      minutesPerWeek: minutes,
    });
  }

  /** What stages cost at least. */
  of(stages: readonly Stage[]): Bound {
    const { money } = this.asked.question;
    const hours = hoursPerWeek(this.asked.base.survey.working) * WORKING_WEEKS;
    let [purchase, yearly, minutesPerWeek] = [0, 0, 0];
    const owned: Record<string, number> = {};
    for (const s of stages) {
      const { price } = priceOfStage(money, s);
      if (isAlwaysBought(this.asked, s)) purchase += price.first;
      else if (isOwned(this.asked, s)) owned[s.kind] = (owned[s.kind] ?? 0) + price.first;
      const minutes = leastServiceMinutes(s) / WEEKS_PER_MONTH; // water and hours only add to them
      const kWh = ((is(CHILLED, s.kind) ? CHILLED_W * rated(s) : 0) + this.sweepW(s)) * (hours / 1000);
      yearly += price.yearly + kWh * money.perKWh + ((minutes * 52) / 60) * money.perHour;
      minutesPerWeek += minutes;
    }
    return { purchase, yearly, minutesPerWeek, owned };
  }

  /** The same, worked out once for a key. */
  once(key: string, bound: () => Bound): Bound {
    const known = this.known.get(key) ?? bound();
    this.known.set(key, known);
    return known;
  }

  /** With the minutes that charges and hand drains ask for by what comes to them. */
  withWear(bound: Bound, minutes: number): Bound {
    const yearly = ((minutes * 52) / 60) * this.asked.question.money.perHour;
    return { ...bound, yearly: bound.yearly + yearly, minutesPerWeek: bound.minutesPerWeek + minutes };
  }

  /** Power behind the air that a stage blows away whatever passes, at cut-in. */
  private sweepW(s: Stage): number {
    const { base, atmosphericPa, question } = this.asked;
    if ((s.parameters as { control?: string }).control === 'dew-point') return 0; // by its load
    const cutInPa = atmosphericPa + SWEPT_AT * question.compressor.cutInGaugePa;
    return (kindOf(s.kind).ventsM3PerS?.(s.parameters, cutInPa) ?? 0) * energyPerM3(base);
  }
}
