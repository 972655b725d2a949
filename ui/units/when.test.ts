import { sayMoment, sayTime } from './when';

test('a shop time is said as it stands, in any zone', () => {
  // Half past two does not exist on these days in Berlin and in New York, by the IANA time zone database.
  expect(sayTime('2027-03-28T02:30')).toBe('Sun 28 Mar, 02:30');
  expect(sayTime('2027-03-14T02:30')).toBe('Sun 14 Mar, 02:30');
  expect(sayTime('2028-02-29T23:59')).toBe('Tue 29 Feb, 23:59');
  expect(sayTime('soon')).toBe('soon');
});

test('a moment is said on the clock of the device, with its year', () => {
  const at = new Date(2026, 10, 29, 21, 7);
  expect(sayMoment(at.toISOString())).toBe('29 Nov 2026, 21:07');
});
