import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { CFM, FREE_AIR_KG_PER_M3 } from '../quantity/constants';
import type { DryerDuty } from './dryer-duty';
import { familiesFor } from './families';
import { HEATED, type Heated, LEAST_KWH_PER_KG, sizeHeated } from './size-heated';
import { enthalpyJPerKg, sizeRefrigerated } from './size-refrigerated';

const duty = (cfm: number, change: Partial<DryerDuty> = {}): DryerDuty => ({
  dryAirKgPerS: cfm * CFM * FREE_AIR_KG_PER_M3,
  load: 1,
  inletC: 37.78,
  inletPa: 790_801, // 100 psig
  atmosphericPa: 101_325,
  relativeHumidity: 1,
  roomC: 37.78,
  hottestRoomC: 37.78,
  coldestRoomC: 15,
  coldestAfterC: 15,
  wantedC: 10 / 3,
  hoursPerYear: 8000,
  perKWh: 0.12,
  perHour: 40,
  hotOilFree: false,
  ...change,
});

test('the heat of moist air is that of psychrolib; what a refrigerated dryer moves is the difference, less its condensate', () => {
  psychrolib.SetUnitSystem(psychrolib.SI);
  for (const [c, w] of [
    [40, 0.006],
    [3, 0.0006],
    [60, 0.02],
  ] as const)
    expect(Math.abs(enthalpyJPerKg(c, w) / psychrolib.GetMoistAirEnthalpy(c, w) - 1)).toBeLessThan(1e-3);
  const d = duty(100);
  const s = sizeRefrigerated(d);
  // Saturated at 100 °F and 38 °F, 100 psig, by ASHRAE’s ratio 0.62198 p/(P − p) (psychrolib): f left out, 3 %.
  const [w1, w2] = [d.inletC, s.dewPointC].map((c) => psychrolib.GetSatHumRatio(c, d.inletPa)) as [number, number];
  const moved =
    d.dryAirKgPerS *
    (psychrolib.GetMoistAirEnthalpy(d.inletC, w1) -
      psychrolib.GetMoistAirEnthalpy(s.dewPointC, w2) -
      (w1 - w2) * 4186 * s.dewPointC);
  expect(Math.abs((s.sensibleW + s.latentW) / moved - 1)).toBeLessThan(0.02);
});

test('a plate of 100 cfm is bought for 100 cfm at three 100s, takes 0.6–0.9 kW, and is larger on a hotter day (handbook)', () => {
  const s = sizeRefrigerated(duty(100));
  expect(s.ratedM3PerS / CFM).toBeCloseTo(100, 0);
  expect(s.powerW).toBeGreaterThan(600);
  expect(s.powerW).toBeLessThan(900);
  const hot = sizeRefrigerated(duty(100, { roomC: 35, inletC: 35, hottestRoomC: 40.6 }));
  expect(hot.hottest).toBeLessThan(hot.today);
  expect(hot.hottestDewPointC).toBeGreaterThan(hot.dewPointC);
  expect(sizeRefrigerated(duty(100, { coldestRoomC: -5, wantedC: -20, coldestAfterC: -18 })).notHere).toHaveLength(3);
});

test('law: hotter air or a hotter room never makes a smaller plate do', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 55, noNaN: true }),
      fc.double({ min: 10, max: 45, noNaN: true }),
      fc.double({ min: 0, max: 8, noNaN: true }),
      (inletC, roomC, more) => {
        const rated = (a: number, b: number) =>
          sizeRefrigerated(duty(100, { inletC: a, roomC: b, hottestRoomC: b })).ratedM3PerS;
        expect(rated(inletC + more, roomC)).toBeGreaterThanOrEqual(rated(inletC, roomC) - 1e-12);
        expect(rated(inletC, roomC + more)).toBeGreaterThanOrEqual(rated(inletC, roomC) - 1e-12);
      },
    ),
  );
});

test('1000 cfm: heatless 27, heated 24, blower 22 kW, refrigerated 6–9 kW (handbook, worked example of a plant; blower to 3 kW/100 cfm)', () => {
  const of = new Map(familiesFor(duty(1000)).map((a) => [a.family, a]));
  const kW = (family: Parameters<typeof of.get>[0]) => (of.get(family)?.kWhPerYear ?? 0) / 8000;
  expect(Math.abs(kW('twin-tower') / 27 - 1)).toBeLessThan(0.05);
  expect(Math.abs(kW('heated-purge-tower') / 24 - 1)).toBeLessThan(0.1);
  expect(kW('blower-purge-tower')).toBeGreaterThan(20);
  expect(kW('blower-purge-tower')).toBeLessThan(36);
  expect(kW('refrigerated-dryer')).toBeGreaterThan(6);
  expect(kW('refrigerated-dryer')).toBeLessThan(9);
});

test('no dryer of beads undercuts the heat that holds the water, but by heat that is there for nothing', () => {
  for (const kind of Object.keys(HEATED) as Heated[]) {
    const s = sizeHeated(kind, duty(500, { inletC: 38 }));
    if (kind !== 'heat-of-compression-tower') expect(s.kWhPerKg).toBeGreaterThan(LEAST_KWH_PER_KG);
    expect(s.heatingH + s.coolingH + s.switchingH).toBeCloseTo(s.halfH, 9);
    expect(s.coolingH).toBeGreaterThan(0);
  }
  // What a blower’s heater gives in its time covers water, beads and steel.
  const blower = sizeHeated('blower-purge-tower', duty(1000, { inletC: 38 }));
  expect(blower.heaterW * blower.heatingH * 3600).toBeGreaterThan(blower.bedJ);
});

test('heat of compression floats between −40 and −4 °C with room and inlet (trade handbook), and is drier where these are cooler', () => {
  const at = (roomC: number, inletC: number) =>
    sizeHeated('heat-of-compression-tower', duty(500, { roomC, inletC })).reachesC;
  for (const [roomC, inletC] of [
    [10, 20],
    [25, 35],
    [32, 38],
  ] as const) {
    expect(at(roomC, inletC)).toBeGreaterThanOrEqual(-40);
    expect(at(roomC, inletC)).toBeLessThan(-4);
  }
  expect(at(10, 20)).toBeLessThan(at(25, 35));
  // By hand: room 25 °C, 60 %: 1.90 kPa of 101.3; at 790.8 kPa 14.8 kPa; of 462 kPa at 149 °C 3.2 %; of 5.63 kPa at 35 °C 181 Pa: −14 °C over ice (steam tables).
  expect(Math.abs(at(25, 35) + 14)).toBeLessThan(0.3);
});

test('who is told what: spray at 38 °F, instruments at −40, a cold shed, a hot salt bed, a little air', () => {
  const fits = (d: DryerDuty) => familiesFor(d).filter((a) => a.not.length === 0);
  const mild = { inletC: 32, roomC: 25, hottestRoomC: 30 };
  const cheapest = (d: DryerDuty) => fits(d).toSorted((a, b) => a.perYear - b.perYear)[0]?.family;
  expect(cheapest(duty(20, mild))).toBe('refrigerated-dryer');
  expect(cheapest(duty(100, { ...mild, wantedC: -40 }))).toBe('twin-tower');
  expect(fits(duty(100, { ...mild, wantedC: -40 })).map((a) => a.family)).not.toContain('refrigerated-dryer');
  expect(fits(duty(100, { ...mild, coldestRoomC: -5 })).map((a) => a.family)).not.toContain('refrigerated-dryer');
  expect(familiesFor(duty(100)).find((a) => a.family === 'pellet-tower')?.not).not.toHaveLength(0);
  expect(fits(duty(100, { ...mild, wantedC: 25, coldestAfterC: 25 })).map((a) => a.family)).toContain('pellet-tower');
  expect(fits(duty(100, { ...mild, wantedC: 25 })).map((a) => a.family)).not.toContain('pellet-tower');
  // A few minutes of air a day: beads are a fair answer even at −40.
  expect(cheapest(duty(10, { ...mild, wantedC: -40, hoursPerYear: 25 }))).toBe('bead-cartridge');
});

test('law: no answer is negative or without a number', () => {
  fc.assert(
    fc.property(
      fc.record({
        dryAirKgPerS: fc.double({ min: 1e-4, max: 0.6, noNaN: true }),
        load: fc.double({ min: 0.05, max: 1, noNaN: true }),
        inletC: fc.double({ min: 5, max: 60, noNaN: true }),
        inletPa: fc.double({ min: 1.5e5, max: 41e5, noNaN: true }),
        relativeHumidity: fc.double({ min: 0.01, max: 1, noNaN: true }),
        wantedC: fc.double({ min: -70, max: 30, noNaN: true }),
        hoursPerYear: fc.double({ min: 1, max: 8760, noNaN: true }),
      }),
      (change) => {
        for (const a of familiesFor(duty(1, change)))
          for (const x of [a.airLost, a.powerW, a.kWhPerYear, a.perYear, a.minutesPerMonth])
            expect(Number.isFinite(x) && x >= 0).toBe(true);
      },
    ),
  );
});
