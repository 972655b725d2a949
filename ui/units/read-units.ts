import { cookies, headers } from 'next/headers';
import { z } from 'zod';
import { METRIC, QUANTITIES, type UnitChoice, US_CUSTOMARY } from '@/core/quantity/units';

const choiceSchema = z.partialRecord(z.enum(Object.keys(QUANTITIES) as [keyof typeof QUANTITIES]), z.string().max(20));

/** The usual units of the language that a browser asks for first: US customary for the United States, metric elsewhere. */
export const usualUnits = (acceptLanguage: string): UnitChoice =>
  /^\s*[a-z]{2,3}-us\b/i.test(acceptLanguage) ? US_CUSTOMARY : METRIC;

/** The units that the visitor chose, from the cookie; the usual ones of the browser’s language where there is none. */
export async function readUnits(): Promise<UnitChoice> {
  try {
    return choiceSchema.parse(JSON.parse(decodeURIComponent((await cookies()).get('units')?.value ?? '')));
  } catch {
    return usualUnits((await headers()).get('accept-language') ?? '');
  }
}
