import { SEA_LEVEL_PA } from '../air/atmosphere';
import { numberFor } from './format';
import {
  fromSi,
  QUANTITIES,
  type Quantity,
  type QuantityName,
  toSi,
  type Unit,
  type UnitChoice,
  unitOf,
} from './units';

export type Parsed =
  | { readonly ok: true; readonly value: number; readonly understood: string }
  | { readonly ok: false; readonly message: string };

export interface ParseOptions {
  /** Units taken where none is typed. */
  readonly choice?: UnitChoice;
  /** Local barometer, for gauge pressures. */
  readonly atmosphericPa?: number;
  /** Allowed range, SI. */
  readonly min?: number;
  readonly max?: number;
}

const spelling = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll('³', '3')
    .replaceAll('℃', '°c')
    .replaceAll('℉', '°f')
    .replace(/[\s ]+/g, '');

function findUnit(quantity: Quantity, text: string): Unit | undefined {
  const wanted = spelling(text);
  return quantity.units.find((u) => spelling(u.symbol) === wanted || u.spellings.some((s) => spelling(s) === wanted));
}

/**
 * Reads a number with a decimal point or comma; `undefined` if it is none, a text if it can be read in two ways: where the
 * other sign than the person's own stands before three digits.
 */
function readNumber(text: string, decimal: 'comma' | 'point'): number | string | undefined {
  const t = text
    .replace(/[−–]/g, '-')
    .replace(/(?<=\d)[   '](?=\d{3}(\D|$))/g, '')
    .trim();
  const [own, other] = decimal === 'comma' ? [',', '.'] : ['.', ','];
  if (/^[+-]?[1-9]\d{0,2}[.,]\d{3}$/.test(t) && t.includes(other)) {
    const joined = t.replace(other, '');
    return `“${t}” can be read as ${joined} or as ${t.replace(other, own)}. Type ${joined}, or use a ${decimal} for decimals.`;
  }
  let plain = t;
  if (/^[+-]?\d{1,3}(,\d{3})+\.\d+$|^[+-]?\d{1,3}(,\d{3}){2,}$/.test(t)) plain = t.replaceAll(',', '');
  else if (/^[+-]?\d{1,3}(\.\d{3})+,\d+$/.test(t)) plain = t.replaceAll('.', '').replace(',', '.');
  else plain = t.replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : undefined;
}

/**
 * Reads a number that has no unit, as money, days or a count: with a decimal point or comma, and groups of three as either is
 * used with. What can be read in two ways is asked about.
 * @param decimal the person’s own sign
 * @returns the value, or a message that says what is allowed
 * @example parseNumber('1.234,56').value // 1234.56
 */
export function parseNumber(
  text: string,
  decimal: 'comma' | 'point' = 'point',
  { min = -Infinity, max = Infinity }: Pick<ParseOptions, 'min' | 'max'> = {},
): Parsed {
  const number = readNumber(text, decimal);
  if (typeof number === 'string') return { ok: false, message: number };
  const range = max < Infinity ? ` from ${min} to ${max.toLocaleString('en')}` : '';
  if (number === undefined || !(number >= min && number <= max))
    return { ok: false, message: `Type a number${range}.` };
  return { ok: true, value: number, understood: String(number) };
}

/**
 * Reads what a person types: a number with an optional unit of the quantity (`38 cfm`, `38`, `1,1 m³/min`, `100F`,
 * `7 bar`, `-40`). Without a unit the person's own is taken; a pressure is gauge unless it says `bar abs` or `psia`.
 *
 * @returns the SI value and what was understood, or a message that says what was understood and what is allowed
 * @example parseQuantity('38 cfm', 'volumeFlow').value // 0.01793
 */
export function parseQuantity(text: string, quantity: QuantityName, options: ParseOptions = {}): Parsed {
  const { choice = {}, atmosphericPa = SEA_LEVEL_PA, min, max } = options;
  const own = unitOf(quantity, choice[quantity]);
  const known = QUANTITIES[quantity] as Quantity;
  const example = `for example “${numberFor(fromSi(known.typical, own, atmosphericPa), choice)} ${own.symbol}”`;
  const trimmed = text.trim();
  if (trimmed === '') return { ok: false, message: `Type ${known.name}, ${example}.` };
  const match = /^([+\-−–]?[\d.,\s   ']*\d(?:[.,]?)(?:e[+-]?\d+)?)\s*(.*)$/i.exec(trimmed);
  const number = match?.[1] === undefined ? undefined : readNumber(match[1], choice.decimal ?? 'point');
  if (typeof number === 'string') return { ok: false, message: number };
  if (number === undefined || !Number.isFinite(number))
    return { ok: false, message: `“${short(trimmed)}” is not a number. Type ${known.name}, ${example}.` };
  const unitText = match?.[2] ?? '';
  const u = unitText === '' ? own : findUnit(known, unitText);
  if (!u) {
    const symbols = known.units.map((k) => k.symbol).join(', ');
    return {
      ok: false,
      message: `“${short(unitText)}” is not a unit of ${known.name.replace(/^an? /, '')}. Known: ${symbols}.`,
    };
  }
  const value = toSi(number, u, atmosphericPa);
  const understood = `${numberFor(number, choice, decimalsOf(number))} ${u.symbol}`;
  const belowVacuum = quantity === 'pressure' && value <= 0;
  const belowZero = quantity === 'temperature' && value < -273.15;
  const slack = 1e-9 * Math.max(Math.abs(min ?? 0), Math.abs(max ?? 0));
  if (
    belowVacuum ||
    belowZero ||
    (min !== undefined && value < min - slack) ||
    (max !== undefined && value > max + slack)
  ) {
    const why = belowVacuum
      ? ' is below a perfect vacuum'
      : belowZero
        ? ' is below absolute zero'
        : ' is not possible here';
    return {
      ok: false,
      message: `${understood}${why}. Allowed: ${rangeText(quantity, u, min, max, atmosphericPa, choice)}.`,
    };
  }
  return { ok: true, value, understood };
}

/**
 * The allowed range in a unit, in words.
 * @example rangeText('temperature', unitOf('temperature', 'C'), 0, 60) // '0 to 60 °C'
 */
export function rangeText(
  quantity: QuantityName,
  u: Unit,
  min: number | undefined,
  max: number | undefined,
  atmosphericPa: number = SEA_LEVEL_PA,
  choice: UnitChoice = {},
): string {
  const inUnit = (si: number): string => {
    const x = Number(fromSi(si, u, atmosphericPa).toPrecision(3));
    return numberFor(x, choice, Math.abs(x) < 0.0005 ? 0 : decimalsOf(x));
  };
  if (min !== undefined && max !== undefined) return `${inUnit(min)} to ${inUnit(max)} ${u.symbol}`;
  if (min !== undefined) return `${inUnit(min)} ${u.symbol} or more`;
  if (max !== undefined) return `${inUnit(max)} ${u.symbol} or less`;
  return quantity === 'pressure' ? 'anything above vacuum' : 'any';
}

const short = (text: string): string => (text.length > 24 ? `${text.slice(0, 24)}…` : text);
const decimalsOf = (x: number): number => Math.min(6, (String(x).split('.')[1] ?? '').length);
