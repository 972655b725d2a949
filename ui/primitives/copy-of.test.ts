import { copyName } from './copy-of';

test('a copy is called plan B, and a copy of that plan C; long names stay within the limit', () => {
  expect(copyName('Loft line')).toBe('Loft line, plan B');
  expect(copyName('Loft line, plan B')).toBe('Loft line, plan C');
  expect(copyName('Loft line, plan Z')).toBe('Loft line, plan B');
  expect(copyName('x'.repeat(80)).length).toBeLessThanOrEqual(80);
});
