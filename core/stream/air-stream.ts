import type { Basis } from '../air/enhancement-factor';
import { saturatedHumidityRatio } from '../air/humidity';
import { TRIPLE_POINT_C } from '../air/saturation';

/**
 * What flows in the pipe, as it is at one place. Vapour and liquid are two numbers: air may be saturated and carry drops
 * besides. A stage acts on the stream that reaches it and thereby makes of it the stream that leaves; a walk uses one
 * object for a whole run, so that a year of hours makes no garbage.
 */
export class AirStream {
  liquidKgPerS = 0;
  /** Taken out through the drain of the stage at hand. */
  caughtKgPerS = 0;
  /** Left behind as ice in the stage at hand. */
  frozenKgPerS = 0;
  /** Taken up by the medium of the stage at hand. */
  adsorbedKgPerS = 0;
  /** Water that left the line with the purge or sweep air of the stage at hand, and that air. */
  ventedKgPerS = 0;
  ventedAirKgPerS = 0;

  /** @param pressurePa absolute */
  constructor(
    readonly basis: Basis,
    public dryAirKgPerS: number,
    public vapourKgPerS: number,
    public temperatureC: number,
    public pressurePa: number,
  ) {}

  /** Before each stage: nothing taken out yet. */
  enterStage(): void {
    this.caughtKgPerS = 0;
    this.frozenKgPerS = 0;
    this.adsorbedKgPerS = 0;
    this.ventedKgPerS = 0;
    this.ventedAirKgPerS = 0;
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

  /**
   * Lets a medium take up vapour until no more is left than a humidity ratio. Drops that reach the medium are taken up
   * first: they wet it.
   * @param humidityRatio kg water per kg dry air that the medium leaves in the air; more than there is changes nothing
   */
  adsorbTo(humidityRatio: number): this {
    const vapour = Math.min(this.vapourKgPerS, humidityRatio * this.dryAirKgPerS);
    this.adsorbedKgPerS += this.vapourKgPerS - vapour + this.liquidKgPerS;
    this.vapourKgPerS = vapour;
    this.liquidKgPerS = 0;
    return this;
  }

  /** Blows part of the air away as purge or sweep, with the vapour that it holds. Drops stay with the rest. */
  vent(dryAirKgPerS: number): this {
    const share = this.dryAirKgPerS > 0 ? dryAirKgPerS / this.dryAirKgPerS : 0;
    const vapour = this.vapourKgPerS * share;
    this.ventedAirKgPerS += dryAirKgPerS;
    this.ventedKgPerS += vapour;
    this.dryAirKgPerS -= dryAirKgPerS;
    this.vapourKgPerS -= vapour;
    return this;
  }

  /** The same air, or a share of it, as a stream of its own. */
  copy(share = 1): AirStream {
    const { basis, dryAirKgPerS, vapourKgPerS, temperatureC, pressurePa } = this;
    const other = new AirStream(basis, dryAirKgPerS * share, vapourKgPerS * share, temperatureC, pressurePa);
    other.liquidKgPerS = this.liquidKgPerS * share;
    return other;
  }

  /** Takes a share of the air with all that it carries off the stream. */
  takeOff(share: number): AirStream {
    const taken = this.copy(share);
    this.dryAirKgPerS -= taken.dryAirKgPerS;
    this.vapourKgPerS -= taken.vapourKgPerS;
    this.liquidKgPerS -= taken.liquidKgPerS;
    return taken;
  }

  /**
   * Mixes another stream in: at the lower of the two pressures, at the temperature weighted by the air. What the mixture
   * cannot hold falls out, as it does where warm wet air meets cold.
   * @throws OutOfRange
   */
  join(other: AirStream): this {
    const dry = this.dryAirKgPerS + other.dryAirKgPerS;
    const share = dry > 0 ? other.dryAirKgPerS / dry : 0;
    this.dryAirKgPerS = dry;
    this.vapourKgPerS += other.vapourKgPerS;
    // Through the liquid, so that bringTo weighs all the water anew.
    this.liquidKgPerS += other.liquidKgPerS + this.vapourKgPerS;
    this.vapourKgPerS = 0;
    return this.bringTo(
      this.temperatureC + share * (other.temperatureC - this.temperatureC),
      Math.min(this.pressurePa, other.pressurePa),
    );
  }
}
