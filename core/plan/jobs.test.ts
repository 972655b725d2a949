import { planOf, stageOf } from '../test/plan-of';
import { JOBS, type JobId, setJob } from './jobs';
import { planSchema } from './plan';
import { stageById } from './runs';

const plan = planOf({ atmosphericPa: 83000 }, stageOf('outlet'), stageOf('receiver'));

test.each(Object.keys(JOBS) as JobId[])(
  '%s lies within the ranges of an outlet and counts its pressure from the barometer',
  (id) => {
    const set = setJob(plan, 'outlet', id);
    expect(planSchema.parse(set)).toEqual(set);
    const own = stageById(set, 'outlet')?.parameters as { leastPressurePa: number; need: string };
    expect(own.leastPressurePa - 83000).toBeCloseTo(JOBS[id].leastGaugePa, 6);
    expect(own.need).toBe(JOBS[id].needs.need);
  },
);

test('only an outlet has a job', () => {
  expect(stageById(setJob(plan, 'receiver', 'plasma'), 'receiver')).toEqual(stageById(plan, 'receiver'));
});

test('what the outlet is used for goes with the job, and is forgotten with it', () => {
  const use = (id: JobId): unknown =>
    stageById(setJob(setJob(plan, 'outlet', 'blow-gun'), 'outlet', id), 'outlet')?.parameters;
  expect(use('blow-gun')).toMatchObject({ use: 'blow-gun' });
  expect(use('water-spray')).toMatchObject({ use: 'spray' });
  expect(use('sander')).toMatchObject({ use: 'tools' });
});
