import { drainAirKgPerS } from '../flow/drain-air';
import { loadedHoursPerDay } from '../line/day';
import { drainPoints } from '../line/edit';
import type { Stage } from '../line/plan';
import { pumpCycle } from '../pump/cycle';
import { is, TREATMENT } from './groups';
import type { LineFacts } from './line-facts';
import { answer, at, ofLine, set } from './mend';
import type { Rule } from './rule';

// Limits: common practice of the trade.
const MANUAL_MOST_KG = 0.5; // a shift
const TIMER_MOST_SHARE = 0.01; // of what the pumps deliver
const LIFT_MOST_M = 1.83; // 6 ft
const BORE_LEAST_M = 0.00635; // 1/4 in
const YEAR_S = 31_536_000;
const MONTH_S = YEAR_S / 12;
const WATER = 1000; // kg/m³

interface Drained {
  drain: string;
  drainPulseM3: number;
  drainEveryS: number;
  drainOpenS: number;
}
const own = (s: Stage): Drained => s.parameters as unknown as Drained;
const drained = (line: LineFacts, ...how: string[]): Stage[] =>
  line.stages.filter((s) => 'drain' in s.parameters && how.includes(own(s).drain));
const caught = (line: LineFacts, s: Stage): number => line.at(s)?.caughtKgPerS ?? 0;
const level = (s: Stage) => set('Fit a level-sensing drain', s, { drain: 'level' });
const byHand = (s: Stage) => set('Drain it by hand', s, { drain: 'manual' });

/** What takes the water away, and where it goes. */
export const DRAINS: readonly Rule[] = [
  {
    id: 'O35',
    grade: 'must',
    when: 'more than half a litre a shift at a drain that somebody has to open',
    mend: 'An automatic drain.',
    source: 'common practice',
    finds: (line) =>
      drained(line, 'manual').flatMap((s) => {
        const kg = caught(line, s) * loadedHoursPerDay(line.plan) * 3600;
        return kg <= MANUAL_MOST_KG
          ? []
          : [
              at(
                s,
                (say) => `${say(kg / WATER, 'drained')} a day at ${s.name} rely on somebody remembering.`,
                'Forgotten once, the water goes on into the lines.',
                level(s),
                set('Fit a float drain', s, { drain: 'float' }),
              ),
            ];
      }),
  },
  {
    id: 'O36',
    grade: 'should',
    when: 'a timed drain that blows away more than 1 % of what the pumps deliver',
    mend: 'Open it shorter and less often, or fit one that senses the level.',
    source: 'common practice; loss computed from bore, pressure and times',
    finds: (line) =>
      drained(line, 'timer').flatMap((s) => {
        const station = line.at(s);
        const lost = station
          ? drainAirKgPerS(s, station, line.around.atmosphericPa) / Math.max(line.section.dryAirKgPerS, 1e-12)
          : 0;
        if (lost <= TIMER_MOST_SHARE) return [];
        const every = Math.min(86_400, Math.ceil((own(s).drainEveryS * lost) / (TIMER_MOST_SHARE * 0.9)));
        return [
          at(
            s,
            (say) => `The timer of ${s.name} throws away ${say(lost * line.balance.deliveredM3PerS, 'volumeFlow')}.`,
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
    when: 'a drain that the unloader opens, on a pump that never unloads',
    mend: 'A timed or level-sensing drain.',
    source: 'common practice',
    finds: (line) =>
      drained(line, 'unloader', 'unloader-start')
        .filter((s) => line.pumpOf(s)?.parameters.control === 'speed')
        .map((s) =>
          at(
            s,
            `The drain of ${s.name} opens when the pump unloads, and this one does not.`,
            (say) =>
              `A pump that changes its speed keeps on running: ${say(caught(line, s), 'waterFlow')} has nowhere to go.`,
            level(s),
          ),
        ),
  },
  {
    id: 'A12',
    grade: 'must',
    when: 'a trap whose unloader drain stands behind the check valve',
    mend: 'Put the trap before the check valve, or give it another drain.',
    source: 'common practice: the unloader empties only what stands before the check valve',
    finds: (line) =>
      drained(line, 'unloader', 'unloader-start')
        .filter((s) => s.kind !== 'receiver' && line.upstream(s).some((u) => u.kind === 'check-valve'))
        .map((s) => {
          return at(
            s,
            `${s.name} stands behind the check valve: the unloader cannot blow it out.`,
            'When the pump stops, the check valve keeps the pressure of the tank on it.',
            level(s),
            byHand(s),
          );
        }),
  },
  {
    id: 'A13',
    grade: 'must',
    when: 'a bowl that empties itself only without pressure, in a line that is never let down',
    mend: 'A float drain, or let the line down each evening.',
    source: 'common practice',
    finds: (line) =>
      line.plan.survey.working.overnight === 'let-down'
        ? []
        : drained(line, 'pressure-loss').map((s) =>
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
    when: 'an unloader drain that opens as the pump starts',
    mend: 'One that opens as the pump stops, when all the water is there and the pressure drives it out.',
    source: 'common practice: makes differ',
    finds: (line) =>
      drained(line, 'unloader-start').map((s) =>
        at(
          s,
          `The drain of ${s.name} opens as the pump starts.`,
          (say) =>
            `There is little pressure then to push out what gathered: ${say(own(s).drainPulseM3, 'drained')} each time at best.`,
          set('Let it open as the pump stops', s, { drain: 'unloader' }),
        ),
      ),
  },
  {
    id: 'A15',
    grade: 'must',
    when: 'an unloader drain that passes less each time than gathers between stops',
    mend: 'A larger pulse, or a level-sensing drain.',
    source: 'cycle of the pump at its average demand, computed',
    finds: (line) => {
      const tank = line.of('receiver')[0];
      return drained(line, 'unloader', 'unloader-start').flatMap((s) => {
        const pump = line.pumpOf(s)?.parameters;
        if (!tank || !pump || pump.control === 'speed') return [];
        const { loadedS } = pumpCycle(
          tank.parameters.volumeM3,
          pump.cutInPa,
          pump.cutOutPa,
          pump.freeAirDeliveryM3PerS,
          line.balance.usedM3PerS + line.balance.lostM3PerS,
          line.around.atmosphericPa,
        );
        const gathers = (caught(line, s) * Math.min(loadedS, 3600)) / WATER;
        if (gathers <= own(s).drainPulseM3) return [];
        return [
          at(
            s,
            `The drain of ${s.name} cannot keep up.`,
            (say) =>
              `${say(gathers, 'drained')} gathers while the pump runs loaded ${Number.isFinite(loadedS) ? `for ${say(loadedS, 'duration')}` : 'without a stop'}; it passes ${say(own(s).drainPulseM3, 'drained')}.`,
            level(s),
          ),
        ];
      });
    },
  },
  {
    id: 'O38',
    grade: 'should',
    when: 'a float or a small solenoid on a receiver that rusts, without a strainer',
    mend: 'A strainer before it, or a drain with a larger port.',
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
            set('Put a strainer before it', s, { strainer: 'fitted' }),
          ),
        ),
  },
  {
    id: 'O39',
    grade: 'must',
    when: 'condensate of an oiled pump that goes down a drain or on the ground',
    mend: 'An oil–water separator, or a licensed collector.',
    source: 'water and waste law: the local limit counts',
    finds: (line) => {
      const { condensate } = line.plan.survey.site;
      if (!line.oiled || condensate !== 'away' || drainPoints(line.plan).length === 0) return [];
      const kg = line.stages.reduce((sum, s) => sum + caught(line, s), 0) * loadedHoursPerDay(line.plan) * 3600;
      return [
        ofLine(
          'Oily condensate goes where it may not.',
          (say) => `The drains bring ${say(kg / WATER, 'drained')} a day with oil in it: regulated waste.`,
          answer('Send it through an oil–water separator', { condensate: 'separator' }),
          answer('Have it collected', { condensate: 'collected' }),
        ),
      ];
    },
  },
  {
    id: 'A16',
    grade: 'note',
    when: 'nobody has said where the condensate of an oiled pump goes',
    mend: 'Find out, and say so in the Survey.',
    source: 'common practice',
    finds: (line) => {
      const { condensate } = line.plan.survey.site;
      if (
        !line.oiled ||
        condensate !== 'not-said' ||
        drainPoints(line.plan).length === 0 ||
        line.of('oil-water-separator').length > 0
      )
        return [];
      return [
        ofLine(
          'Where does what you drain go?',
          'It has oil in it, and the law has a word on that.',
          answer('Through an oil–water separator', { condensate: 'separator' }),
          answer('To a licensed collector', { condensate: 'collected' }),
        ),
      ];
    },
  },
  {
    id: 'O40',
    grade: 'should',
    when: 'drains of different pressure in one unvented line',
    mend: 'One vented line for all, and check valves.',
    source: 'common practice',
    finds: (line) => {
      const pressures = drainPoints(line.plan).flatMap((s) => line.at(s)?.pressurePa ?? []);
      const spread = Math.max(...pressures) - Math.min(...pressures);
      return line.plan.survey.site.drainLines === 'shared' && spread > 2e4
        ? [
            ofLine(
              'One drain can blow back through another.',
              (say) =>
                `They share an unvented line, and their pressures differ by ${say(spread, 'pressureDifference')}.`,
              answer('Vent the line', { drainLines: 'vented' }),
            ),
          ]
        : [];
    },
  },
  {
    id: 'O41',
    grade: 'should',
    when: 'a drain line that rises over 6 ft (1.8 m), is narrower than 1/4 in, or may freeze',
    mend: 'Lay it anew, or trace it.',
    source: 'common practice',
    finds: (line) => {
      const { drainLiftM, drainLineBoreM, drainLineCold } = line.plan.survey.site;
      const high = drainLiftM > LIFT_MOST_M;
      const narrow = drainLineBoreM < BORE_LEAST_M;
      if (!high && !narrow && drainLineCold === 'no') return [];
      return [
        ofLine(
          'A drain line may not clear itself.',
          (say) =>
            [
              high && `It rises ${say(drainLiftM, 'length')}.`,
              narrow && `Its bore is ${say(drainLineBoreM, 'size')}.`,
              drainLineCold === 'yes' && 'It passes where it freezes.',
            ]
              .filter(Boolean)
              .join(' '),
          answer('Lay it anew: falling, wide, in the warm', {
            drainLiftM: 0,
            drainLineBoreM: 0.0095,
            drainLineCold: 'no',
          }),
        ),
      ];
    },
  },
  {
    id: 'O42',
    grade: 'should',
    when: 'a bypass round a dryer or filter that is not locked shut',
    mend: 'Lock it, tag it, and log each opening.',
    source: 'common practice: found in many complaints of wet air',
    finds: (line) =>
      line.plan.branches
        .filter((b) => b.from !== null && b.into !== null && b.stages.every((s) => !is(TREATMENT, s.kind)))
        .flatMap((b) => {
          const into = line.stages.find((s) => s.id === b.into);
          const from = line.stages.find((s) => s.id === b.from);
          const round =
            into && from ? line.upstream(into).slice(0, Math.max(0, line.upstream(into).indexOf(from))) : [];
          const passed = round.find((s) => is(TREATMENT, s.kind));
          const valve = b.stages.find((s) => s.kind === 'isolating-valve');
          if (!passed || !from || (valve?.parameters.lock === 'locked' && b.share === 0)) return [];
          const open = b.share > 0;
          return [
            at(
              [passed, ...(valve ? [valve] : [])],
              `${b.name} is ${open ? 'open' : 'not locked'}.`,
              open
                ? (say) => `${say(b.share, 'share')} of the air goes round ${passed.name}: all behind it gets wet.`
                : `Opened by mistake, it makes all behind ${passed.name} wet.`,
              {
                does: 'Shut it and lock it',
                edit: (plan, newId) => {
                  const shut = {
                    ...plan,
                    branches: plan.branches.map((o) =>
                      o.id === b.id ? { ...o, share: 0, split: 'entered' as const } : o,
                    ),
                  };
                  return valve ? set('', valve, { lock: 'locked' }).edit(shut, newId) : shut;
                },
              },
            ),
          ];
        }),
  },
  {
    id: 'O55',
    grade: 'should',
    when: 'an oil–water separator whose carbon has no record of change in twelve months',
    mend: 'Change it, look at a jar of what comes out, and write it down.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('oil-water-separator')
        .filter((s) => s.parameters.carbonUsedS === 0 || s.parameters.carbonUsedS > YEAR_S)
        .map((s) =>
          at(
            s,
            `Nothing tells that ${s.name} still works.`,
            s.parameters.carbonUsedS === 0
              ? 'There is no record of when its carbon was changed.'
              : `Its carbon is ${Math.round(s.parameters.carbonUsedS / MONTH_S)} months old.`,
            set('It was changed this month', s, { carbonUsedS: 30 * 86_400 }),
          ),
        ),
  },
];
