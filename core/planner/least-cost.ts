import { CHILLED_W, hasPrice } from '../cost/cost-of-line';
import { CHILLED, is } from '../equipment/groups';
import { walk } from '../line/walk';
import { energyPerM3 } from '../line/waterfall';
import { type MaintenanceFacts, maintenanceFacts } from '../maintenance/facts';
import { hoursPerMonth, leastServiceMinutes, tasksOfLine } from '../maintenance/line-tasks';
import { priceOfStage } from '../plan/money';
import type { Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { hoursPerWeek, loadedShareFor } from '../plan/working-time';
import { WORKING_WEEKS } from '../quantity/constants';
import { type Asked, IDS } from './base-line';
import { type Bound, NOTHING, plus } from './bound';
import type { Walked } from './fast-walk';
import { isAlwaysBought, isOwned } from './judge-proposal';
import { rated } from './loaded-line';

const WEEKS_PER_MONTH = 52 / 12;
/** Shares of load nearer than this count as one. */
const LOAD_STEP = 0.05;

/** What stages cost at least, whatever air comes to them: known before a line is walked. */
export class LeastCost {
  private readonly known = new Map<string, Bound>();

  private readonly atLoad = new Map<number, number>();
  private readonly facts: MaintenanceFacts;
  /** Without its starts. */
  private readonly byHours: MaintenanceFacts;
  /** A year of a watt, and of a m³/s that is vented, while anybody works. */
  private readonly ofWatt: number;
  private readonly ofVented: number;

  constructor(private readonly asked: Asked) {
    const { base, question } = asked;
    this.facts = maintenanceFacts(base, walk(base));
    this.byHours = { ...this.facts, startsPerDay: 0 };
    this.ofWatt = (hoursPerWeek(base.survey.working) * WORKING_WEEKS * question.money.perKWh) / 1000;
    this.ofVented = this.ofWatt * energyPerM3(base);
  }

  /** What is given: the compressor by its hours at least, anything else as usual. */
  given(pipes: readonly Stage[]): Bound {
    const { base, question } = this.asked;
    const compressor = stageById(base, IDS.compressor) as Stage;
    const { first, yearly } = priceOfStage(question.money, compressor).price;
    const bound = plus(this.of([stageById(base, IDS.valve) as Stage, ...pipes]), {
      ...NOTHING,
      purchase: isAlwaysBought(this.asked, compressor) ? first : 0,
      yearly,
    });
    return this.withAir(bound, { wearMinutes: this.machineMinutes(this.byHours), ventedM3PerS: 0 });
  }

  private machineMinutes(facts: MaintenanceFacts): number {
    const machines = tasksOfLine(facts).filter(({ stage }) => stage.kind === 'intake' || stage.kind === 'compressor');
    return (hoursPerMonth(machines) * 60) / WEEKS_PER_MONTH;
  }

  /** Minutes a week of the compressor over those by its hours, where it makes nothing that is vented. */
  startMinutes = (): number => this.machineMinutes(this.facts) - this.machineMinutes(this.byHours);

  /** The same where it also makes what is vented, at least: near full load it starts less often. */
  ventMinutes(ventedM3PerS: number): number {
    const { base, demandM3PerS, deliversM3PerS } = this.asked;
    const { loadedShare } = base.survey.working;
    const more = loadedShareFor((demandM3PerS + ventedM3PerS) / deliversM3PerS) - loadedShare;
    const steps = Math.floor(more / LOAD_STEP);
    let known = this.atLoad.get(steps);
    if (known === undefined) {
      const loadedHPerDay = this.facts.loadedHPerDay * (1 + (steps * LOAD_STEP) / loadedShare);
      known = this.machineMinutes({ ...this.byHours, loadedHPerDay }) - this.machineMinutes(this.byHours);
      this.atLoad.set(steps, known);
    }
    return known;
  }

  /** What stages cost at least, in the order of flow. */
  of(stages: readonly Stage[]): Bound {
    const { money } = this.asked.question;
    let [purchase, yearly, minutesPerWeek] = [0, 0, 0];
    const owned: Record<string, number> = {};
    for (const s of stages) {
      const { price } = priceOfStage(money, s);
      if (isAlwaysBought(this.asked, s)) purchase += price.first;
      else if (isOwned(this.asked, s) && !(s.kind in owned)) owned[s.kind] = price.first;
      else if (isOwned(this.asked, s)) purchase += price.first;
      const minutes = leastServiceMinutes(s) / WEEKS_PER_MONTH; // water and hours only add to them
      const watts = is(CHILLED, s.kind) ? CHILLED_W * rated(s) : 0;
      yearly += (hasPrice(s.kind) ? price.yearly : 0) + watts * this.ofWatt + this.labour(minutes);
      minutesPerWeek += minutes;
    }
    return { purchase, yearly, minutesPerWeek, owned };
  }

  /** The same, worked out once for a key. */
  once(key: string, bound: () => Bound): Bound {
    let known = this.known.get(key);
    if (!known) {
      known = bound();
      this.known.set(key, known);
    }
    return known;
  }

  /** With what air and water ask for, and what dryers blow away. */
  withAir(bound: Bound, { wearMinutes, ventedM3PerS }: Pick<Walked, 'wearMinutes' | 'ventedM3PerS'>): Bound {
    return {
      purchase: bound.purchase,
      owned: bound.owned,
      yearly: bound.yearly + this.labour(wearMinutes) + ventedM3PerS * this.ofVented,
      minutesPerWeek: bound.minutesPerWeek + wearMinutes,
    };
  }

  /** A year of so many minutes a week. */
  private labour = (minutes: number): number => ((minutes * 52) / 60) * this.asked.question.money.perHour;
}
