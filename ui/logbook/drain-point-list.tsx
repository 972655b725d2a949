import type { LoggedDrain } from '@/core/log/judge-log';
import type { Stage } from '@/core/plan/plan';
import { sayTime } from '../units/when';

/** The drains of the line, each with the time it was last opened. */
export function DrainPointList({
  points,
  entries,
  pointId,
  onPoint,
}: {
  points: readonly Stage[];
  entries: readonly LoggedDrain[];
  pointId: string;
  onPoint: (id: string) => void;
}) {
  return (
    <div className="grid gap-1" role="radiogroup" aria-label="Drain point">
      {points.map((p) => {
        const last = entries.find((e) => e.stageId === p.id);
        return (
          <label
            key={p.id}
            className={`flex min-h-11 cursor-pointer items-center justify-between gap-2 rounded-md border px-3 ${p.id === pointId ? 'border-ink bg-sunk font-semibold' : 'border-hairline'}`}
          >
            <span className="flex min-w-0 items-center gap-2">
              <input
                type="radio"
                name="point"
                className="size-4 accent-(--water)"
                checked={p.id === pointId}
                onChange={() => onPoint(p.id)}
              />
              <span className="truncate">{p.name}</span>
            </span>
            <span className="shrink-0 text-[0.8rem] font-normal text-quiet">
              {last ? sayTime(last.drainedAt) : 'not yet'}
            </span>
          </label>
        );
      })}
    </div>
  );
}
