import { CHILLED, COOLERS, FILTERS, is } from '../equipment/groups';
import { loadedHoursPerDay } from '../line/working-day';
import type { Stage } from '../plan/plan';
import { WORKING_WEEKS } from '../quantity/constants';
import { coolAtCompressor } from './cool-first';
import { at, carry, ofLine, put, set } from './fix';
import type { LineFacts } from './line-facts';
import type { Rule } from './rule';

// Limits: common practice of the trade.
export const DUTY_WANTS_COOLER = 0.3;
export const HOT_OVER_ROOM_K = 15;
const WARM_OVER_ROOM_K = 8;
export const APPROACH_MOST_K = 15;
const USUAL_APPROACH_K = 8; // 10–20 °F (common practice)
/** A standard refrigerated dryer takes no warmer air, °C: 120 °F (common practice). */
export const DRYER_INLET_C = 49;
const PLACES_APART_K = 8.33; // 15 °F
const WITHIN = 2; // elements downstream of a cooler (common practice, no source)
const HOT_ROOM_C = 25; // in a cooler one, warmth from the compressor is welcome (estimate)
const CP = 1005; // J/(kg·K), dry air

const cooled = (line: LineFacts, stage: Stage): boolean => line.upstream(stage).some((s) => is(COOLERS, s.kind));
const drains = (s: Stage): boolean => 'drain' in s.parameters && s.parameters.drain !== 'none';

/** Where the air is cooled, and what has to stand before and downstream of that. */
export const COOLING: readonly Rule[] = [
  {
    id: 'O01',
    grade: 'should',
    when: 'a piston compressor loaded over 30 % of the time, and nothing that cools the air upstream of the tank',
    fix: 'Add an aftercooler with a separator upstream of the tank.',
    source: 'common practice: 60 % and more of the water is still vapour there',
    finds: (line) =>
      line.of('receiver').flatMap((s) => {
        const compressor = line.compressorOf(s);
        const comes = line.inlet(s);
        const earlier = line
          .upstream(s)
          .some((u) => is(COOLERS, u.kind) || u.kind === 'receiver' || u.kind === 'high-inlet-dryer');
        if (!comes || !compressor || earlier || line.plan.survey.working.loadedShare <= DUTY_WANTS_COOLER) return [];
        if (!compressor.parameters.type.startsWith('piston') || comes.temperatureC < line.roomC(s) + HOT_OVER_ROOM_K)
          return [];
        const later =
          line.downstream(s).reduce((sum, d) => sum + (line.at(d)?.caughtKgPerS ?? 0), 0) +
          (line.at(s)?.liquidKgPerS ?? 0);
        return [
          at(
            s,
            (say) => `The air goes into ${s.name} at ${say(comes.temperatureC, 'temperature')}.`,
            (say) =>
              `Most of its water is still vapour there: ${say(Math.max(later, line.at(s)?.vapourKgPerS ?? 0), 'waterFlow')} goes on into your lines.`,
            coolAtCompressor(line, s),
          ),
        ];
      }),
  },
  {
    id: 'O02',
    grade: 'must',
    when: 'a cooler whose water nothing takes away within the next two elements',
    fix: 'A separator with a drain directly downstream of the cooler.',
    source: 'common practice',
    finds: (line) =>
      line.of(...COOLERS).flatMap((s) => {
        const falls = line.at(s)?.liquidKgPerS ?? 0;
        const next = line.downstream(s).slice(0, WITHIN);
        if (falls <= 0 || drains(s) || next.some(drains)) return [];
        return [
          at(
            s,
            (say) => `Water condenses in ${s.name}, ${say(falls, 'waterFlow')}, and nothing takes it away.`,
            'It is carried on as drops into whatever comes next.',
            put('Add a separator with a drain downstream of it', 'behind', s, ['separator', { drain: 'float' }]),
          ),
        ];
      }),
  },
  {
    id: 'O03',
    grade: 'must',
    when: 'a separator before the air is cooled',
    fix: 'Move it downstream of the cooler.',
    source: 'common practice: a separator takes liquid only',
    finds: (line) =>
      line.of('separator').flatMap((s) => {
        const comes = line.inlet(s);
        if (!comes || comes.liquidKgPerS > 0 || comes.temperatureC < line.roomC(s) + HOT_OVER_ROOM_K) return [];
        const cooler = line.downstream(s).find((d) => is(COOLERS, d.kind));
        return [
          at(
            s,
            (say) => `${s.name} sees air of ${say(comes.temperatureC, 'temperature')}: its water is vapour.`,
            (say) =>
              `No water condenses above ${say(comes.pressureDewPointC, 'temperature')}, and a separator catches drops only.`,
            cooler
              ? carry(`Move it downstream of ${cooler.name}`, s, 'behind', cooler)
              : put('Add a cooler upstream of it', 'before', s, ['aftercooler']),
          ),
        ];
      }),
  },
  {
    id: 'A05',
    grade: 'should',
    when: 'a filter where the air is so warm that its water passes as vapour and condenses later',
    fix: 'Cool the air first, or put the filter where it is cool.',
    source: 'common practice: “50 ft away”, in other words cooled',
    finds: (line) =>
      line.of('bowl-filter', 'coalescing-filter', 'droplet-separator').flatMap((s) => {
        const comes = line.inlet(s);
        if (!comes || comes.liquidKgPerS > 0 || comes.temperatureC < line.roomC(s) + WARM_OVER_ROOM_K) return [];
        if (comes.pressureDewPointC < line.roomC(s) + 1) return [];
        return [
          at(
            s,
            `Water passes ${s.name} as vapour.`,
            (say) =>
              `The air is ${say(comes.temperatureC, 'temperature')} there and its water condenses only below ${say(comes.pressureDewPointC, 'temperature')}: ${say(comes.vapourKgPerS, 'waterFlow')} goes through.`,
            cooled(line, s)
              ? put('Cool it further upstream of the filter', 'before', s, ['cooling-run'])
              : coolAtCompressor(line, s),
          ),
        ];
      }),
  },
  {
    id: 'A36',
    grade: 'should',
    when: 'air that leaves the last cooler before tank, filter or dryer more than 27 °F (15 K) above the room',
    fix: 'A larger cooler, a cleaner one, or a second one downstream of it.',
    source: 'common practice: 10 to 20 °F (5 to 11 K) above the cooling air is usual',
    finds: (line) =>
      line.of('aftercooler', 'fluid-cooler', 'cooling-run').flatMap((s) => {
        const leaves = line.at(s);
        const later = line.downstream(s);
        const follows = later.find((d) => is([...COOLERS, ...CHILLED, ...FILTERS, 'separator', 'receiver'], d.kind));
        if (!leaves || !follows || is(COOLERS, follows.kind)) return [];
        const aboveK = leaves.temperatureC - line.roomC(s);
        if (aboveK <= APPROACH_MOST_K) return [];
        return [
          at(
            [s, follows],
            (say) => `${s.name} is too small: air leaves it ${say(aboveK, 'temperatureDifference')} above its room.`,
            (say) =>
              `It goes on to ${follows.name} at ${say(leaves.temperatureC, 'temperature')}: its water condenses downstream.`,
            s.kind === 'aftercooler' && s.parameters.method !== 'measured'
              ? set('Use a larger one', s, { method: 'approach', approachK: USUAL_APPROACH_K })
              : put(
                  'Add an aftercooler and a separator downstream of it',
                  'behind',
                  s,
                  ['aftercooler'],
                  ['separator', { drain: 'float' }],
                ),
          ),
        ];
      }),
  },
  {
    id: 'O12',
    grade: 'must',
    when: 'a standard refrigerated dryer on air of more than 120 °F (49 °C)',
    fix: 'A cooler upstream of it, or a dryer made for hot air.',
    source: 'common practice',
    finds: (line) =>
      line.of(...CHILLED).flatMap((s) => {
        const arrives = line.inlet(s)?.temperatureC ?? 0;
        if (arrives <= DRYER_INLET_C) return [];
        return [
          at(
            s,
            (say) =>
              `${s.name} gets air of ${say(arrives, 'temperature')}; the limit is ${say(DRYER_INLET_C, 'temperature')}.`,
            'It trips on heat, and then the line is wet.',
            coolAtCompressor(line, s),
          ),
        ];
      }),
  },
  {
    id: 'O48',
    grade: 'note',
    when: 'the intake air is much warmer or colder than the air around the cooler',
    fix: 'Measure both, and enter both.',
    source: 'common practice: 15 °F apart',
    finds: (line) => {
      const { intakeTemperatureC, roomTemperatureC } = line.around;
      return intakeTemperatureC - roomTemperatureC > PLACES_APART_K
        ? [
            ofLine(
              (say) =>
                `The intake air has ${say(intakeTemperatureC, 'temperature')}, the cooler ${say(roomTemperatureC, 'temperature')}: are both right?`,
              'The air leaves the cooler a little above the air that cools it, not above the intake air.',
            ),
          ]
        : [];
    },
  },
  {
    id: 'O59',
    grade: 'should',
    when: 'the compressor room is 15 °F (8 K) or more above the intake air',
    fix: 'Duct the warm air out, or open a louvre.',
    source: 'common practice',
    finds: (line) => {
      const { intakeTemperatureC, roomTemperatureC } = line.around;
      const warmer = roomTemperatureC - intakeTemperatureC;
      return warmer > PLACES_APART_K && roomTemperatureC > HOT_ROOM_C
        ? [
            ofLine(
              (say) => `The room is ${say(warmer, 'temperatureDifference')} warmer than the air outside it.`,
              (say) =>
                `Cooler and dryer work against ${say(roomTemperatureC, 'temperature')}, the temperature of the room.`,
            ),
          ]
        : [];
    },
  },
  {
    id: 'O65',
    grade: 'should',
    when: 'a water-cooled cooler whose water is at a higher pressure than the air',
    fix: 'Lower the water pressure, and look for water with the air off.',
    source: 'common practice',
    finds: (line) =>
      line.of('water-cooler').flatMap((s) => {
        const least = line.gauge(line.compressorOf(s)?.parameters.cutInPa ?? 0);
        const water = s.parameters.waterGaugePa;
        if (water <= least) return [];
        return [
          at(
            s,
            (say) =>
              `The water in ${s.name} can stand at ${say(water, 'pressureDifference')}, above the air’s ${say(least, 'pressureDifference')}.`,
            'A leak would put cooling water into the air.',
            set('Reduce the water below the air', s, { waterGaugePa: Math.round(least * 0.8) }),
          ),
        ];
      }),
  },
  {
    id: 'A06',
    grade: 'note',
    when: 'the compressor draws heated or air-conditioned air',
    fix: 'Weigh drier intake air against what it costs to make up.',
    source: 'heat of the air drawn, computed',
    finds: (line) =>
      line
        .of('intake')
        .filter((s) => s.parameters.conditioned === 'yes')
        .map((s) => {
          const days = line.plan.survey.working.days.length * WORKING_WEEKS;
          const perKelvin = (line.section.dryAirKgPerS * CP * loadedHoursPerDay(line.plan) * days) / 1000;
          return at(
            s,
            `${s.name} draws air that you paid to heat or cool.`,
            (say) =>
              `Each ${say(10, 'temperatureDifference')} between outdoors and the room is some ${Math.round(perKelvin * 10)} kWh of heat a year.`,
          );
        }),
  },
];
