import type { Drain } from '../equipment/shared/drain-fields';
import type { Stage } from '../plan/plan';
import { WATER_KG_PER_M3 } from '../quantity/constants';

/** A float opens when its sump is half full, a level sensor near its mark (estimates). */
const OPENS_AT: Partial<Record<Drain, number>> = { float: 0.5, level: 0.8 };

/** Water that stands at a stage with a drain, and where it went in the course of the day, kg. */
export class DrainPoint {
  heelKg = 0;
  caughtKg = 0;
  drainedKg = 0;
  /** Went on with the air because the sump was full. */
  carriedOnKg = 0;
  /** Caught in each hour of the clock, kg. */
  readonly caughtByHour: number[] = Array(24).fill(0);
  openings = 0;
  /** Second of the day at which the sump was first full, and at which the catch pan, empty at dawn, ran over. */
  fullAtS: number | undefined;
  panOverAtS: number | undefined;
  /** What has to stand there before a float or a level sensor opens, kg. */
  private readonly opensAtKg: number;

  constructor(
    readonly stageId: string,
    readonly drain: Drain,
    readonly sumpKg: number,
    readonly pulseKg: number,
    readonly everyS: number,
    /** Ahead of a check valve the unloader blows the whole sump out, not just a pulse. */
    readonly blownOut: boolean,
    /** Of the catch pan under it; 0 where there is none. */
    readonly panKg = 0,
  ) {
    this.opensAtKg = (OPENS_AT[drain] ?? Number.POSITIVE_INFINITY) * sumpKg;
  }

  /** Adds to what stands there; returns what the sump cannot hold. */
  fill(kg: number, second: number): number {
    const stays = Math.min(kg, this.sumpKg - this.heelKg);
    this.heelKg += stays;
    this.caughtKg += stays;
    const hour = Math.floor(second / 3600);
    this.caughtByHour[hour] = (this.caughtByHour[hour] as number) + stays;
    this.carriedOnKg += kg - stays;
    if (stays < kg) this.fullAtS ??= second;
    return kg - stays;
  }

  /** Opens the drain; it passes all that stands there, or no more than a pulse. Returns what came, kg. */
  open(second: number, most = Number.POSITIVE_INFINITY): number {
    const kg = Math.min(this.heelKg, most);
    this.heelKg -= kg;
    this.drainedKg += kg;
    if (kg > 0) this.openings++;
    if (this.panKg > 0 && this.drainedKg > this.panKg) this.panOverAtS ??= second;
    return kg;
  }

  /** Whether a float or a level sensor opens now. */
  get isUp(): boolean {
    return this.heelKg >= this.opensAtKg;
  }
}

/** The drain points of a line, empty. */
export function drainPointsOf(stages: readonly Stage[], blownOut: ReadonlySet<string>): DrainPoint[] {
  return stages.flatMap((s) => {
    if (!('sumpM3' in s.parameters) || s.parameters.drain === 'none') return [];
    const { drain, sumpM3, drainPulseM3, drainEveryS, panM3 } = s.parameters;
    return new DrainPoint(
      s.id,
      drain,
      sumpM3 * WATER_KG_PER_M3,
      drainPulseM3 * WATER_KG_PER_M3,
      Math.round(drainEveryS),
      blownOut.has(s.id),
      panM3 * WATER_KG_PER_M3,
    );
  });
}
