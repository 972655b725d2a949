/** What the server would not take, field by field. */
export interface Refused {
  readonly message: string;
  readonly code?: string;
  readonly issues: readonly { readonly field: string; readonly message: string }[];
}

export type Sent<T> = { readonly body: T } | { readonly refused: Refused };

/** What is said where no answer came. */
export const SILENT: Refused = {
  message: 'The server does not answer. Nothing was changed; try again in a moment.',
  issues: [],
};

/** Sends something once, and says what came of it. */
export async function send<T>(
  method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  address: string,
  body?: unknown,
): Promise<Sent<T>> {
  const answer = await fetch(address, {
    method,
    ...(body !== undefined && { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  }).catch(() => undefined);
  const read = await answer?.json().catch(() => undefined);
  return answer?.ok ? { body: read as T } : { refused: read?.error ?? SILENT };
}
