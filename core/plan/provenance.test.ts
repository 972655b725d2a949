import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import { planOf, stageOf } from '../test/plan-of';
import { chooseMeasured, setParameter } from './edit';
import { planSchema } from './plan';
import { provenanceOf, setKnown } from './provenance';
import { stageById } from './runs';

const plan = planOf(
  {},
  stageOf('aftercooler'),
  stageOf('refrigerated-dryer'),
  stageOf('outlet', { need: 'dew-point', dewPointC: 3 }),
);
const from = (p: typeof plan, id: string, field: string) =>
  provenanceOf(stageById(p, id) as (typeof plan.stages)[0], field);

test('a default is typical, a changed number assumed until somebody says how it is known; saying so can be taken back', () => {
  expect(from(plan, 'aftercooler', 'approachK')).toBe('typical');
  const changed = setParameter(plan, 'aftercooler', 'approachK', 14);
  expect(from(changed, 'aftercooler', 'approachK')).toBe('assumed');
  const said = setKnown(changed, 'aftercooler', 'approachK', 'measured');
  expect(from(planSchema.parse(said), 'aftercooler', 'approachK')).toBe('measured');
  expect(from(setKnown(said, 'aftercooler', 'approachK', 'nameplate'), 'aftercooler', 'approachK')).toBe('nameplate');
  expect(setKnown(said, 'aftercooler', 'approachK', undefined)).toEqual(changed);
  expect(walk(said).figures).toEqual(walk(changed).figures); // how it is known does not change the air
});

test('a field that only a measuring can fill is measured without being told', () => {
  const measured = chooseMeasured(plan, 'aftercooler', 'method', 37.26);
  expect(from(measured, 'aftercooler', 'outletTemperatureC')).toBe('measured');
});

test('a close verdict names the number to check, and how it is known', () => {
  const note = (p: typeof plan) => judgeOutlets(p, walk(p)).get('outlet')?.note;
  expect(note(plan)).toMatch(/read .*\(typical so far\)/);
  expect(note(setKnown(plan, 'refrigerated-dryer', 'pressureDewPointC', 'nameplate'))).toMatch(
    /read its pressure dew point at Refrigerated dryer \(nameplate so far\)/,
  );
});

test('a number that the kind does not have cannot be known', () => {
  const stray = { ...plan, stages: plan.stages.with(2, { ...plan.stages[2], known: { colour: 'measured' } } as never) };
  expect(planSchema.safeParse(stray).success).toBe(false);
});
