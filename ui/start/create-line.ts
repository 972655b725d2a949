/** Why the server would not take a line, field by field. */
export interface Refused {
  readonly message: string;
  readonly issues: readonly { readonly field: string; readonly message: string }[];
}

type Answer = { id: string } | Refused;

async function answerOf(answer: Response | undefined): Promise<Answer> {
  const body = await answer?.json().catch(() => undefined);
  if (answer?.ok) return body;
  return (
    body?.error ?? { message: 'The server does not answer. Nothing was changed; try again in a moment.', issues: [] }
  );
}

/** Sends a copy of a line with its log. */
export const sendCopy = async (copy: File, as: 'new' | 'merge'): Promise<Answer> =>
  answerOf(
    await fetch(`/api/copies?as=${as}`, {
      method: 'POST',
      headers: { 'content-type': 'application/x-ndjson' },
      body: copy,
    }).catch(() => undefined),
  );

/** Sends a new line under an id made here; a plan file is sent as it was read, and checked by the server. */
export const create = async (plan: unknown, siteId?: string): Promise<Answer> =>
  answerOf(
    await fetch('/api/plans', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: crypto.randomUUID(), plan, siteId }),
    }).catch(() => undefined),
  );

/** The stored year of weather whose warm hours are nearest to the air at the intake. */
export async function nearestYear({
  intakeTemperatureC,
  intakeRelativeHumidity,
}: {
  readonly intakeTemperatureC: number;
  readonly intakeRelativeHumidity: number;
}): Promise<Answer> {
  const asked = `temperatureC=${intakeTemperatureC}&relativeHumidity=${intakeRelativeHumidity}`;
  const answer = await fetch(`/api/weather/nearest?${asked}`).catch(() => undefined);
  const body = await answer?.json().catch(() => undefined);
  if (answer?.ok) return body;
  return { message: 'No year of weather was found. Build the line without it, and choose one on Water.', issues: [] };
}
