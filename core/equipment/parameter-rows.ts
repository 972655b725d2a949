import { formatQuantity } from '../quantity/format';
import { rangeText } from '../quantity/parse';
import { type UnitChoice, unitOf } from '../quantity/units';
import { fieldsOf, type KindName, kindOf } from './index';

/** A parameter of a kind as the catalogue tells it, in somebody’s units. */
export interface ParameterRow {
  readonly field: string;
  readonly label: string;
  readonly usual: string;
  readonly range: string;
  readonly source: string;
}

/**
 * What is entered for a kind: each parameter with its usual value, its range and where the usual value comes from.
 * @example parameterRows('intake').length // 3
 */
export function parameterRows(kind: KindName, choice?: UnitChoice, atmosphericPa?: number): ParameterRow[] {
  const usualOf = kindOf(kind).parameters.parse({}) as Record<string, unknown>;
  return fieldsOf(kind).map(([field, { label, quantity, options, least, most, source = '' }]) => {
    const value = usualOf[field];
    const inUnits = quantity && typeof value === 'number';
    return {
      field,
      label,
      usual:
        options?.[String(value)] ??
        (inUnits ? Object.values(formatQuantity(value, quantity, choice, atmosphericPa)).join(' ') : String(value)),
      range: options
        ? Object.values(options).join('; ')
        : quantity
          ? rangeText(quantity, unitOf(quantity, choice?.[quantity]), least, most, atmosphericPa)
          : `${least} to ${most}`,
      source,
    };
  });
}
