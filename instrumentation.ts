/**
 * Run by Next once, as the server starts. A log that cannot be written, on a full disk, must not stop what answers: without
 * this Next logs the error, which fails again, for ever.
 */
export function register(): void {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  for (const log of [process.stdout, process.stderr]) log.on('error', () => undefined);
}
