import { DESICCANT, DRYERS, FILTERS, is } from '../equipment/groups';
import { walk } from '../line/walk';
import { removeStage, setCheckFilter } from '../plan/edit';
import type { Stage } from '../plan/plan';
import { isDirty, isTooWet } from './at-the-job';
import { at, set, takeOut } from './fix';
import { LineFacts, WORTH_KG_PER_S } from './line-facts';
import type { Rule } from './rule';

// Limits: common practice of the trade.
const RATED_PA = 801_325; // absolute, 7 bar: where the flow on the plate is meant

const CYCLONE_LEAST = 0.2; // of its rated flow: it no longer spins (common practice, no source)

const SMALL_M3_PER_S = 0.02; // some 40 cfm: where each stage’s pressure is missed at the tool (estimate)

const SPARE_K = 3;

/** Of its rating, corrected for the pressure: air that is less compressed goes through faster. */
const loadOf = (line: LineFacts, s: Stage, flowM3PerS: number): number => {
  const rated = (s.parameters as { ratedFlowM3PerS?: number }).ratedFlowM3PerS ?? 0;
  const pressure = line.inlet(s)?.pressurePa ?? RATED_PA;
  return rated > 0 ? flowM3PerS / (rated * (pressure / RATED_PA)) : 0;
};

/** A dust filter downstream of beads stands there for the day when they crumble. */
const guardsDust = (line: LineFacts, s: Stage): boolean =>
  s.kind === 'particulate-filter' && line.upstream(s).some((u) => is(DESICCANT, u.kind));

/** What stands downstream of it is spoilt by oil. */
const guardsMedia = (line: LineFacts, s: Stage): boolean =>
  line.downstream(s).some((d) => is([...DESICCANT, 'membrane', 'carbon-filter'], d.kind));

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

/** Whether a filter is large enough, can be served, and has anything to do. */
export const FILTERING: readonly Rule[] = [
  {
    id: 'O28',
    grade: 'must',
    when: 'more air through a filter than it is rated for at its pressure',
    fix: 'A larger filter, or two side by side.',
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
            (say) => `That is ${say(load, 'share')} of what it can do there: it re-entrains oil, and loses pressure.`,
            set('Use a larger one', s, {
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
    fix: 'A smaller separator; a coalescer works at low flow.',
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
            (say) => `At ${say(load, 'share')} of its rated flow it separates little.`,
            set('Use a smaller one', s, { ratedFlowM3PerS: (s.parameters.ratedFlowM3PerS * load) / 0.6 }),
          ),
        ];
      }),
  },
  {
    id: 'O53',
    grade: 'should',
    when: 'a tool that draws more than its cartridge or filter is rated for',
    fix: 'A larger one, or two side by side.',
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
              `That is ${say(load, 'share')} of what it can do there: air channels through the bed, and dust is carried over.`,
            set('Use a larger one', s, { ratedFlowM3PerS: (s.parameters.ratedFlowM3PerS * load) / 0.8 }),
          ),
        ];
      }),
  },
  {
    id: 'O60',
    grade: 'note',
    when: 'a coalescer without a pressure-drop gauge',
    fix: 'Fit a gauge across it, and change the element by the calendar besides.',
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
    id: 'A07',
    grade: 'note',
    when: 'a filter or separator that finds nothing to catch',
    fix: 'Remove it, or mark it as a check filter: it should stay dry.',
    source: 'computed from this line',
    idle: true,
    finds: (line) =>
      line
        .of(...FILTERS, 'separator')
        .filter((s) => !s.checkFilter && s.kind !== 'tool-filter' && !guardsDust(line, s) && idle(line, s))
        .map((s) =>
          at(
            s,
            `${s.name} catches nothing here.`,
            (say) =>
              `It costs ${say((line.inlet(s)?.pressurePa ?? 0) - (line.at(s)?.pressurePa ?? 0), 'pressureDifference')}, and takes out neither water nor oil nor dust.`,
            takeOut('Remove it', s),
            { does: 'Keep it as a check filter', edit: (plan) => setCheckFilter(plan, s.id, true) },
          ),
        ),
  },
  {
    id: 'A09',
    grade: 'should',
    when: 'no room below a bowl to take it off',
    fix: 'Mount it higher.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('bowl-filter', 'coalescing-filter')
        .filter((s) => s.parameters.roomBelow === 'none')
        .map((s) =>
          at(
            s,
            `There is no room to drop the bowl of ${s.name}.`,
            'A bowl that cannot be removed is not cleaned.',
            set('Mount it higher', s, { roomBelow: 'enough' }),
          ),
        ),
  },
  {
    id: 'A40',
    grade: 'note',
    when: 'a dryer, fine coalescer or carbon on a small compressor, without which every job still gets what it asks for',
    fix: 'It can be removed if no other job is planned: its pressure loss is regained.',
    source: 'computed from this line, with 5 °F (3 K) to spare',
    finds: (line) => {
      if (line.compressors.reduce((sum, p) => sum + p.parameters.freeAirDeliveryM3PerS, 0) > SMALL_M3_PER_S) return [];
      const outlets = line.of('outlet');
      if (outlets.length === 0 || outlets.some((o) => !line.at(o) || isTooWet(line, o) || isDirty(line, o))) return [];
      return line
        .of(...DRYERS, 'carbon-filter', 'coalescing-filter')
        .filter((s) => s.kind !== 'coalescing-filter' || (s.parameters.grade === 'fine' && !guardsMedia(line, s)))
        .flatMap((s) => {
          const plan = removeStage(line.entered, s.id);
          const after = new LineFacts(plan, walk(plan));
          const met = after
            .of('outlet')
            .every((o) => after.at(o) && !isTooWet(after, o, SPARE_K) && !isDirty(after, o));
          if (!met) return [];
          const lossPa = (line.inlet(s)?.pressurePa ?? 0) - (line.at(s)?.pressurePa ?? 0);
          return [
            at(
              s,
              `No job here needs ${s.name}.`,
              (say) =>
                `Without it each still gets what it asks for, and ${say(lossPa, 'pressureDifference')} is regained.`,
              takeOut('Remove it', s),
            ),
          ];
        });
    },
  },
];
