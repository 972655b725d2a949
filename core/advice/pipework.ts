import { DESICCANT, is, TOWERS } from '../equipment/groups';
import { measuresOf } from '../piping/legs';
import { DRAWN_KINDS } from '../plan/drawn';
import { setLegs } from '../plan/edit-legs';
import type { Stage } from '../plan/plan';
import { at, put, set } from './fix';
import type { LineFacts } from './line-facts';
import type { Rule } from './rule';

const FALL_LEAST = 0.01; // 1 to 2 % (common practice, no source)

const SHORT_M = 6; // 20 ft: less holds little water (estimate)

const COLD_JACKET_C = -10; // hose stiffens below (common practice, no source)

/** Hottest air for a hose, by its jacket (common practice, no source). */
const JACKET_C = { rubber: 70, pvc: 50, polyurethane: 60, nitrile: 100 } as const;

const DRY_BY_K = 10; // 18 °F under the room, as much as instrument air is given to spare (estimate)

/** Water lies in it: the air comes with drops, or drops some here. */
const wet = (line: LineFacts, s: Stage): boolean =>
  (line.at(s)?.liquidKgPerS ?? 0) > 0 || (line.at(s)?.caughtKgPerS ?? 0) > 0 || (line.inlet(s)?.liquidKgPerS ?? 0) > 0;

const dry = (line: LineFacts, s: Stage): boolean => (line.inlet(s)?.pressureDewPointC ?? 99) < line.roomC(s) - DRY_BY_K;

const drains = (s: Stage | undefined): boolean =>
  s !== undefined && 'drain' in s.parameters && s.parameters.drain !== 'none';

/** Pipe, hose and fittings. */
export const PIPEWORK: readonly Rule[] = [
  {
    id: 'O32',
    grade: 'should',
    when: 'a take-off from the side or bottom of the main',
    fix: 'Take it off the top, with a gooseneck.',
    source: 'common practice: water runs on the bottom',
    finds: (line) =>
      line
        .of('pipe')
        .filter((s) => s.parameters.takeOff === 'side' && s.parameters.use !== 'main' && !dry(line, s))
        .map((s) =>
          at(
            s,
            `${s.name} leaves the main at its side or bottom.`,
            (say) =>
              `Water runs along the bottom, and enters it first; the air there is ${say(line.inlet(s) ? line.humidity(line.inlet(s) as never) : 1, 'share')} humid.`,
            set('Take it off the top', s, { takeOff: 'top' }),
          ),
        ),
  },
  {
    id: 'O33',
    grade: 'should',
    when: 'pipe in which water gathers, without a drip leg and drain',
    fix: 'A leg with a drain at the low point.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('pipe')
        .filter(
          (s) =>
            s.parameters.lengthM > SHORT_M &&
            wet(line, s) &&
            (s.parameters.legs === 0 || s.parameters.drain === 'none') &&
            !(line.next(s)?.kind === 'drip-leg' && drains(line.next(s))),
        )
        .map((s) =>
          at(
            s,
            `Water gathers in ${s.name}.`,
            (say) =>
              `${say(line.at(s)?.liquidKgPerS ?? 0, 'waterFlow')} of drops runs through it, and no drip leg catches it.`,
            set('Fit a drip leg with a drain', s, { legs: 1, drain: 'manual' }),
          ),
        ),
  },
  {
    id: 'O34',
    grade: 'should',
    when: 'a main that falls less than 1 %, in air that is not dry',
    fix: '1 to 2 % of fall to a leg that is drained.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('pipe')
        .filter(
          (s) =>
            s.parameters.use === 'main' &&
            s.parameters.lengthM > SHORT_M &&
            s.parameters.fall < FALL_LEAST &&
            !dry(line, s),
        )
        .map((s) =>
          at(
            s,
            `${s.name} has no fall: water stays in it.`,
            (say) => `It falls ${say(s.parameters.fall, 'fall')}; water runs from about ${say(FALL_LEAST, 'fall')} on.`,
            set('Hang it with a fall', s, { fall: 0.015 }),
          ),
        ),
  },
  {
    id: 'O44',
    grade: 'should',
    when: 'galvanised or black steel downstream of desiccant, before a use of particle class 1 or 2',
    fix: 'Aluminium, copper or stainless.',
    source: 'common practice: it sheds flakes',
    finds: (line) =>
      line.of('pipe').flatMap((s) => {
        const steel = s.parameters.material === 'black' || s.parameters.material === 'galvanised';
        const clean = line
          .downstream(s)
          .find(
            (d) => d.kind === 'outlet' && (d.parameters.particleClass === '1' || d.parameters.particleClass === '2'),
          );
        if (!steel || !clean || !line.upstream(s).some((u) => is([...DESICCANT, ...TOWERS], u.kind))) return [];
        return [
          at(
            [s, clean],
            `${s.name} sheds into clean air.`,
            `${s.parameters.material === 'black' ? 'Black' : 'Galvanised'} steel sheds flakes; ${clean.name} asks for particle class ${clean.kind === 'outlet' ? clean.parameters.particleClass : ''}.`,
            set('Lay stainless instead', s, { material: 'stainless' }),
          ),
        ];
      }),
  },
  {
    id: 'O45',
    grade: 'should',
    when: 'rigid pipe straight off a compressor that shakes',
    fix: 'A flexible joint rated for that heat and pressure.',
    source: 'common practice: it fatigues and cracks',
    finds: (line) =>
      line.compressors.flatMap((compressor) => {
        const next = line.next(compressor);
        const stiff =
          compressor.parameters.joint === 'rigid' ||
          (compressor.parameters.joint === 'not-said' && (next?.kind === 'pipe' || next?.kind === 'cooling-run'));
        if (!stiff || next?.kind === 'hose') return [];
        return [
          at(
            next ? [compressor, next] : [compressor],
            'Rigid pipe straight on a compressor that shakes will crack.',
            `Nothing flexible stands between ${compressor.name} and ${next?.name ?? 'the pipe'}.`,
            set('Make the first joint flexible', compressor, { joint: 'flexible' }),
          ),
        ];
      }),
  },
  {
    id: 'A17',
    grade: 'note',
    when: 'no valve right at the tank’s outlet',
    fix: 'A valve there: the compressor can be served without emptying the shop’s air.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('receiver')
        .filter((s) => line.of('receiver')[0] === s)
        .flatMap((s) => {
          const near = line
            .downstream(s)
            .filter((d) => !['gauge', 'relief-valve', 'sight-glass', 'hose', 'check-valve'].includes(d.kind));
          return near[0]?.kind === 'isolating-valve'
            ? []
            : [
                at(
                  s,
                  `No valve shuts ${s.name} off from the line.`,
                  `Each service of what stands upstream of ${near[0]?.name ?? 'the line'} empties the whole shop.`,
                  put('Add a valve at its outlet', 'behind', s, ['isolating-valve']),
                ),
              ];
        }),
  },
  {
    id: 'A18',
    grade: 'must',
    when: 'two halves of a coupling that do not mate',
    fix: 'Keep one pattern of plug, one flare, one thread.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('coupler')
        .filter((s) => !['match', 'not-said'].includes(s.parameters.halves))
        .map((s) =>
          at(
            s,
            `The halves of ${s.name} do not mate.`,
            {
              patterns: 'They are of two plug patterns: they do not lock, or lock and leak.',
              flares: 'A 37° flare does not seal on a 45° one.',
              threads: 'Two sorts of thread strip or leak, however much tape there is.',
            }[s.parameters.halves as 'patterns'],
            set('Make both halves of one sort', s, { halves: 'match' }),
          ),
        ),
  },
  {
    id: 'A19',
    grade: 'should',
    when: 'a hose whose jacket does not resist the oil, heat or cold in service',
    fix: 'A jacket of nitrile rubber, or what its maker names for it.',
    source: 'common practice; limits typical',
    finds: (line) =>
      line.of('hose').flatMap((s) => {
        const { jacket } = s.parameters;
        if (jacket === 'not-said') return [];
        const oil =
          jacket !== 'nitrile' && jacket !== 'polyurethane' && line.upstream(s).some((u) => u.kind === 'lubricator');
        const airC = line.inlet(s)?.temperatureC ?? 20;
        const heat = airC > JACKET_C[jacket];
        const cold = jacket === 'pvc' && line.roomC(s) < COLD_JACKET_C;
        if (!oil && !heat && !cold) return [];
        return [
          at(
            s,
            `The jacket of ${s.name} is wrong for its service.`,
            (say) =>
              oil
                ? 'The lubricator’s oil stiffens it until it cracks.'
                : heat
                  ? `Its limit is ${say(JACKET_C[jacket], 'temperature')}; the air comes at ${say(airC, 'temperature')}.`
                  : `At ${say(line.roomC(s), 'temperature')} it grows stiff and cracks.`,
            set('Use one that resists it', s, { jacket: 'nitrile' }),
          ),
        ];
      }),
  },
  {
    id: 'A43',
    grade: 'should',
    when: 'a drawn run with a low point that has no drain',
    fix: 'A drain at each low point, or let the run fall past it.',
    source: 'common practice: water stands in any low point, whatever made it',
    finds: (line) =>
      DRAWN_KINDS.flatMap((kind) => line.of(kind)).flatMap((s) => {
        const legs = s.fit?.legs;
        const wet = legs ? measuresOf(legs).undrained : [];
        if (!legs || wet.length === 0) return [];
        const where = wet.map((i) => i + 1).join(', ');
        return [
          at(
            s,
            `${s.name} has a low point without a drain.`,
            `Water stands at the end of leg ${where} of its run: it corrodes, freezes, and comes to the tool in slugs.`,
            {
              does: wet.length === 1 ? 'Fit a drain there' : 'Fit a drain at each',
              edit: (plan) =>
                setLegs(
                  plan,
                  s.id,
                  legs.map((leg, i) => (wet.includes(i) ? { ...leg, drain: true } : leg)),
                ),
            },
          ),
        ];
      }),
  },
  {
    id: 'A23',
    grade: 'must',
    when: 'a portable unit that stands in two places at once',
    fix: 'Name the second one, if there are two; else take it out of one place.',
    source: 'computed from this line',
    finds: (line) =>
      line.plan.units
        .filter((u) => u.form === 'portable')
        .flatMap((u, i, all) => {
          const own = line.stages.filter((s) => s.unit === u.id);
          const twin = all.slice(0, i).find((o) => o.name.trim().toLowerCase() === u.name.trim().toLowerCase());
          const [first] = own;
          const apart = new Set(own.map((s) => line.runOf(s).id)).size > 1;
          if (!first || (!twin && !apart)) return [];
          return [
            at(
              first,
              `${u.name} stands in two places at once.`,
              'It can dry or clean only where it is: the other place has none.',
              {
                does: 'Say that it is away here',
                edit: (plan) => ({
                  ...plan,
                  units: plan.units.map((o) => (o.id === u.id ? { ...o, is: 'away' as const } : o)),
                }),
              },
            ),
          ];
        }),
  },
];
