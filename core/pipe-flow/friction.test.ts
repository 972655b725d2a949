import fc from 'fast-check';
import { CFM, FOOT, INCH, PSI } from '../quantity/constants';
import { checksOf, expectCheck } from '../test/reference';
import { chokedKgPerS, conductanceFromLoss, pressureBehindValvePa } from './conductance';
import {
  type Conduit,
  type Flowing,
  frictionFactor,
  pressureBehindPa,
  reynoldsNumber,
  velocityMPerS,
} from './friction';
import { boreOf, FITTINGS, fittingK, MATERIALS, NOMINAL, type Nominal, nextSize, type PipeMaterial } from './pipes';

const SCFM_KG_PER_S = CFM * 1.2227; // 14.696 psia, 60 °F, dry: ideal gas
const gauge = (psi: number): number => (psi + 14.696) * PSI;

describe('pipes of reference group 9', () => {
  const cases = checksOf(9).filter((c) => 'ID_in' in c.inputs);
  test.each(cases.map((c) => [c.id, c] as const))('%s', (_id, check) => {
    const { ID_in = 0, roughness_m = 0, scfm = 0, psig_inlet = 0, air_T_F = 0, length_ft = 0 } = check.inputs;
    const boreM = ID_in * INCH;
    const air: Flowing = {
      kgPerS: scfm * SCFM_KG_PER_S,
      temperatureC: (air_T_F - 32) / 1.8,
      pressurePa: gauge(psig_inlet),
    };
    const re = reynoldsNumber(air, boreM);
    expectCheck(velocityMPerS(air, boreM) / FOOT, check, 'v_ft_s');
    expectCheck(re, check, 'Re');
    expectCheck(frictionFactor(re, roughness_m / boreM), check, 'f_darcy');
    const end = pressureBehindPa(air, { boreM, lengthM: length_ft * FOOT, roughnessM: roughness_m, k: 0 }) as number;
    expectCheck((air.pressurePa - end) / PSI, check, 'dp_psi_isothermal');
  });

  test('the bores of the table are those of the reference cases', () => {
    for (const c of cases) {
      const material = String(c.inputs.material).includes('copper') ? 'copper' : 'black';
      const bore = boreOf(material, c.inputs.nominal_in as unknown as Nominal);
      expect((bore?.boreM ?? 0) / INCH).toBeCloseTo(c.inputs.ID_in as number, 3);
    }
  });

  test('the old handbook table is of the Harris family, some 24 % above: an order check only', () => {
    const check = checksOf(9).find((c) => c.id.includes('handbook')) as (typeof cases)[number];
    const air = { kgPerS: 100 * SCFM_KG_PER_S, temperatureC: 20, pressurePa: gauge(100) };
    const end = pressureBehindPa(air, { boreM: 1.049 * INCH, lengthM: 100 * FOOT, roughnessM: 46e-6, k: 0 }) as number;
    expectCheck((10 * (air.pressurePa - end)) / PSI, check, 'dp_psi');
  });

  test.each([
    ['elbows', 'threade'],
    ['halfElbows', '45_deg'],
    ['branchTees', 'tee_branch'],
    ['gateValves', 'gate_valve'],
  ] as const)('%s have the usual equivalent length', (fitting, id) => {
    const check = checksOf(9).find((c) => c.id.includes(id)) as (typeof cases)[number];
    expectCheck(FITTINGS[fitting].perBore, check, 'Leq_over_D');
  });
});

describe('laws', () => {
  const re = fc.double({ min: 4000, max: 1e8, noNaN: true });
  const rough = fc.double({ min: 1e-6, max: 0.05, noNaN: true });
  test('the explicit friction factor satisfies Colebrook–White (ε/D to 0.05, Re to 10⁸)', () => {
    fc.assert(
      fc.property(re, rough, (reynolds, e) => {
        const root = 1 / Math.sqrt(frictionFactor(reynolds, e));
        const implicit = -2 * Math.log10(e / 3.7 + (2.51 * root) / reynolds);
        expect(Math.abs(root / implicit - 1)).toBeLessThan(1e-4);
      }),
    );
  });

  const pipe = fc.record({
    boreM: fc.double({ min: 0.006, max: 0.15, noNaN: true }),
    lengthM: fc.double({ min: 0.1, max: 3000, noNaN: true }),
    roughnessM: fc.constantFrom(1.5e-6, 46e-6, 150e-6),
    k: fc.double({ min: 0, max: 30, noNaN: true }),
  });
  const flow = fc.double({ min: 1e-9, max: 0.5, noNaN: true });
  const at = (kgPerS: number): Flowing => ({ kgPerS, temperatureC: 20, pressurePa: 8e5 });
  test('more flow, more length and a smaller bore each lose more; nothing gains; or it chokes', () => {
    fc.assert(
      fc.property(pipe, flow, (p: Conduit, m) => {
        const end = pressureBehindPa(at(m), p);
        if (end === undefined) return;
        expect(end).toBeLessThanOrEqual(8e5);
        expect(pressureBehindPa(at(m * 1.3), p) ?? 0).toBeLessThanOrEqual(end);
        expect(pressureBehindPa(at(m), { ...p, lengthM: p.lengthM * 1.3 }) ?? 0).toBeLessThanOrEqual(end);
        expect(pressureBehindPa(at(m), { ...p, boreM: p.boreM * 0.8 }) ?? 0).toBeLessThanOrEqual(end);
      }),
    );
  });
  test('two halves of a pipe lose what the whole does', () => {
    fc.assert(
      fc.property(pipe, flow, (p: Conduit, m) => {
        const whole = pressureBehindPa(at(m), p);
        const half = { ...p, lengthM: p.lengthM / 2, k: p.k / 2 };
        const middle = pressureBehindPa(at(m), half);
        const end = middle === undefined ? undefined : pressureBehindPa({ ...at(m), pressurePa: middle }, half);
        if (whole === undefined || end === undefined) return; // chokes, as one or in halves
        expect(Math.abs(end - whole)).toBeLessThan(1e-4 * 8e5);
      }),
    );
  });
});

test('velocity by the air as it is in the pipe: 1 in schedule 40, 100 scfm at 100 psig is 36.1 ft/s and 2.25 psi in 100 ft (pitfall 18)', () => {
  const air = { kgPerS: 100 * SCFM_KG_PER_S, temperatureC: 20, pressurePa: gauge(100) };
  expect(velocityMPerS(air, 1.049 * INCH) / FOOT).toBeCloseTo(36.1, 0);
  const end = pressureBehindPa(air, { boreM: 1.049 * INCH, lengthM: 100 * FOOT, roughnessM: 46e-6, k: 0 }) as number;
  expect(Math.abs((air.pressurePa - end) / PSI / 2.25 - 1)).toBeLessThan(0.05);
});

test('an elbow costs next to nothing: ½ in threaded at 16 scfm and 100 psig 0.014–0.026 psi; 5 psi wants some 300 scfm (pitfall 19)', () => {
  const boreM = boreOf('black', '1/2')?.boreM as number;
  const elbow: Conduit = { boreM, lengthM: 0, roughnessM: 46e-6, k: fittingK('elbows', 46e-6, boreM) };
  const loss = (scfm: number): number => {
    const air = { kgPerS: scfm * SCFM_KG_PER_S, temperatureC: 20, pressurePa: gauge(100) };
    return (air.pressurePa - (pressureBehindPa(air, elbow) ?? 0)) / PSI;
  };
  expect(loss(16)).toBeGreaterThan(0.0125);
  expect(loss(16)).toBeLessThan(0.026);
  expect(loss(300)).toBeGreaterThan(4);
  expect(loss(300)).toBeLessThan(7);
});

describe('ISO 6358', () => {
  const valve = { c: 3e-8, b: 0.3 };
  test('C means what it says: 1 dm³/(s·bar) passes 0.01 m³/s ANR at 10 bar and 20 °C', () => {
    expect(chokedKgPerS({ c: 1e-8, b: 0.2 }, 10e5, 20) / 1.185).toBeCloseTo(0.01, 9);
  });
  test('chokes at its critical ratio, passes nothing without a difference, and turns round to its loss', () => {
    const most = chokedKgPerS(valve, 8e5, 20);
    expect(pressureBehindValvePa(valve, most * 1.001, 8e5, 20)).toBeUndefined();
    expect((pressureBehindValvePa(valve, most * 0.999999, 8e5, 20) as number) / 8e5).toBeCloseTo(0.3, 2);
    expect(pressureBehindValvePa(valve, 0, 8e5, 20)).toBe(8e5);
    const at = { kgPerS: 0.008, upstreamPa: 7.2e5, temperatureC: 20 };
    const c = conductanceFromLoss(24000, at, 0.3);
    expect(pressureBehindValvePa({ c, b: 0.3 }, 0.008, 7.2e5, 20)).toBeCloseTo(7.2e5 - 24000, 3);
  });
});

test('sizes grow with their names, in every material', () => {
  for (const material of Object.keys(MATERIALS) as PipeMaterial[]) {
    let size = (['1/4', '3/8', '1/2'] as Nominal[]).find((s) => boreOf(material, s));
    while (size) {
      const next = nextSize(material, size);
      const [bore, wider] = [boreOf(material, size), next && boreOf(material, next)];
      expect(bore?.boreM).toBeLessThan(bore?.outsideM as number);
      if (wider) expect(wider.boreM).toBeGreaterThan(bore?.boreM as number);
      expect(NOMINAL[size]).toBeTruthy();
      size = next;
    }
  }
});
