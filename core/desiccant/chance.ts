/** A stream of random numbers that is the same for the same seed. */
export class Chance {
  private state: number;
  private spare: number | undefined;

  constructor(seed: number) {
    this.state = seed >>> 0;
  }

  /** 0…1, even. @source mulberry32, public domain */
  even(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0;
    let t = this.state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  /** Normal, mean 0, standard deviation 1. @source Box & Muller 1958 */
  normal(): number {
    if (this.spare !== undefined) {
      const own = this.spare;
      this.spare = undefined;
      return own;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - this.even()));
    const angle = 2 * Math.PI * this.even();
    this.spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  }
}
