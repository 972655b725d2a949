import fc from 'fast-check';
import { imbalance } from '../line/section';
import { walk } from '../line/walk';
import { anyEdit, fresh } from '../test/any-plan';
import { planOf, stageOf } from '../test/plan-of';
import { drainPoints, setPlace, withSurvey } from './edit';
import { stagesOfUnit } from './machine-units';
import { type Plan, planSchema } from './plan';
import { allStages, runsOf, stageById } from './runs';
import { startPlan } from './start-plan';
import { type Survey, surveyAtmosphericPa } from './survey';

const start = planOf(
  {},
  stageOf('aftercooler'),
  stageOf('separator'),
  stageOf('receiver'),
  stageOf('regulator'),
  stageOf('outlet'),
);

describe('whatever is edited in whatever order', () => {
  const edited = fc.array(anyEdit, { minLength: 1, maxLength: 25 }).map((all) => all.reduce((p, e) => e(p), start));

  test('the plan stays one that can be saved, read back and walked, and its water balances', () => {
    fc.assert(
      fc.property(edited, (plan) => {
        const read = planSchema.safeParse(JSON.parse(JSON.stringify(plan)));
        expect(read.error?.issues ?? []).toEqual([]);
        expect(read.data).toEqual(plan);
        const section = walk(plan);
        // A stage may refuse (a housing above its mark); what was walked balances all the same where nothing did.
        if (section.problems.length === 0) expect(imbalance(section.ledger)).toBeLessThan(1e-9);
        for (const s of section.stations)
          for (const figure of ['vapourKgPerS', 'liquidKgPerS', 'caughtKgPerS', 'dryAirKgPerS'] as const)
            expect(s[figure]).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 100 },
    );
  });

  test('no stage is lost or doubled; a unit has stages, side by side in one run; a branch starts at what is there', () => {
    fc.assert(
      fc.property(edited, (plan) => {
        const ids = allStages(plan).map((s) => s.id);
        expect(new Set(ids).size).toBe(ids.length);
        for (const { id } of plan.units) {
          const own = stagesOfUnit(plan, id).map((s) => s.id);
          expect(own.length).toBeGreaterThan(0);
          const run = runsOf(plan).find((r) => r.stages.some((s) => s.id === own[0]));
          const first = run?.stages.findIndex((s) => s.id === own[0]) ?? -1;
          expect(run?.stages.slice(first, first + own.length).map((s) => s.id)).toEqual(own);
        }
        for (const b of plan.branches) for (const end of [b.from, b.into]) if (end !== null) expect(ids).toContain(end);
        for (const s of drainPoints(plan)) expect(s.planned).toBeUndefined();
      }),
      { numRuns: 100 },
    );
  });
});

test('a line of usual shape from a few answers is walked without a word, whatever it has', () => {
  for (const aftercooler of [true, false])
    for (const refrigeratedDryer of [true, false]) {
      const plan = startPlan(
        {
          shop: 'Bindery',
          lineName: 'Press line',
          intakeTemperatureC: 30,
          intakeRelativeHumidity: 0.7,
          compressor: { type: 'piston1', freeAirDeliveryM3PerS: 0.0076, cutInPa: 7.6e5, cutOutPa: 9.6e5 },
          receiverVolumeM3: 0.227,
          has: { aftercooler, refrigeratedDryer },
        },
        fresh,
      );
      expect(walk(plan).problems).toEqual([]);
      expect(plan.stages.some((s) => s.kind === 'aftercooler')).toBe(aftercooler);
      // Its dryer is entered by a rating that is enough for the compressor, by half more.
      const dryer = plan.stages.find((s) => s.kind === 'refrigerated-dryer');
      if (dryer) expect(dryer.parameters).toMatchObject({ method: 'rated', ratedFlowM3PerS: 1.5 * 0.0076 });
    }
});

test('a line for a job at a distance: what it asks for, how long the compressor is loaded for it, the pipe to it', () => {
  const plan = startPlan(
    {
      shop: 'Bindery',
      lineName: 'Press line',
      intakeTemperatureC: 20,
      intakeRelativeHumidity: 0.5,
      compressor: { type: 'piston2', freeAirDeliveryM3PerS: 0.01, cutInPa: 8e5, cutOutPa: 10e5 },
      receiverVolumeM3: 0.3,
      has: { aftercooler: true, refrigeratedDryer: true },
      job: 'solvent-spray',
      distanceM: 12,
      yearId: 'd0000000-0000-4000-8000-000000000009',
    },
    fresh,
  );
  expect(walk(plan).problems).toEqual([]);
  expect(plan.stages.find((s) => s.kind === 'pipe')?.parameters).toMatchObject({ lengthM: 12 });
  expect(plan.stages.at(-1)).toMatchObject({
    name: 'Spray gun, solvent-borne',
    parameters: { need: 'humidity-expanded', relativeHumidity: 0.1, flowBasis: 'anr' },
  });
  // 14 cfm (ISO 8778) for 0.45 of the time of 0.01 m³/s: about 0.3 (standard and intake air differ by a few per cent).
  expect(Math.abs(plan.survey.working.loadedShare / ((14 * 4.719474e-4 * 0.45) / 0.01) - 1)).toBeLessThan(0.03);
  expect(plan.survey.climate).toMatchObject({ from: 'file', yearId: 'd0000000-0000-4000-8000-000000000009' });
  const regulator = plan.stages.find((s) => s.kind === 'regulator')?.parameters;
  expect(regulator?.setPressurePa).toBeGreaterThan(101325 + 40 * 6894.757 + 2e4);
});

test('a place that is taken out: what stood there stands where the line stands', () => {
  const cold = { ...start.survey.places[0], id: 'cold', name: 'Yard' } as Survey['places'][number];
  const placed = setPlace(
    withSurvey(start, { ...start.survey, places: [...start.survey.places, cold] }),
    'outlet',
    'cold',
  );
  const without = withSurvey(placed, start.survey);
  expect([stageById(placed, 'outlet')?.place, stageById(without, 'outlet')?.place]).toEqual(['cold', undefined]);
  expect(planSchema.safeParse(without).success).toBe(true);
});

test('another barometer: what the gauges read stays, the absolute pressures move', () => {
  const gauge = (plan: Plan, id: string, field: string): number =>
    ((stageById(plan, id) as unknown as { parameters: Record<string, number> }).parameters[field] as number) -
    surveyAtmosphericPa(plan.survey);
  const high = withSurvey(start, { ...start.survey, barometerPa: 83_500 }); // some 1,600 m
  for (const [id, field] of [
    ['compressor', 'cutInPa'],
    ['compressor', 'cutOutPa'],
    ['regulator', 'setPressurePa'],
    ['outlet', 'leastPressurePa'],
  ] as const)
    expect(gauge(high, id, field)).toBeCloseTo(gauge(start, id, field), 6);
  const back = withSurvey(high, start.survey);
  for (const s of allStages(back)) expect(s.parameters).toEqual(stageById(start, s.id)?.parameters);
});
