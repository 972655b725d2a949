import { walk } from '../line/walk';
import { setParameters } from '../plan/edit';
import type { Plan } from '../plan/plan';
import { SEASONS } from './case';
import { practiceLine } from './lines';
import { type Maker, outletOf, stageOf } from './maker';

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

/** Cases of two opinions, measured on the line. */
export const askSchools: Maker = (draws, season) => {
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
