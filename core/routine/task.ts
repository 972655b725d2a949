import type { Stage } from '../line/plan';

/** What a reading of the log is of, and the quantity that it is read in. */
export const READINGS = {
  amount: { label: 'Came out', quantity: 'drained' },
  temperature: { label: 'Air temperature', quantity: 'temperature' },
  humidity: { label: 'Humidity in the line', quantity: 'share' },
  'dew-point': { label: 'Pressure dew point', quantity: 'temperature' },
  'pressure-drop': { label: 'Pressure drop', quantity: 'pressureDifference' },
  'pressure-static': { label: 'Pressure at rest', quantity: 'pressure' },
  'pressure-flowing': { label: 'Pressure in flow', quantity: 'pressure' },
  'cut-in': { label: 'Cuts in at', quantity: 'pressure' },
  'cut-out': { label: 'Cuts out at', quantity: 'pressure' },
  'pressure-from': { label: 'From a pressure of', quantity: 'pressure' },
  'pressure-to': { label: 'To a pressure of', quantity: 'pressure' },
  hours: { label: 'Hour meter', quantity: 'time' },
  seconds: { label: 'It took', quantity: 'duration' },
  flow: { label: 'Flow', quantity: 'volumeFlow' },
  weight: { label: 'Weight', quantity: 'mass' },
  'weight-wet': { label: 'Weight before drying', quantity: 'mass' },
  level: { label: 'Level, of full', quantity: 'share' },
  spent: { label: 'Exhausted, of its height', quantity: 'share' },
  oil: { label: 'Oil topped up', quantity: 'drained' },
  'oil-content': { label: 'Oil in the air', quantity: 'oilContent' },
} as const;
export type ReadingName = keyof typeof READINGS;

/** When a task is due: the first of these counts. */
export interface Every {
  readonly days?: number;
  readonly loadedH?: number;
  readonly starts?: number;
  /** Water of so many fillings of the sump: the heel stays below its mark. */
  readonly fillings?: number;
  /** A charge of beads used up to so much. */
  readonly spentShare?: number;
  /** The element’s pressure drop over that of a clean one, at the same flow, Pa. */
  readonly dropPa?: number;
  /** The dew point that was read last lies above its band. */
  readonly dewPoint?: true;
  /** At once after something upstream was opened, or drops were seen where none should be. */
  readonly after?: readonly ('opened' | 'wet')[];
  /** Before the first frost of its year of weather. */
  readonly frost?: true;
}

/** A step of a task with a time that it must take. */
export interface Step {
  readonly says: string;
  readonly waitS?: number;
}

/** A task at a stage, with its steps. */
export interface Task {
  readonly id: string;
  readonly does: string;
  readonly every: Every;
  /** How often it was done matters: an element that may be washed so many times. */
  readonly counted?: true;
  /** Whether the stage is isolated, vented and proven dead first. */
  readonly isolates?: true;
  readonly cautions: readonly string[];
  readonly tools: string;
  readonly steps: readonly (string | Step)[];
  readonly records: readonly ReadingName[];
  /** What is good, and what it means where it is not. */
  readonly accept: string;
  readonly abnormal: string;
  readonly minutes: number;
  /** Set by local law and a competent inspector: the interval here is a reminder. */
  readonly legal?: true;
  readonly source: string;
  /** Only where this holds of the stage. */
  readonly when?: (stage: Stage) => boolean;
}

/** The isolation that comes before every task that opens something under pressure (29 CFR 1910.147 for energy control, recalled; common practice). */
export const ISOLATION: readonly string[] = [
  'Inform the users of the air.',
  'Stop the machine, open its disconnect, lock and tag it, and try to start it.',
  'Shut the valves upstream and downstream, and lock them.',
  'Vent every section between: both towers, every bowl, the ends of hoses.',
  'Read zero on the gauge and open a vent to verify it: a gauge can be wrong.',
  'Wait until what is hot can be touched: {60 °C} hurts in seconds.',
  'After the work: shut the vents, clear tools and people, open slowly from upstream, soap the joints, unlock, log it.',
];
