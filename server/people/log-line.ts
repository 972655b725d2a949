/** What is logged of an error while somebody signs in: its cause alone, for a query holds the token of who asks. */
export function logLine(message: string, error: unknown): string {
  let cause = error;
  while (cause instanceof Error && cause.cause !== undefined) cause = cause.cause;
  const { code, name } = (cause ?? {}) as { code?: unknown; name?: unknown };
  return ['sign-in:', message, code ?? name].filter(Boolean).join(' ');
}
