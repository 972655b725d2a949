import { cookies, headers } from 'next/headers';
import { z } from 'zod';
import { METRIC, QUANTITIES, type UnitChoice, US_CUSTOMARY } from '@/core/quantity/units';

const quantitySchema = z.enum(Object.keys(QUANTITIES) as [keyof typeof QUANTITIES]);
const choiceSchema = z.looseObject({ decimal: z.literal('comma').optional() }).transform(
  ({ decimal, ...units }): UnitChoice => ({
    ...z.partialRecord(quantitySchema, z.string().max(20)).parse(units),
    ...(decimal && { decimal }),
  }),
);

/**
 * The usual units of the language that a browser asks for first: US customary for the United States, metric elsewhere; with
 * the decimal sign of that language.
 */
export function usualUnits(acceptLanguage: string): UnitChoice {
  const [language = ''] = /^\s*[a-z]{2,3}(-[a-z0-9]+)*/i.exec(acceptLanguage) ?? [];
  if (/-us$/i.test(language)) return US_CUSTOMARY;
  return hasComma(language.trim()) ? { ...METRIC, decimal: 'comma' } : METRIC;
}

function hasComma(language: string): boolean {
  try {
    return new Intl.NumberFormat(language || 'en').format(1.5).includes(',');
  } catch {
    return false; // no language that is known
  }
}

/** The units that the visitor chose, from the cookie; the usual ones of the browser’s language where there is none. */
export async function readUnits(): Promise<UnitChoice> {
  try {
    return choiceSchema.parse(JSON.parse(decodeURIComponent((await cookies()).get('units')?.value ?? '')));
  } catch {
    return usualUnits((await headers()).get('accept-language') ?? '');
  }
}
