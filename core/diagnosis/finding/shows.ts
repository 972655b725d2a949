import { CATCHERS, CHILLED, COOLERS, is, TOWERS } from '../../equipment/groups';
import type { Placed } from '../../fault/fault';
import type { Section } from '../../line/section';
import type { Plan, Stage } from '../../plan/plan';
import { allStages, pathTo, stageById, standing } from '../../plan/runs';
import { placeOf } from '../../plan/survey';

/**
 * How surely a complaint comes where the line shows it, how often where it does not, and how often from a fault that has
 * nothing to do with it: its air never passes there (estimates).
 */
const TOLD = { whereItShows: 0.9, otherwise: 0.1, elsewhere: 0.01 } as const;

/** Less pressure than before by this much is felt at a tool, Pa (estimate). */
const FELT_PA = 2e4;
/** So much warmer, or wetter by dew point, is noticed, K (estimate). */
const NOTICED_K = 4;

/** At which stages a complaint is met, and whether a walk shows it there. */
interface Shows {
  readonly at: (stage: Stage) => boolean;
  readonly shows: (stage: Stage, sound: Section, faulty: Section, plan: Plan) => boolean;
}
const of = (at: Shows['at'], shows: Shows['shows']): Shows => ({ at, shows });

const wetAtTool: Shows = of(
  (s) => s.kind === 'outlet',
  (s, _sound, faulty, plan) => {
    const at = faulty.at(s.id);
    const room = placeOf(plan.survey, plan.survey.roomPlaceId).temperatureC;
    return at !== undefined && (at.liquidKgPerS > 1e-9 || at.pressureDewPointC > room - NOTICED_K);
  },
);
const weakAtTool: Shows = of(
  (s) => s.kind === 'outlet',
  (s, sound, faulty) => (sound.at(s.id)?.pressurePa ?? 0) - (faulty.at(s.id)?.pressurePa ?? 0) > FELT_PA,
);
const wetter = (kinds: (stage: Stage) => boolean): Shows =>
  of(
    kinds,
    (s, sound, faulty) =>
      (faulty.at(s.id)?.pressureDewPointC ?? 0) - (sound.at(s.id)?.pressureDewPointC ?? 0) > NOTICED_K,
  );

const delivers: Shows = of(
  (s) => s.kind === 'compressor',
  (s, sound, faulty) => (faulty.at(s.id)?.dryAirKgPerS ?? 0) < 0.9 * (sound.at(s.id)?.dryAirKgPerS ?? 0),
);
/** A complaint that comes with the faults that bring it, and that no walk shows. */
const onlyBrought: Shows = of(
  () => true,
  () => false,
);

/** Complaints that the walk of a line can show or that its faults bring, by their ids in the trade handbook. */
export const SHOWS: Readonly<Record<string, Shows>> = {
  D01: wetAtTool,
  D03: onlyBrought,
  D04: wetAtTool,
  D05: of(
    (s) => is(CHILLED, s.kind),
    (s, sound, faulty) => (faulty.at(s.id)?.liquidKgPerS ?? 0) > 1e-9 && !((sound.at(s.id)?.liquidKgPerS ?? 0) > 1e-9),
  ),
  D06: of(
    (s) => s.kind === 'receiver' || is(CATCHERS, s.kind),
    (s, sound, faulty) => (faulty.at(s.id)?.caughtKgPerS ?? 0) < 0.3 * (sound.at(s.id)?.caughtKgPerS ?? 0),
  ),
  D07: onlyBrought,
  D13: weakAtTool,
  D14: delivers,
  D15: delivers,
  D17: onlyBrought,
  D18: of(
    (s) => is(COOLERS, s.kind),
    (s, sound, faulty) => (faulty.at(s.id)?.temperatureC ?? 0) - (sound.at(s.id)?.temperatureC ?? 0) > NOTICED_K,
  ),
  D19: wetter((s) => is(CHILLED, s.kind)),
  D22: wetter((s) => is(TOWERS, s.kind)),
  D25: wetter((s) => s.kind === 'bead-cartridge'),
};

/** What somebody complains of, and at which stage where they say it. */
export interface Complaint {
  readonly symptom: string;
  readonly stageId?: string | undefined;
}

/**
 * Where a line with a fault shows a complaint.
 * @returns the stages; nothing for a complaint that the walk knows nothing of
 * @example placesOf('D11', plan, section, section) === undefined // true
 */
export function placesOf(symptom: string, plan: Plan, sound: Section, faulty: Section): string[] | undefined {
  const shows = SHOWS[symptom];
  return (
    shows &&
    allStages(standing(plan))
      .filter((stage) => shows.at(stage) && shows.shows(stage, sound, faulty, plan))
      .map((s) => s.id)
  );
}

/**
 * What shows on a line with a fault that did not show without: complaints, each with its stage.
 * @example newComplaints(plan, section, section) // []
 */
export function newComplaints(plan: Plan, sound: Section, faulty: Section): Complaint[] {
  return Object.keys(SHOWS).flatMap((symptom) => {
    const before = placesOf(symptom, plan, sound, sound) ?? [];
    return (placesOf(symptom, plan, sound, faulty) ?? [])
      .filter((id) => !before.includes(id))
      .map((stageId) => ({ symptom, stageId }));
  });
}

/**
 * Whether a line with a fault shows a complaint, at its place where that is said; nothing where the walk does not know.
 * @example showsComplaint({ symptom: 'D11' }, plan, section, section) === undefined // true
 */
export function showsComplaint(
  { symptom, stageId }: Complaint,
  plan: Plan,
  sound: Section,
  faulty: Section,
): boolean | undefined {
  const places = placesOf(symptom, plan, sound, faulty);
  return places && (stageId === undefined ? places.length > 0 : places.includes(stageId));
}

/** Whether a fault changes what a walk shows; others only bring what they say. */
function changesWalk(plan: Plan, { fault, stageId, size }: Placed): boolean {
  const stage = stageById(plan, stageId);
  return fault.changesPlan !== undefined || (stage !== undefined && Object.keys(fault.changes(stage, size)).length > 0);
}

/**
 * How likely a complaint is on a line with faults in it: 1 where the walk knows nothing of it.
 * @param faulty the walk with the faults
 * @param faults those that are in it
 * @example toldBy({ symptom: 'D11' }, plan, section, section, []) // 1
 */
export function toldBy(
  complaint: Complaint,
  plan: Plan,
  sound: Section,
  faulty: Section,
  faults: readonly Placed[],
): number {
  const shows = showsComplaint(complaint, plan, sound, faulty);
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
  const changesAir = faults.some((f) => changesWalk(plan, f));
  if (at.length > 0 && (SHOWS[complaint.symptom] === onlyBrought || !changesAir)) return TOLD.elsewhere;
  // Where its place is not said, it is one of those at which such a complaint is met.
  const places =
    place === undefined ? allStages(standing(plan)).filter(SHOWS[complaint.symptom]?.at ?? (() => true)) : [];
  const paths = (place === undefined ? places.map((s) => s.id) : [place]).map((id) => pathTo(plan, id));
  const isElsewhere = at.length > 0 && !paths.some((path) => path.some((s) => at.includes(s.id)));
  return isElsewhere ? TOLD.elsewhere : TOLD.otherwise;
}

/**
 * What is complained of on a line with a fault: what surely comes with it, where the walk shows it; else what the fault brings.
 * @returns nothing where nobody would notice it
 * @example complaintOf(plan, section, section, { fault: faultById('leaks'), stageId: 'hose', size: 1 })?.symptom // 'D14'
 */
export function complaintOf(plan: Plan, sound: Section, faulty: Section, placed: Placed): Complaint | undefined {
  const shown = newComplaints(plan, sound, faulty).find(
    (c) => toldBy(c, plan, sound, faulty, [placed]) === TOLD.whereItShows,
  );
  const { brings = [], bringsHere = [] } = placed.fault;
  const here = bringsHere.map((symptom) => ({ symptom, stageId: placed.stageId }))[0];
  const brought = brings.find((id) => id in SHOWS);
  return shown ?? here ?? (brought === undefined ? undefined : { symptom: brought });
}
