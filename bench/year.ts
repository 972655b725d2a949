import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import psychrolib from 'psychrolib';
import { workingPressurePa } from '../core/equipment/supply/compressor';
import { newStage } from '../core/plan/edit';
import { type Plan, planSchema, type Stage } from '../core/plan/plan';
import { surveyAtmosphericPa } from '../core/plan/survey';
import { runWeather } from '../core/year/run-weather';
import { caughtInAll } from '../core/year/series';
import { syntheticYear } from '../db/demo-weather';
import { bestMs } from './best-ms';
import { fortyStages } from './forty-stage-plan';

// A year of 8,760 hours: an eight-stage line beside the same year through psychrolib’s functions, and a line of forty
// stages. Both sides in this run, on the same weather; the water caught is held to agree.
psychrolib.SetUnitSystem(psychrolib.SI);
const WITHIN = { eight: 150, forty: 3000 } as const;

const { hours } = syntheticYear('year', readFileSync('weather/merrow-delta-humid.synthetic.epw', 'utf8'));
const stage = <K extends Stage['kind']>(kind: K, parameters: object = {}): Stage => {
  const fresh = newStage(kind, kind);
  return {
    ...fresh,
    parameters: {
      ...fresh.parameters,
      ...parameters,
      ...('pressureLossPa' in fresh.parameters && { pressureLossPa: 0 }),
    },
  } as Stage;
};
const APPROACH = 10;
const DRYER_C = 3;
const eight: Plan = planSchema.parse({
  format: 'cool-dram-plan',
  version: 1,
  name: 'eight stages',
  survey: {
    shop: 'bench',
    places: [{ id: 'out', name: 'Outdoors', year: { follows: 'outdoors' } }],
    intakePlaceId: 'out',
    roomPlaceId: 'out',
    working: { days: [1, 2, 3, 4, 5, 6, 7], startsAtH: 0, endsAtH: 24, loadedShare: 1 },
  },
  stages: [
    stage('intake', { filterLossPa: 0 }),
    stage('compressor', { dischargeTemperatureFrom: 'measured', dischargeTemperatureC: 150 }),
    stage('aftercooler', { approachK: APPROACH }),
    stage('separator', { efficiency: 1, drain: 'level' }),
    stage('receiver', { heatLossWPerM2K: 0, settlingEfficiency: 1, drain: 'level' }),
    stage('coalescing-filter', { drain: 'level' }),
    stage('refrigerated-dryer', { pressureDewPointC: DRYER_C, separatorEfficiency: 1, drain: 'level' }),
    stage('outlet'),
  ],
});
const pressurePa = workingPressurePa((eight.stages[1] as Extract<Stage, { kind: 'compressor' }>).parameters);
const atmosphericPa = surveyAtmosphericPa(eight.survey);
const flow = (eight.stages[1] as Extract<Stage, { kind: 'compressor' }>).parameters.freeAirDeliveryM3PerS;

/** Water caught in the year, kg, with the ideal humidity ratios of psychrolib: intake, cooler, dryer. */
function theirs(): number {
  let kg = 0;
  for (let h = 0; h < hours.temperatureC.length; h++) {
    const c = hours.temperatureC[h] as number;
    const w = psychrolib.GetHumRatioFromRelHum(c, hours.relativeHumidity[h] as number, atmosphericPa);
    const vapourPa = psychrolib.GetVapPresFromHumRatio(w, atmosphericPa);
    const dry = ((atmosphericPa - vapourPa) * flow) / (287.042 * (c + 273.15));
    const cooled = Math.min(w, psychrolib.GetSatHumRatio(c + APPROACH, pressurePa));
    const dried = Math.min(cooled, psychrolib.GetSatHumRatio(DRYER_C, pressurePa));
    // Each station’s dew point is part of a walk: they are all asked for.
    for (const ratio of [w, w, cooled, cooled, cooled, cooled, dried, dried])
      psychrolib.GetTDewPointFromHumRatio(c + APPROACH + 20, ratio, pressurePa);
    kg += dry * (w - dried) * 3600;
  }
  return kg;
}
let ours = 0;
const year = { year: 2026 };
const eightMs = bestMs(() => {
  const run = runWeather(eight, hours, year, 'ideal');
  assert(run && run.stopped.hours === 0);
  ours = caughtInAll(run).reduce((sum, v) => sum + v * 3600, 0);
});
const realMs = bestMs(() => runWeather(eight, hours, year));
let other = 0;
const theirMs = bestMs(() => {
  other = theirs();
});
assert(Math.abs(ours / other - 1) < 2e-3, `${ours} kg, ${other} kg`);
const forty = fortyStages();
const fortyMs = bestMs(() => runWeather(forty, hours, year));

const row = (name: string, text: string): void => console.log(name.padEnd(58) + text.padStart(14));
row('a year of eight stages, times faster than psychrolib', `${(theirMs / eightMs).toFixed(1)} ×`);
row('the same with the enhancement factor, which psychrolib has not', `${(theirMs / realMs).toFixed(1)} ×`);
row(`of its ${WITHIN.eight} ms (with the factor)`, `${((100 * realMs) / WITHIN.eight).toFixed(0)} %`);
row(`a year of forty stages, of its ${WITHIN.forty} ms`, `${((100 * fortyMs) / WITHIN.forty).toFixed(0)} %`);
console.log(`water caught in the year: ${ours.toFixed(0)} kg, by psychrolib ${other.toFixed(0)} kg`);
