import { FROST_C } from '../advice/cold-places';
import type { Drain } from '../equipment/shared/drain-fields';
import type { Stage } from '../plan/plan';
import { type Asked, IDS } from './base-line';
import type { QuestionJob } from './question';
import { coolersOf, coolingRunsOf, treatmentAt } from './treatments';

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

/** What a job asks of its air, without its flow. */
function needOf({ coldestC, isCold, ...job }: QuestionJob): string {
  const { need, dewPointC, relativeHumidity, waterClass, particleClass, oilClass } = job;
  const { [need]: water } = {
    'no-liquid': 0,
    'dew-point': dewPointC,
    'humidity-expanded': relativeHumidity,
    'humidity-in-line': relativeHumidity,
    'iso-class': waterClass,
  };
  return JSON.stringify([need, water, particleClass, oilClass, coldestC, isCold]);
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
  const before = (id: string, ...options: readonly Option[]): Position => ({ id, where: 'before-tank', options });
  const main = (id: string, ...options: readonly Option[]): Position => ({
    id,
    where: 'main',
    options: [EMPTY, ...options],
  });
  const peak = peaksM3PerS.reduce((sum, p) => sum + p, 0);
  const t = treatmentAt(asked, 'main', Math.max(deliversM3PerS, peak));
  const groups = groupsOf(q.jobs);
  // Of one job alone it makes no difference to the air where its filters stand: they stand at its wall.
  const isShared = q.jobs.length > 1;
  return [
    before('cool', EMPTY, ...coolersOf(asked)),
    before(
      'drains',
      ...(['by hand', 'separator by itself', 'by themselves'] as const).map((drains) => ({ stages: [], drains })),
    ),
    main('run', ...coolingRunsOf(asked)),
    main('general', ...t.general),
    main('chill', ...t.chill),
    ...(isShared ? [main('fine', ...t.fine), main('dry', ...t.dry), main('dust', ...t.dust)] : []),
    ...groups.flatMap((group, g) => atJobs(asked, group, g, isShared)),
  ];
}
