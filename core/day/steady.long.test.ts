import fc from 'fast-check';
import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import { walk } from '../line/walk';
import { insertStage, newStage, setParameter } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { allStages, stageById } from '../plan/runs';
import { type PlanStart, startPlan } from '../plan/start-plan';
import { DAY_S } from '../quantity/constants';
import { all, working } from '../test/good-lines';
import type { CompressorTotals } from './compressor-unit';
import { type DayCycle, simulateDay } from './simulate-day';

/** Hours after which a cold tank has warmed: some six times its half hour. */
const START_UP_H = 3;

const START: PlanStart = {
  shop: 'Shop',
  lineName: 'Line',
  intakeTemperatureC: 27,
  intakeRelativeHumidity: 0.6,
  compressor: { type: 'piston1', freeAirDeliveryM3PerS: 0.0075, cutInPa: 101325 + 6.5e5, cutOutPa: 101325 + 8.5e5 },
  receiverVolumeM3: 0.23,
  has: { aftercooler: true, refrigeratedDryer: false },
};

/**
 * In which a compressor delivers into the tank, s: loaded, less what it takes to fill again the space upstream of its check valve,
 * which its unloader blew off.
 */
function loadedSOf(
  { stageId, loadedSByHour, blowOff }: CompressorTotals,
  day: DayCycle,
  hours: number[],
  plan: Plan,
): number {
  const loadedS = hours.reduce((sum, h) => sum + (loadedSByHour[h] as number), 0);
  const compressor = stageById(plan, stageId);
  if (!blowOff || compressor?.kind !== 'compressor') return loadedS;
  const loads = day.events.filter(
    (e) => e.what === 'loads' && e.stageId === stageId && hours.includes(Math.floor(e.second / 3600)),
  );
  const fillsM3 = (blowOff.spaceM3 * (compressor.parameters.cutInPa - 101325)) / 101325;
  return loadedS - (loads.length * fillsM3) / compressor.parameters.freeAirDeliveryM3PerS;
}

/** What the day’s simulation says and what the walk says of the same hours, start-up left out. */
function compare(given: Plan) {
  // Drains that keep up: what a full sump sends on is the day’s own.
  const plan = allStages(given).reduce(
    (p, s) => ('sumpM3' in s.parameters ? setParameter(p, s.id, 'sumpM3', 0.02) : p),
    given,
  );
  const day = simulateDay(plan);
  if (!day) throw new Error('no day');
  const { startsAtH, endsAtH } = plan.survey.working;
  const hours = Array.from({ length: 24 }, (_, h) => h).filter((h) => h >= startsAtH + START_UP_H && h + 1 <= endsAtH);
  const loadedS = Math.max(...day.compressors.map((p) => loadedSOf(p, day, hours, plan)));
  const share = loadedS / (hours.length * 3600);
  // What the survey says of the share is what the jobs ask: else the two are told different things.
  const section = walk(all(plan, working({ loadedShare: share })));
  let [sum, n] = [0, 0];
  for (let s = (hours[0] ?? 0) * 3600; s < ((hours.at(-1) ?? 0) + 1) * 3600 && s < DAY_S; s++, n++)
    sum += day.temperatureC[s] as number;
  return {
    share,
    drawnKg: section.waterInKgPerS * loadedS,
    tankK: sum / n - (section.at(day.receiverId)?.temperatureC as number),
    points: day.points.map((p) => ({
      id: p.stageId,
      day: hours.reduce((kg, h) => kg + (p.caughtByHour[h] as number), 0),
      walk: (section.at(p.stageId)?.caughtKgPerS as number) * loadedS,
    })),
  };
}
/**
 * Within 15 %, and the tank within 1 K. Where air is near its dew point, some tenths of a kelvin decide whether anything
 * falls at all: there within 2 % of the water drawn in, which is what 0.3 K makes of a dew point (6 % a kelvin).
 */
function expectAgreement(plan: Plan): void {
  const { share, tankK, points, drawnKg } = compare(plan);
  if (share > 0.98) return; // it never reaches its band: then it is not the walk’s pressure
  expect(Math.abs(tankK)).toBeLessThan(1);
  for (const { id, day, walk } of points)
    if (!(Math.abs(day - walk) <= Math.max(0.15 * Math.max(day, walk), 0.02 * drawnKg)))
      throw new Error(`${id}: ${day} kg by the day, ${walk} by the walk`);
}

test.each([
  ['workshop', demoPlan()],
  ['dairy', dairyPlan()],
])('the demo (%s): what falls in a working day is the same by the walk and by the day', (_, plan) => {
  expectAgreement(plan);
});

const TYPES = ['piston1', 'piston2', 'screw', 'oilfree'] as const;
test.each(TYPES.flatMap((type) => [true, false].map((aftercooler) => [type, aftercooler] as const)))(
  'a line of the start page: %s, aftercooler %s',
  (type, aftercooler) => {
    for (const refrigeratedDryer of [true, false])
      expectAgreement(
        startPlan(
          { ...START, compressor: { ...START.compressor, type }, has: { aftercooler, refrigeratedDryer } },
          () => crypto.randomUUID(),
        ),
      );
  },
);

test('200 lines of any weather, compressor and tank, with more stages upstream of the tank and downstream of it', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const any = fc.record({
    type: fc.constantFrom(...TYPES),
    aftercooler: fc.boolean(),
    refrigeratedDryer: fc.boolean(),
    intakeTemperatureC: number(5, 40),
    intakeRelativeHumidity: number(0.3, 1),
    volumeM3: number(0.1, 0.5),
    used: number(0.2, 0.9), // some cycles in each hour
    settles: number(0, 1),
    cutInPa: number(6e5, 10e5),
    band: number(0.5e5, 2e5),
    ahead: fc.subarray(['cooling-run', 'auxiliary-fan', 'water-cooler', 'hose', 'droplet-separator'] as const),
    // Pipes and membranes there go by how much flows, which the walk takes as all that the compressor delivers.
    behind: fc.subarray(['coalescing-filter', 'receiver', 'particulate-filter', 'drip-leg'] as const),
  });
  fc.assert(
    fc.property(any, (o) => {
      const flow = START.compressor.freeAirDeliveryM3PerS;
      const plan = startPlan(
        {
          ...START,
          ...o,
          receiverVolumeM3: o.volumeM3,
          compressor: { ...START.compressor, type: o.type, cutInPa: o.cutInPa, cutOutPa: o.cutInPa + o.band },
          has: o,
        },
        () => crypto.randomUUID(),
      );
      const changed = allStages(plan).reduce(
        (p, s) =>
          s.kind === 'outlet'
            ? setParameter(setParameter(p, s.id, 'flowM3PerS', flow * o.used), s.id, 'usedShare', 1)
            : s.kind === 'receiver'
              ? setParameter(p, s.id, 'settlingEfficiency', o.settles)
              : p,
        plan,
      );
      const put = (into: Plan, kinds: readonly Stage['kind'][], at: number): Plan =>
        kinds.reduce((p, kind) => insertStage(p, newStage(kind, crypto.randomUUID()), at), into);
      const tank = changed.stages.findIndex((s) => s.kind === 'receiver');
      expectAgreement(all(put(put(changed, o.behind, tank + 1), o.ahead, 2), working({ startsAtH: 8, endsAtH: 14 })));
    }),
    { numRuns: 200, endOnFailure: true },
  );
});
