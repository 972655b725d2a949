import type { Basis } from '../air/enhancement-factor';
import {
  iceEnthalpy,
  latentHeat,
  moistEnthalpy,
  saturationSlope,
  sensibleCapacity,
  vapourEnthalpy,
  waterEnthalpy,
} from '../air/enthalpy';
import { saturatedHumidityRatio } from '../air/humidity';
import { LEAST_C, MOST_C, TRIPLE_POINT_C } from '../air/saturation';

/** Steps within which an enthalpy is met, and how closely. */
const MOST_STEPS = 30;
const CLOSE_K = 1e-10;
/** Of a stream that stays wet: a last step of this leaves the balance with the drops within 1e-5 K. */
const MOST_WET_STEPS = 12;
const CLOSE_WET_K = 1e-3;

/** Ways other than the intake and a drain in which water comes into the stream, or leaves it. */
export interface Losses {
  /** Comes in through a leak. */
  leakedInKgPerS: number;
  /** Left behind as ice. */
  frozenKgPerS: number;
  /** Taken up by a medium that keeps it. */
  adsorbedKgPerS: number;
  /** Gone with purge or sweep, and that air. */
  ventedKgPerS: number;
  ventedAirKgPerS: number;
}

/**
 * What flows in the pipe, as it is at one place. Vapour and liquid are two numbers: air may be saturated and carry drops
 * besides. A stage acts on the stream that reaches it and thereby makes of it the stream that leaves; a walk uses one
 * object for a whole run, so that a year of hours makes no garbage.
 */
export class AirStream {
  readonly basis: Basis;
  // Each a number from the first: the engine keeps a field that was ever undefined anew at every change, and a walk is
  // little else than changing these.
  dryAirKgPerS = 0;
  vapourKgPerS = 0;
  liquidKgPerS = 0;
  temperatureC = 0;
  /** Absolute. */
  pressurePa = 0;
  /** Taken out through the drain of the stage at hand. */
  caughtKgPerS = 0;
  /** What else leaves the stream in the stage at hand; most stages lose nothing. */
  lost: Losses | undefined = undefined;

  /** @param pressurePa absolute */
  constructor(basis: Basis, dryAirKgPerS: number, vapourKgPerS: number, temperatureC: number, pressurePa: number) {
    this.basis = basis;
    this.dryAirKgPerS = dryAirKgPerS;
    this.vapourKgPerS = vapourKgPerS;
    this.temperatureC = temperatureC;
    this.pressurePa = pressurePa;
  }

  private get losses(): Losses {
    this.lost ??= { leakedInKgPerS: 0, frozenKgPerS: 0, adsorbedKgPerS: 0, ventedKgPerS: 0, ventedAirKgPerS: 0 };
    return this.lost;
  }

  /** Before each stage: nothing taken out yet. */
  enterStage(): void {
    this.caughtKgPerS = 0;
    this.lost = undefined;
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
    // Air without drops that is warmed or expanded holds its vapour all the more: nothing to work out.
    if (this.liquidKgPerS !== 0 || temperatureC < this.temperatureC || pressurePa > this.pressurePa) {
      const water = this.vapourKgPerS + this.liquidKgPerS;
      const most = saturatedHumidityRatio(temperatureC, pressurePa, this.basis) * this.dryAirKgPerS;
      const vapour = Math.min(water, most);
      this.vapourKgPerS = vapour;
      this.liquidKgPerS = water - vapour;
      if (temperatureC < TRIPLE_POINT_C) this.freeze();
    }
    this.temperatureC = temperatureC;
    this.pressurePa = pressurePa;
    return this;
  }

  private freeze(): void {
    if (this.liquidKgPerS > 0) this.losses.frozenKgPerS += this.liquidKgPerS;
    this.liquidKgPerS = 0;
  }

  /** Enthalpy flow of the air with its vapour and its drops, W; dry air and water have 0 at 0 °C. */
  get enthalpyW(): number {
    return moistEnthalpy(this.dryAirKgPerS, this.vapourKgPerS, this.liquidKgPerS, this.temperatureC);
  }

  /**
   * Lets the stream go to another pressure without heat from outside: drops that evaporate cool it. An ideal gas without
   * drops keeps its temperature.
   * @param pressurePa absolute, 0.5…41 bar
   * @throws OutOfRange
   * @source constant enthalpy; ASHRAE Fundamentals ch. 1
   */
  expandTo(pressurePa: number): this {
    if (pressurePa !== this.pressurePa && (this.liquidKgPerS !== 0 || pressurePa > this.pressurePa))
      return this.bringToEnthalpy(this.enthalpyW, pressurePa);
    this.pressurePa = pressurePa;
    return this;
  }

  /**
   * Brings the stream to the temperature at which it has an enthalpy flow, in equilibrium there.
   * @param enthalpyW W, as of {@link enthalpyW}
   * @param lossWPerK further heat that leaves it for each kelvin above a room, W/K, and that room, °C: a vessel’s wall
   * @throws OutOfRange
   */
  bringToEnthalpy(enthalpyW: number, pressurePa: number, lossWPerK = 0, roomC = 0): this {
    const { dryAirKgPerS: dry, basis } = this;
    const water = this.vapourKgPerS + this.liquidKgPerS;
    const heatW = enthalpyW + lossWPerK * roomC;
    this.pressurePa = pressurePa;
    if (this.liquidKgPerS > 0 && this.temperatureC > TRIPLE_POINT_C && this.staysWet(heatW, lossWPerK)) return this;
    // With all its water as vapour, where the air can hold it.
    const dryC = (heatW - water * vapourEnthalpy(0)) / (sensibleCapacity(dry, water, 0) + lossWPerK);
    if (dryC > MOST_C || (dryC >= LEAST_C && water <= dry * saturatedHumidityRatio(dryC, pressurePa, basis))) {
      this.temperatureC = dryC;
      this.vapourKgPerS = water;
      this.liquidKgPerS = 0;
      return this;
    }
    let t = Math.max(TRIPLE_POINT_C, this.temperatureC);
    let [lastC, lastW] = [Number.NaN, 0];
    for (let step = 0; step < MOST_STEPS; step++) {
      const isIce = t < TRIPLE_POINT_C;
      const ratio = saturatedHumidityRatio(t, pressurePa, basis);
      const vapour = Math.min(water, dry * ratio);
      const rest = water - vapour;
      const restW = rest * (isIce ? iceEnthalpy(t) : waterEnthalpy(t));
      const tooMuchW = moistEnthalpy(dry, vapour, 0, t) + restW + lossWPerK * t - heatW;
      const melting = waterEnthalpy(t) - iceEnthalpy(t);
      if (t === TRIPLE_POINT_C && tooMuchW > 0 && tooMuchW < rest * melting) {
        // Part of the drops freezes: the heat of that holds the stream at this temperature.
        const ice = tooMuchW / melting;
        this.temperatureC = t;
        this.vapourKgPerS = vapour;
        this.losses.frozenKgPerS += ice;
        this.liquidKgPerS = rest - ice;
        return this;
      }
      const clapeyron =
        sensibleCapacity(dry, vapour, rest) +
        lossWPerK +
        (rest > 0 ? dry * saturationSlope(ratio, t) * latentHeat(t) : 0);
      const secant = (tooMuchW - lastW) / (t - lastC);
      const slope = secant > clapeyron / 2 && secant < clapeyron * 2 ? secant : clapeyron;
      const allFreezes = t === TRIPLE_POINT_C && tooMuchW > 0 ? rest * melting : 0;
      const next = Math.min(MOST_C, Math.max(LEAST_C, t - (tooMuchW - allFreezes) / slope));
      const done = Math.abs(next - t) < CLOSE_K;
      [lastC, lastW] = [t, tooMuchW];
      // Across the freezing point the enthalpy jumps: look at the point itself first.
      t = (t - TRIPLE_POINT_C) * (next - TRIPLE_POINT_C) < 0 ? TRIPLE_POINT_C : next;
      if (done) break;
    }
    // Through the liquid, so that all the water is weighed anew.
    this.liquidKgPerS = water;
    this.vapourKgPerS = 0;
    return this.bringTo(t, pressurePa);
  }

  /**
   * The usual case of the above: drops are there and stay, above freezing. The temperature comes close by two steps, and the
   * vapour is what the enthalpy then leaves for it, so that enthalpy and water balance to the last digit.
   * @returns whether it was that; else nothing is changed
   */
  private staysWet(heatW: number, lossWPerK: number): boolean {
    const { dryAirKgPerS: dry, pressurePa, basis } = this;
    const water = this.vapourKgPerS + this.liquidKgPerS;
    let t = this.temperatureC;
    let [lastC, lastW] = [Number.NaN, 0];
    for (let step = 0; step < MOST_WET_STEPS; step++) {
      const ratio = saturatedHumidityRatio(t, pressurePa, basis);
      const vapour = dry * ratio;
      if (vapour >= water) return false;
      const tooMuchW = moistEnthalpy(dry, vapour, water - vapour, t) + lossWPerK * t - heatW;
      const clapeyron =
        sensibleCapacity(dry, vapour, water - vapour) + lossWPerK + dry * saturationSlope(ratio, t) * latentHeat(t);
      const secant = (tooMuchW - lastW) / (t - lastC);
      const next = t - tooMuchW / (secant > clapeyron / 2 && secant < clapeyron * 2 ? secant : clapeyron);
      if (!(next > TRIPLE_POINT_C && next < MOST_C)) return false;
      const close = Math.abs(next - t) < CLOSE_WET_K;
      [lastC, lastW, t] = [t, tooMuchW, next];
      if (!close) continue;
      const left = (heatW - lossWPerK * t - moistEnthalpy(dry, 0, water, t)) / latentHeat(t);
      if (!(left >= 0 && left < water)) return false;
      this.temperatureC = t;
      this.vapourKgPerS = left;
      this.liquidKgPerS = water - left;
      return true;
    }
    return false;
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
   * @param goes where the water stays: in the medium, out with the purge that dries it, or as brine through the drain
   */
  adsorbTo(humidityRatio: number, goes: 'kept' | 'purged' | 'drained' = 'kept'): this {
    const vapour = Math.min(this.vapourKgPerS, humidityRatio * this.dryAirKgPerS);
    const taken = this.vapourKgPerS - vapour + this.liquidKgPerS;
    if (goes === 'drained') this.caughtKgPerS += taken;
    else if (goes === 'purged') this.losses.ventedKgPerS += taken;
    else this.losses.adsorbedKgPerS += taken;
    this.vapourKgPerS = vapour;
    this.liquidKgPerS = 0;
    return this;
  }

  /** Lets water in. */
  letIn(waterKgPerS: number): this {
    this.losses.leakedInKgPerS += waterKgPerS;
    this.liquidKgPerS += waterKgPerS;
    return this;
  }

  /** Blows part of the air away as purge or sweep, with the vapour that it holds. Drops stay with the rest. */
  vent(dryAirKgPerS: number): this {
    const share = this.dryAirKgPerS > 0 ? dryAirKgPerS / this.dryAirKgPerS : 0;
    const vapour = this.vapourKgPerS * share;
    this.losses.ventedAirKgPerS += dryAirKgPerS;
    this.losses.ventedKgPerS += vapour;
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

  /** The same air, more or less of it. */
  scale(factor: number): this {
    this.dryAirKgPerS *= factor;
    this.vapourKgPerS *= factor;
    this.liquidKgPerS *= factor;
    return this;
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
   * Mixes another stream in: at the lower of the two pressures, at constant enthalpy. What the mixture cannot hold falls
   * out, as it does where warm wet air meets cold.
   * @throws OutOfRange
   */
  join(other: AirStream): this {
    const enthalpyW = this.enthalpyW + other.enthalpyW;
    const pressurePa = Math.min(this.pressurePa, other.pressurePa);
    this.dryAirKgPerS += other.dryAirKgPerS;
    this.vapourKgPerS += other.vapourKgPerS;
    this.liquidKgPerS += other.liquidKgPerS;
    return this.dryAirKgPerS > 0
      ? this.bringToEnthalpy(enthalpyW, pressurePa)
      : this.bringTo(this.temperatureC, pressurePa);
  }
}
