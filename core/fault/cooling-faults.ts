import { COOLERS, is } from '../equipment/groups';
import { type Fault, has, numbersOf, usesApproach } from './fault';

/** Faults of cooling. */
export const COOLING_FAULTS: readonly Fault[] = [
  {
    id: 'cooler-fouled',
    says: 'Dirt on its fins',
    repair: 'Clean the fins',
    perYear: 0.7,
    sizes: [5, 10, 20], // K of approach
    canHave: (s) => is(COOLERS, s.kind) && has(s, 'approachK') && usesApproach(s),
    changes: (s, k) => ({ approachK: (numbersOf(s).approachK as number) + k }),
    tasks: ['M09', 'M10'],
    notNeeded: 'A larger dryer: clean air through the cooler costs less.',
  },
  {
    id: 'hot-air',
    says: 'It draws air that is already warm',
    repair: 'Give it air from outside its own warm stream',
    act: 'move',
    perYear: 0.3,
    sizes: [6, 12], // K of the air that cools it
    canHave: (s) => is(COOLERS, s.kind) && has(s, 'approachK') && usesApproach(s),
    changes: (s, k) => ({ approachK: (numbersOf(s).approachK as number) + k }),
    misreads: (k) => [{ of: 'cooling-air', by: k }],
    tasks: ['M10'],
    notNeeded: 'A larger cooler: it would draw the same air.',
  },
  {
    id: 'fan-dead',
    says: 'Its fan stands still',
    repair: 'See to the fan: belt, capacitor, switch; electrical work is for an electrician',
    perYear: 0.1,
    sizes: [15, 30], // K of approach
    canHave: (s) => s.kind === 'aftercooler' && has(s, 'approachK') && usesApproach(s),
    changes: (s, k) => ({ approachK: (numbersOf(s).approachK as number) + k }),
    misreads: () => [{ of: 'fan', by: -1 }],
    tasks: ['M10'],
    notNeeded: 'A larger cooler: without its fan it is no better.',
  },
  {
    id: 'tube-leaks',
    says: 'A tube leaks: its cooling water gets into the air',
    repair: 'Take it out of service; have its tubes tested and changed',
    perYear: 0.05,
    sizes: [1e-3, 1e-2], // kg/s of water with the air let off, some 4 and 40 L/h
    canHave: (s) => s.kind === 'water-cooler',
    changes: (s, kgPerS) => ({ tubeLeakKgPerS: (numbersOf(s).tubeLeakKgPerS ?? 0) + kgPerS }),
    tasks: ['M09'],
    notNeeded: 'A larger drain: it would only drain the cooling water.',
  },
];
