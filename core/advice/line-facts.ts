import type { DayRemark } from '../day/judge-day';
import { type KindName, kindOf } from '../equipment/index';
import type { Figure, Surroundings } from '../equipment/shared/kind';
import { type AirBalance, airBalance } from '../line/balance';
import { type Grade, gradeLine } from '../line/grade-line';
import type { Verdicts } from '../line/judge-outlet';
import { type WorstMoment, worstMoments } from '../line/peak-pressure';
import { humidityAt, type Section, type Station } from '../line/section';
import { type Loss, lossesTo } from '../line/waterfall';
import { type StagePlace, type Topology, topologyOf } from '../network/topology';
import type { Plan, Stage } from '../plan/plan';
import { type Run, standing } from '../plan/runs';
import { aroundStage, inPlace, surroundingsOf } from '../plan/surroundings';
import { AirStream } from '../stream/air-stream';

/** Less water than this is none. */
export const WORTH_KG_PER_S = 1e-9;

export type StageOf<K extends KindName> = Extract<Stage, { kind: K }>;

/** A walked line as a rule asks about it: what comes before and downstream of a stage, and what the air is there. */
export class LineFacts {
  /** The line as it stands: without what is only planned or away. */
  readonly plan: Plan;
  private readonly topology: Topology;
  /** Of the main run, then the branches. */
  readonly stages: readonly Stage[];
  readonly around: Surroundings;
  private readonly lost = new Map<string, readonly Loss[]>();
  private known: { grades?: Map<string, Grade>; moments?: Map<string, WorstMoment>; balance?: AirBalance } = {};

  constructor(
    /** As it was entered. */
    readonly entered: Plan,
    readonly section: Section,
    /** What was seen in the compressor cycle, where it has been played: it takes its time. */
    private readonly day: readonly DayRemark[] = [],
    /** The verdicts on the outlets with their uncertainty, where they have been worked out: they take their time. */
    readonly verdicts: Verdicts = new Map(),
  ) {
    this.plan = standing(entered);
    this.topology = topologyOf(this.plan);
    this.stages = this.topology.runs.flatMap((r) => r.stages);
    this.around = surroundingsOf(this.plan);
  }

  /** The stages of some kinds. */
  of<K extends KindName>(...kinds: readonly K[]): StageOf<K>[] {
    return this.stages.filter((s): s is StageOf<K> => (kinds as readonly string[]).includes(s.kind));
  }

  runOf(stage: Stage): Run {
    return (this.topology.places.get(stage.id) as StagePlace).run;
  }

  /** The stage that the air comes from: the one upstream of it, or the one that its branch starts from. */
  before(stage: Stage): Stage | undefined {
    const { run, index } = this.topology.places.get(stage.id) as StagePlace;
    if (index > 0) return run.stages[index - 1];
    const tee = run.from === null ? undefined : this.topology.places.get(run.from);
    return tee?.run.stages[tee.index];
  }

  /** The stage directly downstream of it in its run. */
  next(stage: Stage): Stage | undefined {
    const { run, index } = this.topology.places.get(stage.id) as StagePlace;
    return run.stages[index + 1];
  }

  /** What the air has met on its way to a stage, nearest first. What an arm brings that joins it is not among it. */
  upstream(stage: Stage): Stage[] {
    const met: Stage[] = [];
    for (let at = this.before(stage); at && !met.includes(at); at = this.before(at)) met.push(at);
    return met;
  }

  /** What the air may meet downstream of a stage, in its run and in all that is downstream of it, in the order of flow. */
  downstream(stage: Stage): Stage[] {
    const { run, index } = this.topology.places.get(stage.id) as StagePlace;
    const meets: Stage[] = [];
    const follow = (r: Run, from: number): void => {
      for (const s of r.stages.slice(from)) {
        meets.push(s);
        for (const branch of this.topology.hanging.get(s.id) ?? [])
          if (!branch.stages.some((b) => meets.includes(b))) follow(branch, 0);
      }
    };
    for (const branch of this.topology.hanging.get(stage.id) ?? []) follow(branch, 0);
    follow(run, index + 1);
    const into = run.into === null ? undefined : this.topology.places.get(run.into);
    if (into && into.run !== run) follow(into.run, into.index);
    return [...new Set(meets)];
  }

  /** What the compressor cycle tells of a stage under one name. */
  seen<N extends DayRemark['what']['name']>(
    name: N,
  ): { stage: Stage; what: Extract<DayRemark['what'], { name: N }> }[] {
    return this.day.flatMap(({ stageId, what }) => {
      const stage = this.stage(stageId);
      return stage && what.name === name ? [{ stage, what: what as Extract<DayRemark['what'], { name: N }> }] : [];
    });
  }

  branchesAt(stage: Stage): readonly Run[] {
    return this.topology.hanging.get(stage.id) ?? [];
  }

  /** The air downstream of a stage. */
  at(stage: Stage | undefined): Station | undefined {
    return stage && this.section.at(stage.id);
  }

  /** The air that reaches a stage: into a branch, or on past a tee, only its share of what reaches the tee. */
  inlet(stage: Stage): Station | undefined {
    const before = this.before(stage);
    const comes = this.at(before);
    const own = this.at(stage);
    const isParted = before !== undefined && this.branchesAt(before).length > 0;
    if (!comes || !own || !isParted) return comes;
    const share = (own.dryAirKgPerS + own.ventedAirKgPerS) / comes.dryAirKgPerS;
    if (share >= 1) return comes; // something joins there
    const { dryAirKgPerS, vapourKgPerS, liquidKgPerS } = comes;
    return {
      ...comes,
      dryAirKgPerS: share * dryAirKgPerS,
      vapourKgPerS: share * vapourKgPerS,
      liquidKgPerS: share * liquidKgPerS,
    };
  }

  /** The temperature where a stage stands. */
  roomC(stage: Stage): number {
    return inPlace(this.around, stage.place).roomTemperatureC;
  }

  /** Above the atmosphere. */
  gauge(pa: number): number {
    return pa - this.around.atmosphericPa;
  }

  /** Over liquid water, in the line. */
  humidity(station: Station): number {
    return humidityAt(station, station.temperatureC, station.pressurePa);
  }

  /** The free air that passes a stage, m³/s. */
  flow(station: Station): number {
    return this.section.dryAirKgPerS === 0
      ? 0
      : (station.dryAirKgPerS / this.section.dryAirKgPerS) * this.balance.deliveredM3PerS;
  }

  /** The compressor whose air reaches a stage; of several the one of its own run or of the main one. */
  compressorOf(stage: Stage): StageOf<'compressor'> | undefined {
    const own = [stage, ...this.upstream(stage)].find((s) => s.kind === 'compressor');
    return (own ?? this.of('compressor')[0]) as StageOf<'compressor'> | undefined;
  }

  get compressors(): StageOf<'compressor'>[] {
    return this.of('compressor');
  }

  get oiled(): boolean {
    return this.compressors.some((p) => p.parameters.type !== 'oilfree');
  }

  get grades(): Map<string, Grade> {
    this.known.grades ??= gradeLine(this.entered, this.section);
    return this.known.grades;
  }

  get moments(): Map<string, WorstMoment> {
    this.known.moments ??= worstMoments(this.entered);
    return this.known.moments;
  }

  /** What pressure is lost on the way to an outlet at its worst moment, largest first. */
  losses(outlet: Stage): readonly Loss[] {
    const known = this.lost.get(outlet.id);
    if (known) return known;
    const moment = this.moments.get(outlet.id);
    const losses = moment ? lossesTo(this.plan, outlet.id, moment) : [];
    this.lost.set(outlet.id, losses);
    return losses;
  }

  /** A stage by its id. */
  stage(id: string | undefined): Stage | undefined {
    const place = id === undefined ? undefined : this.topology.places.get(id);
    return place?.run.stages[place.index];
  }

  get balance(): AirBalance {
    this.known.balance ??= airBalance(this.entered, this.section);
    return this.known.balance;
  }

  /** A figure that a stage itself tells of the air that reaches it, of those that have a name. */
  figure(stage: Stage, name: Figure): number | undefined {
    const comes = this.inlet(stage);
    if (!comes || !this.at(stage)) return undefined;
    const air = new AirStream('real', comes.dryAirKgPerS, comes.vapourKgPerS, comes.temperatureC, comes.pressurePa);
    air.liquidKgPerS = comes.liquidKgPerS;
    const shows = kindOf(stage.kind).shows?.(air, stage.parameters, aroundStage(this.around, stage));
    return shows?.find((s) => s.figure === name)?.value;
  }

  /** The load of a dryer over what it can do here. */
  load(stage: Stage): number | undefined {
    return this.figure(stage, 'load');
  }

  /** How long the desiccant, pellets or carbon of a stage last from now, s of air. */
  lifeS(stage: Stage): number | undefined {
    return this.figure(stage, 'life');
  }

  /** The relief valve that stands nearest on one side, with nothing between that could shut, as a gauge pressure. */
  private reliefAlong(
    stages: readonly Stage[],
    blocks: readonly KindName[],
  ): { stage: Stage; setPa: number } | undefined {
    for (const s of stages) {
      if (blocks.includes(s.kind)) return undefined;
      if (s.kind === 'relief-valve') return { stage: s, setPa: this.gauge(s.parameters.setPressurePa) };
      if (s.kind === 'receiver' && s.parameters.relief === 'own' && s.parameters.reliefSetGaugePa > 0)
        return { stage: s, setPa: s.parameters.reliefSetGaugePa };
    }
    return undefined;
  }

  /** What may shut between a part and the relief valve that it relies on. */
  private static readonly SHUTS = ['isolating-valve', 'check-valve', 'regulator', 'flow-controller'] as const;

  /** The relief valve that protects a vessel: beside it, with nothing between. */
  reliefOf(stage: Stage): { stage: Stage; setPa: number } | undefined {
    return (
      this.reliefAlong([stage, ...this.upstream(stage)], LineFacts.SHUTS) ??
      this.reliefAlong(this.downstream(stage), LineFacts.SHUTS)
    );
  }

  /**
   * The greatest gauge pressure that a part can come to see: where the relief valve before it opens (a regulator may fail
   * open), or without one what its compressor cuts out at.
   */
  mostGaugePa(stage: Stage): number {
    const relief = this.reliefAlong(this.upstream(stage), []) ?? this.reliefOf(stage);
    return relief?.setPa ?? this.gauge(this.compressorOf(stage)?.parameters.cutOutPa ?? 0);
  }

  /** The gauge pressure that an outlet holds at rest: of the regulator upstream of it, or what the compressor cuts out at. */
  restGaugePa(outlet: Stage): { pa: number; regulator: StageOf<'regulator'> | undefined } {
    const held = this.upstream(outlet).find((s) => s.kind === 'regulator') as StageOf<'regulator'> | undefined;
    const pa = held?.parameters.setPressurePa ?? this.compressorOf(outlet)?.parameters.cutOutPa ?? 0;
    return { pa: this.gauge(pa), regulator: held };
  }
}
