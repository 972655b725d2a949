import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import {
  all,
  behind,
  but,
  goodBench,
  goodDry,
  goodPlant,
  goodShop,
  place,
  standingIn,
  without,
  working,
} from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { isReady, judgeLine, RULES } from './judge-line';

// Twelve invented shops, each with what an experienced colleague says of it, written down before the program was asked:
// the musts and shoulds, and whether the line is ready.
const SHOPS: readonly (readonly [name: string, plan: () => Plan, grave: readonly string[], ready: boolean])[] = [
  [
    'order: the separator upstream of the cooler',
    () => all(goodShop(), without('separator'), behind('compressor', stageOf('separator', { drain: 'float' }))),
    ['O03', 'S06b'], // its water is vapour there, and it is hotter than it bears; the tank still catches what falls
    false,
  ],
  [
    'frost: the tank in a lean-to at −6 °C',
    () => all(goodShop(), place('cold', -6), standingIn('receiver', 'cold')),
    ['A35'],
    false,
  ],
  [
    'undersized: a dryer rated for a third of what comes',
    () => all(goodShop(), but('refrigerated-dryer', { ratedFlowM3PerS: 0.0035 })),
    ['A29', 'O15', 'O14'], // overloaded, in bursts above all, and its dew point is missed for it
    false,
  ],
  [
    'oversized: a cyclone rated for ten times the flow',
    () => all(goodShop(), but('separator', { flowRating: 'rated', ratedFlowM3PerS: 0.2 })),
    [], // worth a note, no more
    true,
  ],
  ['oil: a laboratory that asks for class 1', () => all(goodShop(), but('outlet', { oilClass: '1' })), ['A32'], false],
  [
    'pressure: a thin hose to a hungry tool',
    () =>
      all(
        goodShop(),
        behind(
          'regulator',
          stageOf('hose', { jacket: 'nitrile', print: 'yes', lengthM: 20, boreM: 0.006, insertBoreM: 0.004 }),
        ),
      ),
    ['O31'],
    false,
  ],
  [
    'continuous user: one job that draws all day within the rating',
    () => all(goodShop(), but('outlet', { usedShare: 1, flowM3PerS: 0.0055 }), working({ loadedShare: 0.55 })),
    [], // no surge, and no tank for one
    true,
  ],
  [
    'home-made: gel in a water-filter housing',
    () => all(goodShop(), behind('fine', stageOf('home-made-housing'))),
    ['S01', 'S05'], // no maker lists it for air, and the tank’s relief valve opens far above what it bears
    false,
  ],
  [
    'conditioned intake: the compressor draws heated air',
    () => all(goodBench(), but('intake', { conditioned: 'yes' })),
    [],
    true,
  ],
  [
    'instruments in the cold: −20 °C asked for, the hall at −5 °C and a refrigerated dryer',
    () => all(goodDry(), without('twin-tower', 'particulate-filter'), place('cold', -5), standingIn('outlet', 'cold')),
    ['O16', 'O17'],
    false,
  ],
  [
    'pellets: warm air on salt, in a job that stands cool',
    () =>
      all(
        goodShop(),
        without('refrigerated-dryer'),
        behind('isolating-valve', stageOf('pellet-tower', { brine: 'permitted', ratedFlowM3PerS: 0.01 })),
        but('receiver', { method: 'measured', outletTemperatureC: 42 }),
        but('outlet', { need: 'no-liquid' }),
      ),
    ['A05', 'A30', 'O19', 'O21'], // what the pressure falls by at the regulator leaves open whether drops form
    false,
  ],
  ['plant: 12 m³/min with a cycling dryer and two drops', goodPlant, [], true],
];

test.each(SHOPS)('%s', (_, line, grave, ready) => {
  const plan = line();
  const section = walk(plan);
  const verdicts = judgeOutlets(plan, section);
  const judgement = judgeLine(plan, section, RULES, [], verdicts);
  const said = judgement.advice.filter((a) => a.rule.grade !== 'note').map((a) => a.rule.id);
  expect([...new Set(said)].toSorted()).toEqual([...grave].toSorted());
  expect(isReady(judgement, section, verdicts)).toBe(ready);
});
