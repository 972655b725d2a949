import { heldWater, ovenHumidity } from '../desiccant/isotherm';
import { CHILLED, COOLERS, DRYERS, is } from '../equipment/groups';
import { walk } from '../line/walk';
import { insertStage, moveStage, removeStage, setParameter } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { allStages, MAIN } from '../plan/runs';
import { made, type Values } from './fix';
import { LineFacts } from './line-facts';
import type { Measure } from './measures';

export interface School {
  readonly says: string;
  /** The line as this school would have it; left out, it changes nothing in the line. */
  readonly edit?: (plan: Plan, newId: () => string) => Plan;
  /** Measured apart from the line. */
  readonly gives?: Partial<Record<Measure, number>>;
  readonly remark?: string;
}

/** A question on which practitioners disagree. Common practice, no source; the figures are of this line. */
export interface Dispute {
  readonly id: string;
  readonly question: string;
  readonly concerns: (line: LineFacts) => boolean;
  readonly schools: readonly School[];
  readonly measures: readonly Measure[];
  /** When each is right. */
  readonly right: string;
}

const firstTank = (plan: Plan): number => plan.stages.findIndex((s) => s.kind === 'receiver');
const putAt = (plan: Plan, at: number, ...stages: Stage[]): Plan =>
  stages.reduce((p, s, i) => insertStage(p, s, at + i), plan);
const drop = (plan: Plan, of: (s: Stage, i: number) => boolean): Plan =>
  plan.stages.filter(of).reduce((p, s) => removeStage(p, s.id), plan);
/** The main run without what cools and separates upstream of its first tank, or upstream of its first filter. */
const uncooled = (plan: Plan): Plan => {
  const tank = firstTank(plan);
  const until = tank === -1 ? plan.stages.length : tank;
  return drop(plan, (s, i) => i < until && (is(COOLERS, s.kind) || s.kind === 'separator'));
};
const cooledBy =
  (kind: Stage['kind'], values: Values = {}) =>
  (plan: Plan, newId: () => string): Plan =>
    putAt(uncooled(plan), 2, made(newId(), kind, values), made(newId(), 'separator', { drain: 'float' }));
const outlets = (plan: Plan): Stage[] => allStages(plan).filter((s) => s.kind === 'outlet');
const undried = (plan: Plan): Plan => drop(plan, (s) => is(DRYERS, s.kind));
/** Stages downstream of the tank, where all the air passes them: what started at the tank starts at the last of them. */
const forAll = (plan: Plan, ...stages: Stage[]): Plan => {
  const at = behindTank(plan);
  const tank = plan.stages[at - 1]?.id;
  const branches = plan.branches.map((b) => (b.from === tank ? { ...b, from: stages.at(-1)?.id ?? b.from } : b));
  return putAt({ ...plan, branches }, at, ...stages);
};
const behindTank = (plan: Plan): number => Math.max(firstTank(plan) + 1, 2);
const wettest = (line: LineFacts): Stage | undefined =>
  line.stages
    .filter((s) => 'drain' in s.parameters && s.parameters.drain !== 'none')
    .toSorted((a, b) => (line.at(b)?.caughtKgPerS ?? 0) - (line.at(a)?.caughtKgPerS ?? 0))[0];
const drainedBy =
  (drain: string, values: Values = {}) =>
  (plan: Plan): Plan => {
    const at = wettest(new LineFacts(plan, walk(plan)));
    return at
      ? Object.entries({ drain, ...values }).reduce((p, [field, v]) => setParameter(p, at.id, field, v), plan)
      : plan;
  };
const fineBeside =
  (side: 'before' | 'behind') =>
  (plan: Plan): Plan => {
    const fine = plan.stages.find((s) => s.kind === 'coalescing-filter' && s.parameters.grade === 'fine');
    const without = fine ? removeStage(plan, fine.id) : plan;
    const dryer = without.stages.findIndex((s) => is(CHILLED, s.kind));
    return fine && dryer !== -1 ? moveStage(plan, fine.id, dryer + (side === 'behind' ? 1 : 0), MAIN) : plan;
  };
// The equations end at 200 °C (392 °F).
const F = (f: number): number => (f - 32) / 1.8;
const ROOM = [21.1, 0.5] as const; // the air round an oven, 70 °F and 50 % (reference group 12)
const oven = (f: number): Partial<Record<Measure, number>> => ({
  left: heldWater('silica', ovenHumidity(F(f), ...ROOM)),
});
const piston = (line: LineFacts): boolean => line.compressors.some((p) => p.parameters.type.startsWith('piston'));
const COLDER = 'twin-tower';

export const DISPUTES: readonly Dispute[] = [
  {
    id: 'far',
    question: 'The first filter fifty feet away, or the air cooled first?',
    concerns: piston,
    measures: ['intoTank', 'drops', 'weakestPa'],
    schools: [
      {
        says: 'Fifty feet of hose to the first filter',
        edit: (plan, newId) =>
          putAt(
            uncooled(plan),
            2,
            made(newId(), 'cooling-run', {
              material: 'hose',
              lengthM: 15.24,
              outsideDiameterM: 0.016,
              wallM: 0.003,
              legs: 0,
              drain: 'none',
            }),
          ),
      },
      { says: 'A cooler with a separator at the compressor', edit: cooledBy('aftercooler') },
    ],
    right:
      'Length only helps as far as it cools: copper in moving air does in a few metres what hose hardly does in fifty feet. Without a drain the water lies in its loops.',
  },
  {
    id: 'cooler',
    question: 'Copper run, belt-guard cooler or refrigerated dryer?',
    concerns: piston,
    measures: ['intoTank', 'dewPointC', 'drops', 'weakestPa'],
    schools: [
      {
        says: 'Fifty feet of copper with drained legs',
        edit: (plan, newId) => cooledBy('cooling-run')(undried(plan), newId),
      },
      {
        says: 'A cooler in the flywheel’s wind',
        edit: (plan, newId) => cooledBy('fluid-cooler', { wind: 'pump' })(undried(plan), newId),
      },
      {
        says: 'A refrigerated dryer downstream of the tank',
        edit: (plan, newId) => {
          const bare = undried(plan);
          return forAll(bare, made(newId(), 'coalescing-filter'), made(newId(), 'refrigerated-dryer', {}, plan));
        },
      },
    ],
    right:
      'Solvent paint now and then: cooling and a cartridge. Daily or water-borne work: the dryer, and cooling before it all the same.',
  },
  {
    id: 'tank',
    question: 'The cooler upstream of the tank, or after it?',
    concerns: (line) => piston(line) && line.of('receiver').length > 0,
    measures: ['intoTank', 'drops', 'dewPointC'],
    schools: [
      { says: 'Before it: the tank stays dry', edit: cooledBy('aftercooler') },
      {
        says: 'After it: no pulses, nothing for the unloader to empty',
        edit: (plan, newId) => {
          const bare = uncooled(plan);
          return putAt(
            bare,
            behindTank(bare),
            made(newId(), 'aftercooler'),
            made(newId(), 'separator', { drain: 'float' }),
          );
        },
      },
    ],
    right: 'Before, unless its volume upsets the unloader or hot pulses tire a thin cooler.',
  },
  {
    id: 'oven',
    question: 'How hot an oven for silica gel?',
    concerns: (line) => line.of('bead-cartridge').some((s) => s.parameters.medium === 'silica'),
    measures: ['left'],
    schools: [
      { says: '{57.2 °C} for an hour and a half', gives: oven(135), remark: 'dries in part only, again and again' },
      { says: '{121.1 °C} until the weight stands', gives: oven(250), remark: 'as much as a dye bears' },
      { says: '{148.9 °C} for two hours', gives: oven(300), remark: 'plain gel only: a dye does not bear it' },
      { says: '{204.4 °C} for half an hour', gives: oven(400), remark: 'never: it spoils the gel' },
    ],
    right:
      'Dyed gel at most {121.1 °C}, plain gel {148.9 °C}, to constant weight. Only clean beads, never in an oven for food, never unattended.',
  },
  {
    id: 'drains',
    question: 'Which drain where most water falls?',
    concerns: (line) => wettest(line) !== undefined,
    measures: ['airLost', 'drops'],
    schools: [
      { says: 'By hand, once a day', edit: drainedBy('manual'), remark: 'works while somebody remembers' },
      { says: 'A float', edit: drainedBy('float'), remark: 'sticks in rust and grit: try it weekly' },
      {
        says: 'A timer: 5 s every 20 min',
        edit: drainedBy('timer', { drainEveryS: 1200, drainOpenS: 5 }),
        remark: 'blows whether water comes or not',
      },
      { says: 'Level-sensing', edit: drainedBy('level'), remark: 'needs power, and its button tried weekly' },
      { says: 'None, and forgotten', edit: drainedBy('none'), remark: 'what a full sump gives' },
    ],
    right:
      'By hand only where little falls and somebody is there each day; level-sensing where air is dear or much falls.',
  },
  {
    id: 'each',
    question: 'One dryer for all, or one at each tool?',
    concerns: (line) => line.of('outlet').length > 1,
    measures: ['dewPointC', 'weakestPa', 'airLost'],
    schools: [
      {
        says: 'One refrigerated dryer downstream of the tank',
        edit: (plan, newId) => {
          const bare = undried(plan);
          return forAll(bare, made(newId(), 'coalescing-filter'), made(newId(), 'refrigerated-dryer', {}, plan));
        },
      },
      {
        says: 'A bead cartridge at each tool',
        edit: (plan, newId) => {
          const bare = undried(plan);
          return outlets(bare).reduce((p, o) => beadsBefore(p, o, newId), bare);
        },
      },
    ],
    right:
      'One for all while most of the air needs it. A dryer on a branch when less than a fifth of the flow needs a lower dew point.',
  },
  {
    id: 'fine',
    question: 'The 0.01 µm filter before or after the refrigerated dryer?',
    concerns: (line) =>
      line.plan.stages.some((s) => is(CHILLED, s.kind)) &&
      line.plan.stages.some((s) => s.kind === 'coalescing-filter' && s.parameters.grade === 'fine'),
    measures: ['oilMg', 'drops', 'weakestPa'],
    schools: [
      { says: 'Before: it keeps oil off the exchanger', edit: fineBeside('before') },
      { says: 'After: it is cooler there, and less of the oil is vapour', edit: fineBeside('behind') },
    ],
    right: '1 µm before and 0.01 µm after. Both before, if desiccant follows close.',
  },
  {
    id: 'enough',
    question: 'How dry is dry enough?',
    concerns: (line) => line.of('outlet').length > 0,
    measures: ['dewPointC', 'spareK', 'airLost', 'weakestPa'],
    schools: [
      { says: 'As it is' },
      {
        says: 'Refrigerated: a little above freezing',
        edit: (plan, newId) => {
          const bare = undried(plan);
          return forAll(bare, made(newId(), 'coalescing-filter'), made(newId(), 'refrigerated-dryer', {}, plan));
        },
      },
      {
        says: '{−40 °C} for everything',
        edit: (plan, newId) => {
          const bare = undried(plan);
          const flow = new LineFacts(bare, walk(bare)).balance.deliveredM3PerS;
          return forAll(
            bare,
            made(newId(), 'coalescing-filter'),
            made(newId(), 'coalescing-filter', { grade: 'fine' }),
            made(newId(), COLDER, { ratedFlowM3PerS: flow, purgeM3PerS: 0.15 * flow }),
            made(newId(), 'particulate-filter'),
          );
        },
      },
    ],
    right:
      '{−40 °C} only for powder, moisture-cure coatings, and lines that freeze. Else {10 K} below the coldest pipe, or what the job’s maker asks for.',
  },
];

function beadsBefore(plan: Plan, outlet: Stage, newId: () => string): Plan {
  const run = [{ id: MAIN, stages: plan.stages }, ...plan.branches].find((r) =>
    r.stages.some((s) => s.id === outlet.id),
  );
  const at = run?.stages.findIndex((s) => s.id === outlet.id) ?? -1;
  return run
    ? [
        made(newId(), 'coalescing-filter', { grade: 'fine' }),
        made(newId(), 'bead-cartridge', { spentShare: 0 }),
      ].reduce((p, s, i) => insertStage(p, s, at + i, run.id), plan)
    : plan;
}

/**
 * The disputes that a line gives reason for.
 * @example disputesOf(plan).map((d) => d.id) // ["far","cooler","tank","oven","drains","each","fine","enough"]
 */
export const disputesOf = (plan: Plan): readonly Dispute[] => {
  const line = new LineFacts(plan, walk(plan));
  return DISPUTES.filter((d) => d.concerns(line));
};
