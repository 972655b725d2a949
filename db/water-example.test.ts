import { readFileSync } from 'node:fs';
import path from 'node:path';
import {
  humidityRatioFromFraction,
  saturatedHumidityRatio,
  vapourFractionFromRelativeHumidity,
} from '../core/air/humidity';
import { handDraining } from '../core/drains/by-hand';
import {
  type Collecting,
  collectingStages,
  type DrainDuty,
  dutyOf,
  gathersPerStopM3,
  kgPerDay,
  meanLossM3PerS,
} from '../core/drains/duty';
import { liquidM3PerS } from '../core/drains/liquid-flow';
import { oilyWater } from '../core/drains/oily-water';
import { pointYear } from '../core/drains/point-year';
import { LEFT_ALONE, timerAt } from '../core/drains/timer';
import { bestTimer, timerDuty, timerLossPerDay } from '../core/drains/ways';
import { receiverHeelM } from '../core/equipment/supply/receiver';
import { walk } from '../core/line/walk';
import { expectWorkedTable } from '../core/test/worked-table';
import { planAtHour } from '../core/year/at-hour';
import { hourIndex } from '../core/year/calendar';
import { runWeather } from '../core/year/run-weather';
import { caughtAt } from '../core/year/series';
import { durationCurve } from '../core/year/sums';
import { demoPlan } from './demo';
import { SYNTHETIC, syntheticYear } from './demo-weather';

const G_PER_H = 3.6e6;

test('the worked example of the drains says what the program says, and what its formulas say', () => {
  const plan = demoPlan();
  const epw = readFileSync(path.join(__dirname, '../weather', SYNTHETIC[0].file), 'utf8');
  const { hours } = syntheticYear(SYNTHETIC[0].name, epw);
  const section = walk(plan);
  const run = runWeather(plan, hours, { year: 2026 });
  if (!run) throw new Error('no run');
  const dutyAt = (id: string): DrainDuty => {
    const year = pointYear(run, id);
    const stage = collectingStages(plan).find((s) => s.id === id) as Collecting;
    const duty = year && dutyOf(plan, section, stage, { peakKgPerS: year.design.value, coldestC: year.coldestC });
    if (!duty) throw new Error(`no ${id}`);
    return duty;
  };
  const [dryer, receiver] = [dutyAt('dryer'), dutyAt('receiver')];
  const best = bestTimer(dryer);
  if (!best) throw new Error('no timer');
  const asSet = timerAt(timerDuty(dryer), { everyS: 5400, openS: 8 });
  const lost = (set: { everyS: number; openS: number }): number =>
    meanLossM3PerS(dryer, timerLossPerDay(dryer, set)) * 6e4;

  // On paper.
  const area = (Math.PI / 4) * 3.2e-3 ** 2;
  const gaugePa = dryer.station.pressurePa - dryer.atmosphericPa;
  const through = 0.61 * area * Math.sqrt((2 * gaugePa) / 1000) * 1e6;
  const blows =
    (0.65 * area * dryer.station.pressurePa * 0.6847) / Math.sqrt(287.042 * (dryer.station.temperatureC + 273.15));
  const design = durationCurve(caughtAt(run, 'dryer'), run.load)[35] as number;
  const loadedH = 9 * 0.45;
  const paperLost = (everyS: number, openS: number): number => {
    const wet = ((loadedH * 3600) / everyS) * ((72.0 * (everyS / 3600)) / through);
    return (((86_400 / everyS) * openS - wet) * blows * dryer.m3PerKg * 1000) / 1440;
  };
  const width = ((4 * 0.27) / (2.5 * Math.PI)) ** (1 / 3);
  const dayML = 46.18 * loadedH;
  const hour = hourIndex({ month: 6, day: 16, hour: 13 }) as number;
  const then = planAtHour(plan, hours, hour);
  const at = walk(then);
  const [room] = then.survey.places;
  if (!room) throw new Error('no room');
  const pAtm = dryer.atmosphericPa;
  const x = vapourFractionFromRelativeHumidity(room.relativeHumidity, room.temperatureC, pAtm);
  const dryKgPerH = (((pAtm - 500) * (1 - x)) / (287.042 * (room.temperatureC + 273.15))) * 0.62 * 60;
  const holds = (c: number, pa: number): number => saturatedHumidityRatio(c, pa) * dryKgPerH * 1000;
  const drawn = humidityRatioFromFraction(x) * dryKgPerH * 1000;
  const oily = oilyWater(plan, section, run);
  if (!oily) throw new Error('no oil');

  const computed: Record<string, readonly [number, number]> = {
    'Design hour of the dryer, g/h': [design * G_PER_H, dryer.peakKgPerS * G_PER_H],
    'Longest interval of its timer, min': [((0.5 * 120) / (design * G_PER_H)) * 60, best.everyS / 60],
    'Water through its drain, mL/s': [through, liquidM3PerS(3.2e-3, gaugePa) * 1e6],
    'Time of the water of one interval, s': [(design * G_PER_H) / 3 / through, best.liquidS],
    'It stays open, s': [Math.max(1, Math.ceil(((design * G_PER_H) / 3 / through + 0.5) * 2) / 2), best.openS],
    'Air while it blows, g/s': [blows * 1000, best.blowsKgPerS * 1000],
    'Lost on average, L/min': [paperLost(1200, 1), lost(best)],
    'As most people leave it, L/min': [paperLost(300, 10), lost(LEFT_ALONE)],
    'Fill of its sump as it is set, %': [((design * G_PER_H * 1.5) / 120) * 100, asSet.fill * 100],
    'Receiver after a day, mL': [dayML, kgPerDay(receiver) * 1000],
    'Its height, mm': [
      dayML / 1000 / ((Math.PI / 4) * width ** 2),
      receiverHeelM(0.27, kgPerDay(receiver) / 1000) * 1000,
    ],
    'Its mark, mm': [5 / ((Math.PI / 4) * width ** 2), receiverHeelM(0.27, 5e-3) * 1000],
    'Working days to the mark': [5000 / dayML, 1 / handDraining(receiver.nowKgPerS, 5e-3, 0.45, 9).perDay],
    'Between two stops, mL': [(46.18 * 76.35) / 3600, gathersPerStopM3(receiver, receiver.nowKgPerS) * 1e6],
    '16 July, 13:00: drawn in, g/h': [drawn, at.waterInKgPerS * G_PER_H],
    '16 July, 13:00: left by the cooler, g/h': [
      holds(room.temperatureC + 10, pAtm + 9.45e5),
      (at.at('aftercooler')?.vapourKgPerS ?? 0) * G_PER_H,
    ],
    '16 July, 13:00: caught by the Cyclone, g/h': [
      0.95 * (drawn - holds(room.temperatureC + 10, pAtm + 9.38e5)),
      (caughtAt(run, 'separator')[hour] as number) * G_PER_H,
    ],
    'The year’s loaded hours': [243 * 9 * 0.45, run.load.reduce((a, b) => a + b, 0)],
    'Oil of the year, kg': [12e-6 * 0.62 * 60 * 984, oily.oilKgPerYear],
    'An hour’s rest at the wettest hour, L': [oily.peakKgPerS * 3600, oily.chamberM3 * 1000],
  };
  expectWorkedTable('worked-example-water.md', computed);
});
