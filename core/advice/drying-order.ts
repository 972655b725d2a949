import { CHILLED, DESICCANT, DRYERS, is, SENSITIVE, TOWERS } from '../equipment/groups';
import type { Stage } from '../plan/plan';
import { both, outletsBehind, rightBefore } from './dryers';
import { at, carry, inTurn, put, set, takeOut } from './fix';
import type { Rule } from './rule';

/** What has to stand before and downstream of a dryer. */
export const DRYING_ORDER: readonly Rule[] = [
  {
    id: 'O07',
    grade: 'must',
    when: 'desiccant or carbon downstream of an oiled compressor with no coalescer directly upstream of it',
    fix: 'Coalescers of 1 µm and 0.01 µm directly upstream of it.',
    source: 'common practice: oil spoils it for good',
    finds: (line) =>
      !line.oiled
        ? []
        : [...line.of(...DESICCANT), ...line.of('carbon-filter')].flatMap((s) => {
            const before =
              s.kind === 'carbon-filter'
                ? line.upstream(s).find((u) => u.kind === 'coalescing-filter')
                : rightBefore(line, s);
            if (before?.kind === 'coalescing-filter') return [];
            // A membrane with its fine coalescer lets no oil through either.
            const fine = (u: Stage): boolean => u.kind === 'coalescing-filter' && u.parameters.grade === 'fine';
            if (before?.kind === 'membrane' && line.upstream(before).some(fine)) return [];
            const oil = line.grades.get(line.before(s)?.id ?? '')?.dirt.oilMg;
            return [
              at(
                s,
                `No coalescer stands directly upstream of ${s.name}.`,
                `Oil coats the ${s.kind === 'carbon-filter' ? 'carbon' : 'beads'} for good${oil === undefined ? '' : `: ${oil.toPrecision(2)} mg in each m³ reaches them`}.`,
                put('Add 1 µm and 0.01 µm coalescers upstream of it', 'before', s, ...both),
              ),
            ];
          }),
  },
  {
    id: 'O08',
    grade: 'must',
    when: 'a bead cartridge before a refrigerated dryer',
    fix: 'Swap them.',
    source: 'common practice: four to ten times the load',
    finds: (line) =>
      line.of('bead-cartridge').flatMap((s) => {
        const chilled = line.downstream(s).find((d) => is(CHILLED, d.kind) && line.runOf(d) === line.runOf(s));
        const comes = line.inlet(s);
        if (!chilled) return [];
        return [
          at(
            [s, chilled],
            `${s.name} adsorbs what ${chilled.name} would have condensed.`,
            (say) =>
              `${say((comes?.vapourKgPerS ?? 0) + (comes?.liquidKgPerS ?? 0), 'waterFlow')} reaches the beads; downstream of the dryer it would be a small part of that.`,
            carry(`Move it downstream of ${chilled.name}`, s, 'behind', chilled),
          ),
        ];
      }),
  },
  {
    id: 'O09',
    grade: 'should',
    when: 'a desiccant dryer before a sensitive use with no dust filter downstream of it',
    fix: 'A dust filter of 1 µm downstream of it.',
    source: 'common practice: beads shed dust',
    finds: (line) =>
      line.of(...DESICCANT).flatMap((s) => {
        const behind = line.downstream(s);
        const sensitive = outletsBehind(line, s).find(
          (o) =>
            (SENSITIVE as readonly string[]).includes(o.parameters.use) ||
            ['1', '2', '3'].includes(o.parameters.particleClass),
        );
        if (
          !sensitive ||
          behind.some((d) =>
            ['particulate-filter', 'coalescing-filter', 'carbon-filter', 'tool-filter'].includes(d.kind),
          )
        )
          return [];
        return [
          at(
            [s, sensitive],
            `Dust of the beads goes to ${sensitive.name}.`,
            `Beads crumble as they age, most of all when they are wet: nothing downstream of ${s.name} takes the dust out.`,
            put('Add a 1 µm dust filter downstream of it', 'behind', s, ['particulate-filter', { element: '1' }]),
          ),
        ];
      }),
  },
  {
    id: 'O10',
    grade: 'should',
    when: 'carbon upstream of a coalescer or upstream of a dryer',
    fix: 'Move it to the end.',
    source: 'common practice',
    finds: (line) =>
      line.of('carbon-filter').flatMap((s) => {
        const later = line
          .downstream(s)
          .filter((d) => (d.kind === 'coalescing-filter' || is(DRYERS, d.kind)) && line.runOf(d) === line.runOf(s))
          .at(-1);
        const comes = line.inlet(s);
        if (!later) return [];
        return [
          at(
            [s, later],
            `${s.name} stands upstream of ${later.name}.`,
            (say) =>
              `Carbon works on dry air without oil mist; here it gets ${say(comes ? line.humidity(comes) : 1, 'share')} humidity.`,
            carry(`Move it downstream of ${later.name}`, s, 'behind', later),
          ),
        ];
      }),
  },
  {
    id: 'A38',
    grade: 'should',
    when: 'a pellet tower with no filter downstream of it, or one that does not stand upright',
    fix: 'Stand it upright, and put a coalescer with a drain downstream of it.',
    source: 'common practice: brine and salt carry over, and eat steel',
    finds: (line) =>
      line.of('pellet-tower').flatMap((s) => {
        const guarded = line.downstream(s).some((d) => is(['coalescing-filter', 'bowl-filter', 'separator'], d.kind));
        const leans = s.parameters.stands === 'leaning';
        if (guarded && !leans) return [];
        return [
          at(
            s,
            leans
              ? `${s.name} does not stand upright.`
              : `Nothing downstream of ${s.name} keeps its brine out of the line.`,
            leans
              ? 'Its pellets settle to one side, and the air goes round them with the brine.'
              : 'Salt and brine carry over with a surge: they eat steel pipe and tools.',
            leans
              ? set('Stand it upright', s, { stands: 'upright' })
              : put('Add a coalescer downstream of it', 'behind', s, ['coalescing-filter', { drain: 'float' }]),
          ),
        ];
      }),
  },
  {
    id: 'O22',
    grade: 'must',
    when: 'a membrane downstream of an oiled compressor with no 0.01 µm coalescer upstream of it',
    fix: 'Coalescers of 1 µm and 0.01 µm upstream of it.',
    source: 'common practice: oil ruins the fibres for good',
    finds: (line) =>
      !line.oiled
        ? []
        : line
            .of('membrane')
            .filter(
              (s) => !line.upstream(s).some((u) => u.kind === 'coalescing-filter' && u.parameters.grade === 'fine'),
            )
            .map((s) =>
              at(
                s,
                `No 0.01 µm coalescer stands upstream of ${s.name}.`,
                'Oil ruins the fibres for good.',
                put('Add 1 µm and 0.01 µm coalescers upstream of it', 'before', s, ...both),
              ),
            ),
  },
  {
    id: 'O26',
    grade: 'must',
    stop: true,
    when: 'a heat-of-compression dryer downstream of an oiled pump',
    fix: 'Another type of dryer.',
    source: 'common practice: oil on hot beads burns',
    finds: (line) =>
      line
        .of('heat-of-compression-tower')
        .filter((s) => line.compressorOf(s)?.parameters.type !== 'oilfree')
        .map((s) =>
          at(
            s,
            `${s.name} needs hot air without oil; this compressor is oiled.`,
            'Oil fouls the hot bed, and can burn in it.',
            inTurn(
              'Add a heated twin tower in its place',
              put('', 'behind', s, ...both, ['heated-purge-tower', { ratedFlowM3PerS: s.parameters.ratedFlowM3PerS }]),
              takeOut('', s),
            ),
          ),
        ),
  },
  {
    id: 'O27',
    grade: 'should',
    when: 'a regulator upstream of a coalescer or a dryer',
    fix: 'Regulate downstream of them, unless a bowl is not rated for the tank’s pressure.',
    source: 'common practice: schools differ at bead cartridges',
    finds: (line) =>
      line.of('regulator').flatMap((s) => {
        const hit = line
          .downstream(s)
          .filter(
            (d) =>
              line.runOf(d) === line.runOf(s) &&
              (d.kind === 'coalescing-filter' || is([...CHILLED, ...TOWERS, 'membrane'], d.kind)),
          )
          .at(-1);
        const [a, b] = [line.inlet(s)?.pressurePa, line.at(s)?.pressurePa];
        if (!hit || !a || !b || a - b < 5e4) return [];
        return [
          at(
            [s, hit],
            `${hit.name} works downstream of ${s.name}, at low pressure.`,
            (say) =>
              `At ${say(b, 'pressure')} the air takes ${(a / b).toFixed(1)} times the room that it takes at ${say(a, 'pressure')}: faster through the filter, and less of it dried.`,
            carry(`Move the regulator downstream of ${hit.name}`, s, 'behind', hit),
          ),
        ];
      }),
  },
];
