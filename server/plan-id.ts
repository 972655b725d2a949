import { z } from 'zod';
import { checked, RequestRefused } from './errors';

export const idSchema = z.uuid('An id is a UUID.');

/** Checks the id of a path: a wrong one names the field, like any other bad input. */
export function checkedId(field: string, id: string): string {
  return checked(z.object({ [field]: idSchema }), { [field]: id })[field] as string;
}

export function noSuchPlan(): RequestRefused {
  return new RequestRefused(404, 'not-found', 'There is no line with this id.', [{ field: 'id', message: 'Unknown.' }]);
}
