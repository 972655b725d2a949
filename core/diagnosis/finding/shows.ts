import { CATCHERS, CHILLED, COOLERS, is, TOWERS } from '../../equipment/groups';
import { hasDrain, misreadAt } from '../../fault/fault';
import type { Walked } from '../../fault/walked';
import { airBalance } from '../../line/balance';
import { isHeldOpen } from '../../line/drain-air';
import { coldestReachC } from '../../plan/coldest-hour';
import type { Plan, Stage } from '../../plan/plan';
import { pathTo, stageById } from '../../plan/runs';
import { placeOf } from '../../plan/survey';

/** Less pressure than before by this much is felt at a tool, Pa (estimate). */
const FELT_PA = 2e4;
/** So much warmer, or wetter by dew point, is noticed, K (estimate). */
const NOTICED_K = 4;
/** So much of the delivery that is left no more for the jobs is noticed at the tank (estimate). */
const FELT_SHARE = 0.1;
/** Of what a drain gave before, so little is noticed (estimate). */
const CATCHES_LITTLE = 0.3;
/** … and so many times of it seems to run all the time (trade handbook: a dead drain upstream gives five times). */
const RUNS_ON = 5;
/** Liquid from which air carries drops, kg/s. */
const DROPS_KG_PER_S = 1e-9;

/** At which stages a complaint is met, and whether a line shows it there. */
interface Shows {
  readonly at: (stage: Stage) => boolean;
  readonly shows: (stage: Stage, faulty: Walked, sound: Walked) => boolean;
}
const of = (at: Shows['at'], shows: Shows['shows']): Shows => ({ at, shows });

const isOutlet = (s: Stage): boolean => s.kind === 'outlet';
/** A figure of a stage with the faults over that of the sound line. */
const rise = (field: 'temperatureC' | 'pressureDewPointC' | 'pressurePa', id: string, faulty: Walked, sound: Walked) =>
  (faulty.section.at(id)?.[field] ?? 0) - (sound.section.at(id)?.[field] ?? 0);
const hasDrops = (id: string, { section }: Walked): boolean => (section.at(id)?.liquidKgPerS ?? 0) > DROPS_KG_PER_S;

const wetAtTool = of(isOutlet, (s, faulty) => {
  const room = placeOf(faulty.plan.survey, faulty.plan.survey.roomPlaceId).temperatureC;
  const dewPointC = faulty.section.at(s.id)?.pressureDewPointC;
  return hasDrops(s.id, faulty) || (dewPointC !== undefined && dewPointC > room - NOTICED_K);
});
const wetter = (kinds: Shows['at']): Shows =>
  of(kinds, (s, ...lines) => rise('pressureDewPointC', s.id, ...lines) > NOTICED_K);

/** A pipe or hose on the way to a tool gets colder overnight than the dew point of the air that stands in it. */
const wetInTheMorning = of(isOutlet, (s, { plan, section, faults }) => {
  if (plan.survey.working.overnight === 'depressurised') return false;
  return pathTo(plan, s.id).some((p) => {
    const dewPointC = section.at(p.id)?.pressureDewPointC;
    if ((p.kind !== 'pipe' && p.kind !== 'hose') || dewPointC === undefined) return false;
    return coldestReachC(plan, p) + misreadAt(faults, p.id, 'coldest') < dewPointC;
  });
});

/** What is left of the delivery for the jobs, in the balance of all air. */
const leftM3PerS = (plan: Plan, { section }: Walked): number => airBalance(plan, section).leftM3PerS;
const short = of(
  (s) => s.kind === 'compressor' || s.kind === 'receiver',
  (_s, faulty, sound) =>
    leftM3PerS(sound.plan, sound) - leftM3PerS(faulty.plan, faulty) >
    FELT_SHARE * airBalance(sound.plan, sound.section).deliveredM3PerS,
);

/** A leaking cooler upstream of a drain, with none between them: of a line whose air is let off, water runs out of it then. */
function runsAtRest(plan: Plan, drain: Stage): boolean {
  if (plan.survey.working.overnight !== 'depressurised') return false;
  const path = pathTo(plan, drain.id);
  const from = path.findLastIndex((s, i) => hasDrain(s) && i < path.length - 1);
  return path.slice(from + 1).some((s) => s.kind === 'water-cooler' && s.parameters.tubeLeakKgPerS > 0);
}
/** A drain that never shuts, or through which so much water comes that it seems so. */
const runsOn = of(hasDrain, (s, faulty, sound) => {
  const now = stageById(faulty.plan, s.id) ?? s;
  const caught = ({ section }: Walked): number => section.at(s.id)?.caughtKgPerS ?? 0;
  return isHeldOpen(now) || caught(faulty) > RUNS_ON * caught(sound) + DROPS_KG_PER_S || runsAtRest(faulty.plan, s);
});

const warmer = (kinds: Shows['at']): Shows =>
  of(kinds, (s, ...lines) => rise('temperatureC', s.id, ...lines) > NOTICED_K);
/** What people notice of faults that bring it, and no walk shows. */
export const ONLY_BROUGHT: Shows = of(
  () => true,
  () => false,
);

/** Complaints that the walk of a line can show or that its faults bring, by their ids in the list of complaints. */
export const SHOWS: Readonly<Record<string, Shows>> = {
  D01: wetAtTool,
  D03: wetInTheMorning,
  D04: wetAtTool,
  D05: of(
    (s) => is(CHILLED, s.kind),
    (s, faulty, sound) => hasDrops(s.id, faulty) && !hasDrops(s.id, sound),
  ),
  D06: of(
    (s) => s.kind === 'receiver' || is(CATCHERS, s.kind),
    (s, faulty, sound) =>
      (faulty.section.at(s.id)?.caughtKgPerS ?? 0) < CATCHES_LITTLE * (sound.section.at(s.id)?.caughtKgPerS ?? 0),
  ),
  D07: runsOn,
  D13: of(isOutlet, (s, ...lines) => -rise('pressurePa', s.id, ...lines) > FELT_PA),
  D14: short,
  D15: short,
  D17: ONLY_BROUGHT,
  D18: warmer((s) => is(COOLERS, s.kind)),
  D19: wetter((s) => is(CHILLED, s.kind)),
  D22: wetter((s) => is(TOWERS, s.kind)),
  D25: wetter((s) => s.kind === 'bead-cartridge'),
  D39: ONLY_BROUGHT,
};
