import type { Section, Station } from '@/core/line/section';
import type { MachineUnit, Plan, Stage } from '@/core/plan/plan';
import { MAIN, type Run, runsOf } from '@/core/plan/runs';

/** A stage, or a unit that is closed, in its column, with its station where the walk came there. */
export interface Cell {
  /** Of the stage, or of the closed unit. */
  readonly id: string;
  readonly name: string;
  /** Of a closed unit its last: what leaves the unit leaves it. */
  readonly stage: Stage;
  /** The closed unit that this is. */
  readonly unit?: MachineUnit;
  readonly station: Station | undefined;
  readonly left: number;
  readonly width: number;
  readonly centre: number;
}
export type ReachedCell = Cell & { readonly station: Station };
export const isReached = (cell: Cell): cell is ReachedCell => cell.station !== undefined;

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

/** Open advice in one column: a stage, or the stages of a closed unit. */
interface Column {
  readonly stages: readonly Stage[];
  readonly unit?: MachineUnit;
}

function columnsOf(run: Run, plan: Plan, open: ReadonlySet<string>): Column[] {
  const columns: { stages: Stage[]; unit?: MachineUnit }[] = [];
  for (const stage of run.stages) {
    const unit =
      stage.unit === undefined || open.has(stage.unit) ? undefined : plan.units.find((u) => u.id === stage.unit);
    const last = columns.at(-1);
    if (unit && last?.unit === unit) last.stages.push(stage);
    else columns.push({ stages: [stage], ...(unit && { unit }) });
  }
  return columns;
}

/** The station of a column: of a closed unit what leaves its last stage, with what all of them catch. */
function stationOf({ stages }: Column, section: Section): Station | undefined {
  const stations = stages.flatMap((s) => section.at(s.id) ?? []);
  const last = stations.at(-1);
  return stations.length > 1 && last
    ? { ...last, caughtKgPerS: stations.reduce((sum, s) => sum + s.caughtKgPerS, 0) }
    : last;
}

const shareOf = (stage: Stage, run: Run): number => (stage.kind === 'outlet' && run.id === MAIN ? OUTLET_SHARE : 1);

/**
 * Fits the main run to the room there is; below the least width the section scrolls sideways. Branches begin under their tee.
 * @param open ids of the units that are shown as their stages
 */
export function rowsFor(plan: Plan, section: Section, room: number, open: ReadonlySet<string> = new Set()): Row[] {
  const runs = runsOf(plan);
  const columns = new Map(runs.map((run) => [run, columnsOf(run, plan, open)]));
  const columnsIn = (run: Run): Column[] => columns.get(run) ?? [];
  const shareIn = (run: Run, c: Column): number => (c.unit ? 1 : shareOf(c.stages[0] as Stage, run));
  const shares = (run: Run): number => columnsIn(run).reduce((sum, c) => sum + shareIn(run, c), 0);
  const unit = Math.max(LEAST, Math.min(MOST, room / Math.max(...runs.map(shares))));
  const widthOf = (run: Run): number =>
    run.stages.length === 0
      ? ROOM_OF_EMPTY * unit
      : columnsIn(run).reduce((w, c) => w + Math.floor(shareIn(run, c) * unit), 0);
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
    for (const column of columnsIn(run)) {
      for (const { id } of column.stages) begins.set(id, x);
      x += Math.floor(shareIn(run, column) * unit);
      for (const { id } of column.stages) ends.set(id, x);
    }
  }
  const total = Math.max(...runs.map((r) => (lefts.get(r.id) ?? 0) + widthOf(r)));
  return runs.map((run) => {
    const cells = columnsIn(run).map((column): Cell => {
      const stage = column.stages.at(-1) as Stage;
      const { id, name } = column.unit ?? stage;
      const left = begins.get(stage.id) ?? 0;
      const width = (ends.get(stage.id) ?? 0) - left;
      const own = { id, name, stage, ...(column.unit && { unit: column.unit }) };
      return { ...own, station: stationOf(column, section), left, width, centre: left + width / 2 };
    });
    return {
      run,
      cells,
      reached: cells.filter(isReached),
      left: lefts.get(run.id) ?? 0,
      arrives: run.from === null ? undefined : section.at(run.from),
      total,
      unit,
    };
  });
}

/** Whether the same columns stand at the same places, whatever the air in them. */
export function sameShape(a: readonly Row[], b: readonly Row[]): boolean {
  return (
    a.length === b.length &&
    a.every((row, r) => {
      const other = b[r] as Row;
      return (
        row.run.id === other.run.id &&
        row.left === other.left &&
        row.total === other.total &&
        row.cells.length === other.cells.length &&
        row.cells.every((c, i) => c.id === other.cells[i]?.id && c.width === other.cells[i]?.width)
      );
    })
  );
}
