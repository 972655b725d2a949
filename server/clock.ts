import { eq } from 'drizzle-orm';
import { clockIn, type SiteTime } from '../core/log/site-clock';
import { database } from '../db/client';
import { sites } from '../db/people';
import { plans } from '../db/schema';

/** Now, on the wall clock of a time zone; of the place where the server stands, where none is named. */
export const clockOnTheWall = (zone = ''): SiteTime => clockIn(zone, Date.now());

/** The time zone of the site of a line; empty where none is said. */
export async function zoneOfLine(planId: string): Promise<string> {
  const [site] = await database()
    .select({ zone: sites.timeZone })
    .from(plans)
    .innerJoin(sites, eq(sites.id, plans.siteId))
    .where(eq(plans.id, planId));
  return site?.zone ?? '';
}
