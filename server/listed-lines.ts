import { and, isNull } from 'drizzle-orm';
import { plans } from '../db/schema';

/** Lines that are still there. */
export const isThere = isNull(plans.removedAt);

/** Lines that lists show: there, and not archived. */
export const isListed = and(isThere, isNull(plans.archivedAt));
