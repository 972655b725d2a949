import { walk } from '../line/walk';
import { but, goodShop } from '../test/good-lines';
import { type DueTask, dueTasks } from './due';
import { maintenanceFacts } from './facts';
import { type TaskAnswers, taskLog } from './task-log';

const NOW = '2026-11-27T07:00';
const plan = but('receiver', { drain: 'manual' })(goodShop());
const tasks = dueTasks(maintenanceFacts(plan, walk(plan)), [], [], NOW);
const first = (holds: (t: DueTask) => boolean): DueTask => tasks.find(holds) as DueTask;
const DRAIN = first((t) => t.task.drains === true);
const READ = first((t) => t.task.records.length > 1);

let ids = 0;
const fresh = () => ({ id: `00000000-0000-4000-8000-${String(++ids).padStart(12, '0')}`, at: NOW });
const ANSWERS: TaskAnswers = {
  who: ' Ida ',
  number: 1.6e-4,
  readings: [],
  looks: 'oily',
  wrong: false,
  couldNot: false,
  because: '',
  photoId: null,
  since: '2026-11-26T16:00',
};
const log = (task: DueTask, answers: Partial<TaskAnswers> = {}) =>
  taskLog(plan, task, { ...ANSWERS, ...answers }, fresh);

test('a drain on a round is one entry of the drain, with the time before it and the air of the survey', () => {
  expect(log(DRAIN)).toEqual({
    drain: {
      id: expect.any(String),
      stageId: DRAIN.stage.id,
      drainedAt: NOW,
      sinceAt: '2026-11-26T16:00',
      amountM3: 1.6e-4,
      appearance: 'oily',
      who: 'Ida',
      note: '',
      loadedHours: null,
      intakeTemperatureC: plan.survey.places.find((p) => p.id === plan.survey.intakePlaceId)?.temperatureC,
      intakeRelativeHumidity: plan.survey.places.find((p) => p.id === plan.survey.intakePlaceId)?.relativeHumidity,
    },
  });
});

test('a picture of what was drained is an entry beside it', () => {
  const photoId = '00000000-0000-4000-8000-00000000abcd';
  expect(log(DRAIN, { photoId })).toMatchObject({
    drain: { stageId: DRAIN.stage.id },
    entry: { kind: 'observation', stageId: DRAIN.stage.id, photoId },
  });
});

test('readings stand in the entry in the order in which they are asked, the last one too', () => {
  const [one, two] = READ.task.records;
  const entry = log(READ, { readings: [{ of: one as never, value: 1 }], number: 2 });
  expect(entry).toMatchObject({
    entry: {
      task: READ.task.id,
      result: 'ok',
      readings: [
        { of: one, value: 1 },
        { of: two, value: 2 },
      ],
    },
  });
});

test('what is wrong, and what could not be done, is logged with its reason', () => {
  expect(log(READ, { wrong: true, number: undefined, because: ' It leaks. ' })).toMatchObject({
    entry: { result: 'not-ok', what: 'It leaks.', readings: [] },
  });
  expect(log(DRAIN, { couldNot: true, because: 'Shut in.', photoId: null })).toMatchObject({
    entry: { task: DRAIN.task.id, result: 'could-not', what: 'Shut in.' },
  });
});

test.each([
  ['nobody', DRAIN, { who: ' ' }, /name/],
  ['nobody who could not', DRAIN, { who: '', couldNot: true, because: 'x' }, /name/],
  ['no reason', DRAIN, { couldNot: true, because: ' ' }, /reason/],
  ['no amount', DRAIN, { number: undefined }, /amount/],
  ['what is no number', DRAIN, { number: '12 what?' }, /12 what\?/],
  ['no look', DRAIN, { looks: undefined }, /appearance/],
  ['no reading', READ, { number: undefined }, /reading/],
  ['a drain before the last', DRAIN, { since: NOW }, /earlier/],
] as const)('%s: nothing is logged, and it says why', (_, task, answers, says) => {
  expect(log(task, answers)).toEqual({ problem: expect.stringMatching(says) });
});

test('nothing came out: no look is asked for', () => {
  expect(log(DRAIN, { number: 0, looks: undefined })).toMatchObject({ drain: { amountM3: 0, appearance: 'clear' } });
});
