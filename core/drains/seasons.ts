/** Two settings for a year: from which day which one holds. The year goes round. */
export interface TwoSeasons {
  /** Days of the year, 0…364, on which to change to the humid and to the dry setting. */
  readonly humidFrom: number;
  readonly dryFrom: number;
  /** The largest value in each. */
  readonly humidPeak: number;
  readonly dryPeak: number;
}

const LEAST_DAYS = 28; // a season shorter than a month is not worth two visits (estimate)
const WORTH_IT = 0.75; // of one setting’s loss, below which changing it twice a year is worth the walk (estimate)

/**
 * Parts a year into a humid and a dry season so that a setting for the peak of each wastes least: the product of days and
 * peak, summed over both, is the smallest there is.
 *
 * @param dailyPeak of each day of the year; days off may be 0
 * @returns `undefined` where one setting does for the whole year
 */
export function twoSeasons(dailyPeak: ArrayLike<number>): TwoSeasons | undefined {
  const n = dailyPeak.length;
  const peakOf = (h: number): number => dailyPeak[h % n] as number;
  let best: (TwoSeasons & { cost: number }) | undefined;
  let all = 0;
  for (let d = 0; d < n; d++) all = Math.max(all, peakOf(d));
  if (all <= 0) return undefined;
  // The humid season holds the peak of the year; the dry one is the stretch [from, from + length) without it.
  for (let from = 0; from < n; from++) {
    let dryPeak = 0;
    for (let length = 1; length <= n - LEAST_DAYS; length++) {
      dryPeak = Math.max(dryPeak, peakOf(from + length - 1));
      if (dryPeak >= all) break;
      if (length < LEAST_DAYS) continue;
      const cost = length * dryPeak + (n - length) * all;
      if (!best || cost < best.cost)
        best = { cost, dryFrom: from, humidFrom: (from + length) % n, dryPeak, humidPeak: all };
    }
  }
  if (!best || best.cost > WORTH_IT * n * all) return undefined;
  const { cost: _cost, ...seasons } = best;
  return seasons;
}

/** Whether a day of the year lies in the humid season. */
export function isHumid({ humidFrom, dryFrom }: TwoSeasons, day: number): boolean {
  return humidFrom <= dryFrom ? day >= humidFrom && day < dryFrom : day >= humidFrom || day < dryFrom;
}
