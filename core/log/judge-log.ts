import { COOLERS, is } from '../equipment/groups';
import { drainPoints } from '../plan/edit';
import type { Plan } from '../plan/plan';
import { pathTo, stageById } from '../plan/runs';
import { DAY_MS, WATER_KG_PER_M3 } from '../quantity/constants';
import type { DrainEntry } from './drain-entry';
import { type DrainJudgement, type ExpectedDrain, judgeDrain } from './judge-drain';
import { siteTimeMs } from './site-clock';

/** An entry of the log with what the plan expected when it was made. */
export interface LoggedDrain extends DrainEntry {
  readonly expectedKg: number;
  readonly lowKg: number;
  readonly highKg: number;
  /** Loaded hours that the expectation counted. */
  readonly countedHours: number;
  /** The drain point's name on that day. */
  readonly stageName: string;
  /** Struck out as a mistake: still to be read, no longer counted. */
  readonly struck: boolean;
}

const NEAR_MS = 3 * DAY_MS;

function expectedOf(e: LoggedDrain): ExpectedDrain {
  return {
    stageId: e.stageId,
    drainedAt: e.drainedAt,
    amountKg: e.amountM3 * WATER_KG_PER_M3,
    expectedKg: e.expectedKg,
    lowKg: e.lowKg,
    highKg: e.highKg,
  };
}

/** The nearest entry in time of a point, within three days. */
function nearest(log: readonly LoggedDrain[], stageId: string, at: number): ExpectedDrain[] {
  let best: LoggedDrain | undefined;
  let gap = NEAR_MS;
  for (const e of log) {
    if (e.stageId !== stageId) continue;
    const distance = Math.abs(siteTimeMs(e.drainedAt) - at);
    if (distance <= gap) {
      best = e;
      gap = distance;
    }
  }
  return best ? [expectedOf(best)] : [];
}

/**
 * Judges one entry in the light of the whole log of its line.
 * @example judgeLogged(plan, [], drain).verdict // 'as expected'
 */
export function judgeLogged(plan: Plan, log: readonly LoggedDrain[], entry: LoggedDrain): DrainJudgement {
  const points = drainPoints(plan).map((s) => s.id);
  const path = pathTo(plan, entry.stageId);
  const upstream = points.filter((id) => id !== entry.stageId && path.some((s) => s.id === id));
  const downstream = points.filter(
    (id) => id !== entry.stageId && pathTo(plan, id).some((s) => s.id === entry.stageId),
  );
  const at = siteTimeMs(entry.drainedAt);
  const stage = stageById(plan, entry.stageId);
  const neighbours = (ids: string[]): ExpectedDrain[] => ids.flatMap((id) => nearest(log, id, at));
  return judgeDrain({
    entry: { ...expectedOf(entry), appearance: entry.appearance, loadedHours: entry.loadedHours },
    drain: stage && 'drain' in stage.parameters ? stage.parameters.drain : 'manual',
    before: log
      .filter((e) => e.stageId === entry.stageId && e.drainedAt < entry.drainedAt)
      .sort((a, b) => b.drainedAt.localeCompare(a.drainedAt))
      .map(expectedOf),
    upstream: neighbours(upstream),
    downstream: neighbours(downstream),
    coolerBefore: path.some((s) => is(COOLERS, s.kind)),
  });
}
