import { hourAt, MONTHS } from '@/core/year/calendar';
import type { Series } from '@/core/year/series';
import { durationCurve } from '@/core/year/sums';
import type { RanPlan } from '../use-weather-run';

export function hourTable(series: Series, { run }: RanPlan) {
  return {
    name: series.name,
    columns: [
      'Month',
      'Day',
      'Hour',
      SI_WORDS[series.quantity] ?? series.quantity,
      'share of the hour loaded',
      'intake °C',
      'intake humidity',
    ],
    rows: Array.from(series.values, (v, h) => {
      const { month, day, hour } = hourAt(h);
      const own = series.isWater ? v * 3.6e6 : v;
      return [
        MONTHS[month] as string,
        day,
        hour,
        Number.isFinite(own) ? Number(own.toPrecision(5)) : '',
        Number((run.load[h] as number).toFixed(3)),
        Number((run.intakeC[h] as number).toFixed(1)),
        Number((run.intakeRh[h] as number).toFixed(3)),
      ];
    }),
  };
}

/** Tables are in one unit, said in their head, so that whoever reads them on need not ask. */
export const SI_WORDS: Readonly<Record<string, string>> = {
  waterFlow: 'g/h while loaded',
  temperature: '°C',
  temperatureDifference: 'K',
  share: 'share',
};

export function durationTable(series: Series, { run }: RanPlan) {
  const curve = durationCurve(series.values, run.load);
  const factor = series.isWater ? 3.6e6 : 1;
  return {
    name: `${series.name} duration`,
    columns: ['Hours exceeded', SI_WORDS[series.quantity] ?? series.quantity],
    rows: Array.from(curve, (v, i) => [i, Number.isFinite(v) ? Number((v * factor).toPrecision(5)) : '']),
  };
}
