/** Why the server would not take a line, field by field. */
export interface Refused {
  readonly message: string;
  readonly issues: readonly { readonly field: string; readonly message: string }[];
}

/** Sends a new line under an id made here; a plan file is sent as it was read, and checked by the server. */
export async function create(plan: unknown): Promise<{ id: string } | Refused> {
  const id = crypto.randomUUID();
  const answer = await fetch('/api/plans', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, plan }),
  }).catch(() => undefined);
  if (answer?.ok) return { id };
  const body = await answer?.json().catch(() => undefined);
  return (
    body?.error ?? { message: 'The server does not answer. Nothing was changed; try again in a moment.', issues: [] }
  );
}

/** The stored year of weather whose warm hours are nearest to the air at the intake. */
export async function nearestYear({
  intakeTemperatureC,
  intakeRelativeHumidity,
}: {
  readonly intakeTemperatureC: number;
  readonly intakeRelativeHumidity: number;
}): Promise<{ id: string } | Refused> {
  const asked = `temperatureC=${intakeTemperatureC}&relativeHumidity=${intakeRelativeHumidity}`;
  const answer = await fetch(`/api/weather/nearest?${asked}`).catch(() => undefined);
  const body = await answer?.json().catch(() => undefined);
  if (answer?.ok) return body;
  return { message: 'No year of weather was found. Build the line without it, and choose one on Water.', issues: [] };
}
