import { isDeepStrictEqual } from 'node:util';
import { desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { nearestYear } from '../core/season/nearest-year';
import { WEATHER_RANGE, type WeatherSummary, type WeatherYear, weatherYearSchema } from '../core/season/weather';
import { database } from '../db/client';
import { plans, weatherYears } from '../db/schema';
import { checked, RequestRefused } from './errors';
import { checkedId, idSchema } from './plan-id';
import { inTransaction } from './transaction';

const saveSchema = z.strictObject({ id: idSchema, year: weatherYearSchema });
const MOST = 100;

const noSuchYear = () =>
  new RequestRefused(404, 'not-found', 'There is no such year of weather.', [{ field: 'id', message: 'Unknown.' }]);

/** Keeps a year of weather, for every line. Repeated with the same content it is one year. */
export async function saveWeather(input: unknown): Promise<{ id: string }> {
  const { id, year } = checked(saveSchema, input);
  return inTransaction(async (tx) => {
    const [there] = await tx.select().from(weatherYears).where(eq(weatherYears.id, id));
    if (there) {
      const { id: _id, at: _at, ...kept } = there;
      if (isDeepStrictEqual(kept, year)) return { id };
      throw new RequestRefused(409, 'conflict', 'Another year has this id already.', [
        { field: 'id', message: 'Already used.' },
      ]);
    }
    if ((await tx.$count(weatherYears)) >= MOST)
      throw new RequestRefused(422, 'invalid', `There are ${MOST} years already: remove one first.`);
    await tx.insert(weatherYears).values({ id, ...year });
    return { id };
  });
}

/** The stored years, without their hours, the newest first. */
export async function listWeather(): Promise<WeatherSummary[]> {
  const { id, name, origin, altitudeM, notes, at } = weatherYears;
  const rows = await database().select({ id, name, origin, altitudeM, notes, at }).from(weatherYears).orderBy(desc(at));
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

export async function readWeather(id: string): Promise<WeatherYear> {
  const [row] = await database()
    .select()
    .from(weatherYears)
    .where(eq(weatherYears.id, checkedId('id', id)));
  if (!row) throw noSuchYear();
  const { id: _id, at: _at, ...year } = row;
  return year;
}

const warmDaySchema = z.strictObject({
  temperatureC: z.coerce.number().min(WEATHER_RANGE.leastC).max(WEATHER_RANGE.mostC),
  relativeHumidity: z.coerce.number().min(WEATHER_RANGE.leastRh).max(1),
});

/** Of the stored years the one whose warm hours are nearest to a warm day. */
export async function nearestWeather(input: unknown): Promise<{ id: string; name: string }> {
  const warm = checked(warmDaySchema, input);
  const found = nearestYear(await database().select().from(weatherYears), warm);
  if (!found) throw noSuchYear();
  return { id: found.id, name: found.name };
}

/** Removes a year that no line uses. */
export async function removeWeather(id: string): Promise<{ id: string }> {
  const own = checkedId('id', id);
  return inTransaction(async (tx) => {
    const using = (await tx.select({ document: plans.document }).from(plans)).filter(
      ({ document }) => document.survey.climate?.yearId === own,
    );
    const [first] = using;
    if (first)
      throw new RequestRefused(
        409,
        'conflict',
        `${first.document.survey.shop} uses this year. Choose another there first.`,
      );
    const [done] = await tx.delete(weatherYears).where(eq(weatherYears.id, own));
    if (done.affectedRows === 0) throw noSuchYear();
    return { id: own };
  });
}
