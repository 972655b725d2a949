import { latentHeat } from '../air/enthalpy';
import { R_DRY_AIR, R_WATER_VAPOUR, saturatedHumidityRatio } from '../air/humidity';
import { ZERO_CELSIUS_K } from '../air/saturation';
import type { ParametersOf } from '../equipment/index';
import { drained } from '../equipment/shared/drain-fields';
import type { Surroundings } from '../equipment/shared/kind';
import { receiverSurfaceM2 } from '../equipment/supply/receiver';
import type { AirStream } from '../stream/air-stream';

const CV_DRY_AIR = 719;
const UNDERSHOOT = 0.95; // so far the pressure falls under cut-in before a compressor delivers enough (estimate)
const WALL_M = 0.004; // of a shop receiver (estimate)
const STEEL = 7850 * 490; // J/(m³·K): density × specific heat, handbooks

/**
 * A receiver in motion: air, vapour and drops in it, and one temperature of air and wall together, for the wall holds
 * most of the heat (some half an hour to follow the compressor, as practice has it). Well stirred; vapour and drops in balance.
 */
export class MovingTank {
  temperatureC: number;
  dryAirKg: number;
  vapourKg: number;
  dropsKg = 0;
  /** Of the vapour, what hung in the air as drops before. */
  private takenUpKg = 0;
  /** What the air that flows out is to be, kg/s of dry air; set before each step. */
  outKgPerS = 0;
  private readonly heatJPerK: number;

  constructor(
    private readonly p: ParametersOf<'receiver'>,
    /** All storage connected to it. */
    readonly volumeM3: number,
    private readonly around: Surroundings,
    /** W/K */
    private readonly heatLoss: number,
    private readonly cutInPa: number,
    /** What the walk has in it. */
    private readonly walkPa: number,
    pressurePa: number,
    humidityRatio: number,
  ) {
    this.temperatureC = around.roomTemperatureC;
    const rt = R_DRY_AIR * (this.temperatureC + ZERO_CELSIUS_K);
    this.dryAirKg = (pressurePa * volumeM3) / (rt * (1 + (humidityRatio * R_WATER_VAPOUR) / R_DRY_AIR));
    this.vapourKg = this.dryAirKg * humidityRatio;
    this.heatJPerK = receiverSurfaceM2(volumeM3) * WALL_M * STEEL + this.dryAirKg * CV_DRY_AIR;
  }

  /** Absolute; ideal gas. */
  get pressurePa(): number {
    const rt = (this.temperatureC + ZERO_CELSIUS_K) / this.volumeM3;
    return (this.dryAirKg * R_DRY_AIR + this.vapourKg * R_WATER_VAPOUR) * rt;
  }

  /**
   * The pressure at which vapour condenses, upstream of the tank, in it and downstream of it: from about cut-in up that of the walk, the
   * middle of the band, for wet walls and drops give back between two loads what falls in the next.
   */
  get balancePa(): number {
    return this.walkPa * Math.min(1, this.pressurePa / (UNDERSHOOT * this.cutInPa));
  }

  /** Hanging in its air, as vapour and drops. */
  get waterKg(): number {
    return this.vapourKg + this.dropsKg;
  }

  /** How much dry air raises its pressure by so much, kg. */
  kgFor(risePa: number): number {
    return (risePa * this.volumeM3) / (R_DRY_AIR * (this.temperatureC + ZERO_CELSIUS_K));
  }

  /** One second: takes in the stream that arrives, and makes of it the stream that leaves. */
  pass(air: AirStream): void {
    const { dryAirKgPerS: dryIn, enthalpyW } = air;
    const pressurePa = this.balancePa;
    air.bringTo(this.temperatureC, pressurePa);
    const givenJ = enthalpyW - air.enthalpyW; // in this second, the heat of what condensed with it
    air.catchDrops(drained(this.p.drain, this.p.settlingEfficiency, this.around));
    this.dryAirKg += dryIn;
    this.vapourKg += air.vapourKgPerS;
    this.dropsKg += air.liquidKgPerS;
    this.warm(givenJ);
    const share = Math.min(1, this.outKgPerS / this.dryAirKg);
    air.dryAirKgPerS = this.dryAirKg * share;
    air.vapourKgPerS = this.vapourKg * share;
    air.liquidKgPerS = this.dropsKg * share;
    air.temperatureC = this.temperatureC;
    air.pressurePa = pressurePa;
    this.dryAirKg -= air.dryAirKgPerS;
    this.vapourKg -= air.vapourKgPerS;
    this.takenUpKg *= 1 - share;
    this.dropsKg -= air.liquidKgPerS;
  }

  /** One second in which nothing flows. */
  stand(): void {
    this.warm(0);
  }

  /**
   * Vapour and drops brought into balance again, once a second. A drop has one chance to settle, as in the walk: what did
   * not, and was taken up and let fall again as the tank warms and cools between two loads, stays in the air until it leaves.
   * @returns what sinks to the bottom, kg
   */
  settle(): number {
    const most = saturatedHumidityRatio(this.temperatureC, this.balancePa, this.around.basis) * this.dryAirKg;
    const falls = Math.max(-this.dropsKg, this.vapourKg - most);
    const again = Math.min(falls, this.takenUpKg);
    this.takenUpKg -= again;
    this.vapourKg -= falls;
    this.temperatureC += (falls * latentHeat(this.temperatureC)) / this.heatJPerK;
    const sinks = Math.max(0, falls - again) * drained(this.p.drain, this.p.settlingEfficiency, this.around);
    this.dropsKg += falls - sinks;
    return sinks;
  }

  private warm(watts: number): void {
    const lost = this.heatLoss * (this.temperatureC - this.around.roomTemperatureC);
    this.temperatureC += (watts - lost) / this.heatJPerK;
  }
}
