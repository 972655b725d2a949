import { insertStage, removeStage } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { MAIN, runOfStage, withStage } from '../plan/runs';
import type { Survey } from '../plan/survey';
import { planOf, stageOf } from './plan-of';

const ATMOSPHERE = 101_325;
export const bar = (gauge: number): number => ATMOSPHERE + gauge * 1e5;

/** A plan with some parameters of a stage changed. */
export const but = (id: string, parameters: object) => (plan: Plan) =>
  withStage(plan, id, (s) => ({ ...s, parameters: { ...s.parameters, ...parameters } }) as Stage);
/** … with stages downstream of another. */
export const behind =
  (id: string, ...stages: Stage[]) =>
  (plan: Plan): Plan => {
    const run = runOfStage(plan, id);
    const at = run?.stages.findIndex((s) => s.id === id) ?? -1;
    return stages.reduce((p, s, i) => insertStage(p, s, at + 1 + i, run?.id ?? MAIN), plan);
  };
/** … without some. */
export const without =
  (...ids: string[]) =>
  (plan: Plan): Plan =>
    ids.reduce(removeStage, plan);
export const site = (answers: Partial<Survey['site']>) => (plan: Plan) => ({
  ...plan,
  survey: { ...plan.survey, site: { ...plan.survey.site, ...answers } },
});
const surveyed = (answers: Partial<Survey>) => (plan: Plan) => ({
  ...plan,
  survey: { ...plan.survey, ...answers },
});
export const working = (answers: Partial<Survey['working']>) => (plan: Plan) =>
  surveyed({ working: { ...plan.survey.working, ...answers } })(plan);
/** … with the air of a place changed: of the intake, or of the room. */
export const place = (id: 'in' | 'room' | 'cold', temperatureC: number) => (plan: Plan) =>
  surveyed({
    places: plan.survey.places.some((p) => p.id === id)
      ? plan.survey.places.map((p) => (p.id === id ? { ...p, temperatureC } : p))
      : [...plan.survey.places, { id, name: id, temperatureC, relativeHumidity: 0.6 }],
  })(plan);
export const standingIn = (stageId: string, placeId: string) => (plan: Plan) =>
  withStage(plan, stageId, (s) => ({ ...s, place: placeId }) as Stage);
export const named = (id: string, name: string) => (plan: Plan) =>
  withStage(plan, id, (s) => ({ ...s, name }) as Stage);
/** … with a branch downstream of a stage. */
export const branch =
  (id: string, from: string, stages: Stage[], more: Partial<Plan['branches'][number]> = {}) =>
  (plan: Plan): Plan => ({
    ...plan,
    branches: [...plan.branches, { id, name: id, from, into: null, split: 'entered', share: 0.5, stages, ...more }],
  });
export type Edit = (plan: Plan) => Plan;
export const all = (plan: Plan, ...edits: readonly Edit[]): Plan => edits.reduce((p, edit) => edit(p), plan);

const ROOM = { temperatureC: 24, relativeHumidity: 0.55 };
const TANK = {
  volumeM3: 0.5,
  relief: 'own',
  reliefSetGaugePa: 13e5,
  nameplate: 'legible',
  ratedGaugePa: 14e5,
  drain: 'level',
  strainer: 'fitted',
} as const;

/** A small workshop: two-stage compressor, cooler, tank, refrigerated dryer, filters in their order, everything said. */
export function goodShop(): Plan {
  const plan = planOf(
    { ...ROOM, flowM3PerS: 0.01, pressurePa: bar(9.5), dischargeC: 150 },
    stageOf('aftercooler'),
    stageOf('separator', { drain: 'float' }),
    stageOf('receiver', TANK),
    stageOf('isolating-valve'),
    stageOf('coalescing-filter', { indicator: 'fitted', pressureLossPa: 8e3 }),
    stageOf('refrigerated-dryer', {
      method: 'rated',
      pressureDewPointC: 3,
      ratedFlowM3PerS: 0.02,
      pressureLossPa: 1e4,
    }),
    stageOf('coalescing-filter', { grade: 'fine', indicator: 'fitted', pressureLossPa: 8e3 }, 'fine'),
    stageOf('regulator', { setPressurePa: bar(6.5) }),
    stageOf('outlet', { need: 'dew-point', dewPointC: 7, leastPressurePa: bar(6), flowM3PerS: 0.006, usedShare: 0.6 }),
  );
  return all(
    plan,
    but('compressor', {
      type: 'piston2',
      control: 'unload',
      joint: 'flexible',
      cutInPa: bar(8.5),
      cutOutPa: bar(10.5),
      dutyLimit: 0.75,
    }),
    but('aftercooler', { pressureLossPa: 8e3 }),
    working({ loadedShare: 0.4 }),
    site({ breathed: 'no', condensate: 'separator' }),
  );
}

const tower = () =>
  stageOf('twin-tower', {
    ratedFlowM3PerS: 0.012,
    purgeM3PerS: 0.0018,
    control: 'dew-point',
    purgeSetPa: bar(9.1),
    pilot: 'dry',
    pressureLossPa: 1e4,
  });
/** The same with a twin tower and its dust filter, for instruments. */
export function goodDry(): Plan {
  return all(
    goodShop(),
    behind('fine', tower(), stageOf('particulate-filter', { pressureLossPa: 3e3 })),
    but('outlet', { use: 'instruments', dewPointC: -20, leastPressurePa: bar(6), particleClass: '2' }),
  );
}

/** A plant: screw, water-cooled, cycling dryer with its tank behind, two drops on a main that falls. */
export function goodPlant(): Plan {
  return all(
    planOf(
      { ...ROOM, flowM3PerS: 0.2, pressurePa: bar(7.5), dischargeC: 85 },
      stageOf('water-cooler', { waterGaugePa: 3e5, ratedFlowM3PerS: 0.25, pressureLossPa: 6e3 }),
      stageOf('separator', { drain: 'level' }),
      stageOf('receiver', { ...TANK, volumeM3: 3, reliefSetGaugePa: 10e5, ratedGaugePa: 11e5 }),
      stageOf('isolating-valve'),
      stageOf('coalescing-filter', { indicator: 'fitted', pressureLossPa: 8e3, drain: 'level' }),
      stageOf('cycling-dryer', {
        ratedFlowM3PerS: 0.4,
        pressureDewPointC: 2,
        swingK: 1,
        pressureLossPa: 1e4,
        ratedGaugePa: 14e5,
      }),
      stageOf('receiver', { ...TANK, volumeM3: 3, reliefSetGaugePa: 10e5, ratedGaugePa: 11e5 }, 'dry-receiver'),
      stageOf('oil-water-separator', { carbonUsedS: 5e6 }),
      stageOf('pipe', { material: 'aluminium', size: '2', lengthM: 60, fall: 0.012 }, 'main'),
      stageOf('outlet', {
        need: 'iso-class',
        waterClass: '5',
        leastPressurePa: bar(5.5),
        flowM3PerS: 0.1,
        usedShare: 0.8,
      }),
    ),
    but('compressor', { type: 'screw', control: 'unload', joint: 'flexible', cutInPa: bar(7), cutOutPa: bar(8) }),
    site({ breathed: 'no', condensate: 'separator' }),
    branch('drop', 'dry-receiver', [
      stageOf('pipe', { material: 'aluminium', size: '1', lengthM: 8, use: 'branch', takeOff: 'top' }, 'drop-pipe'),
      stageOf('outlet', { leastPressurePa: bar(5.5), flowM3PerS: 0.02, usedShare: 0.5 }, 'drop-outlet'),
    ]),
  );
}

/** Beads at the gun, downstream of a refrigerated dryer. */
export function goodSpray(): Plan {
  return all(
    goodShop(),
    but('outlet', {
      use: 'spray',
      need: 'humidity-expanded',
      relativeHumidity: 0.1,
      leastPressurePa: bar(2.5),
      flowM3PerS: 0.006,
      usedShare: 0.45,
      particleClass: '2',
    }),
    but('regulator', { setPressurePa: bar(3.5) }),
    behind(
      'regulator',
      stageOf('hose', { jacket: 'nitrile', print: 'yes', lengthM: 8, boreM: 0.0127, insertBoreM: 0.011 }),
    ),
    behind(
      'fine',
      stageOf('bead-cartridge', { massKg: 20, spentShare: 0.1, ratedFlowM3PerS: 0.01, pressureLossPa: 5e3 }),
      stageOf('particulate-filter', { pressureLossPa: 3e3 }),
    ),
  );
}

/** A bare bench: no dryer is wanted, for the job only asks for no drops; cooled, drained, warmed by its own room. */
export function goodBench(): Plan {
  return all(
    goodShop(),
    but('outlet', { need: 'no-liquid', use: 'tools', mostGaugePa: 8e5 }),
    behind('fine', stageOf('gauge', { rangePa: 18e5 })),
  );
}

/** … with the air of all its places as it is outdoors. */
export const outdoors = (plan: Plan): Plan => ({
  ...plan,
  survey: {
    ...plan.survey,
    places: plan.survey.places.map((p) => ({
      ...p,
      year: { follows: 'outdoors', lagS: 0, warmerK: 0, heatedToC: 0 } as const,
    })),
  },
});
/** All of it in a yard: what stands in water, drips, cools and hangs. */
export const yard = (): Plan =>
  all(
    goodShop(),
    outdoors,
    but('separator', { drain: 'manual' }),
    but('receiver', { drain: 'timer' }),
    behind('isolating-valve', stageOf('pellet-tower'), stageOf('bowl-filter'), stageOf('cooling-run', { legs: 2 })),
    branch('arm', 'fine', [
      stageOf('pipe', { legs: 1 }),
      stageOf('hose-reel', { drain: 'none' }),
      stageOf('hose', { hangs: 'loops' }),
      stageOf('lubricator'),
      stageOf('outlet', {}, 'tool'),
    ]),
  );
/** A humid shop whose drains are opened by hand, and whose beads get it all. */
export const damp = (): Plan =>
  all(
    goodSpray(),
    but('separator', { drain: 'manual', sumpM3: 1e-4, efficiency: 0.7 }),
    but('receiver', { drain: 'manual', settlingEfficiency: 0.2 }),
    but('coalescing-filter', { drain: 'manual' }),
    (plan) => ({
      ...plan,
      survey: {
        ...plan.survey,
        places: plan.survey.places.map((p) => ({ ...p, temperatureC: 32, relativeHumidity: 0.85 })),
      },
    }),
    without('refrigerated-dryer'),
    behind('bead-cartridge', stageOf('carbon-filter'), stageOf('home-made-housing')),
  );
export const GOOD = { goodShop, goodDry, goodPlant, goodSpray, goodBench } as const;
