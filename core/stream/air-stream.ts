import type { Basis } from '../air/enhancement-factor';
import { saturatedHumidityRatio } from '../air/humidity';
import { TRIPLE_POINT_C } from '../air/saturation';

/**
 * What flows in the pipe, as it is at one place. Vapour and liquid are two numbers: air may be saturated and carry drops
 * besides. A stage acts on the stream that reaches it and thereby makes of it the stream that leaves; a walk uses one
 * object for the whole line, so that a year of hours makes no garbage.
 */
export class AirStream {
  liquidKgPerS = 0;
  /** Taken out through the drain of the stage at hand. */
  caughtKgPerS = 0;
  /** Left behind as ice in the stage at hand. */
  frozenKgPerS = 0;

  /**
   * @param dryAirKgPerS does not change along a line, so everything is per second of it
   * @param pressurePa absolute
   */
  constructor(
    readonly basis: Basis,
    readonly dryAirKgPerS: number,
    public vapourKgPerS: number,
    public temperatureC: number,
    public pressurePa: number,
  ) {}

  /** Before each stage: nothing taken out yet. */
  enterStage(): void {
    this.caughtKgPerS = 0;
    this.frozenKgPerS = 0;
  }

  /**
   * Brings the stream to another temperature and pressure, in equilibrium there: what the air cannot hold falls out as
   * drops, and drops evaporate as far as the air can take them up. Below 0.01 °C all that is not vapour freezes and stays.
   *
   * @param temperatureC °C, −100…+200
   * @param pressurePa absolute, 0.5…41 bar
   * @throws OutOfRange
   */
  bringTo(temperatureC: number, pressurePa: number): this {
    // Air without drops that is warmed or let down holds its vapour all the more: nothing to work out.
    if (this.liquidKgPerS !== 0 || temperatureC < this.temperatureC || pressurePa > this.pressurePa) {
      const water = this.vapourKgPerS + this.liquidKgPerS;
      const most = saturatedHumidityRatio(temperatureC, pressurePa, this.basis) * this.dryAirKgPerS;
      const vapour = Math.min(water, most);
      this.vapourKgPerS = vapour;
      if (temperatureC < TRIPLE_POINT_C) {
        this.frozenKgPerS += water - vapour;
        this.liquidKgPerS = 0;
      } else this.liquidKgPerS = water - vapour;
    }
    this.temperatureC = temperatureC;
    this.pressurePa = pressurePa;
    return this;
  }

  /** Takes a share of the drops, 0…1, out through the drain. */
  catchDrops(share: number): this {
    const caught = this.liquidKgPerS * share;
    this.caughtKgPerS += caught;
    this.liquidKgPerS -= caught;
    return this;
  }
}
