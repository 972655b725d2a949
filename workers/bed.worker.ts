import { expose } from 'comlink';
import type { BedDuty, BedFilm } from '../core/desiccant/bed-film';
import { runCartridge, runTwinTower, type TwinDuty, type TwinFilm } from '../core/desiccant/bed-runs';

/** What is asked about a bed: a cartridge for so many hours, or two towers until a cycle repeats. */
export type BedQuestion =
  | { readonly of: 'cartridge'; readonly duty: BedDuty; readonly hours: number }
  | { readonly of: 'towers'; readonly duty: TwinDuty };

export interface BedRan {
  readonly film: BedFilm;
  readonly towers?: Omit<TwinFilm, 'film'>;
}

const TOLD_EVERY_MS = 100;

expose((q: BedQuestion, tell: (share: number) => void): BedRan | undefined => {
  let toldMs = performance.now();
  const onProgress = (share: number): boolean => {
    if (performance.now() - toldMs > TOLD_EVERY_MS) {
      toldMs = performance.now();
      tell(share);
    }
    return true; // it is stopped by ending this worker
  };
  if (q.of === 'cartridge') {
    const film = runCartridge(q.duty, q.hours, { onProgress });
    return film && { film };
  }
  const twin = runTwinTower(q.duty, { onProgress });
  if (!twin) return undefined;
  const { film, ...towers } = twin;
  return { film, towers };
});
