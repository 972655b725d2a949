import { kindOf, type ParametersOf } from '../equipment/index';
import type { Surroundings } from '../equipment/shared/kind';
import { workingPressurePa } from '../equipment/supply/compressor';
import { UNLOADER_BORE_M } from '../equipment/supply/unloader';
import { blowDownS } from '../pipe-flow/orifice';
import type { Stage } from '../plan/plan';
import type { Run } from '../plan/runs';
import type { AirStream } from '../stream/air-stream';
import type { MovingTank } from './moving-tank';
import { PressureSwitch } from './pressure-switch';

/** What goes through a part of the line in which nothing flows: enough for the equations to hold. */
export const STILL = 1e-9;
/** In which variable speed brings the pressure back to the middle of its band, s (estimate). */
const SETTLES_IN_S = 20;

/** What an unloader blows off at one stop. */
export interface BlowOff {
  readonly spaceM3: number;
  readonly freeAirM3: number;
  readonly seconds: number;
}

/** What one compressor did in the day. */
export interface CompressorTotals {
  readonly stageId: string;
  readonly starts: number;
  readonly loads: number;
  readonly loadedS: number;
  /** Of each hour of the clock, s. */
  readonly loadedSByHour: readonly number[];
  readonly unloadedS: number;
  readonly mostStartsInAnHour: number;
  readonly mostLoadedShareOfAnHour: number;
  /** Nothing where the compressor does not stop with each rest. */
  readonly blowOff: BlowOff | undefined;
}

export const isReceiver = (s: Stage): s is Extract<Stage, { kind: 'receiver' }> => s.kind === 'receiver';

/**
 * The stages between a compressor and its check valve; up to the receiver where no check valve stands in its run.
 * @example aheadOfCheck(runsOf(plan)[0]).map((s) => s.id) // ["compressor","aftercooler","separator"]
 */
export function aheadOfCheck(run: Run): readonly Stage[] {
  const check = run.stages.findIndex((s) => s.kind === 'check-valve');
  const tank = run.stages.findIndex(isReceiver);
  return run.stages.slice(1, check > 0 ? check : tank > 0 ? tank : run.stages.length);
}

/**
 * What the unloader of a run blows off as its compressor stops at cut-out: all air between compressor and check valve.
 * @source free air V·(p − p_a)/p_a; time by flow through a sharp bore, isothermal, until the hiss ends
 */
export function blowOffOf(run: Run, p: ParametersOf<'compressor'>, around: Surroundings): BlowOff {
  const spaceM3 = aheadOfCheck(run).reduce((sum, s) => sum + (kindOf(s.kind).airSpaceM3?.(s.parameters) ?? 0), 0);
  const bore = run.stages.find((s) => s.kind === 'unloader')?.parameters.boreM ?? UNLOADER_BORE_M;
  const { atmosphericPa, roomTemperatureC } = around;
  return {
    spaceM3,
    freeAirM3: (spaceM3 * (p.cutOutPa - atmosphericPa)) / atmosphericPa,
    seconds: blowDownS(spaceM3, p.cutOutPa, atmosphericPa, roomTemperatureC, bore),
  };
}

/** One compressor with its switch, and the account of its day. */
export class CompressorUnit {
  readonly switch: PressureSwitch;
  private readonly blowOff: BlowOff | undefined;
  private readonly startsByHour: number[] = Array(24).fill(0);
  private readonly loadedByHour: number[] = Array(24).fill(0);
  /** Air that has to fill the space upstream of the check valve before any reaches the tank, kg. */
  private owesKg = 0;
  private fullKgPerS = 0;

  constructor(
    readonly stageId: string,
    readonly intakeId: string,
    readonly p: ParametersOf<'compressor'>,
    run: Run,
    private readonly around: Surroundings,
  ) {
    this.switch = new PressureSwitch(p);
    this.blowOff = p.control === 'start-stop' ? blowOffOf(run, p, around) : undefined;
  }

  /** One second: whether it began or ceased to deliver. `wantedKgPerS` matters to variable speed only. */
  step(second: number, tank: MovingTank, powered: boolean, wantedKgPerS: number): 'loads' | 'rests' | undefined {
    const { pressurePa } = tank;
    const makeUp = tank.kgFor(workingPressurePa(this.p) - pressurePa) / SETTLES_IN_S;
    const starts = this.switch.starts;
    const wantedShare = this.fullKgPerS > 0 ? (wantedKgPerS + makeUp) / this.fullKgPerS : 1;
    const changed = this.switch.step(pressurePa, powered, wantedShare);
    const hour = Math.floor(second / 3600);
    this.startsByHour[hour] = (this.startsByHour[hour] as number) + this.switch.starts - starts;
    if (this.delivers) this.loadedByHour[hour] = (this.loadedByHour[hour] as number) + 1;
    if (changed === 'loads' && this.blowOff)
      this.owesKg = tank.kgFor(pressurePa - this.around.atmosphericPa) * (this.blowOff.spaceM3 / tank.volumeM3);
    return changed;
  }

  get delivers(): boolean {
    return this.switch.state === 'loaded';
  }

  /** Leaves of the air that the intake could draw what the compressor sends into the line now. */
  draw(air: AirStream): void {
    this.fullKgPerS = air.dryAirKgPerS;
    const drawn = this.switch.speed * this.fullKgPerS;
    const fills = Math.min(this.owesKg, drawn);
    this.owesKg -= fills;
    air.takeOff(1 - Math.max(STILL, (drawn - fills) / this.fullKgPerS));
  }

  get totals(): CompressorTotals {
    const { starts, loads, loadedS, unloadedS } = this.switch;
    return {
      stageId: this.stageId,
      starts,
      loads,
      loadedS,
      loadedSByHour: this.loadedByHour,
      unloadedS,
      mostStartsInAnHour: Math.max(...this.startsByHour),
      mostLoadedShareOfAnHour: Math.max(...this.loadedByHour) / 3600,
      blowOff: this.blowOff,
    };
  }
}
