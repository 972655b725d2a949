const WHY: Readonly<Record<string, string>> = {
  'database-down': 'the database does not answer',
  'disk-full': 'the disk of the server is full',
  'signed-out': 'you are signed out, so sign in again',
  forbidden: 'your role on this site does not allow it',
  'not-found': 'this line is not there for you any more',
  'too-often': 'too much was sent at once',
  busy: 'others write into this line at this moment',
};

/** Why something could not be saved, by what the server answered, if it did. */
export const whyUnsaved = (body: { error?: { code?: string } } | undefined): string =>
  WHY[body?.error?.code ?? ''] ?? 'the server does not answer';
