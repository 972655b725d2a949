import { say as inUnits } from './format';
import { sayText } from './say-text';

test('figures in braces come in the reader’s units; the rest stays (14.4 °F for 8 K, 100 psi for 6.895 bar, by hand)', () => {
  const us = (si: number, q: Parameters<typeof inUnits>[1]): string =>
    inUnits(si, q, { temperature: 'F', temperatureDifference: 'Fd', pressureDifference: 'psi' });
  expect(sayText('Air {8 K} over the room, {−40 °C}, {6.895 bar}: read it {now}.', us)).toMatch(
    /^Air 14\.4.°F diff over the room, −40(\.0)?.°F, 100(\.0)?.psi: read it \{now\}\.$/,
  );
});
