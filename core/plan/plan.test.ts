import { explain, STATION_FIGURES } from '../line/explain';
import { PLAN_FIGURES } from '../line/explain-plan';
import { walk } from '../line/walk';
import { demandM3PerS } from '../network/demand';
import { all, branch, standingIn } from '../test/good-lines';
import { planOf, stageOf } from '../test/plan-of';
import {
  drainPoints,
  insertStage,
  moveStage,
  newStage,
  removeStage,
  setParameter,
  setPlace,
  setProvided,
  withSurvey,
} from './edit';
import { type Plan, planSchema, type Stage } from './plan';
import { relinked } from './relink';
import { sameStages, standing } from './runs';
import { startPlan } from './start-plan';
import { surveyAtmosphericPa } from './survey';

const plan = planOf({}, stageOf('aftercooler'), stageOf('separator'), stageOf('receiver'), stageOf('outlet'));
const kinds = (p: Plan): string[] => p.stages.map((s) => s.kind).slice(2);

/** The field paths and messages with which the schema refuses the plan with one value changed. */
function refusals(path: string, value: unknown): string {
  const raw = structuredClone(plan) as unknown as Record<string, never>;
  const keys = path.split('.');
  const last = keys.pop() as string;
  const holder = keys.reduce<Record<string, never>>((at, key) => at[key] as never, raw);
  holder[last] = value as never;
  const result = planSchema.safeParse(raw);
  return result.success ? '' : result.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('\n');
}

describe('the plan file', () => {
  test.each<[string, string, unknown, RegExp]>([
    ['an unknown kind', 'stages.3.kind', 'wishing-well', /stages\.3.*Unknown kind of stage\. Known: intake/],
    ['an unknown version', 'version', 99, /version: Unknown version.*reads version 1/],
    ['a place that is not there', 'stages.3.place', 'moon', /stages\.3: There is no place with this id/],
    ['another format', 'format', 'recipe', /format: Not a plan file/],
    ['humidity of 140 %', 'survey.places.0.relativeHumidity', 1.4, /survey\.places\.0\.relativeHumidity/],
    ['a receiver of −80 gallons', 'stages.4.parameters.volumeM3', -0.3, /stages\.4\.parameters\.volumeM3/],
    ['a pressure below vacuum', 'stages.1.parameters.cutInPa', -1e5, /cutInPa/],
    ['text for a number', 'survey.altitudeM', 'high', /survey\.altitudeM.*number/],
    ['a parameter that nobody knows', 'stages.3.parameters.colour', 1, /stages\.3\.parameters/],
    ['a room at −60 °C', 'survey.places.0.temperatureC', -60, /survey\.places\.0\.temperatureC/],
    ['a place that is not there', 'survey.intakePlaceId', 'moon', /survey\.intakePlaceId: There is no place/],
    ['an intake in the midst of the line', 'stages.3', plan.stages[0], /stages\.3: An intake stands at the beginning/],
    ['two stages of one id', 'stages.3.id', 'receiver', /stages\.4: Two stages have the same id/],
    ['a day that ends before it starts', 'survey.working.endsAtH', 3, /survey\.working\.endsAtH/],
  ])('refuses %s at its field', (_what, path, value, message) => {
    expect(refusals(path, value)).toMatch(message);
  });

  test.each([
    ['3 km of hose', stageOf('hose', { lengthM: 3000 }), /lengthM/],
    ['a hose without a bore', stageOf('hose', { boreM: 0 }), /boreM/],
    ['4 km of pipe', stageOf('pipe', { lengthM: 4000 }), /lengthM/],
    ['a pipe of a size that nobody makes', stageOf('pipe', { size: '7' as never }), /size/],
  ])('refuses %s at its field, and changes nothing', (_what, stage, field) => {
    const result = planSchema.safeParse({ ...plan, stages: [...plan.stages, { ...stage, id: 'new' }] });
    expect(result.error?.issues.map((i) => i.path.join('.')).join()).toMatch(field);
  });

  test.each([
    ['from', { from: 'nothing' }, 'There is no stage with this id.'],
    ['from', { from: 'own' }, 'A branch cannot take its air from itself.'],
    ['into', { into: 'nothing' }, 'There is no stage with this id.'],
    ['into', { into: 'own' }, 'A branch cannot join into itself.'],
    ['into', { into: 'intake' }, 'Compressed air does not join upstream of an intake or a compressor.'],
    ['into', { into: 'compressor' }, 'Compressed air does not join upstream of an intake or a compressor.'],
  ])('refuses a branch by its link %s %j', (field, link, message) => {
    const drop = (change: object) =>
      planSchema.safeParse(branch('drop', 'separator', [stageOf('gauge', {}, 'own')], change)(plan));
    expect(drop({ into: 'outlet' }).success).toBe(true);
    expect(drop(link).error?.issues).toMatchObject([{ path: ['branches', 0, field], message }]);
  });
  test('whose links lead to what is gone: they lead to what is left', () => {
    const linked = all(
      plan,
      branch('drop', 'separator', [stageOf('gauge')], { into: 'receiver' }),
      standingIn('outlet', 'cold'),
    );
    const gone = { ...linked, stages: linked.stages.filter((s) => !['separator', 'receiver'].includes(s.id)) };
    expect(planSchema.safeParse(gone).success).toBe(false);
    const links = (was?: Plan) => {
      const { branches, stages } = relinked(gone, was).data as Plan;
      return [branches[0]?.from, branches[0]?.into, stages.at(-1)?.place];
    };
    expect([links(linked), links()]).toEqual([
      ['aftercooler', 'outlet', undefined],
      ['outlet', null, undefined],
    ]);
    expect(relinked(plan).data).toEqual(planSchema.parse(plan));
    expect(relinked({ ...gone, name: '' }).success).toBe(false);
  });
  test('of an earlier program opens: a hose had a loss that somebody entered, and branches no way of parting', () => {
    const { split: _, ...branch } = { id: 'b', name: 'b', from: 'receiver', split: 'x', stages: [] };
    const old = { id: 'h', kind: 'hose', name: 'h', parameters: { lengthM: 5, pressureLossPa: 2e4 } };
    const opened = planSchema.parse({ ...plan, stages: [...plan.stages, old], branches: [branch] });
    expect(opened.stages.at(-1)?.parameters).toMatchObject({ lengthM: 5, boreM: 0.0095 });
    expect(opened.branches[0]?.split).toBe('entered');
  });

  test('of an earlier program opens under the names of today', () => {
    const [intake, compressor, first, second, ...rest] = plan.stages;
    const old = {
      ...plan,
      dismissed: undefined,
      setAside: [{ rule: 'O30', stageIds: ['x'], reason: 'ordered', restsOn: '' }],
      survey: { ...plan.survey, working: { ...plan.survey.working, overnight: 'let-down' } },
      stages: [intake, compressor, { ...first, witness: true }, { ...second, provided: { trigger: 'wet' } }, ...rest],
    };
    const opened = planSchema.parse(old);
    expect(opened.survey.working.overnight).toBe('depressurised');
    expect(opened.dismissed).toEqual(old.setAside);
    expect(opened.stages.slice(2, 4)).toMatchObject([{ checkFilter: true }, { planned: { trigger: 'wet' } }]);
    expect(planSchema.parse(opened)).toEqual(opened);
  });

  test('fills what is left out with typical values', () => {
    const bare = { ...plan, stages: plan.stages.map(({ parameters: _p, ...s }) => ({ ...s, parameters: {} })) };
    expect(planSchema.parse(bare).stages[1]?.parameters).toEqual(newStage('compressor', 'x').parameters);
  });

  test('survives a trip through JSON', () => {
    expect(planSchema.parse(JSON.parse(JSON.stringify(plan)))).toEqual(plan);
  });
});

describe('edits', () => {
  test('put in, move, take out; intake and compressor stay', () => {
    const filter = newStage('bowl-filter', 'new');
    expect(kinds(insertStage(plan, filter, 4))).toEqual([
      'aftercooler',
      'separator',
      'bowl-filter',
      'receiver',
      'outlet',
    ]);
    expect(insertStage(plan, filter, 0).stages[2]?.id).toBe('new');
    expect(kinds(moveStage(plan, 'receiver', 2))).toEqual(['receiver', 'aftercooler', 'separator', 'outlet']);
    expect(moveStage(plan, 'intake', 3)).toBe(plan);
    expect(kinds(removeStage(plan, 'separator'))).toEqual(['aftercooler', 'receiver', 'outlet']);
    expect(removeStage(plan, 'compressor').stages).toHaveLength(plan.stages.length);
  });

  test('of numbers leave the stages as they stand; what stands otherwise is seen', () => {
    expect(sameStages(plan, setParameter(plan, 'receiver', 'volumeM3', 1))).toBe(true);
    expect(sameStages(plan, moveStage(plan, 'receiver', 2))).toBe(false);
    expect(sameStages(plan, setProvided(plan, 'receiver', 'later'))).toBe(false);
    expect(sameStages(plan, setPlace(plan, 'receiver', 'yard'))).toBe(false);
  });

  test('leave the plan they start from as it was', () => {
    const before = structuredClone(plan);
    setParameter(plan, 'receiver', 'volumeM3', 1);
    moveStage(plan, 'receiver', 2);
    expect(plan).toEqual(before);
  });

  test('another barometer keeps every gauge reading (pitfall 8)', () => {
    const gauge = ({ stages, survey }: Plan) =>
      (stages[1] as Extract<Stage, { kind: 'compressor' }>).parameters.cutInPa - surveyAtmosphericPa(survey);
    const high = withSurvey(plan, { ...plan.survey, atmosphereFrom: 'altitude', altitudeM: 1600 });
    expect(surveyAtmosphericPa(high.survey)).toBeCloseTo(83524, -1);
    expect(gauge(high)).toBeCloseTo(gauge(plan), 6);
  });

  test('a first line from a few answers is a valid plan that walks to its outlet', () => {
    let n = 0;
    const started = startPlan(
      {
        shop: 'Shop',
        lineName: 'Line',
        intakeTemperatureC: 27,
        intakeRelativeHumidity: 0.6,
        compressor: { type: 'piston1', freeAirDeliveryM3PerS: 0.0075, cutInPa: 7.6e5, cutOutPa: 9.6e5 },
        receiverVolumeM3: 0.23,
        has: { aftercooler: true, refrigeratedDryer: true },
      },
      () => `id-${n++}`,
    );
    const section = walk(started);
    expect(section.problem).toBeUndefined();
    expect(section.stations).toHaveLength(started.stages.length);
    expect(drainPoints(started).map((s) => s.kind)).toEqual([
      'separator',
      'receiver',
      'bowl-filter',
      'refrigerated-dryer',
    ]);
  });
});

describe('why?', () => {
  const section = walk(plan);
  test.each(plan.stages.map((s) => s.id))(
    'every figure of %s has a formula, inputs, a source, and its own value',
    (stageId) => {
      for (const name of STATION_FIGURES) {
        const d = explain(plan, section, { stageId, name });
        expect(d?.formula).toBeTruthy();
        expect(d?.source).toBeTruthy();
        expect(d?.inputs.length).toBeGreaterThan(0);
        expect(d?.band?.low).toBeLessThanOrEqual((d?.value ?? 0) + 1e-12);
        expect(d?.band?.high).toBeGreaterThanOrEqual((d?.value ?? 0) - 1e-12);
      }
    },
  );

  test.each(PLAN_FIGURES)('so does %s', (name) => {
    const d = explain(plan, section, { name });
    expect(d?.value).toBeGreaterThan(0);
    expect(d?.band?.drivers.length).toBeGreaterThan(0);
  });

  test('says that the enhancement factor is held outside its fit', () => {
    const d = explain(plan, section, { stageId: 'compressor', name: 'dewPoint' });
    expect(d?.inputs.map((i) => i.from).join()).toMatch(/outside the fit/);
  });

  test('has no answer where the walk does not reach', () => {
    expect(explain(plan, section, { stageId: 'nowhere', name: 'pressure' })).toBeUndefined();
  });
});

test('a dryer by rating of an older plan file had a separator of its own: it opens without', () => {
  for (const kind of ['cycling-dryer', 'high-inlet-dryer'] as const) {
    const dryer = stageOf(kind);
    const older = {
      ...dryer,
      parameters: { ...dryer.parameters, separatorEfficiency: 0.95 },
      known: { separatorEfficiency: 'nameplate', pressureDewPointC: 'nameplate' },
    };
    const [opened] = planSchema.parse({ ...planOf({}), stages: [...planOf({}).stages, older] }).stages.slice(2);
    expect(opened).toEqual({ ...dryer, known: { pressureDewPointC: 'nameplate' } });
  }
});

describe('what a job takes counts as its maker states it', () => {
  const tool = (flowBasis: 'anr' | 'inlet', atmosphericPa = 101325) =>
    planOf(
      { atmosphericPa, temperatureC: 20, relativeHumidity: 0.65 },
      stageOf('outlet', { flowM3PerS: 0.01, flowBasis }),
    );
  const taken = (plan: Plan): number => demandM3PerS(standing(plan)) / 0.3; // used three tenths of the time

  test('a standard flow is more free air in thin air: at 1600 m, 835 hPa, a fifth (by hand: 1.00 bar over 0.835)', () => {
    expect(taken(tool('inlet', 83500))).toBeCloseTo(0.01, 12);
    expect(taken(tool('anr', 1e5))).toBeCloseTo(0.01, 5);
    expect(taken(tool('anr', 83500)) / 0.01).toBeCloseTo(1 / 0.835, 2);
    expect(standing(standing(tool('anr')))).toEqual(standing(tool('anr')));
  });

  test('a new outlet counts standard air (ISO 8778); one of an older plan file stays free air', () => {
    const { flowBasis: _, ...older } = (stageOf('outlet') as Extract<Stage, { kind: 'outlet' }>).parameters;
    const file = {
      ...tool('anr'),
      stages: [...tool('anr').stages.slice(0, 2), { ...stageOf('outlet'), parameters: older }],
    };
    expect(planSchema.parse(file).stages[2]?.parameters).toMatchObject({ flowBasis: 'inlet' });
    expect(newStage('outlet', 'x').parameters.flowBasis).toBe('anr');
  });
});
