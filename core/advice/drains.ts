import { compressorCycle } from '../day/cycle';
import { drainAirKgPerS } from '../line/drain-air';
import { loadedHoursPerDay } from '../line/working-day';
import type { Stage } from '../plan/plan';
import { WATER_KG_PER_M3 } from '../quantity/constants';
import { caught, drainedBy, own } from './drain-facts';
import { at, set } from './fix';
import type { Rule } from './rule';

// Limits: common practice of the trade.
/** Water that a drain by hand may bring in a shift, kg. */
export const MANUAL_MOST_KG = 0.5;

const TIMER_MOST_SHARE = 0.01; // of what the compressors deliver

const level = (s: Stage) => set('Fit a level-sensing drain', s, { drain: 'level' });

const byHand = (s: Stage) => set('Drain it by hand', s, { drain: 'manual' });

/** Whether a drain opens, and what it blows away. */
export const DRAINS: readonly Rule[] = [
  {
    id: 'O35',
    grade: 'must',
    when: 'more than half a litre a shift at a drain that somebody has to open; where that is never forgotten, more than its sump holds',
    fix: 'An automatic drain.',
    source: 'common practice',
    finds: (line) => {
      const loadedS = loadedHoursPerDay(line.plan) * 3600;
      // Opened daily by somebody who never forgets, it need only hold what comes in a day.
      const daily = line.plan.survey.site.remembers === 'daily';
      return drainedBy(line, 'manual').flatMap((s) => {
        const kg = caught(line, s) * loadedS;
        return kg <= (daily ? Math.max(MANUAL_MOST_KG, own(s).sumpM3 * WATER_KG_PER_M3) : MANUAL_MOST_KG)
          ? []
          : [
              at(
                s,
                (say) => `${say(kg / WATER_KG_PER_M3, 'drained')} a day at ${s.name} depend on somebody remembering.`,
                daily
                  ? (say) => `Its sump holds ${say(own(s).sumpM3, 'drained')}: the excess is carried into the lines.`
                  : 'If forgotten, the water is carried into the lines.',
                level(s),
                set('Fit a float drain', s, { drain: 'float' }),
              ),
            ];
      });
    },
  },
  {
    id: 'O36',
    grade: 'should',
    when: 'a timed drain that blows away more than 1 % of what the compressors deliver',
    fix: 'Open it shorter and less often, or fit one that senses the level.',
    source: 'common practice; loss computed from bore, pressure and times',
    finds: (line) =>
      drainedBy(line, 'timer').flatMap((s) => {
        const station = line.at(s);
        const lost = station
          ? drainAirKgPerS(s, station, line.around.atmosphericPa) / Math.max(line.section.dryAirKgPerS, 1e-12)
          : 0;
        if (lost <= TIMER_MOST_SHARE) return [];
        const every = Math.min(86_400, Math.ceil((own(s).drainEveryS * lost) / (TIMER_MOST_SHARE * 0.9)));
        return [
          at(
            s,
            (say) => `The timer of ${s.name} wastes ${say(lost * line.balance.deliveredM3PerS, 'volumeFlow')}.`,
            (say) =>
              `It opens for ${say(own(s).drainOpenS, 'duration')} every ${say(own(s).drainEveryS, 'duration')}: ${say(lost, 'share')} of all the air made.`,
            level(s),
            set('Open it less often', s, { drainEveryS: every }),
          ),
        ];
      }),
  },
  {
    id: 'O37',
    grade: 'must',
    when: 'a drain that the unloader opens, on a compressor that never unloads',
    fix: 'A timed or level-sensing drain.',
    source: 'common practice',
    finds: (line) =>
      drainedBy(line, 'unloader', 'unloader-start')
        .filter((s) => line.compressorOf(s)?.parameters.control === 'speed')
        .map((s) =>
          at(
            s,
            `The drain of ${s.name} opens when the compressor unloads, and this one does not.`,
            (say) =>
              `A compressor that changes its speed keeps on running: ${say(caught(line, s), 'waterFlow')} is not drained.`,
            level(s),
          ),
        ),
  },
  {
    id: 'O38',
    grade: 'should',
    when: 'a float or a small solenoid on a receiver that rusts, without a strainer',
    fix: 'A strainer upstream of it, or a drain with a larger port.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('receiver')
        .filter(
          (s) => (s.parameters.drain === 'float' || s.parameters.drain === 'timer') && s.parameters.strainer === 'none',
        )
        .map((s) =>
          at(
            s,
            `Rust will jam the drain of ${s.name}.`,
            `A ${s.parameters.drain === 'float' ? 'float' : 'solenoid'} with nothing before it meets all the scale of the tank.`,
            set('Add a strainer upstream of it', s, { strainer: 'fitted' }),
          ),
        ),
  },
  {
    id: 'A12',
    grade: 'must',
    when: 'a trap whose unloader drain stands downstream of the check valve',
    fix: 'Add the trap upstream of the check valve, or give it another drain.',
    source: 'common practice: the unloader empties only what stands upstream of the check valve',
    finds: (line) =>
      drainedBy(line, 'unloader', 'unloader-start')
        .filter((s) => s.kind !== 'receiver' && line.upstream(s).some((u) => u.kind === 'check-valve'))
        .map((s) => {
          return at(
            s,
            `${s.name} stands downstream of the check valve: the unloader cannot blow it out.`,
            'When the compressor stops, the check valve keeps the pressure of the tank on it.',
            level(s),
            byHand(s),
          );
        }),
  },
  {
    id: 'A13',
    grade: 'must',
    when: 'a bowl that empties itself only without pressure, in a line that is never depressurised',
    fix: 'A float drain, or depressurise the line each evening.',
    source: 'common practice',
    finds: (line) =>
      line.plan.survey.working.overnight === 'depressurised'
        ? []
        : drainedBy(line, 'pressure-loss').map((s) =>
            at(
              s,
              `The drain of ${s.name} never opens.`,
              'It waits for the line to lose its pressure, and this line stays charged overnight.',
              set('Fit a float drain', s, { drain: 'float' }),
              byHand(s),
            ),
          ),
  },
  {
    id: 'A14',
    grade: 'should',
    when: 'an unloader drain that opens as the compressor starts',
    fix: 'One that opens as the compressor stops, when all the water is there and the pressure drives it out.',
    source: 'common practice: makes differ',
    finds: (line) =>
      drainedBy(line, 'unloader-start').map((s) =>
        at(
          s,
          `The drain of ${s.name} opens as the compressor starts.`,
          (say) =>
            `There is little pressure then to push out what gathered: ${say(own(s).drainPulseM3, 'drained')} each time at best.`,
          set('Let it open as the compressor stops', s, { drain: 'unloader' }),
        ),
      ),
  },
  {
    id: 'A15',
    grade: 'must',
    when: 'an unloader drain that passes less each time than gathers between stops',
    fix: 'A larger pulse, or a level-sensing drain.',
    source: 'cycle of the compressor at its average demand, computed',
    finds: (line) => {
      const tank = line.of('receiver')[0];
      return drainedBy(line, 'unloader', 'unloader-start').flatMap((s) => {
        const compressor = line.compressorOf(s)?.parameters;
        if (!tank || !compressor || compressor.control === 'speed') return [];
        const { loadedS } = compressorCycle(
          tank.parameters.volumeM3,
          compressor.cutInPa,
          compressor.cutOutPa,
          compressor.freeAirDeliveryM3PerS,
          line.balance.usedM3PerS + line.balance.lostM3PerS,
          line.around.atmosphericPa,
        );
        const gathers = (caught(line, s) * Math.min(loadedS, 3600)) / WATER_KG_PER_M3;
        if (gathers <= own(s).drainPulseM3) return [];
        return [
          at(
            s,
            `The drain of ${s.name} cannot keep up.`,
            (say) =>
              `${say(gathers, 'drained')} gathers while the compressor runs loaded ${Number.isFinite(loadedS) ? `for ${say(loadedS, 'duration')}` : 'without a stop'}; it passes ${say(own(s).drainPulseM3, 'drained')}.`,
            level(s),
          ),
        ];
      });
    },
  },
];
