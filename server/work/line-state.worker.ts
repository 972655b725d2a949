import { walk } from '../../core/line/walk';
import { type DueFrom, dueOn } from '../../core/maintenance/due-on';
import { type LineState, lineState } from '../../core/maintenance/line-state';

/** How a line stands. It plays a year of weather: in a thread of its own it keeps no request waiting. */
export default function lineStateFrom(from: DueFrom): LineState {
  const hasRoutine = from.plan.routine.startedOn !== null; // without one nothing is due
  return lineState(from.plan, walk(from.plan), hasRoutine ? dueOn(from) : [], from.log, from.now);
}
