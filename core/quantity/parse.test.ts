import fc from 'fast-check';
import { editableNumber, formatNumber, formatQuantity, say } from './format';
import { parseNumber, parseQuantity } from './parse';
import { fromSi, QUANTITIES, type Quantity, type QuantityName, toSi, US_CUSTOMARY, unitOf } from './units';

const CFM = 0.3048 ** 3 / 60; // exact
const siOf = (text: string, quantity: QuantityName, options = {}): number => {
  const parsed = parseQuantity(text, quantity, options);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.value;
};
const messageOf = (text: string, quantity: QuantityName, options = {}): string => {
  const parsed = parseQuantity(text, quantity, options);
  return parsed.ok ? `taken as ${parsed.value}` : parsed.message;
};

describe('what people type', () => {
  // Conversions by the exact definitions of the units.
  test.each<[string, QuantityName, number]>([
    ['38 cfm', 'volumeFlow', 38 * CFM],
    ['38', 'volumeFlow', 38 * CFM],
    ['1,1 m³/min', 'volumeFlow', 1.1 / 60],
    ['1.1 m3/min', 'volumeFlow', 1.1 / 60],
    ['100F', 'temperature', 37.777_777_8],
    ['100 °F', 'temperature', 37.777_777_8],
    ['-40', 'temperature', -40],
    ['−40 F', 'temperature', -40],
    ['300 K', 'temperature', 26.85],
    ['25 F', 'temperatureDifference', 13.888_888_9],
    ['7 bar', 'pressure', 801325],
    ['7 bar(ü)', 'pressure', 801325],
    ['25 Grad', 'temperature', 25],
    ['100 psi', 'pressure', 790_800.7],
    ['100 psig', 'pressure', 790_800.7],
    ['8 bar abs', 'pressure', 8e5],
    ['29.92 inHg', 'barometer', 101320.8],
    ['60 gal', 'volume', 0.227_124_7],
    ['60 imp gal', 'volume', 0.272_765_4],
    ['8 fl oz', 'drained', 236.588e-6],
    ['1 200 mL', 'drained', 1.2e-3],
    ['12,345,678 mL', 'drained', 12.345678],
    ['58%', 'share', 0.58],
    ['5 hp', 'power', 3728.499],
    ['90 min', 'time', 5400],
    ['1e-3 m3', 'volume', 1e-3],
  ])('%s is understood', (text, quantity, si) => {
    expect(siOf(text, quantity)).toBeCloseTo(si, si > 1000 ? -1 : 6);
  });

  test('a bare number is in the person’s own unit', () => {
    expect(siOf('80', 'temperature', { choice: US_CUSTOMARY })).toBeCloseTo(26.667, 3);
  });

  test('pitfall 15: an approach of 20 °F is 11.11 K, not −6.67 °C (computed)', () => {
    expect(siOf('20 °F', 'temperatureDifference')).toBeCloseTo(11.11, 2);
    expect(siOf('3 C', 'temperature') * 1.8 + 32).toBeCloseTo(37.4, 9);
  });

  test('gauge pressure counts from the local barometer (pitfall 8)', () => {
    expect(siOf('7 bar', 'pressure', { atmosphericPa: 83524 })).toBeCloseTo(783524, 3);
  });

  test.each<[string, QuantityName, object, RegExp]>([
    ['140 %', 'share', { min: 0, max: 1 }, /140 % is not possible here\. Allowed: 0 to 100 %/],
    ['-80 gal', 'volume', { min: 0.004, max: 20 }, /-80|−80/],
    ['-2 bar', 'pressure', {}, /below a perfect vacuum/],
    ['-300 C', 'temperature', {}, /below absolute zero/],
    ['warm', 'temperature', {}, /“warm” is not a number/],
    ['38 cfn', 'volumeFlow', {}, /“cfn” is not a unit of air flow\. Known: cfm/],
    ['7 bar', 'temperature', {}, /not a unit of temperature/],
    ['1,234', 'volumeFlow', {}, /can be read as 1234 or as 1\.234/],
    ['1.2.3', 'volumeFlow', {}, /not a number/],
    ['', 'volumeFlow', {}, /Type an air flow/],
    ['1e999', 'volumeFlow', {}, /not a number/],
  ])('%s is refused with what is allowed', (text, quantity, options, message) => {
    expect(messageOf(text, quantity, options)).toMatch(message);
  });

  test('every unit of every quantity comes back to itself, shown or typed', () => {
    const each = (Object.keys(QUANTITIES) as QuantityName[]).flatMap((q) =>
      (QUANTITIES[q] as Quantity).units.map((u) => [q, u] as const),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...each),
        fc.double({ min: 0.02, max: 900, noNaN: true }),
        fc.constantFrom({}, { decimal: 'comma' } as const),
        ([quantity, u], number, decimal) => {
          const si = toSi(number, u, 98000);
          expect(fromSi(si, u, 98000)).toBeCloseTo(number, 6);
          const choice = { [quantity]: u.id, ...decimal };
          const typed = `${editableNumber(si, quantity, choice, 98000)} ${u.symbol}`;
          const back = fromSi(siOf(typed, quantity, { choice: decimal, atmosphericPa: 98000 }), u, 98000);
          expect(Math.abs(back - number)).toBeLessThanOrEqual(Math.abs(number) * 6e-4);
        },
      ),
    );
  });

  test('with a decimal comma, a comma before three digits is one, and a point is asked about', () => {
    const choice = { decimal: 'comma' } as const;
    expect(siOf('1,234 bar', 'pressureDifference', { choice })).toBeCloseTo(123_400, 6);
    expect(siOf('1.234,5 mbar', 'pressureDifference', { choice })).toBeCloseTo(123_450, 6);
    expect(siOf('2.5', 'pressureDifference', { choice })).toBeCloseTo(250_000, 6);
    expect(messageOf('1.234', 'volumeFlow', { choice })).toMatch(/can be read as 1234 or as 1,234.*use a comma/);
    expect(messageOf('140,5 %', 'share', { choice, max: 0.995 })).toMatch(/140,5 % is not.*99,5 % or less/);
    expect(say(34.7983, 'temperature', choice)).toBe('34,8 °C');
  });

  test('no text makes it throw', () => {
    fc.assert(fc.property(fc.string(), (text) => void parseQuantity(text, 'pressure', { min: 1e5, max: 2e5 })));
  });
});

describe('what people read', () => {
  test.each<[number, string]>([
    [34.7983, '34.8'],
    [4132, '4130'],
    [12345, '12 300'],
    [0.04567, '0.0457'],
    [-0.0004, '−0.000400'],
    [0, '0'],
    [99.97, '100'],
    [Number.NaN, '–'],
  ])('%p reads %s', (value, text) => {
    expect(formatNumber(value)).toBe(text);
  });

  test('units follow the person’s choice, a share has two figures, a pressure is gauge', () => {
    expect(say(26.667, 'temperature', US_CUSTOMARY)).toBe('80.0 °F');
    expect(say(0.5832, 'share')).toBe('58 %');
    expect(formatQuantity(801325, 'pressure')).toEqual({ number: '7.00', unit: 'bar' });
    expect(unitOf('pressure', 'no such unit').id).toBe('barg');
  });
});

describe('a number without a unit', () => {
  test.each([
    ['1.234,56', 'point', 1234.56],
    ['1,234.56', 'comma', 1234.56],
    ['1 500', 'point', 1500],
    ['12,5', 'point', 12.5],
    ['1.500', 'point', 1.5],
  ] as const)('%s, with a decimal %s, is %d', (text, decimal, value) => {
    expect(parseNumber(text, decimal)).toMatchObject({ ok: true, value });
  });

  test('that can be read in two ways is asked about, and one beyond what is sensible is refused', () => {
    expect(parseNumber('1,500', 'point')).toMatchObject({ ok: false, message: expect.stringContaining('1500') });
    expect(parseNumber('1.500', 'comma')).toMatchObject({ ok: false, message: expect.stringContaining('1500') });
    const days = { min: 0.1, max: 3660 };
    expect([parseNumber('0.1', 'point', days).ok, parseNumber('0.09', 'point', days).ok]).toEqual([true, false]);
    expect([parseNumber('3660', 'point', days).ok, parseNumber('3661', 'point', days).ok]).toEqual([true, false]);
    expect(parseNumber('', 'point')).toEqual({ ok: false, message: 'Type a number.' });
  });
});
