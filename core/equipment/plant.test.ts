import { shownBy } from '../line/explain';
import { imbalance, type Section, type Station } from '../line/section';
import { walk } from '../line/walk';
import type { Stage } from '../plan/plan';
import { surroundingsOf } from '../plan/surroundings';
import { CFM } from '../quantity/constants';
import { AirStream } from '../stream/air-stream';
import { planOf, stageOf } from '../test/plan-of';
import { checksOf, expectCheck } from '../test/reference';
import { leastPurgeShare, towerLoad } from './drying/tower';

const checks = checksOf(11);

interface Duty {
  readonly inletC?: number;
  readonly roomC?: number;
  readonly flowM3PerS?: number;
  readonly pressurePa?: number;
  readonly relativeHumidity?: number;
}
/** A stage directly downstream of the compressor, or downstream of what brings the air to a temperature. */
function behind(
  stage: Stage,
  { inletC = 35, roomC = 25, flowM3PerS = 100 * CFM, pressurePa = 8e5, relativeHumidity = 0.8 }: Duty = {},
) {
  const plan = planOf(
    { temperatureC: 30, relativeHumidity, roomC, flowM3PerS, pressurePa, dischargeC: inletC },
    { ...stage, id: 'stage' },
  );
  const section = walk(plan);
  const shown = Object.fromEntries(shownBy(plan, section, plan.stages.at(-1) as Stage).map((s) => [s.label, s]));
  return { section, at: section.at('stage') as Station, shown };
}
const sound = ({ section }: { section: Section }): void => {
  expect(section.problems).toEqual([]);
  expect(imbalance(section.ledger)).toBeLessThan(1e-9);
};

describe('purge', () => {
  test.each(
    checksOf(11)
      .filter((c) => c.id.includes('purge'))
      .map((c) => [c.id, c] as const),
  )('%s', (_id, check) => {
    const { psig, line_bar_g, multiplier = 1, p_purge_psia, p_purge_bar_abs } = check.inputs as Record<string, number>;
    const [line, atm] =
      psig === undefined
        ? [(line_bar_g as number) + 1.01325, p_purge_bar_abs as number]
        : [psig + 14.696, p_purge_psia as number];
    const share = leastPurgeShare(line, atm, multiplier);
    expectCheck(share, check, 'purge_fraction_of_inlet');
    expectCheck(1 - share, check, 'delivered_fraction');
  });

  test('by theory 12.8 % at 100 psig, and 11.0 % at 5,200 ft and 115 psig (pitfall 12; trade handbook)', () => {
    expect(leastPurgeShare(114.696, 14.696)).toBeCloseTo(0.128, 3);
    expect(leastPurgeShare(115 + 12.14, 12.14) * 1.15).toBeCloseTo(0.11, 2);
  });

  test('is a share of the rated flow at its setting; blows more at a higher line pressure; a probe lets it fall with the load', () => {
    const lost = (control: 'fixed' | 'dew-point', duty: Duty): number =>
      behind(stageOf('twin-tower', { ratedFlowM3PerS: 100 * CFM, purgeM3PerS: 15 * CFM, control }), duty).at
        .ventedAirKgPerS;
    expect(lost('fixed', { flowM3PerS: 40 * CFM }) / lost('fixed', {})).toBeCloseTo(1, 9);
    expect(lost('fixed', { pressurePa: 12e5 }) / lost('fixed', { pressurePa: 8e5 })).toBeCloseTo(1.5, 6);
    expect(lost('dew-point', { flowM3PerS: 40 * CFM })).toBeLessThan(0.6 * lost('dew-point', {}));
  });

  test('heated purge loses half of what heatless does, a blower next to nothing, split flow none (7, 15, 0–3 and 0 % of rated)', () => {
    const lost = (kind: 'twin-tower' | 'heated-purge-tower' | 'blower-purge-tower' | 'split-flow-tower'): number => {
      const one = behind(
        stageOf(kind, {
          ratedFlowM3PerS: 100 * CFM,
          ...(kind === 'twin-tower' && { purgeM3PerS: 15 * CFM }),
        } as object),
      );
      sound(one);
      return one.at.ventedAirKgPerS / (one.at.ventedAirKgPerS + one.at.dryAirKgPerS);
    };
    expect(lost('heated-purge-tower') / lost('twin-tower')).toBeCloseTo(7 / 15, 1);
    expect(lost('blower-purge-tower')).toBeLessThan(0.03);
    expect(lost('split-flow-tower')).toBe(0);
  });
});

test('a pair of towers is at its rating in the reference conditions of ISO 7183, and nowhere worse off by them', () => {
  const { expected } = checksOf(11).find((c) => c.id.includes('iso7183')) as (typeof checks)[number];
  const air = new AirStream(
    'real',
    0.1 * 1.189,
    0,
    expected.inlet_T_C as number,
    ((expected.inlet_bar_g as number) + 1.01325) * 1e5,
  );
  const around = { ...surroundingsOf(planOf({})), roomTemperatureC: expected.ambient_T_C_option_A1 as number };
  expect(towerLoad(air, { ratedFlowM3PerS: 0.1, ratedDewPointC: -40 }, around)).toBeCloseTo(1, 6);
});

describe('heated towers', () => {
  test('warm the air, the more where a hot tower takes over, and then its dew point bumps', () => {
    const yes = behind(stageOf('heated-purge-tower', { ratedFlowM3PerS: 100 * CFM, cooled: 'yes' }));
    const no = behind(stageOf('heated-purge-tower', { ratedFlowM3PerS: 100 * CFM, cooled: 'no' }));
    expect(yes.at.temperatureC).toBeGreaterThan(35 + 4);
    expect(no.at.temperatureC).toBeGreaterThan(yes.at.temperatureC);
    const bump = 'For 10–20 min after switching, dew point up to';
    expect(no.shown[bump]).toMatchObject({ warns: true });
    expect(yes.shown[bump]).toMatchObject({ warns: false });
    // Heater of 1.0–1.5 kW on average for 100 cfm (trade handbook, estimate).
    expect(yes.shown['Heater, on average']?.value).toBeGreaterThan(1000);
    expect(yes.shown['Heater, on average']?.value).toBeLessThan(1500);
  });

  test('cooled with the air of a hot, wet room a blower’s tower is worse', () => {
    const dew = (roomC: number) =>
      behind(stageOf('blower-purge-tower', { ratedFlowM3PerS: 150 * CFM, cooling: 'room' }), { roomC }).at
        .pressureDewPointC;
    expect(dew(40)).toBeGreaterThan(dew(22) + 4);
  });

  test('asked for three times what it can do, it says that nobody knows, and drops before it are named', () => {
    const { shown, section, at } = behind(stageOf('heated-purge-tower', { ratedFlowM3PerS: (100 * CFM) / 3 }));
    expect(section.problems).toEqual([]);
    expect(shown['Far over its rating']?.warns).toBe(true);
    expect(shown['Drops reach the beads']?.warns).toBe(true); // cooled to 35 °C behind no trap
    expect(at.pressureDewPointC).toBeLessThanOrEqual(35 + 30);
    expect(at.pressureDewPointC).toBeGreaterThan(-20);
  });
});

describe('heat of compression', () => {
  const dew = (duty: Duty): number =>
    behind(stageOf('heat-of-compression-tower'), { inletC: 160, ...duty }).at.pressureDewPointC;
  test('its dew point floats: hotter delivery dries better, a hotter room worse; −4 to −40 °C (trade handbook)', () => {
    sound(behind(stageOf('heat-of-compression-tower'), { inletC: 160 }));
    expect(dew({ inletC: 180 })).toBeLessThan(dew({ inletC: 150 }) - 3);
    expect(dew({ roomC: 38 })).toBeGreaterThan(dew({ roomC: 20 }) + 5);
    expect(dew({ flowM3PerS: 0.9 })).toBeGreaterThan(dew({ flowM3PerS: 0.3 }));
    expect(dew({})).toBeLessThan(-4);
    expect(dew({})).toBeGreaterThan(-45);
    expect(dew({ relativeHumidity: 0.9 })).toBeGreaterThan(dew({ relativeHumidity: 0.3 }));
    // Unlike other dryers: at one delivery temperature more pressure makes the hot air, which dries the bed, more humid.
    expect(dew({ pressurePa: 11e5 })).toBeGreaterThan(dew({ pressurePa: 6e5 }));
  });
  test('downstream of a cooler it does not dry, and says so', () => {
    expect(behind(stageOf('heat-of-compression-tower'), { inletC: 40 }).section.problem?.message).toMatch(
      /does not dry/,
    );
  });
});

describe('refrigerated dryers of a plant', () => {
  test('for hot air: bears 180 °F, refuses what is hotter than its plate says; more flow, heat and room are worse', () => {
    const one = behind(stageOf('high-inlet-dryer', { ratedFlowM3PerS: 100 * CFM }), { inletC: 82 });
    sound(one);
    expect(one.at.caughtKgPerS).toBeGreaterThan(0.6 * one.section.waterInKgPerS);
    expect(behind(stageOf('high-inlet-dryer'), { inletC: 110, flowM3PerS: 10 * CFM }).section.problem?.field).toBe(
      'mostInletC',
    );
    const dew = (duty: Duty): number =>
      behind(stageOf('high-inlet-dryer', { ratedFlowM3PerS: 60 * CFM }), {
        inletC: 75,
        ...duty,
      }).at.pressureDewPointC;
    expect(dew({ flowM3PerS: 120 * CFM })).toBeGreaterThan(dew({}));
    expect(dew({ inletC: 85 })).toBeGreaterThan(dew({ inletC: 70 }));
    expect(dew({ roomC: 42 })).toBeGreaterThan(dew({ roomC: 25 }));
    expect(dew({ pressurePa: 6e5 })).toBeGreaterThan(dew({ pressurePa: 11e5 }));
  });
  test('cycling: judged at the top of its swing, and rests at part load', () => {
    const full = behind(stageOf('cycling-dryer', { ratedFlowM3PerS: 100 * CFM }), {
      roomC: 38,
      inletC: 38,
    });
    const third = behind(stageOf('cycling-dryer', { ratedFlowM3PerS: 300 * CFM }), {
      roomC: 38,
      inletC: 38,
    });
    expect(third.at.pressureDewPointC).toBeCloseTo(10 / 3 + 2.5, 1);
    const perRated = (x: typeof full, cfm: number): number => (x.shown.Power?.value as number) / cfm;
    expect(perRated(third, 300)).toBeLessThan(0.6 * perRated(full, 100));
    // 0.6–0.9 kW for 100 cfm at full load (trade handbook, estimate).
    expect(full.shown.Power?.value).toBeGreaterThan(600);
    expect(full.shown.Power?.value).toBeLessThan(900);
  });
});

describe('cooling', () => {
  test('a water-cooled aftercooler follows its water, not the room; 10 °F approach at its rating (trade handbook)', () => {
    const out = (p: object, duty: Duty = {}) =>
      behind(stageOf('water-cooler', { ratedFlowM3PerS: 100 * CFM, ...p }), { inletC: 102, ...duty }).at.temperatureC;
    expect(out({ waterC: 22 })).toBeCloseTo(22 + 5.6, 0);
    expect(out({ waterC: 10 })).toBeLessThan(out({ waterC: 22 }) - 10);
    expect(out({}, { roomC: 40 })).toBeCloseTo(out({}, { roomC: 10 }), 9);
    expect(out({}, { flowM3PerS: 200 * CFM })).toBeGreaterThan(out({}));
  });
  test('between the stages water condenses on a wet day and not on a dry one; the air leaves as hot as it came', () => {
    // By hand: 30 °C, 80 % brings 3.4 kPa of vapour; at √(1.013·8) = 2.85 bar that is 9.6 kPa, saturated at 45 °C. At 42 °C (8.2 kPa) some falls.
    const wet = behind(stageOf('intercooler', { approachK: 17 }), { inletC: 150, roomC: 25, relativeHumidity: 0.8 });
    sound(wet);
    expect(wet.at.caughtKgPerS / wet.section.waterInKgPerS).toBeGreaterThan(0.08);
    expect(wet.at.caughtKgPerS / wet.section.waterInKgPerS).toBeLessThan(0.16);
    expect(wet.at.temperatureC).toBe(150);
    expect(behind(stageOf('intercooler'), { inletC: 150, relativeHumidity: 0.3 }).at.caughtKgPerS).toBe(0);
  });
  test('a fan takes away more than the room, and nothing while it is off', () => {
    const out = (is: 'on' | 'off') =>
      behind(stageOf('auxiliary-fan', { is }), { inletC: 90, flowM3PerS: 15 * CFM }).at.temperatureC;
    expect(out('off')).toBe(90);
    expect(out('on')).toBeLessThan(80);
    expect(out('on')).toBeGreaterThan(25);
  });
});

test('a flow controller holds its pressure, and cannot raise what arrives', () => {
  expect(behind(stageOf('flow-controller', { setPressurePa: 7e5 })).at.pressurePa).toBe(7e5);
  const starved = behind(stageOf('flow-controller', { setPressurePa: 9e5, pressureLossPa: 0 }));
  expect(starved.at.pressurePa).toBe(8e5);
  expect(starved.shown.Starved?.warns).toBe(true);
});

test('an oil–water separator is rated for less in a humid climate, and an emulsion is named', () => {
  const of = (p: object) => behind(stageOf('oil-water-separator', { ratedFlowM3PerS: 150 * CFM, ...p })).shown;
  expect(of({})['Load, of its rating in this climate']?.value).toBeCloseTo((100 / 150) * 2, 1); // 30 °C intake: half
  expect(of({ oil: 'emulsion' }).Milky?.warns).toBe(true);
});

describe('pipe', () => {
  test('where it crosses a cold room, water condenses; plastic for water is named, PVC as a danger', () => {
    const cold = behind(stageOf('pipe', { size: '2', lengthM: 60, legs: 3 }), { inletC: 30, roomC: 5 });
    sound(cold);
    expect(cold.at.temperatureC).toBeLessThan(28);
    expect(cold.at.caughtKgPerS).toBeGreaterThan(0);
    expect(behind(stageOf('pipe', { material: 'pvc', size: '2' })).shown.Danger?.text).toMatch(/shatters/);
    expect(
      behind(stageOf('pipe', { material: 'water-pex', size: '1' }), { flowM3PerS: 20 * CFM }).shown['Not rated']?.warns,
    ).toBe(true);
  });
  test('too narrow, too long or not made: named at its field', () => {
    expect(behind(stageOf('pipe', { size: '1/4', lengthM: 3000 })).section.problem?.message).toMatch(/chokes/);
    expect(behind(stageOf('pipe', { material: 'copper', size: '6' })).section.problem?.field).toBe('size');
  });
  test('says its velocity, and that a main is too fast', () => {
    expect(behind(stageOf('pipe', { size: '2' })).shown.Velocity?.warns).toBe(false);
    expect(behind(stageOf('pipe', { size: '3/4' })).shown.Velocity?.warns).toBe(true);
  });
});
