import { DISCHARGE, orificeKgPerS } from '../pipe-flow/orifice';
import { WATER_KG_PER_M3 } from '../quantity/constants';
import { liquidM3PerS, STRAINED } from './liquid-flow';

/** What a timed drain has to cope with. */
export interface TimerDuty {
  /** Water while the compressor is loaded, at the hour that it is set for, kg/s. */
  readonly peakKgPerS: number;
  /** Up to its mark. */
  readonly sumpM3: number;
  readonly boreM: number;
  /** In the line, absolute. */
  readonly pressurePa: number;
  readonly temperatureC: number;
  readonly atmosphericPa: number;
  /** A strainer, or dirt, upstream of it. */
  readonly strained: boolean;
}

export interface TimerSetting {
  readonly everyS: number;
  readonly openS: number;
}

/** What a setting does. */
export interface TimerResult extends TimerSetting {
  /** Time in which the water of one interval has gone, s. */
  readonly liquidS: number;
  /** Most that the sump holds before the drain opens, as a share of what it can hold. */
  readonly fill: number;
  /** Whether all the water goes at every opening. */
  readonly keepsUp: boolean;
  /** Air that blows while it is open with no water left, kg/s on average while the compressor is loaded. */
  readonly lostKgPerS: number;
  /** While it is open, kg/s of air. */
  readonly blowsKgPerS: number;
}

const MOST_FILL = 0.5; // t ≤ 0.5·sump/q (trade handbook)
const MARGIN_S = 0.5; // ½ to 1 s more than the water takes; a solenoid needs ½ to 1 s (trade handbook)
const LEAST_OPEN_S = 1;
/** What the dials of timers have, s; 1 to 60 min is usual, half a minute the least (trade handbook). */
const INTERVALS = [30, 45, 60, 90, 120, 180, 240, 300, 420, 600, 900, 1200, 1800, 2700, 3600] as const;

/** How a setting copes with a duty. */
export function timerAt(duty: TimerDuty, { everyS, openS }: TimerSetting): TimerResult {
  const through = liquidM3PerS(duty.boreM, duty.pressurePa - duty.atmosphericPa) * (duty.strained ? STRAINED : 1);
  const gathersM3 = (duty.peakKgPerS / WATER_KG_PER_M3) * everyS;
  const liquidS = through > 0 ? gathersM3 / through : Number.POSITIVE_INFINITY;
  const blowsKgPerS = orificeKgPerS(
    duty.boreM,
    duty.pressurePa,
    duty.atmosphericPa,
    duty.temperatureC,
    DISCHARGE.drain,
  );
  return {
    everyS,
    openS,
    liquidS,
    fill: gathersM3 / duty.sumpM3,
    keepsUp: liquidS <= openS && gathersM3 <= duty.sumpM3,
    lostKgPerS: (blowsKgPerS * Math.max(0, openS - liquidS)) / everyS,
    blowsKgPerS,
  };
}

/**
 * Sets a timed drain: the longest interval of a dial at which the sump is no more than half full, and as short an opening
 * as lets the water of it out with half a second to spare. The interval is for continuous loading: at full load the sump of
 * a separator fills in minutes.
 *
 * @returns `undefined` where even the shortest interval is too long for the sump: it needs another drain
 * @source trade handbook: t ≤ 0.5·sump/q, t_open = t_liq + ½ s, loss = choked flow·(t_open − t_liq)/t
 */
export function setTimer(duty: TimerDuty): TimerResult | undefined {
  const most =
    duty.peakKgPerS > 0 ? (MOST_FILL * duty.sumpM3 * WATER_KG_PER_M3) / duty.peakKgPerS : Number.POSITIVE_INFINITY;
  const everyS = INTERVALS.findLast((s) => s <= most);
  if (everyS === undefined) return undefined;
  const { liquidS } = timerAt(duty, { everyS, openS: LEAST_OPEN_S });
  if (!Number.isFinite(liquidS)) return undefined;
  const openS = Math.max(LEAST_OPEN_S, Math.ceil((liquidS + MARGIN_S) * 2) / 2);
  return openS < everyS ? timerAt(duty, { everyS, openS }) : undefined;
}

/** As most people leave one: open ten seconds every five minutes (common practice, no source). */
export const LEFT_ALONE: TimerSetting = { everyS: 300, openS: 10 };

/** Share of what the compressors deliver that a timer may lose: ideally; and at which one without loss is better (trade handbook). */
export const LOSS = { ideal: 0.005, most: 0.01 } as const;
