import { DUTY_WANTS_COOLER, HOT_OVER_ROOM_K } from '../advice/cooling';
import { MANUAL_MOST_KG } from '../advice/drains';
import { TREATMENT_MOST_PA, TREATMENT_MOST_SHARE } from '../advice/pressure-left';
import { OutOfRange } from '../air/out-of-range';
import { is, TREATMENT } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import { Refusal, type Surroundings } from '../equipment/shared/kind';
import { isAsClean, letter, roomAir } from '../line/grade-line';
import { GAUGE_TELLS_PA, type OutletStage } from '../line/outlet-criteria';
import { humidityAt, type Station } from '../line/section';
import { drawnAir, pressureDewPointOf } from '../line/walk';
import { loadedHoursPerDay } from '../line/working-day';
import type { Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { freeAirKgPerM3, inPlace, surroundingsOf } from '../plan/surroundings';
import type { Dirt } from '../purity/dirt';
import { oilClassOf } from '../purity/iso-8573';
import { HOUR_S } from '../quantity/constants';
import type { AirStream } from '../stream/air-stream';
import { type Asked, IDS } from './base-line';
import { outletMarginK } from './judge-proposal';

/**
 * The air of a line that is being put together, at two moments at once: as the compressor delivers it, and with all jobs
 * drawing at cut-in. It goes through the same models as the walk; a beginning that many lines share is walked once.
 */
export interface Walked {
  readonly delivered: AirStream;
  readonly peak: AirStream;
  /** Lost in treatment at the peak, Pa. */
  readonly lostPa: number;
  /** Oil and particles of the air as delivered. */
  readonly dirt: Dirt;
}

/** Water at a drain by hand is found by shares that purge may shift: only far over its limit it is too much for certain. */
const FOR_CERTAIN = 1.3;

/** A walk that shares its beginnings: made once for a question. */
export class FastWalk {
  private readonly around: Surroundings;
  private readonly atJob: readonly Surroundings[];
  private readonly shares: readonly number[];
  private readonly peakShares: readonly number[];
  private readonly peakKgPerS: number;
  private readonly supplyPa: number;
  private readonly dayS: number;
  private readonly wantsCooler: boolean;
  private readonly outlets: readonly OutletStage[];

  constructor(private readonly asked: Asked) {
    const { base, question: q, peaksM3PerS, demandM3PerS } = asked;
    this.around = surroundingsOf(base);
    this.atJob = q.jobs.map((_, i) => inPlace(this.around, IDS.place(i)));
    const peak = peaksM3PerS.reduce((sum, p) => sum + p, 0);
    this.shares = q.jobs.map((j, i) => ((peaksM3PerS[i] as number) * j.usedShare) / demandM3PerS);
    this.peakShares = peaksM3PerS.map((p) => p / peak);
    const [, compressor] = base.stages as [Stage, Extract<Stage, { kind: 'compressor' }>];
    this.supplyPa = compressor.parameters.cutInPa - this.around.atmosphericPa;
    this.dayS = loadedHoursPerDay(base) * HOUR_S;
    // Of a piston compressor that is loaded so much (O01).
    this.wantsCooler = q.compressor.type.startsWith('piston') && base.survey.working.loadedShare > DUTY_WANTS_COOLER;
    this.outlets = q.jobs.map((_, i) => stageById(base, IDS.outlet(i)) as OutletStage);
    this.peakKgPerS = peak * freeAirKgPerM3(this.around);
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
    return { delivered, peak, lostPa: 0, dirt };
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

  private through(walked: Walked | undefined, stages: readonly Stage[], around: Surroundings): Walked | undefined {
    let now = walked;
    for (const stage of stages) {
      if (!now) return undefined;
      if (stage.id === IDS.receiver) {
        const peak = now.peak.copy();
        peak.scale(this.peakKgPerS / peak.dryAirKgPerS);
        now = { ...now, peak };
      }
      const delivered = this.passed(now.delivered, stage, around);
      const peak = delivered && this.passed(now.peak, stage, around);
      if (!delivered || !peak) return undefined;
      if (this.isFaulted(stage, now.delivered, delivered, around)) return undefined;
      const lostPa = now.lostPa + (is(TREATMENT, stage.kind) ? now.peak.pressurePa - peak.pressurePa : 0);
      if (lostPa > TREATMENT_MOST_PA && lostPa > TREATMENT_MOST_SHARE * this.supplyPa) return undefined; // O30
      now = { delivered, peak, lostPa, dirt: cleaned(now.dirt, stage, delivered) };
    }
    return now;
  }

  /** What the advice would say of a stage by the air at it alone: O35 of a drain by hand, O54 of beads, O01 of a tank. */
  private isFaulted(stage: Stage, enters: AirStream, leaves: AirStream, around: Surroundings): boolean {
    if ((stage.parameters as { drain?: string }).drain === 'manual' && stage.kind !== 'receiver')
      return leaves.caughtKgPerS * this.dayS > FOR_CERTAIN * MANUAL_MOST_KG;
    if (stage.kind === 'bead-cartridge') {
      const shows = kindOf(stage.kind).shows?.(enters, stage.parameters, around);
      return (shows?.find((s) => s.figure === 'life')?.value ?? 0) < this.dayS;
    }
    if (stage.kind !== 'receiver') return false;
    if (stage.parameters.drain === 'manual' && leaves.caughtKgPerS * this.dayS > FOR_CERTAIN * MANUAL_MOST_KG)
      return true;
    return this.wantsCooler && enters.temperatureC >= around.roomTemperatureC + HOT_OVER_ROOM_K;
  }

  /** Through stages of the main. */
  main = (walked: Walked | undefined, stages: readonly Stage[]): Walked | undefined =>
    this.through(walked, stages, this.around);

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

  /** Whether less is left than a job needs: nothing downstream gives pressure back. */
  isStarved = ({ peak }: Walked, job: number): boolean =>
    peak.pressurePa < (this.outlets[job] as OutletStage).parameters.leastPressurePa - GAUGE_TELLS_PA;

  /** By how much the air at a job is dry enough, K; nothing where drops arrive, or oil or dust above its class. */
  marginAtJob({ delivered, dirt }: Walked, job: number): number | undefined {
    const outlet = this.outlets[job] as OutletStage;
    const { particleClass, oilClass } = outlet.parameters;
    if (!isAsClean(letter(dirt.particle), particleClass) || !isAsClean(oilClassOf(dirt.oilMg), oilClass))
      return undefined;
    if (delivered.liquidKgPerS > 0) return undefined;
    const station = {
      temperatureC: delivered.temperatureC,
      pressurePa: delivered.pressurePa,
      pressureDewPointC: pressureDewPointOf(delivered),
      vapourKgPerS: delivered.vapourKgPerS,
      liquidKgPerS: delivered.liquidKgPerS,
      dryAirKgPerS: delivered.dryAirKgPerS,
    } as Station;
    return outletMarginK(outlet, station, this.atJob[job] as Surroundings);
  }
}

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
