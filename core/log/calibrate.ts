import { mean, standardDeviation } from 'simple-statistics';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import { inPlace, surroundingsOf } from '../plan/surroundings';
import { placeOf } from '../plan/survey';
import { implied } from './implied';
import { TRACE_KG } from './judge-drain';
import type { LoggedDrain } from './judge-log';
import { type LoggedEntry, standingEntries } from './log-entry';

/** A number of a stage as the log has it, to be taken over on the person’s word. */
export interface Calibration {
  readonly stageId: string;
  readonly field: string;
  readonly from: number;
  readonly to: number;
  /** How many entries it rests on, and how far they lie apart, relative. */
  readonly entries: number;
  readonly scatter: number;
}

const LEAST = 4; // entries
const AMONG = 8; // the newest
const MOST_SCATTER = 0.25; // readings that lie further apart tell of something that happened, not of the stage (estimate)
const WORTH = 0.05; // a change of less than this is within what readings are worth (estimate)

/** Standard deviation by the mean. */
const spread = (xs: number[]): number => standardDeviation(xs) / Math.abs(mean(xs) || 1);

function proposal(
  stage: Stage,
  field: string,
  from: number,
  values: number[],
  least: number,
  most: number,
  fewest = LEAST,
): Calibration[] {
  const newest = values.slice(-AMONG);
  if (newest.length < fewest) return [];
  const to = Math.min(most, Math.max(least, mean(newest)));
  if (Math.abs(to / from - 1) < WORTH || spread(newest) > MOST_SCATTER) return [];
  return [{ stageId: stage.id, field, from, to, entries: newest.length, scatter: spread(newest) }];
}

/**
 * What the log would make of the numbers of the stages: the loss of a filter by its pressure drop, what a separator catches
 * by its drains, the approach of a cooler by the air downstream of it, the delivery of a compressor by its pump-ups. Nothing is changed by itself.
 *
 * @param drains, entries of the log; the last eight of each count, four are the least
 * @source ratio of measured to expected; the walk is linear in each of these
 * @example calibrations(plan, [], []) // []
 */
export function calibrations(
  plan: Plan,
  drains: readonly Pick<LoggedDrain, 'stageId' | 'amountM3' | 'expectedKg' | 'drainedAt' | 'struck'>[],
  entries: readonly LoggedEntry[],
): Calibration[] {
  const around = surroundingsOf(plan);
  const byTime = [...standingEntries(entries)].sort((a, b) => a.measuredAt.localeCompare(b.measuredAt));
  const ratios = (stageId: string, of: string): number[] =>
    byTime
      .filter((e) => e.stageId === stageId)
      .flatMap((e) =>
        e.readings.flatMap((r, i) =>
          r.of === of && (e.expected[i]?.value ?? 0) > 0 ? [r.value / (e.expected[i]?.value as number)] : [],
        ),
      );
  return allStages(plan).flatMap((stage): Calibration[] => {
    if (stage.kind === 'coalescing-filter' || stage.kind === 'particulate-filter' || stage.kind === 'carbon-filter') {
      const own = stage.parameters.pressureLossPa;
      return proposal(
        stage,
        'pressureLossPa',
        own,
        ratios(stage.id, 'pressure-drop').map((r) => r * own),
        0,
        5e5,
      );
    }
    if (stage.kind === 'separator') {
      const own = stage.parameters.efficiency;
      const caught = [...drains]
        .filter((d) => d.stageId === stage.id && !d.struck && d.expectedKg > TRACE_KG)
        .sort((a, b) => a.drainedAt.localeCompare(b.drainedAt))
        .map((d) => (own * d.amountM3 * 1000) / d.expectedKg);
      return proposal(stage, 'efficiency', own, caught, 0, 1);
    }
    if (stage.kind === 'aftercooler' && stage.parameters.method === 'approach') {
      const room = inPlace(around, stage.place).roomTemperatureC;
      const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
      const sameRoom = intake.id === (stage.place ?? plan.survey.roomPlaceId);
      const approaches = byTime
        .filter((e) => e.stageId === stage.id)
        .flatMap((e) =>
          e.readings.flatMap((r) =>
            r.of === 'temperature' ? [r.value - (sameRoom ? (e.intakeTemperatureC ?? room) : room)] : [],
          ),
        );
      return proposal(stage, 'approachK', stage.parameters.approachK, approaches, 0, 60);
    }
    if (stage.kind === 'compressor') {
      const given = byTime
        .filter((e) => e.stageId === stage.id)
        .flatMap((e) => {
          const meant = implied(plan, e);
          return meant?.what === 'delivery' ? [meant.flowM3PerS] : [];
        });
      // A pump-up is one careful test, not a habit: two agree or do not.
      return proposal(stage, 'freeAirDeliveryM3PerS', stage.parameters.freeAirDeliveryM3PerS, given, 1e-4, 1, 2);
    }
    return [];
  });
}
