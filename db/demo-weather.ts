import { EpwReader } from '../core/year/read-epw';
import type { WeatherYear } from '../core/year/weather';
import { YearCollector } from '../core/year/year-of-samples';
import { demoId } from './demo-stage';

/** The made-up years that come with the program, by their files in weather/. */
export const SYNTHETIC = [
  { id: demoId(800), file: 'merrow-delta-humid.synthetic.epw', name: 'Merrow Delta, humid (synthetic)' },
  {
    id: demoId(801),
    file: 'kestrin-plateau-cold-dry.synthetic.epw',
    name: 'Kestrin Plateau, cold and dry (synthetic)',
  },
] as const;

/** Reads one of them, as any EPW file is read. */
export function syntheticYear(name: string, epw: string): WeatherYear {
  const reader = new EpwReader();
  const year = new YearCollector();
  epw.split('\n').forEach((line, i) => {
    const got = reader.row(line.split(','), i + 1);
    if (typeof got === 'string') year.drop(i + 1, got);
    else if (got) year.add(got);
  });
  return { name, origin: 'synthetic', altitudeM: reader.altitudeM, ...year.finish() };
}
