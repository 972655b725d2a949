import { DRYERS, is, SENSITIVE } from '../equipment/groups';
import { removeStage } from '../plan/edit';
import type { Stage } from '../plan/plan';
import { both } from './dryers';
import { answer, at, inTurn, put, set, stated, takeOut } from './fix';
import type { LineFacts } from './line-facts';
import type { Fix, Rule } from './rule';

const SPOILT_BY_OIL = [...SENSITIVE, 'blasting', 'breathing'] as const;

const isSpoilt = (s: Stage): boolean =>
  s.kind === 'outlet' && (SPOILT_BY_OIL as readonly string[]).includes(s.parameters.use);

/** Takes every use that oil spoils off upstream of a lubricator, each on a branch of its own; the tools stay downstream of it. */
function dryBranch(line: LineFacts, lubricator: Stage): Fix | undefined {
  const from = line.before(lubricator);
  if (!from || line.downstream(lubricator).some((d) => is(DRYERS, d.kind))) return undefined;
  return {
    does: 'Take a dry branch off upstream of the lubricator',
    edit: (plan, newId) => {
      let now = plan;
      for (const outlet of line.downstream(lubricator).filter(isSpoilt)) {
        const own = now.branches.find((b) => b.stages.some((s) => s.id === outlet.id));
        const alone = own?.stages.every((s) => s.kind !== 'outlet' || isSpoilt(s));
        if (own && alone && own.id !== line.runOf(lubricator).id) {
          now = { ...now, branches: now.branches.map((b) => (b.id === own.id ? { ...b, from: from.id } : b)) };
          continue;
        }
        const rest = removeStage(now, outlet.id);
        const name = `Dry branch to ${outlet.name}`.slice(0, 60);
        const dry = { id: newId(), name, from: from.id, into: null, split: 'pressure' as const, share: 0.5 };
        now = { ...rest, branches: [...rest.branches, { ...dry, stages: [outlet] }] };
      }
      return now;
    },
  };
}

/** Where oil goes, and what shows that carbon and valves still work. */
export const OIL_AND_CARE: readonly Rule[] = [
  {
    id: 'O11',
    grade: 'must',
    when: 'a lubricator before a use or a dryer that oil spoils',
    fix: 'Take the dry line off upstream of the lubricator.',
    source: 'common practice: it oils everything downstream of it for good',
    finds: (line) =>
      line.of('lubricator').flatMap((s) => {
        const later = line.downstream(s);
        const hit = later.find((d) => is(DRYERS, d.kind) || isSpoilt(d));
        if (!hit) return [];
        const oiled = later.some((d) => d.kind === 'outlet' && !isSpoilt(d));
        return [
          at(
            [s, hit],
            `${s.name} sends oil to ${hit.name}.`,
            'It cannot be removed from hose and pipe.',
            oiled && hit.kind === 'outlet' ? dryBranch(line, s) : undefined,
            inTurn('Remove the lubricator', takeOut('', s), answer('', { oiledOnce: 'yes' })),
          ),
        ];
      }),
  },
  {
    id: 'A41',
    grade: 'should',
    when: 'a line that was oiled once, before a use that oil spoils',
    fix: 'Replace the hose, clean or replace the pipe; a coalescer at the tool until then.',
    source: 'common practice: oil creeps on for months',
    finds: (line) =>
      line.plan.survey.site.oiledOnce === 'no' || line.of('lubricator').length > 0
        ? []
        : line
            .of('outlet')
            .filter(isSpoilt)
            .slice(0, 1)
            .map((s) =>
              at(
                s,
                `This line was oiled once: ${s.name} still gets some of it.`,
                'What a lubricator left in hose and pipe creeps on to the tool.',
                stated(answer('Hose and pipe were replaced or cleaned', { oiledOnce: 'no' })),
              ),
            ),
  },
  {
    id: 'O56',
    grade: 'should',
    when: 'oil class 1 or 2 from an oil-free compressor without coalescers and carbon',
    fix: '1 µm, 0.01 µm and carbon.',
    source: 'common practice: the air of the room has oil in it',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const before = line.upstream(s);
        const strict = s.parameters.oilClass === '1' || s.parameters.oilClass === '2';
        if (
          !strict ||
          line.compressorOf(s)?.parameters.type !== 'oilfree' ||
          (before.some((u) => u.kind === 'carbon-filter') && before.some((u) => u.kind === 'coalescing-filter'))
        )
          return [];
        return [
          at(
            s,
            `An oil-free compressor is not oil-free air: ${s.name} asks for class ${s.parameters.oilClass}.`,
            `The room’s own oil vapour comes along: class ${line.grades.get(s.id)?.oil ?? 'X'} arrives.`,
            put('Add coalescers and carbon upstream of it', 'before', s, ...both, ['carbon-filter']),
          ),
        ];
      }),
  },
  {
    id: 'O57',
    grade: 'note',
    when: 'a dryer whose valves are moved by air from the wet side',
    fix: 'Feed its valves from dry air.',
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
            set('Feed them from downstream of the dryer', s, { pilot: 'dry' }),
          ),
        ),
  },
  {
    id: 'O63',
    grade: 'note',
    when: 'carbon whose hours nobody counts',
    fix: 'Count its hours, and check it with a blotter and by smell.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('carbon-filter')
        .filter((s) => s.parameters.counted === 'no')
        .map((s) =>
          at(
            s,
            `Nobody counts the hours of ${s.name}.`,
            (say) => `Exhausted carbon shows on no gauge; here it lasts about ${say(line.lifeS(s) ?? 0, 'time')}.`,
            set('Count its hours', s, { counted: 'yes' }),
          ),
        ),
  },
];
