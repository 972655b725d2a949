import { SEA_LEVEL_PA } from '../air/atmosphere';
import { fromSi, type QuantityName, type UnitChoice, unitOf } from './units';

export interface Formatted {
  readonly number: string;
  readonly unit: string;
}

const THIN_SPACE = ' ';
const MINUS = '−';

/**
 * Three significant figures (or as many as given, or the decimals given), thin spaces from 10 000, a true minus sign.
 * @param decimals after the point; left out, by the figures
 * @param figures significant
 * @returns text
 * @example formatNumber(34.7983) // '34.8'
 */
export function formatNumber(value: number, decimals?: number, figures = 3): string {
  if (!Number.isFinite(value)) return '–';
  const size = Math.abs(value);
  const power = size === 0 ? figures : Math.floor(Math.log10(Number(size.toPrecision(figures))));
  const places = decimals ?? Math.max(0, figures - 1 - power);
  const rounded = decimals === undefined ? Number(size.toPrecision(figures)) : size;
  const fixed = rounded < 1e-9 && decimals === undefined ? '0' : rounded.toFixed(Math.min(places, 9));
  const [whole = '0', part] = fixed.split('.');
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN_SPACE) : whole;
  const text = part === undefined ? grouped : `${grouped}.${part}`;
  return value < 0 && /[1-9]/.test(text) ? MINUS + text : text;
}

/**
 * The same with the decimal sign that the person likes.
 * @param choice their units and decimal sign
 * @example numberFor(34.7983, { decimal: 'comma' }) // '34,8'
 */
export const numberFor = (value: number, choice: UnitChoice, decimals?: number, figures?: number): string =>
  withSign(formatNumber(value, decimals, figures), choice);

const withSign = (text: string, { decimal }: UnitChoice): string => (decimal ? text.replace('.', ',') : text);

/**
 * An SI value as number and unit in the unit that the person likes.
 * @param atmosphericPa the local barometer, for gauge pressures
 * @param si in the SI unit of the quantity
 * @returns number and unit apart
 * @example formatQuantity(8e5, 'pressureDifference') // {"number":"8.00","unit":"bar"}
 */
export function formatQuantity(
  si: number,
  quantity: QuantityName,
  choice: UnitChoice = {},
  atmosphericPa: number = SEA_LEVEL_PA,
): Formatted {
  const u = unitOf(quantity, choice[quantity]);
  return { number: numberFor(fromSi(si, u, atmosphericPa), choice, u.decimals, u.figures), unit: u.symbol };
}

/**
 * The same as one text, for sentences.
 * @param si in the SI unit of the quantity
 * @param atmosphericPa the local barometer, for gauge pressures
 * @example say(8e5, 'pressureDifference') // '8.00 bar'
 */
export function say(si: number, quantity: QuantityName, choice?: UnitChoice, atmosphericPa?: number): string {
  const { number, unit } = formatQuantity(si, quantity, choice, atmosphericPa);
  return `${number} ${unit}`;
}

/**
 * The number alone as a person would type it: up to four significant figures, no grouping, a plain hyphen.
 * @param si in the SI unit of the quantity
 * @param atmosphericPa the local barometer, for gauge pressures
 * @returns text that parses back
 * @example editableNumber(0.01, 'volumeFlow', {}, 101325) // '21.19'
 */
export function editableNumber(si: number, quantity: QuantityName, choice: UnitChoice, atmosphericPa: number): string {
  const value = fromSi(si, unitOf(quantity, choice[quantity]), atmosphericPa);
  return withSign(String(Number(value.toPrecision(4)) || 0), choice);
}
