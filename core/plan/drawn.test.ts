import { demoPlan } from '../../db/demo';
import { walk } from '../line/walk';
import type { Leg } from '../piping/legs';
import { insertStage, newStage, setParameter, withSurvey } from './edit';
import { setLegs } from './edit-legs';
import { planSchema } from './plan';
import { relinked } from './relink';
import { stageById, withStage } from './runs';

const LEGS: Leg[] = [
  { to: 'up', lengthM: 2.1, fall: 0 },
  { to: 'east', lengthM: 6.4, fall: 0.01 },
  { to: 'down', lengthM: 1.8, fall: 0, drain: true },
];
const withPipe = insertStage(demoPlan(), newStage('pipe', 'p'), 5);
const drawn = setLegs(withPipe, 'p', LEGS);
const pipeOf = (plan: typeof drawn) => stageById(plan, 'p');

describe('a drawn run', () => {
  it('is the one source of length, elbows, drip legs and fall', () => {
    expect(pipeOf(drawn)?.parameters).toMatchObject({ lengthM: 10.3, elbows: 2, legs: 1, fall: 0.01 });
    const other = {
      ...drawn,
      stages: drawn.stages.map((s) => (s.id === 'p' ? { ...s, parameters: { ...s.parameters, lengthM: 99 } } : s)),
    };
    expect(pipeOf(planSchema.parse(JSON.parse(JSON.stringify(other))))?.parameters).toMatchObject({ lengthM: 10.3 });
  });

  it('takes another fall into its level legs, and goes where its length is set otherwise', () => {
    const fallen = pipeOf(setParameter(drawn, 'p', 'fall', 0.02));
    expect(fallen?.fit?.legs?.map((l) => l.fall)).toEqual([0, 0.02, 0]);
    const longer = pipeOf(setParameter(drawn, 'p', 'lengthM', 20));
    expect(longer?.fit?.legs).toBeUndefined();
    expect(longer?.parameters).toMatchObject({ lengthM: 20, elbows: 2 });
    expect(pipeOf(setParameter(drawn, 'p', 'size', '1'))?.fit?.legs).toEqual(LEGS);
  });

  it('says of a hose whether water stands in it', () => {
    const hose = (legs: Leg[]) => stageById(setLegs(insertStage(demoPlan(), newStage('hose', 'h'), 8), 'h', legs), 'h');
    const down: Leg = { to: 'down', lengthM: 1, fall: 0 };
    expect(hose([down, { to: 'up', lengthM: 1, fall: 0 }])?.parameters).toMatchObject({ hangs: 'loops', lengthM: 2 });
    expect(hose([down])?.parameters).toMatchObject({ hangs: 'falls', lengthM: 1 });
  });

  it('is refused with its message at the leg', () => {
    const bad = setLegs(withPipe, 'p', [{ to: 'east', lengthM: 2, fall: 0.5 }]);
    expect(planSchema.safeParse(bad).error?.issues[0]?.path).toEqual(['stages', 5, 'fit', 'legs', 0, 'fall']);
  });
});

describe('legs through other places', () => {
  const yard = 'yard';
  const through = (place: string | undefined): typeof drawn =>
    setLegs(withPipe, 'p', [
      { to: 'east', lengthM: 10, fall: 0.01 },
      { to: 'east', lengthM: 10, fall: 0.01, ...(place && { place }) },
    ]);
  const endC = (plan: typeof drawn): number => walk(plan).at('p')?.temperatureC ?? Number.NaN;
  const at = (plan: typeof drawn, c: number): typeof drawn => ({
    ...plan,
    survey: { ...plan.survey, places: plan.survey.places.map((p) => (p.id === yard ? { ...p, temperatureC: c } : p)) },
  });

  it('cool the air there, between all of it there and none', () => {
    const [none, half] = [endC(at(through(undefined), -10)), endC(at(through(yard), -10))];
    const all = endC(
      at(
        withStage(through(undefined), 'p', (s) => ({ ...s, place: yard })),
        -10,
      ),
    );
    expect(half).toBeLessThan(none - 1);
    expect(half).toBeGreaterThan(all);
    // Two pieces of pipe, one in each place, end the same by the walk of two stages.
    const pieces = setLegs(insertStage(through(undefined), newStage('pipe', 'q'), 6), 'p', [
      { to: 'east', lengthM: 10, fall: 0.01 },
    ]);
    const apart = withStage(setLegs(pieces, 'q', [{ to: 'east', lengthM: 10, fall: 0.01 }]), 'q', (s) => ({
      ...s,
      place: yard,
    }));
    expect(walk(at(apart, -10)).at('q')?.temperatureC).toBeCloseTo(half, 1);
  });

  it('go back to the place of their stage when a place is gone, and a plan that names none such is refused', () => {
    const plan = through(yard);
    const without = withSurvey(plan, { ...plan.survey, places: plan.survey.places.filter((p) => p.id !== yard) });
    expect(pipeOf(without)?.fit?.legs?.[1]?.place).toBeUndefined();
    expect(planSchema.safeParse(through('nowhere')).error?.issues[0]?.message).toContain('not in the survey');
    expect(relinked(through('nowhere')).success).toBe(true);
  });
});

it('what is installed: a warranty that ends before it begins, a day that is none and a setting without a value are refused', () => {
  const at = (thing: object) =>
    planSchema
      .safeParse(withStage(withPipe, 'p', (s) => ({ ...s, thing }) as typeof s))
      .error?.issues[0]?.path.slice(3)
      .join('.');
  expect(at({ installedOn: '2026-03-02', warrantyUntil: '2026-03-02' })).toBeUndefined();
  expect(at({ installedOn: '2026-03-02', warrantyUntil: '2026-03-01' })).toBe('warrantyUntil');
  expect(at({ installedOn: '2026-02-30' })).toBe('installedOn');
  expect(at({ settings: [{ what: 'Cut-out', value: '', foundOn: '2026-01-02' }] })).toBe('settings.0.value');
});
