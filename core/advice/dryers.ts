import { refrigeratedCapacity } from '../equipment/drying/refrigerated-capacity';
import { CHILLED, DRYERS, INERT, is } from '../equipment/groups';
import { askedDewPointC } from '../line/outlet-criteria';
import type { Stage } from '../plan/plan';
import { put } from './fix';
import type { LineFacts, StageOf } from './line-facts';
import type { Fix } from './rule';

const WORKING_PA = 8e5;

const needed = new WeakMap<LineFacts, Map<string, number | undefined>>();

/** The pressure dew point that an outlet asks for; where nobody knows on which basis, the harder of the two. */
export function neededDewPointC(line: LineFacts, s: StageOf<'outlet'>): number | undefined {
  const known = needed.get(line) ?? new Map<string, number | undefined>();
  needed.set(line, known);
  if (!known.has(s.id)) known.set(s.id, workOutNeed(line, s));
  return known.get(s.id);
}

function workOutNeed(line: LineFacts, s: StageOf<'outlet'>): number | undefined {
  const around = { roomTemperatureC: line.roomC(s), atmosphericPa: line.around.atmosphericPa };
  const here = line.at(s) ?? { pressurePa: WORKING_PA, temperatureC: around.roomTemperatureC };
  return askedDewPointC(s.parameters, here, around);
}

export const CHILLED_LEAST_C = 1.7; // 35 °F (common practice)

/** The driest that a kind of dryer makes air. */
export function abilityC(s: Pick<Stage, 'kind'>): number {
  if (is(CHILLED, s.kind) || s.kind === 'high-inlet-dryer') return CHILLED_LEAST_C;
  return s.kind === 'pellet-tower' ? Infinity : -70;
}

export const outletsBehind = (line: LineFacts, s: Stage): StageOf<'outlet'>[] =>
  line.downstream(s).filter((d): d is StageOf<'outlet'> => d.kind === 'outlet');

/** What a refrigerated dryer is rated for: 38 °F. */
const USUAL_DEW_POINT_C = 10 / 3;
/** Below the room at the tool, so that its hose stays dry (common practice: 5 °F and more). */
const BELOW_ROOM_K = 3;

/**
 * What is asked of a dryer by what is downstream of it: the lowest dew point that a job needs, the coldest place that the dried
 * air comes to, and the room where the dryer stands. A job with a further dryer on its way asks that one; this one then
 * has to keep the usual rating, which the further one counts on.
 * @returns °C; a job that asks for no water asks for a dew point below its room
 * @example askedBehind(facts.line, stage('refrigerated-dryer')).wantedC // 3.33
 */
export function askedBehind(
  line: LineFacts,
  s: Stage,
): { wantedC: number; coldestRoomC: number; coldestAfterC: number } {
  const behind = line.downstream(s);
  const rooms = behind.map((d) => line.roomC(d));
  const isServedLater = (o: Stage): boolean => line.upstream(o).some((d) => is(DRYERS, d.kind) && behind.includes(d));
  const needs = outletsBehind(line, s).map((o) =>
    isServedLater(o) ? USUAL_DEW_POINT_C : (neededDewPointC(line, o) ?? line.roomC(o) - BELOW_ROOM_K),
  );
  const coldestRoomC = line.roomC(s);
  return {
    wantedC: Math.min(...needs, coldestRoomC),
    coldestRoomC,
    coldestAfterC: Math.min(...rooms, coldestRoomC),
  };
}

/** What stands directly upstream of a medium, apart from what changes nothing and what only chills. */
export const rightBefore = (line: LineFacts, s: Stage): Stage | undefined =>
  line.upstream(s).find((u) => !is(INERT, u.kind) && !is(CHILLED, u.kind));

export const dryersBefore = (line: LineFacts, s: Stage): Stage[] => line.upstream(s).filter((u) => is(DRYERS, u.kind));

const PURGE = 0.15; // of the rated flow, heatless (trade handbook)

const RATED_AT_PA = 801_325;

const ROOM_FOR_MORE = 1.25;

/** A refrigerated dryer by its rating for what passes a stage, upstream of the regulator that serves it. */
export function chilled(line: LineFacts, s: Stage, needsC: number): Fix {
  const regulator = line.upstream(s).find((u) => u.kind === 'regulator' && line.runOf(u) === line.runOf(s));
  const before = regulator ?? s;
  const comes = line.inlet(before);
  const gaugePa = (comes?.pressurePa ?? RATED_AT_PA) - line.around.atmosphericPa;
  const can = refrigeratedCapacity(comes?.temperatureC ?? line.roomC(before), gaugePa, line.roomC(before));
  const ratedFlowM3PerS = Math.min(1, Math.max(1e-4, (ROOM_FOR_MORE * (comes ? line.flow(comes) : 0)) / can));
  const pressureDewPointC = Math.max(CHILLED_LEAST_C, Math.min(USUAL_DEW_POINT_C, needsC - 1));
  return put('Add a refrigerated dryer upstream of it', 'before', before, [
    'refrigerated-dryer',
    { method: 'rated', ratedFlowM3PerS, pressureDewPointC },
  ]);
}

/** A twin tower for what passes a stage, with its filters, set for the pressure that arrives there. */
export function tower(line: LineFacts, s: Stage) {
  const comes = line.inlet(s);
  const pressurePa = comes?.pressurePa ?? RATED_AT_PA;
  const most = Math.max(
    peakThrough(line, s).peak,
    s.kind === 'outlet' ? s.parameters.flowM3PerS : 0,
    comes ? line.flow(comes) : 0,
  );
  const rated = Math.max(1e-4, ROOM_FOR_MORE * most * Math.max(1, RATED_AT_PA / pressurePa));
  const values = { ratedFlowM3PerS: rated, purgeM3PerS: PURGE * rated, purgeSetPa: pressurePa, control: 'dew-point' };
  return [...both, ['twin-tower', values], ['particulate-filter']] as const;
}

export const both = [
  ['coalescing-filter', { grade: 'general' }],
  ['coalescing-filter', { grade: 'fine' }],
] as const;

/** Used so much of the time, a job draws all day: a tank downstream of the dryer cannot ride that (estimate). */
export const CONTINUOUS_SHARE = 0.9;

/** What the jobs that do not draw all day make flow through a dryer at once, and on average. */
export function burstsThrough(line: LineFacts, s: Stage): { peak: number; average: number } {
  return through(line, s, (o) => o.parameters.usedShare < CONTINUOUS_SHARE);
}

/** What flows through a dryer while all downstream of it blow that can blow at once, and on average. */
export function peakThrough(line: LineFacts, s: Stage): { peak: number; average: number } {
  return through(line, s, () => true);
}

function through(
  line: LineFacts,
  s: Stage,
  which: (o: StageOf<'outlet'>) => boolean,
): { peak: number; average: number } {
  const behind = outletsBehind(line, s);
  const worst = behind.map((o) => line.moments.get(o.id)?.peak).find((p) => p !== undefined);
  const sum = (of: (o: StageOf<'outlet'>) => number): number => behind.filter(which).reduce((all, o) => all + of(o), 0);
  return {
    peak: sum((o) => worst?.get(o.id) ?? 0),
    average: sum((o) => o.parameters.flowM3PerS * o.parameters.usedShare),
  };
}
