import { imbalance } from '../../line/section';
import { walk } from '../../line/walk';
import { planOf, stageOf } from '../../test/plan-of';
import { Refusal } from '../shared/kind';
import { estimatedDischargeC } from '../supply/compressor';
import { receiverSurfaceM2 } from '../supply/receiver';
import { effectivenessFromReadings } from './aftercooler';

const BAR_100_PSIG = 790801;
const F = (f: number): number => (f - 32) / 1.8;

describe('compressor', () => {
  // Head-outlet readings: typical, common practice, no source: single stage 300–400 °F, two stages 250–350 °F.
  test('estimates the usual head-outlet temperatures', () => {
    expect(estimatedDischargeC('piston1', F(80), 139.7 / 14.7, 27)).toBeCloseTo(F(325), -1);
    expect(estimatedDischargeC('piston2', F(80), 189.7 / 14.7, 27)).toBeCloseTo(F(275), -1);
  });

  test('hands no estimate out beyond 200 °C but asks for a reading', () => {
    expect(() => estimatedDischargeC('piston1', 40, 25, 30)).toThrow(/Measure the discharge temperature/);
  });

  test.each([
    ['that of its intake', { cutInPa: 1e5, cutOutPa: 8e5 }],
    ['its cut-in', { cutInPa: 9e5, cutOutPa: 8e5 }],
  ])('refuses a band below %s', (_, band) => {
    const plan = planOf({ pressurePa: 1.5e5, atmosphericPa: 105000 });
    const stages = plan.stages.map((s) =>
      s.kind === 'compressor' ? { ...s, parameters: { ...s.parameters, ...band } } : s,
    );
    expect(walk({ ...plan, stages }).problem).toMatchObject({ field: 'cutInPa' });
  });
});

describe('aftercooler', () => {
  // Practitioners’ readings, common practice, no source: 230 °F in, 99 °F out, on a warm day of about 85 °F.
  test('tells which effectiveness three readings mean', () => {
    expect(effectivenessFromReadings(F(230), F(99), F(85))).toBeCloseTo(131 / 145, 6);
  });

  test('refuses an outlet colder than the cooling air, naming the emissivity of bare metal', () => {
    expect(() => effectivenessFromReadings(110, 25, 30)).toThrow(Refusal);
    expect(() => effectivenessFromReadings(110, 25, 30)).toThrow(/emissivity/);
    expect(() => effectivenessFromReadings(40, 60, 30)).toThrow(/exchanged/);
    const { problem } = walk(
      planOf({ roomC: 30 }, stageOf('aftercooler', { method: 'measured', outletTemperatureC: 25 })),
    );
    expect(problem).toMatchObject({ stageId: 'aftercooler', field: 'outletTemperatureC' });
  });

  test('its three ways agree: approach, effectiveness and outlet temperature', () => {
    const outlet = (parameters: object) =>
      walk(planOf({ roomC: 30, dischargeC: 130 }, stageOf('aftercooler', parameters))).stations[2]?.temperatureC;
    expect(outlet({ method: 'approach', approachK: 12 })).toBeCloseTo(42, 9);
    expect(outlet({ method: 'effectiveness', effectiveness: 0.88 })).toBeCloseTo(42, 9);
    expect(outlet({ method: 'measured', outletTemperatureC: 42 })).toBeCloseTo(42, 9);
  });

  // Pitfall 9, computed: the approach is to the room’s air that the cooler draws, not to the intake.
  test('draws the room: intake 10 °C and 80 % outdoors, plant room 35 °C: nothing falls out at 43 °C', () => {
    const plan = planOf(
      { temperatureC: 10, relativeHumidity: 0.8, roomC: 35, flowM3PerS: 0.0472, pressurePa: BAR_100_PSIG },
      stageOf('aftercooler', { approachK: 8, drain: 'manual', catchEfficiency: 1, pressureLossPa: 0 }),
    );
    expect(walk(plan, 'ideal').stations[2]).toMatchObject({ temperatureC: 43, caughtKgPerS: 0, liquidKgPerS: 0 });
  });

  test('never warms air that arrives colder than the room', () => {
    const plan = planOf({ roomC: 40, dischargeC: 30 }, stageOf('aftercooler', { approachK: 8 }));
    expect(walk(plan).stations[2]?.temperatureC).toBe(30);
  });
});

describe('a tube of a water-cooled aftercooler that leaks', () => {
  const walked = (gaugePa: number) =>
    walk(
      planOf(
        { pressurePa: BAR_100_PSIG },
        stageOf('water-cooler', { tubeLeakKgPerS: 0.01, waterGaugePa: gaugePa, drain: 'none' }),
      ),
    );

  // By hand: 0.01 kg/s at 12 bar against the atmosphere; against 6.89 bar of air √(5.11/12) = 0.652 of it.
  test('lets water in where the water is at the higher pressure, and the water balances', () => {
    const { ledger } = walked(12e5);
    expect(ledger.leakedInKgPerS / 0.01).toBeCloseTo(0.652, 2);
    expect(imbalance(ledger)).toBeLessThan(1e-12);
  });

  // By hand: 0.01 kg/s at 3 bar is A = 0.01/(0.61·√(2·1000·3e5)) = 0.67 mm². At 7.91 bar, 20 °C, choked air through that:
  // 0.61·0.67e-6·7.91e5·0.0404/√293 = 0.76 g/s; from 7.91 to 4.01 bar (0.51) it is choked.
  test('lets air out where the air is', () => {
    const air = walked(3e5);
    expect(air.ledger.leakedInKgPerS).toBe(0);
    const inletK = (air.at('compressor')?.temperatureC ?? 0) + 273.15;
    const lostKgPerS = air.at('water-cooler')?.ventedAirKgPerS ?? 0;
    expect(lostKgPerS * Math.sqrt(inletK / 293)).toBeCloseTo(0.76e-3, 4);
  });
});

describe('receiver', () => {
  test('has the surface of a cylinder two and a half times as long as wide (geometry)', () => {
    const diameter = 0.5;
    const volume = (Math.PI / 4) * diameter ** 2 * 2.5 * diameter;
    expect(receiverSurfaceM2(volume)).toBeCloseTo(
      Math.PI * diameter * 2.5 * diameter + (Math.PI / 2) * diameter ** 2,
      9,
    );
  });

  test('cools the air towards the room: more with a larger tank, less at more flow', () => {
    const outlet = (volumeM3: number, flowM3PerS: number) =>
      walk(planOf({ roomC: 20, dischargeC: 80, flowM3PerS }, stageOf('receiver', { volumeM3 }))).stations[2]
        ?.temperatureC ?? Number.NaN;
    expect(outlet(0.5, 0.01)).toBeLessThan(outlet(0.1, 0.01));
    expect(outlet(0.1, 0.02)).toBeGreaterThan(outlet(0.1, 0.01));
    expect(outlet(5, 0.001)).toBeGreaterThanOrEqual(20);
  });
});
