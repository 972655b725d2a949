import type { Shown } from './kind';

const UNSURE_OVER = 1.5; // of its capacity: no table goes there

/**
 * What is told of a dryer’s duty beside what it can do here; far over it nobody knows its dew point.
 * @example overloadShows(0.8).length // 1
 */
export function overloadShows(load: number): Shown[] {
  return [
    { label: 'Load, of what it can do here', figure: 'load', quantity: 'share', value: load, warns: load > 1 },
    ...(load > UNSURE_OVER
      ? [{ label: 'Far over its rating', text: 'its dew point is an extrapolation beyond makers’ tables', warns: true }]
      : []),
  ];
}
