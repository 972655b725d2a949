import { walk } from '../line/walk';
import { but, goodShop } from '../test/good-lines';
import { loggedReading } from '../test/logged-reading';
import { calibrations } from './calibrate';
import type { LoggedDrain } from './judge-log';
import type { LogEntry } from './log-entry';

const plan = goodShop();
const entry = (change: Partial<LogEntry>) => loggedReading(plan, change);
const drop =
  (walk(plan).at('isolating-valve')?.pressurePa as number) - (walk(plan).at('coalescing-filter')?.pressurePa as number);

test('a filter’s loss follows the drops that were read: taken over, the plan expects what was read', () => {
  const read = 1.5 * drop;
  const log = Array.from({ length: 6 }, () => entry({ readings: [{ of: 'pressure-drop', value: read }] }));
  const [c] = calibrations(plan, [], log);
  expect(c).toMatchObject({ stageId: 'coalescing-filter', field: 'pressureLossPa', entries: 6 });
  const fixed = but('coalescing-filter', { pressureLossPa: c?.to })(plan);
  const now =
    (walk(fixed).at('isolating-valve')?.pressurePa as number) -
    (walk(fixed).at('coalescing-filter')?.pressurePa as number);
  expect(now / read).toBeCloseTo(1, 2);
});

test('a separator by its drains, a cooler by the air downstream of it; a correction counts, what it corrects does not', () => {
  const drains = Array.from({ length: 5 }, (_, i) => ({
    stageId: 'separator',
    drainedAt: `2026-11-0${i + 1}T16:00`,
    amountM3: 0.8e-3,
    expectedKg: 1,
    struck: i === 9,
  })) as unknown as LoggedDrain[];
  const [sep] = calibrations(plan, drains, []);
  expect(sep?.to).toBeCloseTo(0.95 * 0.8, 6);
  const warm = [44, 45, 43, 44].map((c) =>
    entry({
      stageId: 'aftercooler',
      readings: [{ of: 'temperature', value: c }],
      intakeTemperatureC: 24,
      intakeRelativeHumidity: 0.5,
    }),
  );
  const slip = entry({ stageId: 'aftercooler', readings: [{ of: 'temperature', value: 200 }] });
  const fixed = entry({ stageId: 'aftercooler', readings: [{ of: 'temperature', value: 44 }], amends: slip.id });
  const [cooler] = calibrations(plan, [], [...warm, slip, fixed]);
  expect(cooler).toMatchObject({ field: 'approachK', from: 10, entries: 5 });
  expect(cooler?.to).toBeCloseTo(20, 6);
});

test('a compressor by two pump-ups: 500 L from 7 to 8 bar in 72 s at one temperature is 0.0069 m³/s of free air (by hand)', () => {
  const up = () =>
    entry({
      kind: 'done',
      task: 'M31',
      stageId: 'compressor',
      readings: [
        { of: 'pressure-from', value: 8e5 },
        { of: 'pressure-to', value: 9e5 },
        { of: 'seconds', value: 72 },
      ],
    });
  const [c] = calibrations(plan, [], [up(), up()]);
  expect(c).toMatchObject({ stageId: 'compressor', field: 'freeAirDeliveryM3PerS', entries: 2 });
  expect(c?.to).toBeCloseTo((0.5 * 1e5) / (101325 * 72), 5);
});

test('too few readings, readings as expected, or readings that lie far apart propose nothing', () => {
  const few = Array.from({ length: 3 }, () => entry({ readings: [{ of: 'pressure-drop', value: 2 * drop }] }));
  expect(calibrations(plan, [], few)).toEqual([]);
  const fine = Array.from({ length: 6 }, () => entry({ readings: [{ of: 'pressure-drop', value: 1.01 * drop }] }));
  expect(calibrations(plan, [], fine)).toEqual([]);
  const wild = [0.2, 3, 0.3, 2.5, 0.2, 2.8].map((r) => entry({ readings: [{ of: 'pressure-drop', value: r * drop }] }));
  expect(calibrations(plan, [], wild)).toEqual([]);
});
