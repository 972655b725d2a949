import { DRYER_INLET_C, DUTY_WANTS_COOLER, HOT_OVER_ROOM_K } from '../advice/cooling';
import { MANUAL_MOST_KG } from '../advice/drains';
import { TREATMENT_MOST_PA, TREATMENT_MOST_SHARE } from '../advice/pressure-left';
import { OutOfRange } from '../air/out-of-range';
import { CHILLED, is, TREATMENT } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import { Refusal, type Surroundings } from '../equipment/shared/kind';
import { workingPressurePa } from '../equipment/supply/compressor';
import { roomAir } from '../line/grade-line';
import { whilePurging } from '../line/peak-pressure';
import { humidityAt, type Station } from '../line/section';
import { drawnAir } from '../line/walk';
import { loadedHoursPerDay } from '../line/working-day';
import { DROPS_KG_PER_S } from '../maintenance/facts';
import type { Stage } from '../plan/plan';
import { freeAirKgPerM3, inPlace, surroundingsOf } from '../plan/surroundings';
import { hoursPerWeek } from '../plan/working-time';
import type { Dirt } from '../purity/dirt';
import { HOUR_S } from '../quantity/constants';
import type { AirStream } from '../stream/air-stream';
import { type Asked, IDS } from './base-line';
import { dutyOf } from './loaded-line';
import { beadMinutes, fillsTooSoon, handMinutes, isByHand, lifeOf, wetMinutes } from './wear';

/**
 * The air of a line that is being put together, at two moments at once: as the compressor delivers it, and with all jobs
 * drawing at cut-in. It goes through the same models as the walk; a beginning that many lines share is walked once.
 */
export interface Walked {
  readonly delivered: AirStream;
  readonly peak: AirStream;
  /** Lost in treatment at the peak, Pa. */
  readonly lostPa: number;
  /**
   * Minutes a week that charges and hand drains ask for by the air and water that come, over what they ask for at least: for
   * certain, and so many more where the line vents nothing.
   */
  readonly wearMinutes: number;
  readonly moreMinutes: number;
  /** What dryers blow away at least, whatever passes, m³/s of free air. */
  readonly ventedM3PerS: number;
  /** Whether any of its stages vents. */
  readonly isVented: boolean;
  /** Oil and particles of the air as delivered. */
  readonly dirt: Dirt;
}

/** How far a figure of this walk may be off: it leaves out what purge does to the shares of air. */
export interface Slack {
  /** A line that is found so much short may still do, K, or a share of a humidity. */
  readonly k: number;
  readonly share: number;
  /** Only so many times over its limit, water at a drain by hand is too much for certain. */
  readonly over: number;
  /** So much of the work is certain. */
  readonly surely: number;
}
const VENTED: Slack = { k: 0.5, share: 0.1, over: 1.3, surely: 0.75 };
/** Where nothing is vented, or one job has all the air. What is left is rounding. */
export const EXACT: Slack = { k: 0.01, share: 1e-3, over: 1.001, surely: 0.999 };
/** Of the pressure that it finds, what is certainly there where a dryer blows. */
const BLOWS_AT = 0.97;
/** Only so many times over its limit, pressure is lost for certain: other dryers may blow less than is counted. */
const SURELY_LOST = 1.03;

/** A walk that shares its beginnings: made once for a question. */
export class FastWalk {
  readonly slack: Slack;
  readonly around: Surroundings;
  readonly atJob: readonly Surroundings[];
  private readonly shares: readonly number[];
  private readonly peakShares: readonly number[];
  private readonly workingPa: number;
  private readonly kgPerM3: number;
  private readonly peakKgPerS: number;
  private readonly supplyPa: number;
  private readonly mostVentedM3PerS: number;
  private readonly dayS: number;
  private readonly loadedHPerDay: number;
  private readonly wantsCooler: boolean;

  constructor(private readonly asked: Asked) {
    const { base, question: q, peaksM3PerS, demandM3PerS } = asked;
    this.slack = q.jobs.length > 1 ? VENTED : EXACT;
    this.around = surroundingsOf(base);
    this.atJob = q.jobs.map((_, i) => inPlace(this.around, IDS.place(i)));
    const peak = peaksM3PerS.reduce((sum, p) => sum + p, 0);
    this.shares = q.jobs.map((j, i) => ((peaksM3PerS[i] as number) * j.usedShare) / demandM3PerS);
    this.peakShares = peaksM3PerS.map((p) => p / peak);
    const [, compressor] = base.stages as [Stage, Extract<Stage, { kind: 'compressor' }>];
    this.supplyPa = compressor.parameters.cutInPa - this.around.atmosphericPa;
    const isPiston = q.compressor.type.startsWith('piston');
    this.mostVentedM3PerS = isPiston ? dutyOf(asked).spareM3PerS : Number.POSITIVE_INFINITY; // O46
    this.dayS = loadedHoursPerDay(base) * HOUR_S;
    this.loadedHPerDay = (hoursPerWeek(base.survey.working) * base.survey.working.loadedShare) / 7;
    // Of a piston compressor that is loaded so much (O01).
    this.wantsCooler = isPiston && base.survey.working.loadedShare > DUTY_WANTS_COOLER;
    this.workingPa = workingPressurePa(compressor.parameters);
    this.kgPerM3 = freeAirKgPerM3(this.around);
    this.peakKgPerS = peak * this.kgPerM3;
  }

  /** The air that leaves the compressor. */
  start(): Walked | undefined {
    const [intake, compressor] = this.asked.base.stages as [Stage, Extract<Stage, { kind: 'compressor' }>];
    const air = drawnAir([intake.parameters, compressor.parameters], this.around);
    const delivered = this.passed(this.passed(air, intake, this.around), compressor, this.around);
    if (!delivered) return undefined;
    const peak = delivered.copy().expandTo(compressor.parameters.cutInPa);
    const dirt = roomAir();
    kindOf('intake').cleans?.(dirt, intake.parameters, delivered as never);
    kindOf('compressor').cleans?.(dirt, compressor.parameters, delivered as never);
    return { delivered, peak, lostPa: 0, wearMinutes: 0, moreMinutes: 0, ventedM3PerS: 0, isVented: false, dirt };
  }

  /** What leaves a stage; nothing where it refuses the air. */
  private passed(air: AirStream | undefined, stage: Stage, around: Surroundings): AirStream | undefined {
    if (!air) return undefined;
    const next = air.copy();
    next.enterStage();
    try {
      kindOf(stage.kind).pass(next, stage.parameters, around);
      return next;
    } catch (error) {
      if (error instanceof Refusal || error instanceof OutOfRange) return undefined;
      throw error;
    }
  }

  private readonly purging = new Map<Stage, Stage>();
  private whilePurging(stage: Stage): Stage {
    let known = this.purging.get(stage);
    if (!known) {
      known = whilePurging(stage);
      this.purging.set(stage, known);
    }
    return known;
  }

  /** What stages of the main blow away at the worst moment. */
  private ventedKgPerS(stages: readonly Stage[]): number {
    return stages.reduce((sum, s) => sum + ventsAt(s, this.workingPa), 0) * this.kgPerM3;
  }

  private through(
    walked: Walked | undefined,
    stages: readonly Stage[],
    atJob: Surroundings,
    inMain = false,
  ): Walked | undefined {
    let now = walked;
    for (const stage of stages) {
      if (!now) return undefined;
      const around = stage.place === undefined ? this.around : atJob;
      if (stage.id === IDS.receiver) {
        const peak = now.peak.copy();
        peak.scale((this.peakKgPerS + this.ventedKgPerS(stages)) / peak.dryAirKgPerS);
        now = { ...now, peak };
      }
      // O12; in the main, where all that is delivered passes.
      if (inMain && is(CHILLED, stage.kind) && now.delivered.temperatureC > DRYER_INLET_C + this.slack.k)
        return undefined;
      const delivered = this.passed(now.delivered, stage, around);
      const peak = delivered && this.passed(now.peak, this.whilePurging(stage), around);
      if (!delivered || !peak) return undefined;
      const lifeS = stage.kind === 'bead-cartridge' ? lifeOf(stage, now.delivered, around) : undefined;
      if (this.isFaulted(stage, now.delivered, delivered, around, lifeS)) return undefined;
      const lostPa = now.lostPa + (is(TREATMENT, stage.kind) ? now.peak.pressurePa - peak.pressurePa : 0);
      if (this.losesTooMuch(lostPa, inMain)) return undefined;
      const certain = this.wearMinutes(this.slack, stage, now.delivered, delivered, lifeS);
      const blownM3PerS = ventsAt(stage, now.delivered.pressurePa);
      const ventedM3PerS = now.ventedM3PerS + (isByLoad(stage) ? 0 : BLOWS_AT * blownM3PerS);
      if (ventedM3PerS > this.mostVentedM3PerS) return undefined;
      now = {
        delivered,
        peak,
        lostPa,
        wearMinutes: now.wearMinutes + certain,
        moreMinutes: now.moreMinutes + this.wearMinutes(EXACT, stage, now.delivered, delivered, lifeS) - certain,
        ventedM3PerS,
        isVented: now.isVented || blownM3PerS > 0,
        dirt: cleaned(now.dirt, stage, delivered),
      };
    }
    return now;
  }

  /**
   * Whether so much is lost in treatment that the advice faults it (O30).
   * @param isSized whether its filters stay as they are: where the run has a dryer that blows, they are chosen larger in the end
   */
  losesTooMuch(lostPa: number, isSized: boolean): boolean {
    const limits = [TREATMENT_MOST_PA, TREATMENT_MOST_SHARE * this.supplyPa];
    return lostPa > (isSized ? SURELY_LOST * Math.min(...limits) : Math.max(...limits));
  }

  /** What the advice would say of a stage by the air at it alone: O35 of a drain by hand, O54 of beads, O01 of a tank. */
  private isFaulted(
    stage: Stage,
    enters: AirStream,
    leaves: AirStream,
    around: Surroundings,
    lifeS: number | undefined,
  ): boolean {
    if (stage.kind === 'bead-cartridge') return (lifeS ?? 0) < this.dayS;
    const isTooMuch = leaves.caughtKgPerS * this.dayS > this.slack.over * MANUAL_MOST_KG;
    if (isByHand(stage) && (isTooMuch || fillsTooSoon(stage, this.slack.surely * leaves.caughtKgPerS * this.dayS)))
      return true;
    const isHot = enters.temperatureC >= around.roomTemperatureC + HOT_OVER_ROOM_K;
    return stage.kind === 'receiver' && this.wantsCooler && isHot;
  }

  /** Minutes a week that beads, wet elements and drains by hand ask for at this air, over their service. */
  private wearMinutes(
    slack: Slack,
    stage: Stage,
    enters: AirStream,
    leaves: AirStream,
    lifeS: number | undefined,
  ): number {
    const { surely } = slack;
    if (stage.kind === 'bead-cartridge') return surely * beadMinutes(stage, lifeS ?? 0, this.loadedHPerDay);
    const wet = slack === EXACT && enters.liquidKgPerS > DROPS_KG_PER_S ? wetMinutes(stage) : 0;
    return wet + (isByHand(stage) ? handMinutes(stage, surely * leaves.caughtKgPerS * this.dayS) : 0);
  }

  /** Through stages of the main. */
  main = (walked: Walked | undefined, stages: readonly Stage[]): Walked | undefined =>
    this.through(walked, stages, this.around, true);

  /** What of the main’s air goes to a job. */
  toJob(walked: Walked | undefined, job: number): Walked | undefined {
    if (!walked || this.shares.length === 1) return walked;
    const delivered = walked.delivered.copy();
    const peak = walked.peak.copy();
    delivered.scale(this.shares[job] as number);
    peak.scale(this.peakShares[job] as number);
    return { ...walked, delivered, peak };
  }

  /** Through stages of a job’s run. */
  run = (walked: Walked | undefined, stages: readonly Stage[], job: number): Walked | undefined =>
    this.through(walked, stages, this.atJob[job] as Surroundings);
}

export const ventsAt = ({ kind, parameters }: Stage, linePa: number): number =>
  kindOf(kind).ventsM3PerS?.(parameters, linePa) ?? 0;

/** Whether a dryer blows by what comes to it. */
const isByLoad = (s: Stage): boolean => (s.parameters as { control?: string }).control === 'dew-point';

/** What a stage makes of oil and particles. */
function cleaned(dirt: Dirt, stage: Stage, leaves: AirStream): Dirt {
  const { cleans } = kindOf(stage.kind);
  if (!cleans) return dirt;
  const next = dirt.copy();
  const { temperatureC } = leaves;
  cleans(next, stage.parameters, {
    temperatureC,
    get relativeHumidity() {
      return humidityAt(leaves as unknown as Station, temperatureC, leaves.pressurePa);
    },
  });
  return next;
}
