import { PSI } from '../quantity/constants';
import { at, put, set } from './fix';
import type { Rule } from './rule';

const BLOW_GUN_PA = 30 * PSI; // OSHA 1910.242(b), recalled

/** More pressure at a tool than it bears. */
export const TOOL_PRESSURE: readonly Rule[] = [
  {
    id: 'O61',
    grade: 'must',
    stop: true,
    when: 'a regulator set above what the tool bears',
    fix: 'Set it lower and lock it.',
    source: 'the rating of the tool',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const most = s.parameters.mostGaugePa;
        const { pa, regulator } = line.restGaugePa(s);
        if (most === 0 || pa <= most || !regulator) return [];
        return [
          at(
            [regulator, s],
            (say) =>
              `${s.name} is rated for ${say(most, 'pressureDifference')}; ${regulator.name} is set to ${say(pa, 'pressureDifference')}.`,
            'A tool above its rating overspeeds or bursts.',
            set('Set the regulator down, and lock it', regulator, {
              setPressurePa: line.around.atmosphericPa + most,
              lock: 'locked',
            }),
          ),
        ];
      }),
  },
  {
    id: 'O62',
    grade: 'must',
    stop: true,
    when: 'a plain blow-gun on 30 psi (2.1 bar) or more',
    fix: 'A nozzle that relieves when blocked, chip guard, eye protection.',
    source: 'OSHA 1910.242(b), recalled',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const { pa } = line.restGaugePa(s);
        if (s.parameters.use !== 'blow-gun' || s.parameters.nozzle === 'relieving' || pa < BLOW_GUN_PA) return [];
        return [
          at(
            s,
            (say) => `The blow-gun at ${s.name} has ${say(pa, 'pressureDifference')} downstream of a plain nozzle.`,
            (say) => `Blocked against skin it must stay below ${say(BLOW_GUN_PA, 'pressureDifference')}.`,
            set('Fit a relieving nozzle', s, { nozzle: 'relieving' }),
          ),
        ];
      }),
  },
  {
    id: 'A01',
    grade: 'must',
    stop: true,
    when: 'tank pressure on a tool that is rated for less',
    fix: 'Add a regulator upstream of it.',
    source: 'the rating of the tool',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const most = s.parameters.mostGaugePa;
        const { pa, regulator } = line.restGaugePa(s);
        if (most === 0 || pa <= most || regulator) return [];
        return [
          at(
            s,
            (say) =>
              `${s.name} is rated for ${say(most, 'pressureDifference')} and sees the tank’s ${say(pa, 'pressureDifference')}.`,
            'Nothing sets the pressure down upstream of it.',
            put('Add a regulator upstream of it', 'before', s, [
              'regulator',
              { setPressurePa: line.around.atmosphericPa + most, lock: 'locked' },
            ]),
          ),
        ];
      }),
  },
];
