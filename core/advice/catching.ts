import { setWitness } from '../line/edit';
import type { Stage } from '../line/plan';
import { CATCHERS, DESICCANT, FILTERS, is } from './groups';
import type { LineFacts } from './line-facts';
import { at, carry, put, set, takeOut } from './mend';
import type { Rule } from './rule';

// Limits: common practice of the trade.
const RATED_PA = 801_325; // absolute, 7 bar: where the flow on the plate is meant
const CYCLONE_LEAST = 0.2;
const SATURATED = 0.99;
const WORTH_KG_PER_S = 1e-9;

const drainOf = (s: Stage): string => (s.parameters as { drain?: string }).drain ?? 'none';
/** Of its rating, corrected for the pressure: air that is less compressed goes through faster. */
const loadOf = (line: LineFacts, s: Stage, flowM3PerS: number): number => {
  const rated = (s.parameters as { ratedFlowM3PerS?: number }).ratedFlowM3PerS ?? 0;
  const pressure = line.inlet(s)?.pressurePa ?? RATED_PA;
  return rated > 0 ? flowM3PerS / (rated * (pressure / RATED_PA)) : 0;
};
/** A dust filter behind beads stands there for the day when they crumble. */
const guardsDust = (line: LineFacts, s: Stage): boolean =>
  s.kind === 'particulate-filter' && line.upstream(s).some((u) => is(DESICCANT, u.kind));
/** Takes nothing out of the air that it gets. */
const idle = (line: LineFacts, s: Stage): boolean => {
  const [comes, leaves, before, behind] = [
    line.inlet(s),
    line.at(s),
    line.grades.get(line.before(s)?.id ?? ''),
    line.grades.get(s.id),
  ];
  if (!comes || !leaves || !before || !behind) return false;
  return (
    leaves.caughtKgPerS < WORTH_KG_PER_S &&
    before.dirt.oilMg - behind.dirt.oilMg < 1e-6 &&
    behind.dirt.particle >= before.dirt.particle &&
    Math.abs(leaves.vapourKgPerS - comes.vapourKgPerS) < WORTH_KG_PER_S
  );
};

/** What takes drops, oil and dust out of the air. */
export const CATCHING: readonly Rule[] = [
  {
    id: 'O04',
    grade: 'must',
    when: 'anything that takes water out of the air, without a drain',
    mend: 'Fit a drain.',
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
              `Once it is full it catches nothing, and ${say(line.at(s)?.liquidKgPerS ?? 0, 'waterFlow')} of drops goes on.`,
            set('Fit a float drain', s, { drain: 'float' }),
            set('Fit a level-sensing drain', s, { drain: 'level' }),
          ),
        ),
  },
  {
    id: 'O05',
    grade: 'should',
    when: 'a coalescer before any separator or wet tank',
    mend: 'Put it behind the tank.',
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
            `${s.name} gets all the water as it comes.`,
            (say) =>
              `Slugs flood its fibres: ${say(line.inlet(s)?.liquidKgPerS ?? 0, 'waterFlow')} of drops reaches it, more after each start.`,
            tank
              ? carry(`Move it behind ${tank.name}`, s, 'behind', tank)
              : put('Put a separator before it', 'before', s, ['separator', { drain: 'float' }]),
          ),
        ];
      }),
  },
  {
    id: 'O06',
    grade: 'should',
    when: 'a 0.01 µm coalescer without a 1 µm one before it',
    mend: 'Put a 1 µm coalescer before it.',
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
            `${s.name} has no coarser filter before it.`,
            `All the oil and dirt loads the fine element, ${(line.grades.get(line.before(s)?.id ?? '')?.dirt.oilMg ?? 0).toPrecision(2)} mg of oil in each m³: it blocks early.`,
            put('Put a 1 µm coalescer before it', 'before', s, ['coalescing-filter', { grade: 'general' }]),
          ),
        ),
  },
  {
    id: 'O28',
    grade: 'must',
    when: 'more air through a filter than it is rated for at its pressure',
    mend: 'A larger filter, or two side by side.',
    source: 'capacity in proportion to the absolute pressure, common practice',
    finds: (line) =>
      [
        ...line.of('bowl-filter', 'coalescing-filter', 'particulate-filter', 'carbon-filter'),
        ...line.of('separator').filter((s) => s.parameters.flowRating === 'rated'),
      ].flatMap((s) => {
        const comes = line.inlet(s);
        const flow = comes ? line.flow(comes) : 0;
        const load = loadOf(line, s, flow);
        if (!comes || load <= 1) return [];
        return [
          at(
            s,
            (say) =>
              `${s.name} is too small: ${say(flow, 'volumeFlow')} goes through at ${say(comes.pressurePa, 'pressure')}.`,
            (say) =>
              `That is ${say(load, 'share')} of what it can do there: it throws back the oil it caught, and costs pressure.`,
            set('Take a larger one', s, {
              ratedFlowM3PerS: ((s.parameters as { ratedFlowM3PerS: number }).ratedFlowM3PerS * load) / 0.8,
            }),
          ),
        ];
      }),
  },
  {
    id: 'O29',
    grade: 'note',
    when: 'a cyclone at less than a fifth of its rated flow',
    mend: 'A smaller separator; a coalescer does not mind.',
    source: 'common practice',
    finds: (line) =>
      line.of('separator').flatMap((s) => {
        const comes = line.inlet(s);
        const load = comes && s.parameters.flowRating === 'rated' ? loadOf(line, s, line.flow(comes)) : 1;
        if (load >= CYCLONE_LEAST) return [];
        return [
          at(
            s,
            `The air goes too slowly through ${s.name}.`,
            (say) => `At ${say(load, 'share')} of its rated flow it hardly swirls.`,
            set('Take a smaller one', s, { ratedFlowM3PerS: (s.parameters.ratedFlowM3PerS * load) / 0.6 }),
          ),
        ];
      }),
  },
  {
    id: 'O53',
    grade: 'should',
    when: 'a tool that draws more than its cartridge or filter is rated for',
    mend: 'A larger one, or two side by side.',
    source: 'the part’s own rating',
    finds: (line) =>
      line.of('bead-cartridge', 'tool-filter', 'droplet-separator').flatMap((s) => {
        const tool = line
          .downstream(s)
          .filter((d) => d.kind === 'outlet')
          .sort((a, b) => b.parameters.flowM3PerS - a.parameters.flowM3PerS)[0];
        const load = tool ? loadOf(line, s, tool.parameters.flowM3PerS) : 0;
        if (!tool || load <= 1) return [];
        return [
          at(
            [s, tool],
            (say) => `${tool.name} draws ${say(tool.parameters.flowM3PerS, 'volumeFlow')}: too fast for ${s.name}.`,
            (say) =>
              `That is ${say(load, 'share')} of what it can do there: the air finds a channel, and dust comes along.`,
            set('Take a larger one', s, { ratedFlowM3PerS: (s.parameters.ratedFlowM3PerS * load) / 0.8 }),
          ),
        ];
      }),
  },
  {
    id: 'O60',
    grade: 'note',
    when: 'a coalescer without a pressure-drop gauge',
    mend: 'Fit a gauge across it, and change the element by the calendar besides.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('coalescing-filter')
        .filter((s) => s.parameters.indicator === 'none')
        .map((s) =>
          at(
            s,
            `Nothing shows how far ${s.name} has loaded up.`,
            (say) =>
              `Entered as ${say(s.parameters.pressureLossPa, 'pressureDifference')} now and ${say(s.parameters.cleanLossPa, 'pressureDifference')} when new.`,
            set('Fit a gauge across it', s, { indicator: 'fitted' }),
          ),
        ),
  },
  {
    id: 'O64',
    grade: 'note',
    when: 'two coalescers of the same grade in a row',
    mend: 'Take one out, or make them of different grades.',
    source: 'common practice',
    finds: (line) =>
      line.of('coalescing-filter').flatMap((s) => {
        const next = line.next(s);
        if (next?.kind !== 'coalescing-filter' || next.parameters.grade !== s.parameters.grade) return [];
        return [
          at(
            [next, s],
            `${next.name} does again what ${s.name} has done.`,
            (say) => `It only costs ${say(next.parameters.pressureLossPa, 'pressureDifference')}.`,
            takeOut('Take it out', next),
          ),
        ];
      }),
  },
  {
    id: 'A07',
    grade: 'note',
    when: 'a filter or separator that finds nothing to catch',
    mend: 'Take it out, or call it a witness: it should stay empty.',
    source: 'computed from this line',
    finds: (line) =>
      line
        .of(...FILTERS, 'separator')
        .filter((s) => !s.witness && s.kind !== 'tool-filter' && !guardsDust(line, s) && idle(line, s))
        .map((s) =>
          at(
            s,
            `${s.name} catches nothing here.`,
            (say) =>
              `It costs ${say((line.inlet(s)?.pressurePa ?? 0) - (line.at(s)?.pressurePa ?? 0), 'pressureDifference')}, and takes out neither water nor oil nor dust.`,
            takeOut('Take it out', s),
            { does: 'Keep it as a witness', edit: (plan) => setWitness(plan, s.id, true) },
          ),
        ),
  },
  {
    id: 'A08',
    grade: 'should',
    when: 'water in a witness, which ought to stay empty',
    mend: 'Look for what fails before it: a full bowl, a stuck drain, a dryer that is off.',
    source: 'common practice',
    finds: (line) =>
      line.stages
        .filter((s) => s.witness && (line.at(s)?.caughtKgPerS ?? 0) > WORTH_KG_PER_S)
        .map((s) =>
          at(
            s,
            `${s.name} is a witness, and it is wet.`,
            (say) => `${say(line.at(s)?.caughtKgPerS ?? 0, 'waterFlow')} gets through all that stands before it.`,
          ),
        ),
  },
  {
    id: 'A09',
    grade: 'should',
    when: 'no room below a bowl to take it off',
    mend: 'Hang it higher.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('bowl-filter', 'coalescing-filter')
        .filter((s) => s.parameters.roomBelow === 'none')
        .map((s) =>
          at(
            s,
            `There is no room to drop the bowl of ${s.name}.`,
            'What cannot be taken off is not cleaned.',
            set('Hang it higher', s, { roomBelow: 'enough' }),
          ),
        ),
  },
  {
    id: 'A10',
    grade: 'should',
    when: 'a hose reel in wet air, with nothing that drains it',
    mend: 'Dry or drop the water before it, or drain the reel.',
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
              `The air comes saturated, with ${say(comes.liquidKgPerS, 'waterFlow')} of drops; coils keep it until a tool calls for it.`,
            set('Drain it by hand', s, { drain: 'manual' }),
          ),
        ];
      }),
  },
];
