import { complaintOf } from '../diagnosis/finding/complaint';
import { faultById } from '../fault/faults';
import { walkedWith } from '../fault/walked';
import type { Stage } from '../plan/plan';
import { hiding } from './ask-find';
import type { CaseKind, PracticeCase } from './case';
import { makeCase } from './make-case';
import { type Level, stageOf } from './maker';

/** A case with a story of its own. */
interface ByHand {
  readonly id: string;
  readonly kind: CaseKind;
  readonly seed: number;
  readonly level: Level;
  readonly title: string;
  readonly says: string;
  /** The fault that is hidden, and the kind of stage that has it. */
  readonly hidden?: { readonly faultId: string; readonly kind: Stage['kind']; readonly size: number };
}

/** Made by hand, from easy to hard; shops and people are made up. */
export const BY_HAND: readonly ByHand[] = [
  {
    ...{ id: 'bucket', kind: 'estimate', seed: 1, level: 0, title: 'The bucket below the separator' },
    says: '“It is August, the bucket was full by noon, and I want one that lasts the day. How large?”',
  },
  {
    ...{ id: 'no-water', kind: 'find', seed: 64, level: 0, title: 'It stopped giving water' },
    says: '“There used to be water every evening. For a week now there is none, so it must be dry at last.”',
    hidden: { faultId: 'drain-shut', kind: 'receiver', size: 1 },
  },
  {
    ...{ id: 'crate', kind: 'order', seed: 1, level: 0, title: 'The crate is unpacked' },
    says: '“Four boxes came today, and no drawing with them.”',
  },
  {
    ...{ id: 'gauges', kind: 'instruments', seed: 1, level: 0, title: 'One of three is off' },
    says: '',
  },
  {
    ...{ id: 'timer', kind: 'setting', seed: 1, level: 0, title: 'Somebody turned the timer' },
    says: '“It has blown all night, so I turned it down. Now nothing comes at all.”',
  },
  {
    ...{ id: 'larger-tank', kind: 'schools', seed: 1, level: 0, title: 'A larger tank, or a better cooler' },
    says: '',
  },
  {
    ...{ id: 'few-minutes', kind: 'routine', seed: 1, level: 0, title: 'A few minutes on Friday' },
    says: '',
  },
  {
    ...{ id: 'weak', kind: 'find', seed: 3, level: 1, title: 'Weak at the bench, fine at the tank' },
    says: '“The tank shows what it always showed. Here at the bench the tool has no strength.”',
    hidden: { faultId: 'regulator-droops', kind: 'regulator', size: 5e4 },
  },
  {
    ...{ id: 'winter-bucket', kind: 'estimate', seed: 16, level: 1, title: 'Hardly anything, in winter' },
    says: '“Is a spoonful a day right, or is the drain blocked?”',
  },
  {
    ...{ id: 'spring-timer', kind: 'setting', seed: 13, level: 1, title: 'A setting for spring' },
    says: '“It must not blow air all day. We look at it again before the summer.”',
  },
  {
    ...{ id: 'dry-gauges', kind: 'instruments', seed: 2, level: 2, title: 'Nearly the same, three times' },
    says: '',
  },
  {
    ...{ id: 'slow', kind: 'find', seed: 1, level: 2, title: 'It takes longer to come up' },
    says: '“It used to be up before I had my gloves on. Is it the valves, or do we use more air than before?”',
    hidden: { faultId: 'compressor-worn', kind: 'compressor', size: 0.15 },
  },
];

/**
 * A case that was made by hand.
 * @returns nothing where there is none of that id
 * @example caseByHand('bucket').kind // 'estimate'
 */
export function caseByHand(id: string): PracticeCase | undefined {
  const own = BY_HAND.find((b) => b.id === id);
  if (!own) return undefined;
  const drawn = makeCase(own.kind, own.seed, own.level);
  const made = own.hidden ? { ...drawn, ...hiddenIn(drawn, own.hidden) } : drawn;
  return { ...made, title: own.title, says: own.says === '' ? made.says : `${made.plan.survey.shop}. ${own.says}` };
}

/** A case with a fault that was chosen, and with what is complained of then. */
function hiddenIn({ plan, season }: PracticeCase, { faultId, kind, size }: NonNullable<ByHand['hidden']>) {
  const placed = { fault: faultById(faultId), stageId: stageOf(plan, kind).id, size };
  const complaint = complaintOf(walkedWith(plan), walkedWith(plan, [placed]));
  if (!complaint) throw new RangeError(`nobody would notice ${faultId}`);
  return hiding(plan, season, complaint, placed);
}
