import { walk } from '../../line/walk';
import { driftsOf } from '../../maintenance/drifting';
import { taskById } from '../../maintenance/tasks';
import type { Stage } from '../../plan/plan';
import { withStage } from '../../plan/runs';
import { thingSchema } from '../../plan/thing-fields';
import { goodShop } from '../../test/good-lines';
import { Finding } from './belief';
import { readingsOfLog, SHELF_LIFE_DAYS } from './from-log';
import { type Known, LATELY_DAYS, OLD_YEARS, reasonsOf } from './reasons';

const NONE: Known = { tasks: [], drifts: [], events: [], now: '2026-11-30T08:00' };
const plan = goodShop();
const separator = plan.stages.find((s) => s.id === 'separator') as Stage;
const faultsOf = (known: Partial<Known>, of = plan): string[] =>
  reasonsOf(of, { ...NONE, ...known })
    .filter((r) => r.stageId === 'separator')
    .map((r) => `${r.faultId} ${r.times > 1 ? 'more' : 'less'}`);

it('a task that is overdue, and one that is not', () => {
  const task = taskById('M03');
  if (!task) throw new Error('no such task');
  expect(faultsOf({ tasks: [{ stage: separator, task, state: 'overdue' }] })).toEqual([
    'drain-shut more',
    'drain-open more',
    'separator-flooded more',
  ]);
  expect(faultsOf({ tasks: [{ stage: separator, task, state: 'due' }] })).toEqual([]);
});

it('a drift of its log, in the direction that the fault would give', () => {
  const ratios = [1, 1, 1, 1, 1, 1, 0.5, 0.5, 0.5, 0.5];
  const drifts = (of: number[]) => driftsOf(plan, [{ stageId: 'separator', of: 'drain', ratios: of }]);
  expect(faultsOf({ drifts: drifts(ratios) })).toContain('drain-shut more');
  expect(faultsOf({ drifts: drifts(ratios.map((r) => 1 / r)) })).toEqual([]);
});

it('what was opened within two weeks, and age from ten years on', () => {
  const opened = (days: number) => {
    const at = new Date(Date.UTC(2026, 10, 30, 8) - days * 86_400_000).toISOString().slice(0, 16);
    return faultsOf({ events: [{ stageId: 'separator', at, what: 'opened' }] });
  };
  expect([opened(LATELY_DAYS), opened(LATELY_DAYS + 0.1)]).toEqual([['drain-shut more'], []]);
  const aged = (years: number) => {
    const thing = thingSchema.parse({ installedOn: `${2026 - years}-05-01` });
    return faultsOf(
      {},
      withStage(plan, 'separator', (s) => ({ ...s, thing }) as Stage),
    );
  };
  expect([aged(OLD_YEARS), aged(OLD_YEARS - 1)]).toEqual([['drain-shut more'], []]);
});

it('a reason raises what is believed of its fault, and of no other against the rest', () => {
  const reasons = [{ stageId: 'separator', faultId: 'drain-shut', times: 4, says: '' }];
  const of = (finding: Finding, id: string): number =>
    finding.believe([]).find((b) => b.cause.id === id)?.probability ?? 0;
  const [without, with4] = [new Finding(plan), new Finding(plan, undefined, reasons)];
  const odds = (f: Finding): number => of(f, 'drain-shut separator') / of(f, 'cooler-fouled aftercooler');
  expect(odds(with4) / odds(without)).toBeCloseTo(4, 9);
});

it('what was read within three days counts without being read again', () => {
  const section = walk(plan);
  const { checks } = new Finding(plan);
  const log = (days: number) => {
    const at = new Date(Date.UTC(2026, 10, 30, 8) - days * 86_400_000).toISOString().slice(0, 16);
    return readingsOfLog(
      section,
      checks,
      {
        signals: [{ stageId: 'fine', of: 'pressure-drop', at, value: 2e4, expected: null }],
        series: [{ stageId: 'separator', of: 'drain', ratios: [1, 0.25] }],
        drained: [{ stageId: 'separator', at }],
      },
      NONE.now,
    );
  };
  const usual = section.at('separator')?.caughtKgPerS ?? NaN;
  expect(log(SHELF_LIFE_DAYS)).toMatchObject([
    { checkId: 'separator catch', value: 0.25 * usual },
    { checkId: 'fine drop', value: 2e4 },
  ]);
  expect(log(SHELF_LIFE_DAYS + 0.1)).toEqual([]);
});
