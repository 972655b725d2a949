import { CATCHERS, FILTERS, is } from '../equipment/groups';
import { catches, type Fault, has, lessBy, numbersOf } from './fault';

/** Faults of catching. */
export const CATCHING_FAULTS: readonly Fault[] = [
  {
    id: 'separator-flooded',
    says: 'It lets drops through',
    repair: 'Drain it, clean it, see to its insert',
    perYear: 0.2,
    sizes: [0.3, 0.6],
    canHave: (s) => is(CATCHERS, s.kind) && catches(s) !== undefined,
    changes: (s, share) => lessBy(s, catches(s) as string, share),
    tasks: ['M01', 'M02', 'M03', 'M04'],
    notNeeded: 'A finer filter behind it: drops wet it through at once.',
  },
  {
    id: 'element-clogged',
    says: 'Its element is clogged',
    repair: 'Change the element',
    perYear: 0.6,
    sizes: [3, 6], // times the clean loss
    canHave: (s) => is(FILTERS, s.kind) && has(s, 'pressureLossPa'),
    changes: (s, times) => ({ pressureLossPa: (numbersOf(s).pressureLossPa as number) * times }),
    tasks: ['M11', 'M12', 'M13', 'M14'],
    notNeeded: 'A higher setting at the compressor: the element takes it, and more power goes.',
  },
  {
    id: 'element-torn',
    says: 'Its element is torn or missing',
    repair: 'Change the element',
    perYear: 0.1,
    sizes: [0.9],
    canHave: (s) => is(FILTERS, s.kind) && has(s, 'pressureLossPa', 'efficiency'),
    changes: (s, share) => ({ ...lessBy(s, 'efficiency', share), ...lessBy(s, 'pressureLossPa', share) }),
    misreads: () => [{ of: 'cloth', by: 1 }],
    tasks: ['M12', 'M13'],
    notNeeded: 'A second filter behind it.',
  },
];
