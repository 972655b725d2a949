import { CATCHERS } from '../equipment/groups';
import type { Stage } from '../plan/plan';
import { at, carry, put, set, takeOut } from './fix';
import { WORTH_KG_PER_S } from './line-facts';
import type { Rule } from './rule';

const SATURATED = 0.99; // relative humidity; the rest is what a sensor is off by (estimate)

const drainOf = (s: Stage): string => (s.parameters as { drain?: string }).drain ?? 'none';

/** What takes drops out of the air. */
export const CATCHING: readonly Rule[] = [
  {
    id: 'O04',
    grade: 'must',
    when: 'anything that takes water out of the air, without a drain',
    fix: 'Fit a drain.',
    source: 'common practice: a full sump gives back what it gets',
    finds: (line) =>
      line
        .of(...CATCHERS)
        .filter((s) => drainOf(s) === 'none')
        .map((s) =>
          at(
            s,
            `${s.name} has no drain: it fills up.`,
            (say) =>
              `Once full it separates nothing, and ${say(line.at(s)?.liquidKgPerS ?? 0, 'waterFlow')} of drops goes on.`,
            set('Fit a float drain', s, { drain: 'float' }),
            set('Fit a level-sensing drain', s, { drain: 'level' }),
          ),
        ),
  },
  {
    id: 'O05',
    grade: 'should',
    when: 'a coalescer before any separator or wet tank',
    fix: 'Put it downstream of the tank.',
    source: 'common practice',
    finds: (line) =>
      line.of('coalescing-filter').flatMap((s) => {
        const before = line.upstream(s);
        if (
          before.some((u) =>
            [
              'separator',
              'receiver',
              'bowl-filter',
              'droplet-separator',
              'high-inlet-dryer',
              'refrigerated-dryer',
              'cycling-dryer',
            ].includes(u.kind),
          )
        )
          return [];
        const tank = line.downstream(s).find((d) => d.kind === 'receiver' && line.runOf(d) === line.runOf(s));
        return [
          at(
            s,
            `${s.name} gets all the water as slugs.`,
            (say) =>
              `Slugs flood its fibres: ${say(line.inlet(s)?.liquidKgPerS ?? 0, 'waterFlow')} of drops reaches it, more after each start.`,
            tank
              ? carry(`Move it downstream of ${tank.name}`, s, 'behind', tank)
              : put('Add a separator upstream of it', 'before', s, ['separator', { drain: 'float' }]),
          ),
        ];
      }),
  },
  {
    id: 'O06',
    grade: 'should',
    when: 'a 0.01 µm coalescer without a 1 µm one upstream of it',
    fix: 'Add a 1 µm coalescer upstream of it.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('coalescing-filter')
        .filter(
          (s) =>
            s.parameters.grade === 'fine' &&
            !line.upstream(s).some((u) => u.kind === 'coalescing-filter' && u.parameters.grade === 'general'),
        )
        .map((s) =>
          at(
            s,
            `${s.name} has no coarser filter upstream of it.`,
            `All the oil and dirt loads the fine element, ${(line.grades.get(line.before(s)?.id ?? '')?.dirt.oilMg ?? 0).toPrecision(2)} mg of oil in each m³: it blocks early.`,
            put('Add a 1 µm coalescer upstream of it', 'before', s, ['coalescing-filter', { grade: 'general' }]),
          ),
        ),
  },
  {
    id: 'O64',
    grade: 'note',
    when: 'two coalescers of the same grade in a row',
    fix: 'Remove one, or make them of different grades.',
    source: 'common practice',
    idle: true,
    finds: (line) =>
      line.of('coalescing-filter').flatMap((s) => {
        const next = line.next(s);
        if (next?.kind !== 'coalescing-filter' || next.parameters.grade !== s.parameters.grade) return [];
        return [
          at(
            [next, s],
            `${next.name} repeats what ${s.name} does.`,
            (say) => `It only loses ${say(next.parameters.pressureLossPa, 'pressureDifference')}.`,
            takeOut('Remove it', next),
          ),
        ];
      }),
  },
  {
    id: 'A08',
    grade: 'should',
    when: 'water in a check filter, which should stay dry',
    fix: 'Find the fault upstream of it: a full bowl, a stuck drain, a dryer that is off.',
    source: 'common practice',
    finds: (line) =>
      line.stages
        .filter((s) => s.checkFilter && (line.at(s)?.caughtKgPerS ?? 0) > WORTH_KG_PER_S)
        .map((s) =>
          at(
            s,
            `${s.name} is a check filter, and it is wet.`,
            (say) => `${say(line.at(s)?.caughtKgPerS ?? 0, 'waterFlow')} passes all stages upstream of it.`,
          ),
        ),
  },
  {
    id: 'A10',
    grade: 'should',
    when: 'a hose reel in wet air, with nothing that drains it',
    fix: 'Dry or drop the water upstream of it, or drain the reel.',
    source: 'common practice: coiled hose is a dead leg',
    finds: (line) =>
      line.of('hose-reel').flatMap((s) => {
        const comes = line.inlet(s);
        if (!comes || s.parameters.drain !== 'none' || line.humidity(comes) < SATURATED) return [];
        return [
          at(
            s,
            `${s.name} holds water.`,
            (say) =>
              `The air comes saturated, with ${say(comes.liquidKgPerS, 'waterFlow')} of drops; it stays in the coils until a tool draws air.`,
            set('Drain it by hand', s, { drain: 'manual' }),
          ),
        ];
      }),
  },
];
