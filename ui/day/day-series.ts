import type { DayCycle } from '@/core/day/simulate-day';

/** The stretch of the day that is on screen, seconds. */
export interface Window {
  readonly fromS: number;
  readonly toS: number;
}

/** What is drawn in one column of pixels. */
export interface Column {
  readonly lowPa: number;
  readonly highPa: number;
  readonly temperatureC: number;
  readonly heelKg: number;
  readonly demandM3PerS: number;
  /** Of the column’s time in which a compressor delivers, 0…1. */
  readonly loaded: number;
}

/** The day gathered into columns, so that as much is drawn as can be seen: pressure by its extremes, the rest by its mean. */
export function columnsOf(day: DayCycle, { fromS, toS }: Window, count: number): Column[] {
  return Array.from({ length: count }, (_, i) => {
    const a = Math.floor(fromS + ((toS - fromS) * i) / count);
    const b = Math.min(day.pressurePa.length, Math.max(a + 1, Math.floor(fromS + ((toS - fromS) * (i + 1)) / count)));
    let lowPa = Number.POSITIVE_INFINITY;
    let highPa = 0;
    let temperature = 0;
    let demand = 0;
    let loaded = 0;
    for (let s = a; s < b; s++) {
      const p = day.pressurePa[s] as number;
      if (p < lowPa) lowPa = p;
      if (p > highPa) highPa = p;
      temperature += day.temperatureC[s] as number;
      demand += day.demandM3PerS[s] as number;
      if ((day.loaded[s] as number) > 0) loaded++;
    }
    const n = b - a;
    return {
      lowPa,
      highPa,
      temperatureC: temperature / n,
      heelKg: day.heelKg[b - 1] as number,
      demandM3PerS: demand / n,
      loaded: loaded / n,
    };
  });
}

/** Seconds of the day as a clock shows them. */
export function clock(second: number, withSeconds = false): string {
  const parts = [Math.floor(second / 3600), Math.floor(second / 60) % 60, Math.floor(second) % 60];
  return parts
    .slice(0, withSeconds ? 3 : 2)
    .map((n) => String(n).padStart(2, '0'))
    .join(':');
}
