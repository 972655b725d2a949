import { cookies } from 'next/headers';
import { z } from 'zod';
import { METRIC, QUANTITIES, type UnitChoice } from '@/core/quantity/units';

const choiceSchema = z.partialRecord(z.enum(Object.keys(QUANTITIES) as [keyof typeof QUANTITIES]), z.string().max(20));

/** The units that the visitor chose, from the cookie; metric where there is none or it cannot be read. */
export async function readUnits(): Promise<UnitChoice> {
  try {
    return choiceSchema.parse(JSON.parse(decodeURIComponent((await cookies()).get('units')?.value ?? '')));
  } catch {
    return METRIC;
  }
}
