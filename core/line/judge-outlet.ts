import type { Basis } from '../air/enhancement-factor';
import { fieldsOf } from '../equipment/index';
import type { Surroundings } from '../equipment/shared/kind';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';
import type { Band } from '../quantity/derivation';
import type { QuantityName } from '../quantity/units';
import { type Grade, gradeLine, isCleanEnough } from './grade-line';
import { CLOSED_K, type Criterion, criteriaOf, GAUGE_TELLS_PA, isWet, type OutletStage } from './outlet-criteria';
import { type WorstMoment, worstMoments } from './peak-pressure';
import type { WalkProblem } from './prepare';
import { propagateAll } from './propagate';
import type { Section, Station } from './section';
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

/**
 * The verdict on all that a job asks for: of the water, and whether pressure, oil and particles are as asked.
 * @example inAll(judgeOutlets(plan, section).get('outlet')) // 'meets'
 */
export function inAll({ verdict, pressure, clean }: OutletJudgement): Verdict {
  return pressure.enough && clean?.enough !== false ? verdict : 'fails';
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
 * @example judgeOutlets(plan, section).get('gun').verdict // 'meets'
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
        enough: isCleanEnough(grade, stage.parameters),
      },
    }),
    pressure,
    ...(note && { note }),
  };
}
