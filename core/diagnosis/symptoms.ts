import { AT_THE_MACHINES } from './at-the-machines';
import { AT_THE_TOOL } from './at-the-tool';
import type { Symptom } from './symptom';

/** Every complaint, as people bring it. */
export const SYMPTOMS: readonly Symptom[] = [...AT_THE_TOOL, ...AT_THE_MACHINES];

/**
 * A complaint by its id in the trade handbook.
 * @example symptomById('D06').at // 'receiver'
 */
export const symptomById = (id: string | null): Symptom | undefined => SYMPTOMS.find((s) => s.id === id);
