import { CATCHERS, CHILLED, COOLERS, DRYERS, FILTERS, is, TOWERS } from '../equipment/groups';
import { fieldsOf } from '../equipment/index';
import { setParameters } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { stageById } from '../plan/runs';

/** What can be wrong with a stage, put into the plan as it would show in the line. */
export interface Fault {
  readonly id: string;
  readonly says: string;
  /** What repairs it. */
  readonly repair: string;
  /** How often such a stage has it, times a year. Estimates: order of magnitude of workshop practice, no source. */
  readonly perYear: number;
  /** How bad it may be, from slight to full, in the fault’s own measure: a coarse grid to integrate over. */
  readonly sizes: readonly number[];
  /** Whether a stage can have it. */
  readonly canHave: (stage: Stage) => boolean;
  /** Parameters of the stage with the fault in it. */
  readonly changes: (stage: Stage, size: number) => Readonly<Record<string, string | number>>;
  /** A reading at the stage that is off by so much besides, SI: of a gauge, a meter, or air that nothing else shows. */
  readonly misreads?: (size: number) => {
    readonly of: 'temperature' | 'dew-point' | 'pressure' | 'cooling-air';
    readonly by: number;
  };
  /** Tasks that keep it away: it is likelier where one of them is overdue. */
  readonly tasks: readonly string[];
  /** What is often bought for it, and does not help. */
  readonly notNeeded: string;
}

type Numbers = Readonly<Record<string, number>>;
const numbersOf = (stage: Stage): Numbers => stage.parameters as unknown as Numbers;
const has = (stage: Stage, ...fields: string[]): boolean => fields.every((f) => f in stage.parameters);
const drainOf = ({ parameters }: Stage): string | undefined => (parameters as { drain?: string }).drain;
const catches = (stage: Stage): string | undefined =>
  ['settlingEfficiency', 'efficiency', 'separatorEfficiency', 'catchEfficiency'].find((f) => f in stage.parameters);
const lessBy = (stage: Stage, field: string, share: number): Record<string, number> => ({
  [field]: (numbersOf(stage)[field] as number) * (1 - share),
});

/** Faults whose effect the walk of a line can calculate. */
export const FAULTS: readonly Fault[] = [
  {
    id: 'drain-shut',
    says: 'Its drain stays shut',
    repair: 'Clear or change the drain',
    perYear: 0.5,
    sizes: [1],
    canHave: (s) => !['none', undefined].includes(drainOf(s)),
    changes: () => ({ drain: 'none' }),
    tasks: ['M01', 'M02', 'M03', 'M04'],
    notNeeded: 'A further separator, filter or dryer drowns as well behind a drain that stays shut.',
  },
  {
    id: 'cooler-fouled',
    says: 'Dirt on its fins, or its fan is weak',
    repair: 'Clean the fins; see to fan and belt',
    perYear: 0.7,
    sizes: [5, 10, 20], // K of approach
    canHave: (s) => is(COOLERS, s.kind) && has(s, 'approachK') && usesApproach(s),
    changes: (s, k) => ({ approachK: (numbersOf(s).approachK as number) + k }),
    tasks: ['M09', 'M10'],
    notNeeded: 'A larger dryer: clean air through the cooler costs less.',
  },
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
    tasks: ['M12', 'M13'],
    notNeeded: 'A second filter behind it.',
  },
  {
    id: 'beads-spent',
    says: 'Its beads are exhausted',
    repair: 'Change or dry the charge',
    perYear: 2,
    sizes: [1],
    canHave: (s) => s.kind === 'bead-cartridge',
    changes: () => ({ spentShare: 1 }),
    tasks: ['M21', 'M22'],
    notNeeded: 'A larger housing, before the charge that is in it was dry once.',
  },
  {
    id: 'dryer-warm',
    says: 'It does not cool: its dew point is high',
    repair: 'Clean its condenser; refrigerant is for a licensed technician',
    perYear: 0.3,
    sizes: [6, 12], // K of dew point
    canHave: (s) => is(CHILLED, s.kind) && has(s, 'pressureDewPointC'),
    changes: (s, k) => ({ pressureDewPointC: (numbersOf(s).pressureDewPointC as number) + k }),
    tasks: ['M15', 'M16'],
    notNeeded: 'A second dryer, before the condenser of this one is clean.',
  },
  {
    id: 'tower-wet',
    says: 'It does not regenerate: purge, valve or silencer',
    repair: 'See to purge, valves and silencer',
    perYear: 0.4,
    sizes: [15, 30], // K of dew point
    canHave: (s) => is(TOWERS, s.kind) && has(s, 'ratedDewPointC'),
    changes: (s, k) => ({ ratedDewPointC: (numbersOf(s).ratedDewPointC as number) + k }),
    tasks: ['M16', 'M17', 'M18', 'M19', 'M20'],
    notNeeded: 'New beads, before purge, valves and silencer are in order: they are wet again in a day.',
  },
  {
    id: 'regulator-droops',
    says: 'It droops, or somebody turned it down',
    repair: 'Set it; clean or change its seat',
    perYear: 0.3,
    sizes: [5e4, 1.2e5], // Pa
    canHave: (s) => s.kind === 'regulator',
    changes: (s, pa) => ({ setPressurePa: (numbersOf(s).setPressurePa as number) - pa }),
    tasks: [],
    notNeeded: 'A larger compressor: the pressure is there, in front of the regulator.',
  },
  {
    id: 'hose-narrow',
    says: 'It is kinked, or its coupler is the wrong one',
    repair: 'Lay it straight; one family of couplers',
    perYear: 0.5,
    sizes: [0.25, 0.4], // of the bore
    canHave: (s) => (s.kind === 'hose' || s.kind === 'hose-reel') && has(s, 'boreM'),
    changes: (s, share) => lessBy(s, 'boreM', share),
    tasks: ['M35'],
    notNeeded: 'A larger compressor or a higher setting: the hose takes it.',
  },
  {
    id: 'compressor-worn',
    says: 'It delivers less: valves, rings, belt or intake',
    repair: 'Valves, rings, belt; a clean intake filter',
    perYear: 0.2,
    sizes: [0.15, 0.3],
    canHave: (s) => s.kind === 'compressor',
    changes: (s, share) => lessBy(s, 'freeAirDeliveryM3PerS', share),
    tasks: ['M07', 'M08', 'M31'],
    notNeeded: 'A larger receiver: it is filled no faster.',
  },
  {
    id: 'hot-air',
    says: 'It draws air that is already warm',
    repair: 'Give it air from outside its own warm stream',
    perYear: 0.3,
    sizes: [6, 12], // K of the air that cools it
    canHave: (s) => is(COOLERS, s.kind) && has(s, 'approachK') && usesApproach(s),
    changes: (s, k) => ({ approachK: (numbersOf(s).approachK as number) + k }),
    misreads: (k) => ({ of: 'cooling-air', by: k }),
    tasks: ['M10'],
    notNeeded: 'A larger cooler: it would draw the same air.',
  },
  {
    id: 'bypass-leaks',
    says: 'Its bypass lets wet air past it',
    repair: 'Shut the bypass; change its valve',
    perYear: 0.15,
    sizes: [6, 12], // K of dew point where bypass and dryer join
    canHave: (s) => is(CHILLED, s.kind) && has(s, 'pressureDewPointC'),
    changes: (s, k) => ({ pressureDewPointC: (numbersOf(s).pressureDewPointC as number) + k }),
    misreads: (k) => ({ of: 'dew-point', by: -k }),
    tasks: ['M16'],
    notNeeded: 'Another dryer: this one dries what passes through it.',
  },
  {
    id: 'gauge-off',
    says: 'Its gauge reads low',
    repair: 'Change the gauge, or compare it with a good one',
    perYear: 0.15,
    sizes: [5e4], // Pa
    canHave: (s) => s.kind === 'regulator' || s.kind === 'receiver' || s.kind === 'outlet',
    changes: () => ({}),
    misreads: (pa) => ({ of: 'pressure', by: -pa }),
    tasks: ['M37'],
    notNeeded: 'Anything but a gauge: the pressure is there.',
  },
  {
    id: 'meter-off',
    says: 'Its dew-point meter reads high',
    repair: 'Have the probe checked; compare it with another',
    perYear: 0.15,
    sizes: [12], // K
    canHave: (s) => is(DRYERS, s.kind),
    changes: () => ({}),
    misreads: (k) => ({ of: 'dew-point', by: k }),
    tasks: ['M38'],
    notNeeded: 'Beads, elements or a dryer: the air is dry.',
  },
];

function usesApproach(stage: Stage): boolean {
  const { method } = stage.parameters as { method?: string };
  return method === undefined || method === 'approach';
}

/**
 * A fault of the list.
 * @throws RangeError where there is none of that id
 * @example faultById('drain-shut').sizes // [1]
 */
export function faultById(id: string): Fault {
  const fault = FAULTS.find((f) => f.id === id);
  if (!fault) throw new RangeError(`there is no fault ${id}`);
  return fault;
}

/**
 * The plan of a line with a fault in one of its stages.
 * @param size in the fault’s own measure, {@link Fault.sizes}
 * @returns the plan, within what a plan allows; the same where the stage is not there or cannot have it
 * @example withFault(plan, { faultId: 'drain-shut', stageId: 'receiver', size: 1 }).stages[4].parameters.drain // 'none'
 */
export function withFault(
  plan: Plan,
  { faultId, stageId, size }: { readonly faultId: string; readonly stageId: string; readonly size: number },
): Plan {
  const stage = stageById(plan, stageId);
  const fault = faultById(faultId);
  if (!stage || !fault.canHave(stage)) return plan;
  const limits = new Map(fieldsOf(stage.kind));
  const within = (field: string, value: string | number): string | number => {
    const { least = -Infinity, most = Infinity } = limits.get(field) ?? {};
    return typeof value === 'number' ? Math.min(most, Math.max(least, value)) : value;
  };
  const changes = Object.entries(fault.changes(stage, size)).map(([field, value]) => [field, within(field, value)]);
  return setParameters(plan, stageId, Object.fromEntries(changes));
}
