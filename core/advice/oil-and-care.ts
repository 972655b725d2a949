import { DRYERS, is, SENSITIVE } from '../equipment/groups';
import { both } from './dryers';
import { at, put, set, takeOut } from './mend';
import type { Rule } from './rule';

const SPOILT_BY_OIL = [...SENSITIVE, 'blasting', 'breathing'] as const;

/** Where oil goes, and what shows that carbon and valves still work. */
export const OIL_AND_CARE: readonly Rule[] = [
  {
    id: 'O11',
    grade: 'must',
    when: 'a lubricator before a use or a dryer that oil spoils',
    mend: 'Take the dry line off before the lubricator.',
    source: 'common practice: it oils everything behind it for good',
    finds: (line) =>
      line.of('lubricator').flatMap((s) => {
        const hit = line
          .downstream(s)
          .find(
            (d) =>
              is(DRYERS, d.kind) ||
              (d.kind === 'outlet' && (SPOILT_BY_OIL as readonly string[]).includes(d.parameters.use)),
          );
        return hit
          ? [
              at(
                [s, hit],
                `${s.name} sends oil to ${hit.name}.`,
                'It never comes out of hose and pipe again.',
                takeOut('Take the lubricator out', s),
              ),
            ]
          : [];
      }),
  },
  {
    id: 'O56',
    grade: 'should',
    when: 'oil class 1 or 2 from an oil-free pump without coalescers and carbon',
    mend: '1 µm, 0.01 µm and carbon.',
    source: 'common practice: the air of the room has oil in it',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const before = line.upstream(s);
        const strict = s.parameters.oilClass === '1' || s.parameters.oilClass === '2';
        if (
          !strict ||
          line.pumpOf(s)?.parameters.type !== 'oilfree' ||
          (before.some((u) => u.kind === 'carbon-filter') && before.some((u) => u.kind === 'coalescing-filter'))
        )
          return [];
        return [
          at(
            s,
            `An oil-free pump is not oil-free air: ${s.name} asks for class ${s.parameters.oilClass}.`,
            `The room’s own oil vapour comes along: class ${line.grades.get(s.id)?.oil ?? 'X'} arrives.`,
            put('Put coalescers and carbon before it', 'before', s, ...both, ['carbon-filter']),
          ),
        ];
      }),
  },
  {
    id: 'O57',
    grade: 'note',
    when: 'a dryer whose valves are moved by air from the wet side',
    mend: 'Feed its valves from dry air.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('twin-tower')
        .filter((s) => s.parameters.pilot === 'wet')
        .map((s) =>
          at(
            s,
            `The valves of ${s.name} are moved by wet air.`,
            'They stick, and the towers stop changing over.',
            set('Feed them from behind the dryer', s, { pilot: 'dry' }),
          ),
        ),
  },
  {
    id: 'O63',
    grade: 'note',
    when: 'carbon whose hours nobody counts',
    mend: 'Count its hours, and try it with a blotter and your nose.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('carbon-filter')
        .filter((s) => s.parameters.counted === 'no')
        .map((s) =>
          at(
            s,
            `Nobody counts the hours of ${s.name}.`,
            (say) =>
              `Spent carbon gives no sign on a gauge; here it lasts about ${say(line.shown(s, 'Lasts about') ?? 0, 'time')}.`,
            set('Count its hours', s, { counted: 'yes' }),
          ),
        ),
  },
];
