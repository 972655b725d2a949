import { walk } from '../../line/walk';
import { goodShop } from '../../test/good-lines';
import { cannotBe, OFF_K, OFF_PA } from './cannot-be';
import type { CheckName } from './checks';

const plan = goodShop(); // room and intake at 24 °C, cut-out 10.5 bar, 0.01 m³/s
const section = walk(plan);
const says = (of: CheckName, stageId: string, value: number) =>
  cannotBe(plan, section, { id: 'x', stageId, of }, value);

it('questions what the air, the compressor or arithmetic do not allow, from both sides of each limit', () => {
  expect(says('temperature', 'aftercooler', 24 - OFF_K)).toBeUndefined();
  expect(says('temperature', 'aftercooler', 24 - OFF_K - 0.1)).toContain('bare metal');
  expect(says('dew-point', 'outlet', 24 + OFF_K)).toBeUndefined();
  expect(says('dew-point', 'outlet', 40)).toContain('wet probe');
  const cutOut = 101_325 + 10.5e5;
  expect(says('pressure', 'outlet', cutOut + OFF_PA)).toBeUndefined();
  expect(says('pressure', 'outlet', cutOut + OFF_PA + 1)).toContain('off zero');
  expect([says('drop', 'fine', -OFF_PA), says('drop', 'fine', -OFF_PA - 1) !== undefined]).toEqual([undefined, true]);
  expect([says('catch', 'separator', 0), says('catch', 'separator', -1e-9) !== undefined]).toEqual([undefined, true]);
  expect(says('delivery', 'compressor', 0.012)).toBeUndefined();
  expect(says('delivery', 'compressor', 0.0121)).toContain('volume of the tank');
});
