import { compressorCycle, mostStartsPerHour } from '../day/cycle';
import type { Plan } from '../plan/plan';
import { loadedShareFor } from '../plan/working-time';
import { at, inTurn, ofLine, set, stated } from './fix';
import type { Rule } from './rule';

const ROOM_FOR_STARTS = 0.8; // of the starts allowed, left spare by a larger tank (estimate)
const ROOM_TO_REST = 1.1; // a tenth more than its duty limit asks (estimate)
export const SHARES_APART = 1.5; // what is entered of jobs and of load may be so far apart (estimate)

const withLoadedShare = (plan: Plan, loadedShare: number): Plan => ({
  ...plan,
  survey: { ...plan.survey, working: { ...plan.survey.working, loadedShare } },
});

/** How hard the compressor works. */
export const COMPRESSOR_LOAD: readonly Rule[] = [
  {
    id: 'O46',
    grade: 'should',
    when: 'a piston compressor loaded for more of the time than it is made for',
    fix: 'Fix leaks, use less, or more compressor.',
    source: 'common practice: 60 % single-stage, 75 % two-stage cast iron',
    finds: (line) =>
      line.compressors.slice(0, 1).flatMap((s) => {
        const { loadedShare } = line.plan.survey.working;
        const asked =
          (line.balance.usedM3PerS + line.balance.lostM3PerS) / Math.max(line.balance.deliveredM3PerS, 1e-9);
        const share = Math.max(loadedShare, Math.min(1, asked));
        if (!s.parameters.type.startsWith('piston') || share <= s.parameters.dutyLimit) return [];
        const larger = (share / s.parameters.dutyLimit) * ROOM_TO_REST;
        return [
          at(
            s,
            `${s.name} exceeds its duty cycle.`,
            (say) =>
              `It is loaded ${say(share, 'share')} of the time, and made for ${say(s.parameters.dutyLimit, 'share')}: it runs hot and passes oil.`,
            inTurn(
              'Use a compressor with a higher duty cycle',
              set('', s, { freeAirDeliveryM3PerS: s.parameters.freeAirDeliveryM3PerS * larger }),
              { does: '', edit: (plan) => withLoadedShare(plan, share / larger) },
            ),
          ),
        ];
      }),
  },
  {
    id: 'A37',
    grade: 'should',
    when: 'a share of the time loaded that differs by half and more from what the jobs ask for',
    fix: 'Read the hour meter over a week, or measure what the jobs take; then enter both.',
    source: 'balance of this line; half is an estimate of what flows of tools by their sheets are off',
    finds: (line) => {
      const { loadedShare } = line.plan.survey.working;
      const { usedM3PerS, lostM3PerS, deliveredM3PerS } = line.balance;
      const asked = (usedM3PerS + lostM3PerS) / Math.max(deliveredM3PerS, 1e-9);
      const [byJobs, bySurvey] = [loadedShareFor(asked), loadedShareFor(loadedShare)];
      const factor = Math.max(byJobs, bySurvey) / Math.min(byJobs, bySurvey);
      if (usedM3PerS <= 0 || asked > 1 || factor <= SHARES_APART) return [];
      return [
        ofLine(
          (say) =>
            `The jobs and their losses keep the compressor loaded ${say(asked, 'share')} of the time; the survey says ${say(loadedShare, 'share')}.`,
          'Water, wear and cost of a day go by it: one of the two is wrong.',
          stated({ does: 'Use the jobs', edit: (plan) => withLoadedShare(plan, byJobs) }),
        ),
      ];
    },
  },
  {
    id: 'O47',
    grade: 'should',
    when: 'a start-and-stop compressor that starts more often than its motor allows',
    fix: 'A wider band, a larger tank, or let the motor run on.',
    source: 'common practice: 10 an hour at 5 hp, 6 from 10 hp on',
    finds: (line) =>
      line.compressors.slice(0, 1).flatMap((s) => {
        const p = s.parameters;
        const volume = line.of('receiver').reduce((sum, r) => sum + r.parameters.volumeM3, 0);
        if (p.control !== 'start-stop' || volume <= 0) return [];
        const { atmosphericPa } = line.around;
        const starts = compressorCycle(
          volume,
          p.cutInPa,
          p.cutOutPa,
          p.freeAirDeliveryM3PerS,
          line.balance.usedM3PerS + line.balance.lostM3PerS,
          atmosphericPa,
        ).startsPerHour;
        if (starts <= p.startsPerHour) return [];
        const most = mostStartsPerHour(volume, p.cutOutPa - p.cutInPa, p.freeAirDeliveryM3PerS, atmosphericPa);
        const tank = line.of('receiver')[0];
        return [
          at(
            s,
            `${s.name} starts ${starts.toFixed(0)} times an hour.`,
            `Its motor allows ${p.startsPerHour}; at half load it would be ${most.toFixed(0)}.`,
            set('Let it run on unloaded', s, { control: 'unload' }),
            tank &&
              set('Use a larger tank', tank, {
                volumeM3: (tank.parameters.volumeM3 * starts) / (ROOM_FOR_STARTS * p.startsPerHour),
              }),
          ),
        ];
      }),
  },
];
