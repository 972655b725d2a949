/**
 * Oil at 21 °C that is vapour whatever a coalescer does, mg/m³, and how it grows: 0.1–1 mg/m³ at 70 °F, doubled with every
 * 15–20 °F, by the oil (estimate).
 */
const OIL_VAPOUR_AT_21C = 0.3;
const DOUBLES_EACH_K = 9.7;

/**
 * Oil that air can carry as vapour, mg/m³ at the reference conditions of ISO 8573-1 (estimate).
 * @param temperatureC °C
 * @returns mg/m³
 * @source estimate, as beside its numbers
 * @example oilVapourLimit(40.4) // 1.2
 */
export function oilVapourLimit(temperatureC: number): number {
  return OIL_VAPOUR_AT_21C * 2 ** ((temperatureC - 21) / DOUBLES_EACH_K);
}

/** Particle classes 1 to 7 of ISO 8573-1; 8 stands for X, more than 10 mg/m³. */
export const PARTICLE_X = 8;

/** Oil and particles in the air at one place, with why they are what they are. */
export class Dirt {
  constructor(
    /** In all: liquid, aerosol and vapour, mg/m³. */
    public oilMg: number,
    public oilWhy: string,
    public particle: number,
    public particleWhy: string,
  ) {}

  copy(): Dirt {
    return new Dirt(this.oilMg, this.oilWhy, this.particle, this.particleWhy);
  }

  /** Takes out drops and mist of oil down to what a filter passes; the vapour goes through. */
  coalesce(passesMg: number, temperatureC: number, by: string): void {
    const vapour = Math.min(this.oilMg, oilVapourLimit(temperatureC));
    const left = vapour + Math.min(this.oilMg - vapour, passesMg);
    if (left >= this.oilMg) return;
    this.oilMg = left;
    this.oilWhy =
      vapour > passesMg
        ? `${by}; what is left is vapour, and more of it the warmer the air`
        : `${by}; mist that it passes`;
  }

  /** Takes particles down to a class, where it can. */
  strain(toClass: number, by: string): void {
    if (toClass >= this.particle) return;
    this.particle = toClass;
    this.particleWhy = by;
  }

  /** Brings particles in: it is no better than a class from here on. */
  shed(atLeastClass: number, by: string): void {
    if (atLeastClass <= this.particle) return;
    this.particle = atLeastClass;
    this.particleWhy = by;
  }

  /** What mixes with other air is as dirty as the dirtier. */
  mix(other: Dirt): void {
    if (other.oilMg > this.oilMg) [this.oilMg, this.oilWhy] = [other.oilMg, other.oilWhy];
    this.shed(other.particle, other.particleWhy);
  }
}
