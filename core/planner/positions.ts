import { FROST_C } from '../advice/cold-places';
import type { KindName } from '../equipment/index';
import type { Drain } from '../equipment/shared/drain-fields';
import { newStage } from '../plan/edit';
import { JOBS } from '../plan/jobs';
import type { Stage } from '../plan/plan';
import { CFM } from '../quantity/constants';
import { RATED_M3_PER_S, ratingFor } from '../sizing/next-size';
import { type Asked, IDS } from './base-line';
import type { Ownable, QuestionJob } from './question';

/** Where a position stands: before the tank, in the main downstream of it, or at the end of the pipe of each job of a group. */
export type Where = 'before-tank' | 'main' | number;

/** How the water of separator and tank is let out: all by hand, only the separator by itself, or both. */
export type Drains = 'by hand' | 'separator by itself' | 'by themselves';

/**
 * The drain of a stage where water is let out so; a stage that has its own way keeps it.
 * @example drainOf('separator', 'by hand') // 'manual'
 */
export function drainOf(kind: Stage['kind'], drains: Drains, hasPower: boolean): Drain | undefined {
  if (kind === 'separator') return drains === 'by hand' ? 'manual' : 'float';
  if (kind === 'receiver') return drains !== 'by themselves' ? 'manual' : hasPower ? 'level' : 'float';
  return undefined;
}

/** What may stand at a position. An option with no stages leaves it empty. */
export interface Option {
  readonly stages: readonly Stage[];
  /** Of a position at the jobs: the stages at each job of the group, by its number. */
  readonly byJob?: ReadonlyMap<number, readonly Stage[]>;
  /** How water is let out, for the position that is only that. */
  readonly drains?: Drains;
  /** By how many sizes pipe, regulator and hose of the jobs are larger than the smallest that will do. */
  readonly wider?: number;
}

/** A place in the order of flow at which at most one thing stands. */
export interface Position {
  readonly id: string;
  readonly where: Where;
  readonly options: readonly Option[];
}

/** Jobs that ask for the same air, by their numbers: they are treated alike. */
export type Group = readonly number[];

const EMPTY: Option = { stages: [] };
const BEFORE_FILTERS_PA = 5e4; // lost upstream of the last filter, so that its rating still holds there (estimate)
/** Losses of new, clean elements at their rated flow, wet, Pa: 2 psi, and 3 of a fine one (trade handbook). */
const LOSS = {
  general: 14e3,
  fine: 20e3,
  dust: 7e3,
  fineDust: 14e3,
  carbon: 7e3,
  bowl: 10e3,
  chilled: 20e3,
  towers: 28e3,
  cooler: 15e3,
};
/** Cartridges that are sold, kg of dry beads: 2 to 44 lb (common practice, no source). */
const CARTRIDGES_KG = [0.91, 2.27, 6.8, 20];
/** Where a copper run is still worth hanging on a wall, m³/s: its table ends at some 25 cfm (trade handbook). */
const RUN_MOST_M3_PER_S = 30 * CFM;
/** Least for which towers with a heater are built, m³/s (trade handbook). */
const HEATED_LEAST_M3_PER_S = 250 * CFM;
const MEMBRANE_MOST_M3_PER_S = 100 * CFM; // for branches and instruments (trade handbook)
/** Dew point that a refrigerated dryer is asked for: 35 °F, the lowest before ice (common practice). */
const CHILLED_DEW_POINT_C = 1.7;
const BEFORE_TOWERS_PA = 2e4; // lost in cooler and filters on the way to them (estimate)
const PURGE_SHARE = 0.15; // of the rated flow, trade handbook
const SIZES_TRIED = 2;

/** A stage as it would be bought, every number of it proposed. */
function proposed<K extends KindName>(kind: K, id: string, parameters: object = {}, name?: string): Stage {
  const plain = newStage(kind, id, name);
  return { ...plain, parameters: { ...plain.parameters, ...parameters } } as Stage;
}

/** The first sizes of the usual row that are rated for a flow. */
const ratedFor = (flowM3PerS: number, sizes = SIZES_TRIED): readonly number[] => {
  const from = RATED_M3_PER_S.findIndex((r) => r >= flowM3PerS);
  return from < 0 ? RATED_M3_PER_S.slice(-1) : RATED_M3_PER_S.slice(from, from + sizes);
};

/** What could treat the air at one place, sized for the most that passes there, by what it does. */
function treatmentAt(asked: Asked, where: 'main' | number, passesM3PerS: number) {
  const { question: q, atmosphericPa } = asked;
  const cutInPa = atmosphericPa + q.compressor.cutInGaugePa;
  const id = (name: string): string => (where === 'main' ? name : `${name}-${where + 1}`);
  const may = (kind: Ownable): boolean => !q.refused.includes(kind);
  const power = q.hasPower === 'yes';
  const mayBlow = q.noise === 'any';
  /** Plate at 7 bar for what passes at cut-in. */
  const filterM3PerS = ratingFor(passesM3PerS, cutInPa - BEFORE_FILTERS_PA);
  const plate = { ratedFlowM3PerS: filterM3PerS, lossAtM3PerS: filterM3PerS };
  const element = (lossPa: number) => ({ ...plate, pressureLossPa: lossPa, cleanLossPa: lossPa });
  const bowl = { roomBelow: 'enough' as const };
  const option = (...stages: Stage[]): Option => ({ stages });
  const coalescer = (grade: 'general' | 'fine'): Option[] =>
    may('coalescing-filter')
      ? [
          option(
            proposed(
              'coalescing-filter',
              id(`coalescer-${grade}`),
              { grade, ...element(LOSS[grade]), ...bowl, indicator: 'fitted' },
              grade === 'fine' ? 'Coalescer 0.01 µm' : 'Coalescer 1 µm',
            ),
          ),
        ]
      : [];
  const chilled = !(may('refrigerated-dryer') && power)
    ? []
    : ratedFor(passesM3PerS, SIZES_TRIED + 1).map((ratedFlowM3PerS) =>
        option(
          proposed('refrigerated-dryer', id('chiller'), {
            method: 'rated',
            pressureDewPointC: CHILLED_DEW_POINT_C,
            ratedFlowM3PerS,
            pressureLossPa: LOSS.chilled,
            lossAtM3PerS: ratedFlowM3PerS,
            drain: 'level',
          }),
        ),
      );
  const beads = !may('bead-cartridge')
    ? []
    : CARTRIDGES_KG.map((massKg) =>
        option(
          proposed('bead-cartridge', id('beads'), {
            massKg,
            spentShare: 0.5,
            ratedFlowM3PerS: 2 * filterM3PerS,
            pressureLossPa: 14e3,
            lossAtM3PerS: 2 * filterM3PerS,
          }),
        ),
      );
  const membranes =
    !may('membrane') || passesM3PerS > MEMBRANE_MOST_M3_PER_S
      ? []
      : ratedFor(passesM3PerS).map((ratedFlowM3PerS) =>
          option(
            proposed('membrane', id('membrane'), {
              ratedFlowM3PerS,
              lossAtM3PerS: ratedFlowM3PerS,
              sweepOff: 'yes',
            }),
          ),
        );
  const towers =
    may('twin-tower') && power && mayBlow
      ? ratedFor(passesM3PerS).flatMap((ratedFlowM3PerS) => [
          option(
            proposed('twin-tower', id('towers'), {
              ratedFlowM3PerS,
              purgeM3PerS: PURGE_SHARE * ratedFlowM3PerS,
              purgeSetPa:
                atmosphericPa + (q.compressor.cutInGaugePa + q.compressor.cutOutGaugePa) / 2 - BEFORE_TOWERS_PA,
              control: 'dew-point',
              pressureLossPa: LOSS.towers,
              lossAtM3PerS: ratedFlowM3PerS,
              pilot: 'dry',
            }),
          ),
          ...(passesM3PerS >= HEATED_LEAST_M3_PER_S
            ? [
                option(
                  proposed('heated-purge-tower', id('towers'), {
                    ratedFlowM3PerS,
                    pressureLossPa: LOSS.towers,
                    lossAtM3PerS: ratedFlowM3PerS,
                    control: 'dew-point',
                  }),
                ),
              ]
            : []),
        ])
      : [];
  const bowlFilter = may('bowl-filter')
    ? [option(proposed('bowl-filter', id('bowl'), { drain: 'float', ...element(LOSS.bowl), ...bowl }))]
    : [];
  const dust = may('particulate-filter')
    ? (['1', '0.01'] as const).map((grade) =>
        option(
          proposed(
            'particulate-filter',
            id('dust'),
            { element: grade, ...element(grade === '1' ? LOSS.dust : LOSS.fineDust) },
            `Dust filter ${grade} µm`,
          ),
        ),
      )
    : [];
  const carbon = may('carbon-filter')
    ? [option(proposed('carbon-filter', id('carbon'), { ...element(LOSS.carbon), counted: 'yes' }))]
    : [];
  return {
    bowl: bowlFilter,
    general: coalescer('general'),
    chill: chilled,
    fine: coalescer('fine'),
    beads,
    dry: [...membranes, ...towers],
    dust,
    carbon,
  };
}

/** What a job asks of its air, without its flow. */
function needOf({ job, coldestC, isCold }: QuestionJob): string {
  const { need, dewPointC, relativeHumidity, waterClass, oilClass, particleClass } = JOBS[job].needs;
  return JSON.stringify([need, dewPointC, relativeHumidity, waterClass, oilClass, particleClass, coldestC, isCold]);
}

/**
 * The jobs of a question by what they ask for.
 * @example groupsOf([questionJob('sander'), questionJob('plasma'), questionJob('wrench')]) // [[0,2],[1]]
 */
export function groupsOf(jobs: readonly QuestionJob[]): Group[] {
  const groups = new Map<string, number[]>();
  for (const [i, j] of jobs.entries()) {
    const own = groups.get(needOf(j));
    if (own) own.push(i);
    else groups.set(needOf(j), [i]);
  }
  return [...groups.values()];
}

/** The most that passes at a job: what it draws, or its share of what the loaded compressor gives. */
function passesAtJob({ deliversM3PerS, demandM3PerS, peaksM3PerS, question: { jobs } }: Asked, job: number): number {
  const draws = peaksM3PerS[job] as number;
  return Math.max(draws, (deliversM3PerS * draws * (jobs[job] as QuestionJob).usedShare) / demandM3PerS);
}

/**
 * Whether the air of a job is treated before its pipe leaves the compressor room: where frost comes, filters and drains freeze,
 * and so does the water in a pipe on the way to them.
 */
export function isTreatedEarly({ question }: Pick<Asked, 'question'>, job: number): boolean {
  const { isCold, coldestC } = question.jobs[job] as QuestionJob;
  return isCold === 'always' || coldestC < FROST_C;
}

/** What treats the air of a job, in its place: at the job, or where its pipe begins. */
const standingAt = (asked: Asked, job: number, stages: readonly Stage[]): readonly Stage[] =>
  isTreatedEarly(asked, job) ? stages : stages.map((s) => ({ ...s, place: IDS.place(job) }));

/** The positions at the jobs of a group: at each of them stands the same, of its own size. */
function atJobs(asked: Asked, group: Group, where: number, hasMain: boolean): Position[] {
  const each = group.map((job) => [job, treatmentAt(asked, job, passesAtJob(asked, job))] as const);
  const first = (each[0] as (typeof each)[number])[1];
  const position = (name: string, ...of: readonly (keyof typeof first)[]): Position => ({
    id: `${name}-${where + 1}`,
    where,
    options: [
      EMPTY,
      ...of.flatMap((what) =>
        first[what].map((_, k): Option => {
          const byJob = new Map(
            each.map(([job, t]) => [job, standingAt(asked, job, (t[what][k] ?? t[what].at(-1) ?? EMPTY).stages)]),
          );
          return { stages: [...byJob.values()].flat(), byJob };
        }),
      ),
    ],
  });
  return [
    position('bowl', 'bowl'),
    position('general', 'general'),
    ...(hasMain ? [position('chill', 'chill')] : []),
    position('fine', 'fine'),
    position('dry', 'beads', 'dry'),
    position('carbon', 'carbon'),
    position('dust', 'dust'), // of beads and of carbon
    { id: `serve-${where + 1}`, where, options: [0, 1, 2].map((wider) => ({ stages: [], wider })) },
  ];
}

/**
 * The positions of a question with what may stand there, in the order of flow.
 * @example positionsOf(askedOf(question({}))).length // 12
 */
export function positionsOf(asked: Asked): Position[] {
  const { question: q, deliversM3PerS, peaksM3PerS } = asked;
  const may = (kind: Ownable): boolean => !q.refused.includes(kind);
  const power = q.hasPower === 'yes';
  const before = (id: string, ...options: readonly Option[]): Position => ({ id, where: 'before-tank', options });
  const main = (id: string, ...options: readonly Option[]): Position => ({
    id,
    where: 'main',
    options: [EMPTY, ...options],
  });
  const cooler = (approachK: number, times: number): Option => ({
    stages: [
      proposed('aftercooler', 'cooler', {
        approachK,
        pressureLossPa: LOSS.cooler,
        lossAtM3PerS: times * deliversM3PerS,
      }),
      proposed('separator', 'separator', { ratedC: 200 }), // what is cooled drops its water (O02)
    ],
  });
  const run: Option = { stages: [proposed('cooling-run', 'cooling-run', { tube: 'rated', joints: 'metal' })] };
  const peak = peaksM3PerS.reduce((sum, p) => sum + p, 0);
  const t = treatmentAt(asked, 'main', Math.max(deliversM3PerS, peak));
  const groups = groupsOf(q.jobs);
  // Of one job alone it makes no difference to the air where its filters stand: they stand at its wall.
  const isShared = q.jobs.length > 1;
  return [
    // A cooler with half the approach has about twice the surface and price (estimate).
    before('cool', EMPTY, ...(may('aftercooler') && may('separator') && power ? [cooler(10, 1), cooler(5, 2)] : [])),
    before(
      'drains',
      ...(['by hand', 'separator by itself', 'by themselves'] as const).map((drains) => ({ stages: [], drains })),
    ),
    main('run', ...(may('cooling-run') && deliversM3PerS <= RUN_MOST_M3_PER_S ? [run] : [])),
    main('general', ...t.general),
    main('chill', ...t.chill),
    ...(isShared ? [main('fine', ...t.fine), main('dry', ...t.dry), main('dust', ...t.dust)] : []),
    ...groups.flatMap((group, g) => atJobs(asked, group, g, isShared)),
  ];
}
