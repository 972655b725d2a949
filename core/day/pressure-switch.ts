import type { ParametersOf } from '../equipment/index';

export type CompressorState = 'off' | 'loaded' | 'unloaded';

/** The pressure switch or controller of one compressor: when it starts, loads, unloads and stops. */
export class PressureSwitch {
  state: CompressorState = 'off';
  /** Of its full delivery, 0…1: below 1 only where the speed varies. */
  speed = 0;
  starts = 0;
  loads = 0;
  loadedS = 0;
  unloadedS = 0;
  private restedS = 0;

  constructor(private readonly p: ParametersOf<'compressor'>) {}

  /**
   * One second.
   * @param pressurePa in the receiver, absolute
   * @param powered whether the shop has it switched on
   * @param wantedShare of full delivery that would bring the pressure to the middle of the band: only variable speed heeds it
   * @returns what changed: it began to deliver, or it ceased to
   */
  step(pressurePa: number, powered: boolean, wantedShare: number): 'loads' | 'rests' | undefined {
    const before = this.state;
    if (!powered) this.state = 'off';
    else if (pressurePa <= this.p.cutInPa) this.state = 'loaded';
    else if (before === 'loaded' && pressurePa >= this.p.cutOutPa) this.state = this.rest();
    else if (before === 'off' && this.p.control === 'unload') this.state = 'unloaded';
    else if (before === 'unloaded' && this.p.control === 'run-on' && this.restedS >= this.p.runOnS) this.state = 'off';
    if (before === 'off' && this.state !== 'off') this.starts++;
    const loaded = this.state === 'loaded';
    if (loaded) this.loadedS++;
    if (this.state === 'unloaded') this.unloadedS++;
    this.restedS = loaded ? 0 : this.restedS + 1;
    this.speed = !loaded ? 0 : this.p.control === 'speed' ? Math.min(1, Math.max(this.p.leastSpeed, wantedShare)) : 1;
    if (loaded === (before === 'loaded')) return undefined;
    if (loaded) this.loads++;
    return loaded ? 'loads' : 'rests';
  }

  private rest(): CompressorState {
    return this.p.control === 'unload' || this.p.control === 'run-on' ? 'unloaded' : 'off';
  }
}
