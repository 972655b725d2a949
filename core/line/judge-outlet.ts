import type { Basis } from '../air/enhancement-factor';
import { fieldsOf } from '../equipment/index';
import type { Surroundings } from '../equipment/shared/kind';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';
import { WATER_CLASS_DEW_POINT_C } from '../purity/iso-8573';
import type { Band } from '../quantity/derivation';
import type { QuantityName } from '../quantity/units';
import { type Grade, gradeLine, isAsClean } from './grade-line';
import { type WorstMoment, worstMoments } from './peak-pressure';
import type { WalkProblem } from './prepare';
import { propagateAll, type ReadFigure } from './propagate';
import { humidityAt, type Section, type Station } from './section';
import { type Loss, lossesTo } from './waterfall';

/** `meets` and `fails` hold even at the edge of the uncertainty; in between the figure is `open`. */
export type Verdict = 'meets' | 'fails' | 'open';

/** What a job needs and what it gets. */
export interface OutletJudgement {
  readonly stageId: string;
  readonly verdict: Verdict;
  readonly quantity: QuantityName;
  readonly limit: number;
  readonly gets: number;
  readonly low: number;
  readonly high: number;
  /** Drops arrive with the air. */
  readonly liquidKgPerS: number;
  /** The other reading of a humidity whose basis nobody knows: let out into the room. */
  readonly other?: { readonly gets: number; readonly low: number; readonly high: number; readonly verdict: Verdict };
  /** Particle : water : oil that arrives; what is asked of particles and oil, and whether it is so. */
  readonly grade?: Grade;
  readonly clean?: { readonly needs: string; readonly enough: boolean };
  /** At the worst moment: with all blowing that can blow at once. No pressure arrives where the line cannot pass that much. */
  readonly pressure: {
    readonly needsPa: number;
    readonly getsPa: number;
    readonly enough: boolean;
    /** What stops the air on its way. */
    readonly stopped?: WalkProblem;
    /** Where the pressure goes, largest loss first. */
    readonly losses: readonly Loss[];
    /** It asks for more than the compressor makes when it cuts in. */
    readonly beyondCompressor?: true;
  };
  /** Which reading would settle an open verdict, or what stands behind a failed one. */
  readonly note?: string;
}

/** Judgements of the outlets of a line, by stage id. */
export type Verdicts = ReadonlyMap<string, OutletJudgement>;

/** The verdict on all that a job asks for: of the water, and whether pressure, oil and particles are as asked. */
export function inAll({ verdict, pressure, clean }: OutletJudgement): Verdict {
  return pressure.enough && clean?.enough !== false ? verdict : 'fails';
}

export type OutletStage = Extract<Stage, { kind: 'outlet' }>;

/** A dry margin that no thermometer could tell from none, K. */
export const CLOSED_K = 0.05;

/** What a shop gauge cannot tell apart, 1 psi (common practice): a pressure missed by less is not missed. */
export const GAUGE_TELLS_PA = 6895;

interface Criterion {
  readonly quantity: QuantityName;
  readonly limit: number;
  readonly pick: ReadFigure;
}

/** What an outlet is judged by. Less is better, everywhere. */
export interface OutletCriterion {
  readonly quantity: QuantityName;
  readonly limit: number;
  readonly read: (station: Station, around: Surroundings) => number;
}

/** By how much the air of an outlet is above its dew point once hose and tool have brought it to the room, K; below 0 it drops water. */
export function dryMarginK(station: Station, { roomTemperatureC }: { readonly roomTemperatureC: number }): number {
  return Math.min(station.temperatureC, roomTemperatureC) - station.pressureDewPointC;
}

/** Whether drops arrive, or form in the hose or the tool because the dew point is above the room. */
export function isWet(station: Station, around: { readonly roomTemperatureC: number }): boolean {
  return station.liquidKgPerS > 0 || dryMarginK(station, around) < -CLOSED_K;
}

/** What an outlet is judged by; two criteria where it asks for a humidity and nobody knows on which basis. */
export function outletCriteria(stage: OutletStage): [OutletCriterion, OutletCriterion?] {
  const p = stage.parameters;
  const inLine: OutletCriterion = {
    quantity: 'share',
    limit: p.relativeHumidity,
    read: (st, { basis }) => humidityAt(st, st.temperatureC, st.pressurePa, basis),
  };
  const expanded: OutletCriterion = {
    quantity: 'share',
    limit: p.relativeHumidity,
    read: (st, around) => humidityAt(st, around.roomTemperatureC, around.atmosphericPa, around.basis),
  };
  const dewPoint = (limit: number): OutletCriterion => ({
    quantity: 'temperature',
    limit,
    read: (st) => st.pressureDewPointC,
  });
  switch (p.need) {
    case 'no-liquid':
      // Judged on the dry margin, turned round.
      return [{ quantity: 'temperatureDifference', limit: 0, read: (st, around) => -dryMarginK(st, around) }];
    case 'humidity-in-line':
      return [inLine];
    case 'humidity-expanded':
      return [expanded];
    case 'humidity-unknown':
      return [inLine, expanded];
    case 'iso-class':
      return [dewPoint(WATER_CLASS_DEW_POINT_C[p.waterClass])];
    default:
      return [dewPoint(p.dewPointC)];
  }
}

/** The same as what a walk is asked for. */
function criteriaOf(stage: OutletStage, basis: Basis): Criterion[] {
  return outletCriteria(stage)
    .filter((c) => c !== undefined)
    .map((c) => ({
      ...c,
      pick: (section, plan) => {
        const station = section.at(stage.id);
        return station && c.read(station, surroundingsAt(plan, stage, basis));
      },
    }));
}

function verdictOf(need: OutletStage['parameters']['need'], wet: boolean, band: Band, limit: number): Verdict {
  if (wet) return 'fails';
  if (need === 'no-liquid') return band.high <= -CLOSED_K ? 'meets' : band.low > CLOSED_K ? 'fails' : 'open';
  if (band.low > limit) return 'fails';
  return band.high <= limit ? 'meets' : 'open';
}

/**
 * Judges the outlets of a line with the uncertainty of what each gets: it meets the need only if it would at the worse edge of the
 * band, fails only if it would at the better one, and is open in between.
 * @returns by stage id; an outlet before which the walk stops is left out
 * @source verdicts with uncertainty: common practice; classes: ISO 8573-1:2010 (recalled)
 */
export function judgeOutlets(plan: Plan, section: Section, basis: Basis = 'real'): Map<string, OutletJudgement> {
  const outlets = allStages(standing(plan)).filter((s): s is OutletStage => s.kind === 'outlet');
  const criteria = outlets.map((stage) => criteriaOf(stage, basis));
  const bands = propagateAll(
    plan,
    criteria.flatMap((asked) => asked.map((c) => c.pick)),
    basis,
  );
  const grades = gradeLine(plan, section);
  const line = standing(plan);
  const moments = worstMoments(plan, basis);
  const cutInPa = Math.max(...allStages(line).map((s) => (s.kind === 'compressor' ? s.parameters.cutInPa : 0)));
  let next = 0;
  return new Map(
    outlets.flatMap((stage, i) => {
      const [asked, other] = criteria[i] as unknown as [Criterion, Criterion?];
      const band = bands[next++];
      const otherBand = other && bands[next++];
      const station = section.at(stage.id);
      const grade = grades.get(stage.id);
      return station && band && grade
        ? [
            [
              stage.id,
              judged(
                line,
                stage,
                station,
                grade,
                band,
                asked,
                otherBand,
                atWorst(line, stage, station, moments.get(stage.id), cutInPa),
                surroundingsAt(plan, stage, basis),
              ),
            ] as const,
          ]
        : [];
    }),
  );
}

/** The pressure at an outlet at its worst moment; one that is never used is judged as the line runs. */
function atWorst(
  line: Plan,
  stage: OutletStage,
  station: Station,
  moment: WorstMoment | undefined,
  cutInPa: number,
): OutletJudgement['pressure'] {
  const needsPa = stage.parameters.leastPressurePa;
  const arrives = moment ? moment.section.at(stage.id)?.pressurePa : station.pressurePa;
  const getsPa = arrives ?? 0;
  const stopped = arrives === undefined ? moment?.section.problem : undefined;
  return {
    needsPa,
    getsPa,
    enough: getsPa >= needsPa - GAUGE_TELLS_PA,
    losses: moment ? lossesTo(line, stage.id, moment) : [],
    ...(stopped && { stopped }),
    ...(needsPa > cutInPa && { beyondCompressor: true as const }),
  };
}

/** The reading that would narrow the largest uncertainty, in words. */
function readingFor(line: Plan, input: string | undefined): string {
  if (input === undefined) return 'measure the inputs';
  const lower = (label: string): string => label.charAt(0).toLowerCase() + label.slice(1);
  for (const stage of allStages(line))
    for (const [, { label, reads }] of fieldsOf(stage.kind))
      if (input.startsWith(`${label}, ${stage.name} (`))
        return `read ${reads ?? `its ${lower(label)}`} at ${stage.name} (${input.slice(input.lastIndexOf('(') + 1, -1)} so far)`;
  return `read ${lower(input)}`;
}

function judged(
  line: Plan,
  stage: OutletStage,
  station: Station,
  grade: Grade,
  band: Band,
  { quantity, limit }: Criterion,
  otherBand: Band | undefined,
  pressure: OutletJudgement['pressure'],
  around: Surroundings,
): OutletJudgement {
  const { need, particleClass, oilClass } = stage.parameters;
  const drops = station.liquidKgPerS > 0;
  // Of a job that asks for no water the band decides; any other is spoiled by water in its hose besides.
  const wet = need === 'no-liquid' ? drops : isWet(station, around);
  const first = verdictOf(need, wet, band, limit);
  const second = otherBand && verdictOf(need, wet, otherBand, limit);
  const verdict = second === undefined || second === first ? first : 'open';
  const largest = band.drivers[0]?.label;
  const note = drops
    ? 'drops arrive with the air.'
    : isWet(station, around)
      ? 'its dew point is above the room: drops form in hose and tool.'
      : second !== undefined && second !== first
        ? 'it depends on where the humidity is meant: ask who asks for it.'
        : verdict === 'open'
          ? stage.parameters.need === 'no-liquid' && band.value > -CLOSED_K
            ? 'saturated, the first degree of cooling drops water.'
            : `${readingFor(line, largest)}.`
          : undefined;
  return {
    stageId: stage.id,
    verdict,
    quantity,
    limit,
    gets: band.value,
    low: band.low,
    high: band.high,
    liquidKgPerS: station.liquidKgPerS,
    ...(otherBand &&
      second && { other: { gets: otherBand.value, low: otherBand.low, high: otherBand.high, verdict: second } }),
    grade,
    ...((particleClass !== 'any' || oilClass !== 'any') && {
      clean: {
        needs: `${particleClass === 'any' ? '–' : particleClass}:–:${oilClass === 'any' ? '–' : oilClass}`,
        enough: isAsClean(grade.particle, particleClass) && isAsClean(grade.oil, oilClass),
      },
    }),
    pressure,
    ...(note && { note }),
  };
}
