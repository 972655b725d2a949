import { judgeLine } from '../advice/judge-line';
import { placesOf, SHOWS } from '../diagnosis/finding/shows';
import { FAULTS, withFault } from '../fault/faults';
import { walk } from '../line/walk';
import { maintenanceFacts } from '../maintenance/facts';
import { tasksOfLine } from '../maintenance/line-tasks';
import { setParameters } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { hoursPerWeek } from '../plan/working-time';
import { HOUR_S, WATER_KG_PER_M3 } from '../quantity/constants';
import { bestPick } from './best-pick';
import { type CaseKind, type PickOption, type PracticeCase, SEASONS, type Season } from './case';
import { type Draws, drawsOf } from './draws';
import { practiceLine, type Shape } from './lines';

/** How hard: 0 for a beginner, 2 for who has mastered it. */
export type Level = 0 | 1 | 2;
type Made = Omit<PracticeCase, 'kind' | 'seed' | 'season' | 'level'>;
type Maker = (draws: Draws, season: Season, level: Level) => Made;

const stageOf = (plan: Plan, kind: Stage['kind']): Stage => {
  const stage = plan.stages.find((s) => s.kind === kind);
  if (!stage) throw new RangeError(`the line has no ${kind}`);
  return stage;
};
const outletOf = (plan: Plan): Stage => stageOf(plan, 'outlet');
/** Loaded hours of a working week. */
const loadedHours = ({ survey: { working } }: Plan): number => hoursPerWeek(working) * working.loadedShare;
const WORKING_DAYS = 5;

/** Water that a stage catches in a working day, m³. */
function caughtADay(plan: Plan, stageId: string): number {
  const kgPerS = walk(plan).at(stageId)?.caughtKgPerS ?? 0;
  return (kgPerS * HOUR_S * loadedHours(plan)) / WORKING_DAYS / WATER_KG_PER_M3;
}

const estimate: Maker = (draws, season) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'plant']), season);
  const section = walk(plan);
  const separator = stageOf(plan, 'separator');
  const compressor = stageOf(plan, 'compressor') as Extract<Stage, { kind: 'compressor' }>;
  return {
    title: `Water of a day, ${SEASONS[season].says}`,
    plan,
    says: `${plan.survey.shop}. The owner asks what bucket to put below the separator.`,
    asks: 'How much water does its drain give in a working day?',
    asked: { form: 'number', quantity: 'drained', truth: caughtADay(plan, separator.id) },
    because: [
      { says: 'The compressor gives', si: compressor.parameters.freeAirDeliveryM3PerS, quantity: 'volumeFlow' },
      { says: 'Its loaded hours in a day', si: (loadedHours(plan) / WORKING_DAYS) * HOUR_S, quantity: 'time' },
      { says: 'Water that comes in, loaded', si: section.ledger.waterInKgPerS, quantity: 'waterFlow' },
      {
        says: 'Air behind the cooler',
        si: section.at(stageOf(plan, 'aftercooler').id)?.temperatureC ?? 0,
        quantity: 'temperature',
      },
      { says: 'Caught here, loaded', si: section.at(separator.id)?.caughtKgPerS ?? 0, quantity: 'waterFlow' },
    ],
  };
};

/** So full a sump may be when its drain opens (trade handbook: half). */
const HALF = 0.5;

const setting: Maker = (draws, season) => {
  const made = practiceLine(draws, draws.pick<Shape>(['shop', 'plant']), season);
  const separator = stageOf(made, 'separator');
  const plan = setParameters(made, separator.id, { drain: 'timer' });
  const { sumpM3 } = stageOf(plan, 'separator').parameters as { sumpM3: number };
  const kgPerS = walk(plan).at(separator.id)?.caughtKgPerS ?? 0;
  return {
    title: `A timer drain, ${SEASONS[season].says}`,
    plan,
    says: `${plan.survey.shop}. Somebody turned the timer of the separator’s drain, and nobody knows to what.`,
    asks: 'At most how long may it wait between two openings, loaded, so that its sump is never more than half full?',
    asked: {
      form: 'number',
      quantity: 'duration',
      truth: (HALF * sumpM3 * WATER_KG_PER_M3) / Math.max(kgPerS, 1e-9),
      never: 'more',
    },
    because: [
      { says: 'Its sump holds', si: sumpM3, quantity: 'drained' },
      { says: 'It catches, loaded', si: kgPerS, quantity: 'waterFlow' },
      { says: 'In August it catches more than in spring: a setting of the spring drowns then.' },
    ],
  };
};

/** Stages of an order case, as they should stand. */
const ORDER = ['aftercooler', 'separator', 'receiver', 'refrigerated-dryer'] as const;

/** The line with its stages in another order. */
export function inOrder(plan: Plan, ids: readonly string[]): Plan {
  const cards = ids.flatMap((id) => plan.stages.filter((s) => s.id === id));
  let next = 0;
  return { ...plan, stages: plan.stages.map((s) => (ids.includes(s.id) ? (cards[next++] as Stage) : s)) };
}

/**
 * How bad an order of a line is: what the advice objects to, then how damp the air comes out.
 * @example badness(plan) >= 0 // true
 */
export function badness(plan: Plan): number {
  const section = walk(plan);
  const { advice } = judgeLine(plan, section);
  const faults = advice.reduce(
    (sum, { rule }) => sum + (rule.stop ? 20 : { must: 10, should: 3, note: 0 }[rule.grade]),
    0,
  );
  const at = section.at(outletOf(plan).id);
  return faults + (at ? Math.max(0, at.pressureDewPointC + 40) / 20 + (at.liquidKgPerS > 0 ? 10 : 0) : 100);
}

/** Orders nearer than this are as good as one another: two kelvin of dew point. */
export const AS_GOOD = 0.1;

const ordersOf = (ids: readonly string[]): string[][] =>
  ids.length < 2 ? [[...ids]] : ids.flatMap((id, i) => ordersOf(ids.toSpliced(i, 1)).map((rest) => [id, ...rest]));

const order: Maker = (draws, season) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['dry', 'plant']), season);
  const cards = plan.stages.filter((s) => (ORDER as readonly string[]).includes(s.kind));
  const usual = cards.map((s) => s.id);
  const ranked = ordersOf(usual)
    .map((ids) => ({ ids, bad: badness(inOrder(plan, ids)) }))
    .sort((a, b) => a.bad - b.bad);
  // Where another order is as good, the usual one counts as best.
  const best = badness(plan) <= (ranked[0]?.bad ?? 0) + AS_GOOD ? usual : (ranked[0]?.ids ?? usual);
  const shuffled = cards.toSorted((a, b) => ORDER.indexOf(b.kind as never) - ORDER.indexOf(a.kind as never));
  const turn = Math.floor(draws.between(0, shuffled.length - 1));
  const at = walk(plan).at(outletOf(plan).id);
  return {
    title: 'From the compressor to the tool',
    plan,
    says: `${plan.survey.shop}. The crate is unpacked; what comes first behind the compressor?`,
    asks: 'Put them in the order in which the air passes them.',
    asked: {
      form: 'order',
      cards: [...shuffled.slice(turn), ...shuffled.slice(0, turn)].map(({ id, name }) => ({ id, name })),
      best,
    },
    because: [
      {
        says: `The air passes ${cards.map((c) => c.name.toLowerCase()).join(', ')}: cold first, then catch, then store, then dry.`,
      },
      { says: 'Its dew point at the tool then', si: at?.pressureDewPointC ?? 0, quantity: 'temperature' },
    ],
  };
};

/** Minutes a week that somebody has at most, and of what all tasks would take: so that one has to choose (estimate). */
const MOST_MIN = 20;
const OF_ALL = 0.4;

const routine: Maker = (draws, season) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'dry']), season);
  const options = tasksOfLine(maintenanceFacts(plan, walk(plan))).flatMap(({ stage, task, interval }): PickOption[] => {
    const worth = FAULTS.filter((f) => f.canHave(stage) && f.tasks.includes(task.id)).reduce(
      (s, f) => s + f.perYear,
      0,
    );
    const minutesPerWeek = (task.minutes * 7) / interval.days;
    return worth > 0
      ? [{ id: `${stage.id} ${task.id}`, says: `${stage.name}: ${task.does.toLowerCase()}`, minutesPerWeek, worth }]
      : [];
  });
  const all = options.reduce((sum, o) => sum + o.minutesPerWeek, 0);
  const budgetMin = Math.min(MOST_MIN, Math.max(2, Math.round(OF_ALL * all)));
  const best = bestPick(options, budgetMin);
  return {
    title: 'A few minutes a week',
    plan,
    says: `${plan.survey.shop}. “I have ${budgetMin} minutes a week for the compressor, not more. What do I do with them?”`,
    asks: 'Choose what is done; each comes as often as this line asks for it.',
    asked: { form: 'pick', options, budgetMin, best },
    because: best.flatMap((id) => {
      const o = options.find((x) => x.id === id);
      return o
        ? [
            {
              says: `${o.says}: keeps away ${o.worth.toFixed(1)} faults a year (estimate)`,
              si: o.minutesPerWeek * 60,
              quantity: 'duration' as const,
            },
          ]
        : [];
    }),
  };
};

const find: Maker = (draws, season, level) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'dry', 'plant']), season);
  const sound = walk(plan);
  const noticed = plan.stages.flatMap((stage) =>
    FAULTS.filter((f) => f.canHave(stage)).flatMap((fault) => {
      // The slighter, the harder to tell.
      const size = fault.sizes[Math.max(0, fault.sizes.length - 1 - level)] ?? 1;
      const section = walk(withFault(plan, { faultId: fault.id, stageId: stage.id, size }));
      const complaint = Object.keys(SHOWS).flatMap((symptom) => {
        const before = placesOf(symptom, plan, sound, sound) ?? [];
        return (placesOf(symptom, plan, sound, section) ?? [])
          .filter((id) => !before.includes(id))
          .map((stageId) => ({ symptom, stageId }));
      })[0];
      return complaint ? [{ complaint, hidden: { fault, stageId: stage.id, size } }] : [];
    }),
  );
  const { complaint, hidden } = draws.pick(noticed);
  const name = plan.stages.find((s) => s.id === hidden.stageId)?.name ?? '';
  return {
    title: 'Something is wrong',
    plan,
    says: `${plan.survey.shop}, ${SEASONS[season].says}.`,
    asks: 'Find the cause with as few minutes as you can, repair it, and prove it.',
    asked: { form: 'find', complaint, hidden },
    because: [
      { says: `${name}: ${hidden.fault.says.toLowerCase()}. ${hidden.fault.repair}.` },
      { says: hidden.fault.notNeeded },
    ],
  };
};

/** A gauge is off by so much, Pa. */
const OFF_PA = [
  [6e4, 9e4],
  [4e4, 6e4],
  [2.5e4, 4e4],
] as const;

const instruments: Maker = (draws, season, level) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'dry']), season);
  const at = ['the tank', 'the filter bowl', 'the end of the hose'] as const;
  const compressor = stageOf(plan, 'compressor') as Extract<Stage, { kind: 'compressor' }>;
  const restPa = draws.between(compressor.parameters.cutInPa, compressor.parameters.cutOutPa);
  const wrong = Math.floor(draws.between(0, at.length));
  const [least, most] = OFF_PA[level];
  const off = draws.between(least, most) * draws.pick([-1, 1]);
  const bar = (pa: number): string => `{${((pa - 101_325) / 1e5).toFixed(1)} bar}`;
  const read = at.map((place, i) => `${place} ${bar(restPa + (i === wrong ? off : draws.between(-5e3, 5e3)))}`);
  return {
    title: 'Three gauges at rest',
    plan,
    says: `${plan.survey.shop}. Everything is at rest, all valves are open, the regulator is wound right up: ${read.join(', ')}.`,
    asks: 'Which one do you not believe?',
    asked: { form: 'choice', options: [...at.map((p) => `That at ${p}`), 'The line: there is a loss'], right: wrong },
    because: [
      { says: 'Nothing flows, so nothing is lost: all three must read the same.' },
      { says: `That at ${at[wrong]} is off by`, si: Math.abs(off), quantity: 'pressureDifference' },
      { says: 'A loss shows in flow only. Two that agree outvote one; a good gauge decides.' },
    ],
  };
};

/** Two opinions, each as the change of the line that it asks for. */
interface Dispute {
  readonly about: string;
  readonly a: string;
  readonly b: string;
  readonly changeA: (plan: Plan) => Plan;
  readonly changeB: (plan: Plan) => Plan;
}
const cooler =
  (k: number) =>
  (plan: Plan): Plan => {
    const s = stageOf(plan, 'aftercooler');
    return setParameters(plan, s.id, { approachK: Math.max(2, (s.parameters as { approachK: number }).approachK + k) });
  };
const DISPUTES: readonly Dispute[] = [
  {
    about: 'Water comes out at the tool.',
    a: '“A tank twice as large: the air has more time to dry in it.”',
    b: '“A cooler with {5 K} less approach.”',
    changeA: (plan) => {
      const s = stageOf(plan, 'receiver');
      return setParameters(plan, s.id, { volumeM3: (s.parameters as { volumeM3: number }).volumeM3 * 2 });
    },
    changeB: cooler(-5),
  },
  {
    about: 'The air should carry less water.',
    a: '“Let the compressor draw its air from outside, {6 K} colder.”',
    b: '“A finer filter: {0.01 µm}.”',
    changeA: (plan) => ({
      ...plan,
      survey: { ...plan.survey, places: plan.survey.places.map((p) => ({ ...p, temperatureC: p.temperatureC - 6 })) },
    }),
    changeB: (plan) => plan,
  },
  {
    about: 'Water comes out at the tool.',
    a: '“Shorter intervals at the drain of the tank.”',
    b: '“The drain of the separator stands shut: open it.”',
    changeA: (plan) => plan,
    changeB: (plan) => setParameters(plan, stageOf(plan, 'separator').id, { drain: 'float' }),
  },
];

/** Water with the air at the tool, kg/kg. */
const wetness = (plan: Plan): number => {
  const at = walk(plan).at(outletOf(plan).id);
  return at ? (at.vapourKgPerS + at.liquidKgPerS) / at.dryAirKgPerS : Infinity;
};
/** Less than this apart is no difference. */
const SAME = 0.02;

const schools: Maker = (draws, season) => {
  const picked = draws.pick(DISPUTES);
  const { a: one, b: other, changeA, changeB } = picked;
  const swapped = draws.pick([false, true]);
  const dispute = swapped ? { ...picked, a: other, b: one, changeA: changeB, changeB: changeA } : picked;
  const made = practiceLine(draws, 'shop', season);
  const shut = DISPUTES.indexOf(picked) === 2;
  const plan = shut ? setParameters(made, stageOf(made, 'separator').id, { drain: 'none' }) : made;
  const [now, a, b] = [plan, dispute.changeA(plan), dispute.changeB(plan)].map(wetness) as [number, number, number];
  const right = Math.abs(a - b) <= SAME * now ? 2 : a < b ? 0 : 1;
  const of = (x: number): Partial<{ si: number; quantity: 'share' }> => ({ si: x / now, quantity: 'share' });
  return {
    title: 'Who is right here?',
    plan,
    says: `${plan.survey.shop}, ${SEASONS[season].says}. ${dispute.about} One says ${dispute.a} The other: ${dispute.b}`,
    asks: 'On this line, which of them leaves less water in the air at the tool?',
    asked: { form: 'choice', options: ['The first', 'The other', 'Neither: the same'], right },
    because: [
      { says: 'Water at the tool after the first, of what it is now', ...of(a) },
      { says: 'After the other', ...of(b) },
    ],
  };
};

const MAKERS: Readonly<Record<CaseKind, Maker>> = {
  ...{ estimate, setting, order, find, routine, instruments, schools },
};

/**
 * A case of a kind: the same for the same seed and level.
 * @param seed a whole number from 1 on
 * @example makeCase('estimate', 7).asked.form // 'number'
 */
export function makeCase(kind: CaseKind, seed: number, level: Level = 0): PracticeCase {
  const draws = drawsOf(seed);
  const season = draws.pick(Object.keys(SEASONS) as Season[]);
  return { kind, seed, level, season, ...MAKERS[kind](draws, season, level) };
}
