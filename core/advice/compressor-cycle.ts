import { WATER_KG_PER_M3 } from '../quantity/constants';
import { at, set } from './fix';
import type { Rule } from './rule';

const SPARE_PA = 3e4; // above what a job needs, and under the cut-out (estimate)
const ROOM = 1.5; // beyond what the day asked for
const clock = (s: number): string =>
  `${String(Math.floor(s / 3600)).padStart(2, '0')}:${String(Math.floor((s % 3600) / 60)).padStart(2, '0')}`;

/** What shows only when the compressor cycle is played: silent where it has not been. */
export const COMPRESSOR_CYCLE: readonly Rule[] = [
  {
    id: 'A25',
    grade: 'must',
    when: 'a sump or bowl that fills up in the course of the day',
    fix: 'Drain it more often, or automatically.',
    source: 'the compressor cycle, played second by second',
    finds: (line) =>
      line
        .seen('sump-full')
        .map(({ stage, what }) =>
          at(
            stage,
            `${stage.name} is full at ${clock(what.atS)}.`,
            (say) => `From then on it carries over ${say(what.kg / WATER_KG_PER_M3, 'drained')} by the end of the day.`,
            set('Fit a level-sensing drain', stage, { drain: 'level' }),
          ),
        ),
  },
  {
    id: 'A26',
    grade: 'should',
    when: 'a receiver that has less pressure than a job needs while the job draws air',
    fix: 'A larger tank, a higher cut-in, or fewer jobs at once.',
    source: 'the compressor cycle, played second by second',
    finds: (line) =>
      line.seen('too-low').map(({ stage, what }) => {
        const tank = line.of('receiver')[0];
        const compressor = line.compressorOf(stage);
        const cutInPa = what.needsPa + SPARE_PA;
        return at(
          stage,
          `The tank falls below what ${stage.name} needs.`,
          (say) =>
            `For ${say(what.seconds, 'duration')} of the day it has less than ${say(what.needsPa, 'pressure')} while that job draws air.`,
          compressor && compressor.parameters.cutInPa < cutInPa && cutInPa + SPARE_PA < compressor.parameters.cutOutPa
            ? set('Let the compressor cut in earlier', compressor, { cutInPa })
            : tank && set('Take a tank of twice the size', tank, { volumeM3: 2 * tank.parameters.volumeM3 }),
        );
      }),
  },
  {
    id: 'A27',
    grade: 'should',
    when: 'an unloader that hisses for more than 20 s at each stop',
    fix: 'A wider unloader, or less volume upstream of the check valve.',
    source: 'common practice: it must be done in 10 to 20 s, or the compressor starts against pressure',
    finds: (line) =>
      line.seen('long-hiss').flatMap(({ stage, what }) => {
        const unloader = line.of('unloader')[0];
        return [
          at(
            stage,
            `${stage.name} blows off for ${Math.round(what.seconds)} s at each stop.`,
            'Whatever stands upstream of the check valve has to be emptied; a restart meanwhile is against pressure.',
            unloader &&
              set('Fit a wider unloader', unloader, {
                boreM: unloader.parameters.boreM * Math.sqrt((ROOM * what.seconds) / 20),
              }),
          ),
        ];
      }),
  },
];
