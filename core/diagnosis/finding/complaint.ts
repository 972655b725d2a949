import type { Placed } from '../../fault/fault';
import type { Walked } from '../../fault/walked';
import { allStages, pathTo, stageById, standing } from '../../plan/runs';
import { ONLY_BROUGHT, SHOWS } from './shows';

/**
 * How surely a complaint comes where the line shows it, how often where it does not, and how often from a fault that has
 * nothing to do with it: its air never passes there (estimates).
 */
const TOLD = { whereItShows: 0.9, otherwise: 0.1, elsewhere: 0.01 } as const;

/** What somebody complains of, and at which stage where they say it. */
export interface Complaint {
  readonly symptom: string;
  readonly stageId?: string | undefined;
}

/**
 * Where a line with faults shows a complaint.
 * @returns the stages; nothing for a complaint that the walk knows nothing of
 * @example placesOf('D11', walkedWith(plan), walkedWith(plan)) === undefined // true
 */
export function placesOf(symptom: string, sound: Walked, faulty: Walked): string[] | undefined {
  const shows = SHOWS[symptom];
  return (
    shows &&
    allStages(standing(sound.plan))
      .filter((stage) => shows.at(stage) && shows.shows(stage, faulty, sound))
      .map((s) => s.id)
  );
}

/** What shows on a line with a fault that did not show without: complaints, each with its stage. */
function newComplaints(sound: Walked, faulty: Walked): Complaint[] {
  return Object.keys(SHOWS).flatMap((symptom) => {
    const before = placesOf(symptom, sound, sound) ?? [];
    return (placesOf(symptom, sound, faulty) ?? [])
      .filter((id) => !before.includes(id))
      .map((stageId) => ({ symptom, stageId }));
  });
}

/**
 * Whether a line with faults shows a complaint, at its place where that is said; nothing where the walk does not know.
 * @example showsComplaint({ symptom: 'D11' }, walkedWith(plan), walkedWith(plan)) === undefined // true
 */
export function showsComplaint({ symptom, stageId }: Complaint, sound: Walked, faulty: Walked): boolean | undefined {
  const places = placesOf(symptom, sound, faulty);
  return places && (stageId === undefined ? places.length > 0 : places.includes(stageId));
}

/** Whether a fault changes what a walk shows; others only bring what they say. */
function changesWalk(sound: Walked, { fault, stageId, size }: Placed): boolean {
  const stage = stageById(sound.plan, stageId);
  return fault.changesPlan !== undefined || (stage !== undefined && Object.keys(fault.changes(stage, size)).length > 0);
}

/**
 * How likely a complaint is on a line with faults in it: 1 where the walk knows nothing of it.
 * @example toldBy({ symptom: 'D11' }, walkedWith(plan), walkedWith(plan)) // 1
 */
export function toldBy(complaint: Complaint, sound: Walked, faulty: Walked): number {
  const { plan } = sound;
  const { faults } = faulty;
  const shows = showsComplaint(complaint, sound, faulty);
  if (shows === undefined) return 1;
  const at = faults.map((f) => f.stageId);
  // Its own display is good: what it lets past shows downstream.
  const isHidden = faults.some(
    ({ fault, stageId, size }) =>
      stageId === complaint.stageId && fault.misreads?.(size).some((m) => m.of === 'dew-point' && m.by < 0),
  );
  const place = complaint.stageId;
  const onOneWay = (id: string): boolean =>
    place === undefined || pathTo(plan, id).some((s) => s.id === place) || pathTo(plan, place).some((s) => s.id === id);
  const isBrought = faults.some(
    ({ fault, stageId }) =>
      (fault.brings?.includes(complaint.symptom) && onOneWay(stageId)) ||
      (fault.bringsHere?.includes(complaint.symptom) && (place ?? stageId) === stageId),
  );
  if ((shows && !isHidden) || isBrought) return TOLD.whereItShows;
  const changesAir = faults.some((f) => changesWalk(sound, f));
  if (at.length > 0 && (SHOWS[complaint.symptom] === ONLY_BROUGHT || !changesAir)) return TOLD.elsewhere;
  // Where its place is not said, it is one of those at which such a complaint is met.
  const places =
    place === undefined ? allStages(standing(plan)).filter(SHOWS[complaint.symptom]?.at ?? (() => true)) : [];
  const paths = (place === undefined ? places.map((s) => s.id) : [place]).map((id) => pathTo(plan, id));
  const isElsewhere = at.length > 0 && !paths.some((path) => path.some((s) => at.includes(s.id)));
  return isElsewhere ? TOLD.elsewhere : TOLD.otherwise;
}

/**
 * What is complained of on a line with a fault: what surely comes with it, where the walk shows it; else what the fault brings.
 * @returns nothing where nobody would notice it, or there is no fault
 * @example complaintOf(walkedWith(plan), walkedWith(plan)) === undefined // true
 */
export function complaintOf(sound: Walked, faulty: Walked): Complaint | undefined {
  const [placed] = faulty.faults;
  if (!placed) return undefined;
  const shown = newComplaints(sound, faulty).find((c) => toldBy(c, sound, faulty) === TOLD.whereItShows);
  const { brings = [], bringsHere = [] } = placed.fault;
  const here = bringsHere.map((symptom) => ({ symptom, stageId: placed.stageId }))[0];
  const brought = brings.find((id) => id in SHOWS);
  return shown ?? here ?? (brought === undefined ? undefined : { symptom: brought });
}
