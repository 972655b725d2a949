import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { saturationPressurePa } from '../../core/air/saturation';
import { hourAt, YEAR_HOURS } from '../../core/year/calendar';

// Writes the two made-up years of weather/: node_modules/.bin/tsx bin/lib/make-weather.ts [--check]. They are no place’s
// weather: a mean, a swing through the year and the day, and fronts of random strength that pass every few days.
interface Climate {
  readonly file: string;
  readonly city: string;
  readonly country: string;
  readonly altitudeM: number;
  readonly pressurePa: number;
  readonly meanC: number;
  readonly yearSwingK: number;
  readonly daySwingK: number;
  readonly frontK: number;
  /** Of the dew point. */
  readonly dewMeanC: number;
  readonly dewSwingK: number;
  readonly dewFrontK: number;
  readonly seed: number;
}

const CLIMATES: readonly Climate[] = [
  {
    file: 'merrow-delta-humid',
    city: 'Merrow Delta humid coast',
    country: 'SYNTHETIC',
    altitudeM: 8,
    pressurePa: 101200,
    meanC: 18.5,
    yearSwingK: 21,
    daySwingK: 8,
    frontK: 4,
    dewMeanC: 13.5,
    dewSwingK: 22,
    dewFrontK: 2.4,
    seed: 7,
  },
  {
    file: 'kestrin-plateau-cold-dry',
    city: 'Kestrin Plateau cold and dry',
    country: 'SYNTHETIC',
    altitudeM: 1450,
    pressurePa: 85000,
    meanC: 5.5,
    yearSwingK: 30,
    daySwingK: 13,
    frontK: 4.5,
    dewMeanC: -2.5,
    dewSwingK: 23,
    dewFrontK: 3.5,
    seed: 11,
  },
];

/** Numbers in 0…1 that are the same in every run (mulberry32). */
function random(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Fronts: a value that forgets itself in some days, of standard deviation 1. */
function fronts(next: () => number, days: number): () => number {
  const keep = Math.exp(-1 / (24 * days));
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  let value = normal();
  return () => {
    value = value * keep + normal() * Math.sqrt(1 - keep * keep);
    return value;
  };
}

function epw(c: Climate): string {
  const next = random(c.seed);
  const [warmth, moisture, calm] = [fronts(next, 2.5), fronts(next, 1.8), fronts(next, 1)];
  const rows = Array.from({ length: YEAR_HOURS }, (_, h) => {
    const { month, day, hour } = hourAt(h);
    const season = -Math.cos((2 * Math.PI * (h / 24 - 20)) / 365); // coldest on 20 January
    const sun = -Math.cos((2 * Math.PI * (hour - 3)) / 24); // coldest at 3, warmest at 15
    const dry =
      c.meanC + (c.yearSwingK / 2) * season + (c.daySwingK / 2) * sun * (1 + 0.25 * calm()) + c.frontK * warmth();
    const dew = Math.min(
      dry - 0.3,
      c.dewMeanC +
        (c.dewSwingK / 2) * season +
        c.dewFrontK * moisture() +
        0.25 * (dry - c.meanC - (c.yearSwingK / 2) * season),
    );
    const rh = Math.round(
      (100 * saturationPressurePa(Math.max(-60, dew), 'water')) / saturationPressurePa(dry, 'water'),
    );
    const pressure = Math.round(c.pressurePa - 250 * moisture());
    // Fields that nothing here uses are given as missing, by the codes of the format.
    return `2001,${month + 1},${day},${hour + 1},60,synthetic,${dry.toFixed(1)},${dew.toFixed(1)},${rh},${pressure},9999,9999,9999,9999,9999,9999,999999,999999,999999,9999,999,999,99,99,9999,99999,9,999999999,999,.999,999,99,999,999,99`;
  });
  return [
    `LOCATION,${c.city},-,${c.country},synthetic,999999,0.00,0.00,0.0,${c.altitudeM.toFixed(1)}`,
    'DESIGN CONDITIONS,0',
    'TYPICAL/EXTREME PERIODS,0',
    'GROUND TEMPERATURES,0',
    'HOLIDAYS/DAYLIGHT SAVINGS,No,0,0,0',
    'COMMENTS 1,Synthetic: made up by bin/lib/make-weather.ts. It is the weather of no place.',
    'COMMENTS 2,Only dry bulb, dew point, relative humidity and station pressure are given.',
    'DATA PERIODS,1,1,Data,Monday,1/1,12/31',
    ...rows,
    '',
  ].join('\n');
}

mkdirSync('weather', { recursive: true });
for (const climate of CLIMATES) {
  const path = `weather/${climate.file}.synthetic.epw`;
  const text = epw(climate);
  if (!process.argv.includes('--check')) writeFileSync(path, text);
  else if (readFileSync(path, 'utf8') !== text) {
    console.error(`${path} is not what bin/lib/make-weather.ts makes.`);
    process.exitCode = 1;
  }
}
