import { type Complaint, complaintOf } from '../diagnosis/finding/complaint';
import type { Placed } from '../fault/fault';
import { FAULTS } from '../fault/faults';
import { walkedWith } from '../fault/walked';
import type { Plan } from '../plan/plan';
import { SEASONS, type Season } from './case';
import { FaultyLine } from './faulty-line';
import { practiceLine, type Shape } from './lines';
import type { Maker } from './maker';

/** Cases of a hidden fault. */
export const askFind: Maker = (draws, season, level, seed) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'dry', 'plant']), season);
  const sound = walkedWith(plan);
  const noticed = plan.stages.flatMap((stage) =>
    FAULTS.filter((f) => f.canHave(stage)).flatMap((fault) => {
      // The slighter, the harder to tell.
      const size = fault.sizes[Math.max(0, fault.sizes.length - 1 - level)] ?? 1;
      const hidden = { fault, stageId: stage.id, size };
      const complaint = complaintOf(sound, walkedWith(plan, [hidden]));
      return complaint ? [{ complaint, hidden }] : [];
    }),
  );
  // Each kind of fault alike, however many stages can have it; of those that its instruments can tell.
  const kind = draws.pick([...new Set(noticed.map(({ hidden }) => hidden.fault.id))]);
  const ofKind = noticed.filter(({ hidden }) => hidden.fault.id === kind);
  const from = noticed.indexOf(draws.pick(ofKind));
  const inTurn = [...noticed.slice(from), ...noticed.slice(0, from)];
  const { complaint, hidden } =
    inTurn.find((of) => new FaultyLine({ plan, seed, asked: { form: 'find', ...of } }).reference().finds) ??
    (inTurn[0] as (typeof noticed)[number]);
  return hiding(plan, season, complaint, hidden);
};

/** A case of a fault that is hidden in a line. */
export function hiding(plan: Plan, season: Season, complaint: Complaint, hidden: Placed): ReturnType<Maker> {
  const name = plan.stages.find((s) => s.id === hidden.stageId)?.name ?? '';
  return {
    title: 'Something is wrong',
    plan,
    says: `${plan.survey.shop}, ${SEASONS[season].says}.`,
    asks: 'Find the cause with as few minutes as you can, repair it, and prove it.',
    asked: { form: 'find', complaint, hidden },
    because: [
      { says: `${name}: ${hidden.fault.says.toLowerCase()}. ${hidden.fault.repair}.` },
      { says: `Not needed: ${hidden.fault.notNeeded}` },
    ],
  };
}
