import type { Kind, Surroundings } from '../equipment/shared/kind';
import { compressor, workingPressurePa } from '../equipment/supply/compressor';
import type { PreparedLine } from '../line/prepare';
import type { Stage } from '../plan/plan';
import type { CompressorUnit } from './compressor-unit';
import type { DrainPoint } from './drain-point';
import type { MovingTank } from './moving-tank';

type Pass = Kind['pass'];

/** What went through the receiver in the day: kg of dry air, kg of water as vapour and drops. */
export interface DayTotals {
  airInKg: number;
  airOutKg: number;
  waterInKg: number;
  waterOutKg: number;
}

/**
 * A prepared line in motion: compressors deliver what their switches say against the pressure in the tank, the receiver is that
 * tank, sumps fill second by second. Walking it once is one second.
 */
export class MovingLine {
  second = 0;
  /** Purge and sweep of the second at hand, kg/s of dry air: what the tank has to give besides. */
  purgeKgPerS = 0;
  readonly totals: DayTotals = { airInKg: 0, airOutKg: 0, waterInKg: 0, waterOutKg: 0 };
  /** While a compressor delivers, and while none does: then what stands upstream of the tank has nothing to do. */
  readonly running: PreparedLine;
  readonly resting: PreparedLine;

  constructor(
    line: PreparedLine,
    private readonly tankId: string,
    private readonly tank: MovingTank,
    private readonly points: ReadonlyMap<string, DrainPoint>,
    private readonly compressors: readonly CompressorUnit[],
    /** Between the compressor and the tank, Pa. */
    private readonly lossPa: number,
  ) {
    const tankAt = line.stages.findIndex((s) => s.id === tankId);
    const ahead = new Set(line.stages.slice(0, tankAt).map((s) => s.id));
    const rewired = (rest: boolean): PreparedLine => ({
      ...line,
      stretches: line.stretches.map((stretch) => ({
        ...stretch,
        passes: stretch.passes.map((pass, i) => {
          const stage = line.stages[stretch.first + i] as Stage;
          return rest && ahead.has(stage.id) && stage.kind !== 'intake'
            ? () => {}
            : this.moving(stage, pass, !ahead.has(stage.id));
        }),
      })),
    });
    this.running = rewired(false);
    this.resting = rewired(true);
  }

  private moving(stage: Stage, pass: Pass, behind: boolean): Pass {
    const { tank, lossPa } = this;
    const drawn = this.compressors.find((p) => p.intakeId === stage.id);
    if (drawn)
      return (air, p, around) => {
        drawn.draw(air);
        pass(air, p, around);
      };
    if (stage.kind === 'compressor') {
      const half = (stage.parameters.cutOutPa - stage.parameters.cutInPa) / 2;
      const now = { ...stage.parameters };
      return (air, _, around) => {
        const pa = Math.max(tank.balancePa + lossPa, air.pressurePa + 1.5 * half);
        now.cutInPa = pa - half;
        now.cutOutPa = pa + half;
        compressor.pass(air, now, around);
      };
    }
    const point = this.points.get(stage.id);
    if (stage.id === this.tankId)
      return (air) => {
        const { totals } = this;
        totals.airInKg += air.dryAirKgPerS;
        totals.waterInKg += air.vapourKgPerS + air.liquidKgPerS;
        tank.pass(air);
        if (point) tank.dropsKg += point.fill(air.caughtKgPerS, this.second);
        totals.airOutKg += air.dryAirKgPerS;
        totals.waterOutKg += air.vapourKgPerS + air.liquidKgPerS;
      };
    // What flows out of the tank flows whether a compressor is loaded or not.
    let [given, always]: [Surroundings?, Surroundings?] = [];
    return (air, p, around) => {
      if (behind && around !== given) {
        given = around;
        always = { ...around, loadedShare: 1 };
      }
      pass(air, p, always ?? around);
      if (point && air.caughtKgPerS > 0) {
        // What does not fit into the sump goes on with the air.
        const over = point.fill(air.caughtKgPerS, this.second);
        air.caughtKgPerS -= over;
        air.liquidKgPerS += over;
      }
      if (behind && air.lost) this.purgeKgPerS += air.lost.ventedAirKgPerS;
    };
  }
}

/** Pressure lost between the compressor and the tank in steady running, Pa. */
export function lossBefore(compressor: CompressorUnit | undefined, tankPa: number): number {
  return compressor ? Math.max(0, workingPressurePa(compressor.p) - tankPa) : 0;
}
