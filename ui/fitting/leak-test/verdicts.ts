import type { LeakVerdict } from '@/core/fitting/leak-test';

/** What a verdict of the leak test says. */
export const VERDICTS: Readonly<Record<LeakVerdict['verdict'], string>> = {
  tight: 'Tight',
  acceptable: 'Acceptable for an old line',
  leaks: 'It leaks: soap the joints again',
  'too-short': 'Too short: the gauge could not have shown it',
  rose: 'The pressure rose: is it shut off from the tank, and warm?',
};
