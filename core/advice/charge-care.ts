import { suitsBatch } from '../desiccant/dry-batch';
import { MEDIA } from '../desiccant/isotherm';
import { CHILLED, is } from '../equipment/groups';
import { loadedHoursPerDay } from '../line/working-day';
import type { Stage } from '../plan/plan';
import { coolIfWarm } from './cool-first';
import { dryersBefore, rightBefore } from './dryers';
import { at, put, set } from './fix';
import type { Rule } from './rule';

/** A charge that takes up nothing at this inlet counts as exhausted from this share on (estimate). */
const MOSTLY_SPENT = 0.5;
const MOST_CHARGE_KG = 500; // more than any cartridge holds (estimate)
const WEEK_DAYS = 5; // a new charge is made to last a week of work (estimate)
const DYE_MOST_C = 121.1; // 250 °F

/** Whether a charge of beads lasts its day, and how it was dried. */
export const CHARGE_CARE: readonly Rule[] = [
  {
    id: 'O54',
    grade: 'should',
    when: 'beads that last less than a working day',
    fix: 'Dry or cool the air upstream of them; a second cartridge.',
    source: 'computed from this line; the charge is a first model',
    finds: (line) =>
      line.of('bead-cartridge').flatMap((s) => {
        // Beads that take up nothing any more tell no time: they are exhausted.
        const lasts = line.lifeS(s) ?? (s.parameters.spentShare > MOSTLY_SPENT ? 0 : undefined);
        const day = loadedHoursPerDay(line.plan) * 3600;
        if (lasts === undefined || lasts >= day) return [];
        const chilled = dryersBefore(line, s).some((d) => is(CHILLED, d.kind));
        const wholeS = lasts > 0 ? lasts / (1 - s.parameters.spentShare) : Number.POSITIVE_INFINITY;
        return [
          at(
            s,
            (say) =>
              lasts === 0
                ? `The beads in ${s.name} are exhausted.`
                : `The beads in ${s.name} last ${say(lasts, 'time')} of air.`,
            (say) => `A working day is ${say(day, 'time')} with the compressor loaded.`,
            chilled
              ? set('Use a larger, new charge', s, {
                  massKg: Math.min(MOST_CHARGE_KG, s.parameters.massKg * Math.max(2, (WEEK_DAYS * day) / wholeS)),
                  spentShare: 0,
                  charge: 'new',
                })
              : put(
                  'Add a refrigerated dryer and its filter upstream of them',
                  'before',
                  rightBefore(line, s)?.kind === 'coalescing-filter' ? (rightBefore(line, s) as Stage) : s,
                  ['refrigerated-dryer'],
                ),
            coolIfWarm(line, s),
          ),
        ];
      }),
  },
  {
    id: 'A39',
    grade: 'should',
    when: 'beads that were dried in an oven too cool for their medium',
    fix: 'The heat that the medium needs, by its maker; or a new charge.',
    source: 'trade handbook: gel from 230 °F, alumina from 350 °F, sieve from 450 °F',
    finds: (line) =>
      line.of('bead-cartridge').flatMap((s) => {
        const { medium, charge, ovenC } = s.parameters;
        const { leastC } = suitsBatch({ medium, dyed: false });
        if (charge !== 'oven' || ovenC >= leastC) return [];
        return [
          at(
            s,
            (say) => `The ${MEDIA[medium]} in ${s.name} was dried at ${say(ovenC, 'temperature')}: too cool.`,
            (say) => `Below ${say(leastC, 'temperature')} it keeps much of its water, and takes up less.`,
            set('Use a new charge', s, { charge: 'new', spentShare: 0 }),
          ),
        ];
      }),
  },
  {
    id: 'A24',
    grade: 'must',
    when: 'silica gel with a dye, dried hotter than 250 °F (121 °C)',
    fix: 'Retire that charge and replace it; dry the next at most at {120 °C}, until its weight stands.',
    source: 'common practice; reference group 12',
    finds: (line) =>
      line
        .of('bead-cartridge')
        .filter(
          (s) => s.parameters.medium === 'silica' && s.parameters.charge === 'oven' && s.parameters.ovenC > DYE_MOST_C,
        )
        .map((s) =>
          at(
            s,
            (say) => `The gel in ${s.name} was dried at ${say(s.parameters.ovenC, 'temperature')}: it is damaged.`,
            (say) =>
              `The limit of the dye is ${say(DYE_MOST_C, 'temperature')}. Beyond that its colour is no longer valid, and the gel takes up less.`,
            set('Use a new charge', s, { charge: 'new', spentShare: 0, ovenC: 120 }),
          ),
        ),
  },
];
