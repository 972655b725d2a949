import { z } from 'zod';
import { type ServedForecast, servedForecastSchema } from '../core/year/served-forecast';
import { checked, RequestRefused } from './errors';
import { bytesOf } from './respond';

const WAIT_MS = 5000;
const MOST_BYTES = 1_000_000;
const askSchema = z.strictObject({
  place: z
    .string()
    .regex(/^[\w-]{1,60}$/, 'Letters, digits and hyphens.')
    .optional(),
  from: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'YYYY-MM-DDTHH:mm')
    .optional(),
});

/** Where forecasts are asked for; empty where there is no service. */
export const forecastUrl = (): string => process.env.FORECAST_URL ?? '';

const refused = (message: string): RequestRefused =>
  new RequestRefused(503, 'service-down', `${message} Paste a forecast or import one; all else works.`);

/**
 * Seven days from the forecast service. It may be down, slow or talk nonsense: then that is said, and nothing else depends
 * on it.
 * @throws RequestRefused in words
 */
export async function readForecast(ask: unknown, url = forecastUrl(), waitMs = WAIT_MS): Promise<ServedForecast> {
  const { place, from } = checked(askSchema, ask);
  if (!url) throw refused('No forecast service is set up (FORECAST_URL).');
  if (!/^https?:\/\//i.test(url))
    throw refused('The address of the forecast service (FORECAST_URL) is not http or https.');
  const query = new URLSearchParams({ days: '7', ...(place && { place }), ...(from && { from }) });
  let text: string;
  try {
    // A redirect could lead to anywhere, also into this machine: it is an error.
    const answer = await fetch(`${url}?${query}`, { signal: AbortSignal.timeout(waitMs), redirect: 'error' });
    if (!answer.ok) throw refused(`The forecast service answers with ${answer.status}.`);
    text = (await bytesOf(answer.body, MOST_BYTES, () => refused('The forecast service sends too much.'))).toString();
  } catch (error) {
    if (error instanceof RequestRefused) throw error;
    throw refused(
      (error as Error).name === 'TimeoutError'
        ? `The forecast service did not answer within ${waitMs / 1000} s.`
        : 'The forecast service does not answer.',
    );
  }
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    body = undefined;
  }
  const read = servedForecastSchema.safeParse(body);
  if (!read.success) throw refused('The forecast service answers with something that is no forecast.');
  return read.data;
}
