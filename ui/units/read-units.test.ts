import { METRIC, US_CUSTOMARY } from '@/core/quantity/units';
import { usualUnits } from './read-units';

// Decimal signs of the Unicode Common Locale Data Repository, as the runtime carries them.
test.each([
  ['en-US,en;q=0.9', US_CUSTOMARY],
  ['es-US', US_CUSTOMARY],
  ['en-GB', METRIC],
  ['de-DE,de;q=0.9,en-US;q=0.8', { ...METRIC, decimal: 'comma' }],
  ['pt-BR', { ...METRIC, decimal: 'comma' }],
  ['de-CH', METRIC],
  ['*', METRIC],
  ['xx-nowhere-at-all', METRIC],
  ['', METRIC],
])('a browser that asks for %s first', (language, units) => {
  expect(usualUnits(language)).toEqual(units);
});
