const WHY: Readonly<Record<string, string>> = {
  'database-down': 'the database does not answer',
  'disk-full': 'the disk of the server is full',
};

/** Why something could not be saved, by what the server answered, if it did. */
export const whyUnsaved = (body: { error?: { code?: string } } | undefined): string =>
  WHY[body?.error?.code ?? ''] ?? 'the server does not answer';
