import type { Plan, Stage } from '@/core/line/plan';
import { MAIN, type Run, runsOf } from '@/core/line/runs';
import type { Section, Station } from '@/core/line/section';

/** A stage in its column, with its station where the walk came there. */
export interface Cell {
  readonly stage: Stage;
  readonly station: Station | undefined;
  readonly left: number;
  readonly width: number;
  readonly centre: number;
}
export type ReachedCell = Cell & { readonly station: Station };

/** A run on the shared x-positions: the main one across the screen, a branch from under its tee on. */
export interface Row {
  readonly run: Run;
  readonly cells: readonly Cell[];
  /** The stages that the walk reached. */
  readonly reached: readonly ReachedCell[];
  /** Where the run begins. */
  readonly left: number;
  /** The air where the branch is taken off. */
  readonly arrives: Station | undefined;
  /** The width of all rows. */
  readonly total: number;
  readonly unit: number;
}

const LEAST = 78;
const MOST = 150;
const OUTLET_SHARE = 0.72; // an outlet only takes air off, so it takes less room
const ROOM_OF_EMPTY = 2;

const shareOf = (stage: Stage, run: Run): number => (stage.kind === 'outlet' && run.id === MAIN ? OUTLET_SHARE : 1);

/** Fits the main run to the room there is; below the least width the section scrolls sideways. Branches begin under their tee. */
export function rowsFor(plan: Plan, section: Section, room: number): Row[] {
  const runs = runsOf(plan);
  const shares = (run: Run): number => run.stages.reduce((sum, s) => sum + shareOf(s, run), 0);
  const unit = Math.max(LEAST, Math.min(MOST, room / Math.max(...runs.map(shares))));
  const widthOf = (run: Run): number =>
    run.stages.length === 0
      ? ROOM_OF_EMPTY * unit
      : run.stages.reduce((w, s) => w + Math.floor(shareOf(s, run) * unit), 0);
  const ends = new Map<string, number>();
  const begins = new Map<string, number>();
  const lefts = new Map<string, number>();
  // A branch may hang on a branch: place each once its tee has its place.
  const waiting = [...runs];
  while (waiting.length > 0) {
    const i = Math.max(
      0,
      waiting.findIndex((r) => r.from === null || ends.has(r.from)),
    );
    const [run] = waiting.splice(i, 1) as [Run];
    let x =
      run.from === null ? Math.max(0, (begins.get(run.into ?? '') ?? 0) - widthOf(run)) : (ends.get(run.from) ?? 0);
    if (run.from !== null) x = Math.max(0, Math.min(x, Math.max(room, widthOf(runs[0] as Run)) - widthOf(run)));
    lefts.set(run.id, x);
    for (const stage of run.stages) {
      begins.set(stage.id, x);
      x += Math.floor(shareOf(stage, run) * unit);
      ends.set(stage.id, x);
    }
  }
  const total = Math.max(...runs.map((r) => (lefts.get(r.id) ?? 0) + widthOf(r)));
  return runs.map((run) => {
    const cells = run.stages.map((stage): Cell => {
      const left = begins.get(stage.id) ?? 0;
      const width = (ends.get(stage.id) ?? 0) - left;
      return { stage, station: section.at(stage.id), left, width, centre: left + width / 2 };
    });
    return {
      run,
      cells,
      reached: cells.filter((c): c is ReachedCell => c.station !== undefined),
      left: lefts.get(run.id) ?? 0,
      arrives: run.from === null ? undefined : section.at(run.from),
      total,
      unit,
    };
  });
}
