import type { BedDuty, BedFilm } from '../core/desiccant/bed-film';
import { runCartridge, runTwinTower, type TwinDuty, type TwinFilm } from '../core/desiccant/bed-runs';

/** What is asked about a bed: a cartridge for so many hours, or two towers until a cycle repeats. */
export type BedQuestion = { readonly number: number } & (
  | { readonly of: 'cartridge'; readonly duty: BedDuty; readonly hours: number }
  | { readonly of: 'towers'; readonly duty: TwinDuty }
);

export type BedAnswer = { readonly number: number } & (
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'film'; readonly film: BedFilm; readonly towers?: Omit<TwinFilm, 'film'> }
  | { readonly kind: 'problem'; readonly message: string }
);

const scope = globalThis as unknown as {
  onmessage: ((event: MessageEvent<BedQuestion>) => void) | null;
  postMessage(answer: BedAnswer): void;
};
const TOLD_EVERY_MS = 100;

scope.onmessage = ({ data: q }) => {
  const { number } = q;
  let toldMs = performance.now();
  const onProgress = (share: number): boolean => {
    if (performance.now() - toldMs > TOLD_EVERY_MS) {
      toldMs = performance.now();
      scope.postMessage({ number, kind: 'progress', share });
    }
    return true; // it is stopped by ending this worker
  };
  try {
    if (q.of === 'cartridge') {
      const film = runCartridge(q.duty, q.hours, { onProgress });
      if (film) scope.postMessage({ number, kind: 'film', film });
    } else {
      const twin = runTwinTower(q.duty, { onProgress });
      if (twin) {
        const { film, ...towers } = twin;
        scope.postMessage({ number, kind: 'film', film, towers });
      }
    }
  } catch (error) {
    scope.postMessage({
      number,
      kind: 'problem',
      message: error instanceof Error ? error.message : 'It cannot be run.',
    });
  }
};
