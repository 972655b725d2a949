import { isDeepStrictEqual } from 'node:util';
import { and, desc, eq, exists, inArray, isNull, or, type SQL, sql } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { nearestYear, type WarmHours, warmHoursOf } from '../core/year/nearest-year';
import {
  importNotesSchema,
  WEATHER_RANGE,
  type WeatherSummary,
  type WeatherYear,
  weatherYearSchema,
} from '../core/year/weather';
import { database } from '../db/client';
import { plans, weatherYears } from '../db/schema';
import { checked, RequestRefused } from './errors';
import { note } from './people/audit';
import { ALONE, siteFor, sitesOf, type Who } from './people/may';
import { checkedId, idSchema } from './plan-id';
import { inTransaction } from './transaction';

const saveSchema = z.strictObject({ id: idSchema, year: weatherYearSchema });
const MOST = 100;

/** The years that somebody may see: of their sites, and those that come with the program. */
function seenBy(who: Who): SQL | undefined {
  const sites = sitesOf(who, 'read');
  return sites && or(isNull(weatherYears.siteId), inArray(weatherYears.siteId, sites));
}

function usedBy(who: Who): SQL | undefined {
  const sites = sitesOf(who, 'read');
  const goesByIt = eq(sql`JSON_VALUE(${plans.document}, '$.survey.climate.yearId')`, weatherYears.id);
  return (
    sites &&
    exists(
      database()
        .select({ id: plans.id })
        .from(plans)
        .where(and(inArray(plans.siteId, sites), goesByIt)),
    )
  );
}

const noSuchYear = () =>
  new RequestRefused(404, 'not-found', 'There is no such year of weather.', [{ field: 'id', message: 'Unknown.' }]);

/** Keeps a year of weather, for every line. Repeated with the same content it is one year. */
export async function saveWeather(who: Who, input: unknown): Promise<{ id: string }> {
  const { id, year } = checked(saveSchema, input);
  const siteId = await siteFor(who, 'plan');
  return inTransaction(async (tx) => {
    const [there] = await tx.select().from(weatherYears).where(eq(weatherYears.id, id));
    if (there) {
      const { id: _id, at: _at, siteId: ofSite, ...kept } = there;
      if (ofSite === siteId && isDeepStrictEqual(kept, year)) return { id };
      throw new RequestRefused(409, 'conflict', 'Another year has this id already.', [
        { field: 'id', message: 'Already used.' },
      ]);
    }
    if ((await tx.$count(weatherYears)) >= MOST)
      throw new RequestRefused(422, 'invalid', `There are ${MOST} years already: remove one first.`);
    await tx.insert(weatherYears).values({ id, siteId, ...year });
    await note(tx, who, { siteId, about: year.name, says: ['Year of weather imported.'] });
    return { id };
  });
}

/** The stored years, without their hours, the newest first. */
export async function listWeather(who: Who): Promise<WeatherSummary[]> {
  const { id, name, origin, altitudeM, notes, at } = weatherYears;
  const rows = await database()
    .select({ id, name, origin, altitudeM, notes, at })
    .from(weatherYears)
    .where(seenBy(who))
    .orderBy(desc(at));
  return rows.map((r) => ({ ...r, notes: importNotesSchema.parse(r.notes), at: r.at.toISOString() }));
}

/** A year of weather that somebody may see, or by which one of their lines goes: a line may have come from another site. */
export const readWeather = (who: Who, id: string): Promise<WeatherYear> =>
  weatherOf(checkedId('id', id), or(seenBy(who), usedBy(who)));

/** A stored year, for a line that goes by it. */
export async function weatherOf(id: string, seen?: SQL): Promise<WeatherYear> {
  const [row] = await database()
    .select()
    .from(weatherYears)
    .where(and(eq(weatherYears.id, id), seen));
  if (!row) throw noSuchYear();
  const { id: _id, at: _at, siteId: _site, ...year } = row;
  return { ...year, notes: importNotesSchema.parse(year.notes) };
}

const warmDaySchema = z.strictObject({
  temperatureC: z.coerce.number().min(WEATHER_RANGE.leastC).max(WEATHER_RANGE.mostC),
  relativeHumidity: z.coerce.number().min(WEATHER_RANGE.leastRh).max(1),
});

/** Warm hours of years that were looked at, by their ids: a year is never changed. */
const known = new LRUCache<string, WarmHours>({ max: 10 * MOST });

/** Of the stored years the one whose warm hours are nearest to a warm day. */
export async function nearestWeather(who: Who, input: unknown): Promise<{ id: string; name: string }> {
  const warm = checked(warmDaySchema, input);
  const years = await database()
    .select({ id: weatherYears.id, name: weatherYears.name })
    .from(weatherYears)
    .where(seenBy(who));
  for (const { id } of years.filter((y) => !known.has(y.id))) {
    // One by one: others are answered in between.
    const [year] = await database()
      .select({ hours: weatherYears.hours })
      .from(weatherYears)
      .where(eq(weatherYears.id, id));
    if (year) known.set(id, warmHoursOf(year.hours));
  }
  const found = nearestYear(
    years.flatMap((y) => {
      const own = known.get(y.id);
      return own ? [{ ...y, warm: own }] : [];
    }),
    warm,
  );
  if (!found) throw noSuchYear();
  return { id: found.id, name: found.name };
}

/** Removes a year that no line uses. */
export async function removeWeather(who: Who, id: string): Promise<{ id: string }> {
  const own = checkedId('id', id);
  return inTransaction(async (tx) => {
    const [year] = await tx
      .select({ siteId: weatherYears.siteId, name: weatherYears.name })
      .from(weatherYears)
      .where(and(eq(weatherYears.id, own), seenBy(who)));
    if (!year) throw noSuchYear();
    if (who !== ALONE && year.siteId === null)
      throw new RequestRefused(403, 'forbidden', 'This year comes with the program, for every site.');
    if (year.siteId !== null) await siteFor(who, 'plan', year.siteId);
    const [first] = await tx
      .select({ shop: plans.shop })
      .from(plans)
      .where(eq(sql`JSON_VALUE(${plans.document}, '$.survey.climate.yearId')`, own))
      .limit(1);
    if (first) throw new RequestRefused(409, 'conflict', `${first.shop} uses this year. Choose another there first.`);
    await tx.delete(weatherYears).where(eq(weatherYears.id, own));
    if (year.siteId !== null)
      await note(tx, who, { siteId: year.siteId, about: year.name, says: ['Year of weather removed.'] });
    return { id: own };
  });
}
