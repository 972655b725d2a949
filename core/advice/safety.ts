import { PSI } from '../quantity/constants';
import { answer, at, ofLine, put, set, takeOut } from './fix';
import type { Rule } from './rule';

const MOST_PLANNED_PA = 200 * PSI;

const CLAIMS = /breath|medical|dental|scuba|respirator/i;

/** What is dangerous, or outside what this program plans. */
export const SAFETY: readonly Rule[] = [
  {
    id: 'S01',
    grade: 'must',
    stop: true,
    when: 'a plastic pipe or housing that no maker lists for compressed air',
    fix: 'Take it out of service. Replace it with metal, or with what its maker lists for compressed air.',
    source: 'OSHA hazard bulletin of 1988 and pipe makers’ instructions, recalled',
    finds: (line) => [
      ...line
        .of('pipe')
        .filter((s) => s.parameters.material === 'pvc' || s.parameters.material === 'water-pex')
        .map((s) =>
          at(
            s,
            `${s.name} is plastic that is not rated for compressed air.`,
            s.parameters.material === 'pvc'
              ? 'It shatters without warning and throws its pieces. Years without a leak prove nothing: age, oil and cold make it brittle.'
              : 'It is made for water. Air stores far more energy, and heat and oil weaken it.',
            set('Lay copper instead', s, { material: 'copper' }),
          ),
        ),
      ...line
        .of('home-made-housing')
        .map((s) =>
          at(
            s,
            `${s.name} is a housing made for water.`,
            'Tests with water say nothing of air, oil or age: what bursts under air throws its pieces.',
            takeOut('Remove it', s),
          ),
        ),
    ],
  },
  {
    id: 'S07',
    grade: 'must',
    stop: true,
    when: 'the line is used for breathing, or a name claims that the air is fit for it',
    fix: 'Use a certified breathing-air system. This program does not plan breathing air.',
    source: 'OSHA 1910.134, EN 12021 and the like, recalled',
    finds: (line) => {
      const { breathed } = line.plan.survey.site;
      const why = 'No filter here takes out carbon monoxide, and no instrument here detects it.';
      const outlets = line
        .of('outlet')
        .filter((s) => s.parameters.use === 'breathing')
        .map((s) => at(s, `${s.name} supplies breathing air.`, why, takeOut('Take this outlet off the line', s)));
      const claims =
        breathed === 'no'
          ? []
          : line.stages
              .filter((s) => CLAIMS.test(s.name) && !(s.kind === 'outlet' && s.parameters.use === 'breathing'))
              .map((s) =>
                at(
                  s,
                  `“${s.name}” sounds like breathing air.`,
                  why,
                  answer('Not used for breathing air', { breathed: 'no' }),
                ),
              );
      return breathed === 'yes'
        ? [ofLine('This line is used for breathing air.', why), ...outlets, ...claims]
        : [...outlets, ...claims];
    },
  },
  {
    id: 'S10',
    grade: 'must',
    stop: true,
    when: 'an intake near solvent, fuel gas or oxygen',
    fix: 'Move the intake to clean air.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('intake')
        .filter((s) => s.parameters.near === 'explosive')
        .map((s) =>
          at(
            s,
            `${s.name} may draw what burns or explodes.`,
            'Compressed and hot, it can go off in the compressor or the tank.',
            set('Move it to clean air', s, { near: 'clean' }),
          ),
        ),
  },
  {
    id: 'S13',
    grade: 'must',
    stop: true,
    when: 'another gas than air in the line',
    fix: 'Ask a specialist for that gas.',
    source: 'outside the range of the program',
    finds: (line) =>
      line.plan.survey.site.gas === 'other'
        ? [
            ofLine(
              'There is another gas than air in this line.',
              'Its hazards are others, and none of the figures here holds for it.',
            ),
          ]
        : [],
  },
  {
    id: 'S14',
    grade: 'must',
    stop: true,
    when: 'any part above 200 psi (13.8 bar)',
    fix: 'Ask a pressure engineer.',
    source: 'outside the range of the program',
    finds: (line) =>
      line.compressors
        .filter((s) => line.gauge(s.parameters.cutOutPa) > MOST_PLANNED_PA)
        .map((s) =>
          at(
            s,
            (say) => `${s.name} runs up to ${say(s.parameters.cutOutPa, 'pressure')}.`,
            (say) => `This program plans up to ${say(MOST_PLANNED_PA, 'pressureDifference')}.`,
          ),
        ),
  },
  {
    id: 'S15',
    grade: 'must',
    stop: true,
    when: 'electrics of unknown rating where the air may explode',
    fix: 'Have the area classified, and fit what is rated for it.',
    source: 'NEC 500, ATEX, recalled',
    finds: (line) =>
      line.plan.survey.site.area === 'unrated'
        ? [
            ofLine(
              'The electrical rating for this area is not checked.',
              'Ordinary solenoids, fans and meters ignite what is in the air.',
            ),
          ]
        : [],
  },
  {
    id: 'A02',
    grade: 'must',
    stop: true,
    when: 'a tube, fluid cooler or hose without a rating for compressed air',
    fix: 'Ask its maker for a rating in writing. None means: remove it.',
    source: 'common practice',
    finds: (line) => {
      const why = 'Fuel line, plumbing tube and household hose are not made for hot, pulsing air.';
      return [
        ...line
          .of('cooling-run')
          .filter((s) => s.parameters.tube === 'none')
          .map((s) =>
            at(s, `${s.name} has no rating for air.`, why, set('Use tube that is rated', s, { tube: 'rated' })),
          ),
        ...line
          .of('fluid-cooler')
          .filter((s) => s.parameters.rating === 'none')
          .map((s) =>
            at(
              s,
              `The maker of ${s.name} says nothing of air.`,
              'It needs a stated burst pressure of four to five times the working pressure.',
              put('Add an aftercooler made for air', 'before', s, ['aftercooler']),
              takeOut('Remove it', s),
            ),
          ),
        ...line
          .of('hose')
          .filter((s) => s.parameters.print === 'no')
          .map((s) =>
            at(
              s,
              `${s.name} has no rating on it.`,
              why,
              set('Use a hose with its rating printed on it', s, { print: 'yes' }),
            ),
          ),
      ];
    },
  },
  {
    id: 'A03',
    grade: 'note',
    when: 'it is not recorded whether the line is used for breathing air',
    fix: 'Ask, and say so in the Survey.',
    source: 'common practice',
    finds: (line) =>
      line.plan.survey.site.breathed === 'not-said'
        ? [
            ofLine(
              'Is this line used for breathing air?',
              'A hood, mask or cylinder makes it breathing air.',
              answer('No', { breathed: 'no' }),
              answer('Yes', { breathed: 'yes' }),
            ),
          ]
        : [],
  },
];
