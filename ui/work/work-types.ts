import type { WorkTask } from '@/core/maintenance/line-state';
import { lineMinutes } from '@/core/maintenance/rounds';

/** A site with the lines on which something is due; as server/work/work-list.ts answers, which ui may not import. */
export interface WorkSite {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly address: string;
  readonly contacts: string;
  readonly notes: string;
  readonly lines: readonly {
    readonly id: string;
    readonly name: string;
    readonly shop: string;
    readonly tasks: readonly WorkTask[];
  }[];
}

export const tasksOf = (site: WorkSite): readonly WorkTask[] => site.lines.flatMap((line) => line.tasks);

/** Work at some sites, min, with an isolation on each line that needs one. */
export const minutesOf = (...sites: readonly WorkSite[]): number =>
  sites.flatMap((s) => s.lines).reduce((sum, line) => sum + lineMinutes(line.tasks), 0);

/** “1 h 35 min”. */
export function sayMinutes(minutes: number): string {
  const [h, min] = [Math.floor(minutes / 60), Math.round(minutes % 60)];
  return [...(h > 0 ? [`${h} h`] : []), ...(min > 0 || h === 0 ? [`${min} min`] : [])].join(' ');
}

/** What to take along, each once with how many. */
export function partsOf(tasks: readonly WorkTask[]): readonly { readonly name: string; readonly n: number }[] {
  const counts = new Map<string, number>();
  for (const { stage, part } of tasks)
    if (part) counts.set(`${part}, ${stage}`, (counts.get(`${part}, ${stage}`) ?? 0) + 1);
  return [...counts].map(([name, n]) => ({ name, n }));
}
