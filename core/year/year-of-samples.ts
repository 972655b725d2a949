import { hourAt, hourIndex, MONTHS, YEAR_HOURS } from './calendar';
import type { Sample } from './sample';
import { type RowNote, WeatherRefused, type WeatherYear } from './weather';

const MOST_NOTES = 40; // as many as somebody reads (estimate)
const MOST_MISSING = 876; // a tenth of the year (estimate)
const SHORT_GAP_H = 6; // filled along a straight line; a longer one by the same hours of the days round it

interface Hours {
  readonly temperature: Float64Array;
  readonly humidity: Float64Array;
  readonly count: Uint16Array;
}

/** Gathers samples into the hours of a year; what is missing is filled where it can be, and all of it is counted. */
export class YearCollector {
  private readonly years = new Map<number, Hours>();
  private readonly seen = new Set<number>();
  private readonly notes: RowNote[] = [];
  private rows = 0;
  private dropped = 0;
  private corrected = 0;

  note(row: number, message: string): void {
    if (this.notes.length < MOST_NOTES) this.notes.push({ row, message });
  }

  /** A row that gives no sample. */
  drop(row: number, message: string): void {
    this.rows++;
    this.dropped++;
    this.note(row, message);
  }

  add(sample: Sample): void {
    const { row, year, month, day, minute } = sample;
    const hour = hourIndex(sample);
    if (hour === undefined) {
      this.drop(row, month === 1 && day === 29 ? '29 February: a year of 365 days has none' : 'no such day');
      return;
    }
    const stamp = (year * YEAR_HOURS + hour) * 60 + minute;
    if (this.seen.has(stamp)) {
      this.drop(row, `${say(hour)} is given twice; the first counts`);
      return;
    }
    this.seen.add(stamp);
    this.rows++;
    if (sample.corrected) {
      this.corrected++;
      this.note(row, sample.corrected);
    }
    let hours = this.years.get(year);
    if (!hours) {
      hours = {
        temperature: new Float64Array(YEAR_HOURS),
        humidity: new Float64Array(YEAR_HOURS),
        count: new Uint16Array(YEAR_HOURS),
      };
      this.years.set(year, hours);
    }
    hours.temperature[hour] = (hours.temperature[hour] as number) + sample.temperatureC;
    hours.humidity[hour] = (hours.humidity[hour] as number) + sample.relativeHumidity;
    hours.count[hour] = (hours.count[hour] as number) + 1;
  }

  /** @throws WeatherRefused where more than a tenth of the year is missing */
  finish(): Pick<WeatherYear, 'hours' | 'notes'> {
    const given = (h: Hours): number => h.count.reduce((sum, c) => sum + (c > 0 ? 1 : 0), 0);
    const years = [...this.years].sort(([y1, a], [y2, b]) => given(b) - given(a) || y2 - y1);
    const [best] = years;
    if (!best) throw new WeatherRefused('No row of it could be read.', this.notes);
    const [year, hours] = best;
    for (const [other, more] of years.slice(1)) {
      const count = given(more);
      this.dropped += count;
      this.note(0, `${count} hours of ${other} left aside: ${year} is the fullest year`);
    }
    const missing = YEAR_HOURS - given(hours);
    if (missing > MOST_MISSING) {
      const empty = MONTHS.filter((_, m) => emptyIn(hours, m) > 360);
      throw new WeatherRefused(
        `${missing} of the 8760 hours of a year are missing${empty.length > 0 ? `, most of ${empty.join(', ')} among them` : ''}. At most ${MOST_MISSING} can be filled.`,
        this.notes,
      );
    }
    const temperatureC = filled(hours, hours.temperature, 2);
    const relativeHumidity = filled(hours, hours.humidity, 4);
    if (missing > 0) this.note(0, gapsOf(hours));
    const { rows, dropped, corrected, notes } = this;
    return { hours: { temperatureC, relativeHumidity }, notes: { rows, filled: missing, dropped, corrected, notes } };
  }
}

const say = (hour: number): string => {
  const { month, day, hour: h } = hourAt(hour);
  return `${day} ${MONTHS[month]} ${String(h).padStart(2, '0')}:00`;
};

const emptyIn = ({ count }: Hours, month: number): number =>
  count.reduce((sum, c, h) => sum + (c === 0 && hourAt(h).month === month ? 1 : 0), 0);

function gapsOf({ count }: Hours): string {
  const gaps: string[] = [];
  for (let h = 0; h < YEAR_HOURS; h++) {
    if (count[h] !== 0 || (h > 0 && count[h - 1] === 0)) continue;
    let end = h;
    while (end < YEAR_HOURS && count[end] === 0) end++;
    gaps.push(`${say(h)} (${end - h} h)`);
  }
  return `filled from their neighbours: ${gaps.slice(0, 6).join(', ')}${gaps.length > 6 ? ` and ${gaps.length - 6} more gaps` : ''}`;
}

/** The means of the hours that are there, and the others from their neighbours. The year goes round. */
function filled({ count }: Hours, sums: Float64Array, decimals: number): number[] {
  const at = (h: number): number => ((h % YEAR_HOURS) + YEAR_HOURS) % YEAR_HOURS;
  const has = (h: number): boolean => (count[at(h)] as number) > 0;
  const value = (h: number): number => (sums[at(h)] as number) / (count[at(h)] as number);
  const between = (h: number, step: number): number => {
    let a = h - step;
    let b = h + step;
    while (!has(a)) a -= step;
    while (!has(b)) b += step;
    return value(a) + ((value(b) - value(a)) * (h - a)) / (b - a);
  };
  const gapAt = (h: number): number => {
    let a = h;
    let b = h;
    while (!has(a)) a--;
    while (!has(b)) b++;
    return b - a - 1;
  };
  const anyAtThisHour = Array.from({ length: 24 }, (_, clock) => {
    for (let d = clock; d < YEAR_HOURS; d += 24) if (has(d)) return true;
    return false;
  });
  return Array.from({ length: YEAR_HOURS }, (_, h) => {
    const v = has(h) ? value(h) : between(h, gapAt(h) > SHORT_GAP_H && anyAtThisHour[h % 24] ? 24 : 1);
    return Number(v.toFixed(decimals));
  });
}
