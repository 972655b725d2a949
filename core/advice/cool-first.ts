import type { Stage } from '../plan/plan';
import { put } from './fix';
import type { LineFacts } from './line-facts';

const COOL_FIRST = [['aftercooler'], ['separator', { drain: 'float' }]] as const;

/** A cooler and a separator directly downstream of the compressor. */
export const coolAtCompressor = (line: LineFacts, stage: Stage) => {
  const compressor = line.compressorOf(stage);
  return (
    compressor && put('Add a cooler and a separator downstream of the compressor', 'behind', compressor, ...COOL_FIRST)
  );
};

/** The same, where the air reaches a stage warmer than its room. */
export function coolIfWarm(line: LineFacts, s: Stage): ReturnType<typeof coolAtCompressor> {
  const warm = (line.inlet(s)?.temperatureC ?? 0) > line.roomC(s) + 8;
  return warm ? coolAtCompressor(line, s) : undefined;
}
