import type { Stage } from '../plan/plan';
import { put } from './fix';
import type { LineFacts } from './line-facts';

const COOL_FIRST = [['aftercooler'], ['separator', { drain: 'float' }]] as const;

/** A cooler and a separator directly downstream of the compressor. */
export const coolAtPump = (line: LineFacts, stage: Stage) => {
  const pump = line.pumpOf(stage);
  return pump && put('Add a cooler and a separator downstream of the pump', 'behind', pump, ...COOL_FIRST);
};
