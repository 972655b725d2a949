import type { Sentence } from '../advice/rule';
import { kindOf } from '../equipment/index';
import type { Drain } from '../equipment/shared/drain-fields';
import { CFM, WATER_KG_PER_M3 } from '../quantity/constants';
import { spell } from '../quantity/spell';
import { handDraining, howOften, MOST_A_DAY, OFTEN_A_DAY } from './by-hand';
import { DRAIN_WORK, type DrainWork, handDays, YEAR_DAYS } from './drain-work';
import { type DrainDuty, gathersPerStopM3, isFreezing, kgPerDay, pressureHours, stopsPerDay } from './duty';
import { liquidM3PerS } from './liquid-flow';
import { CAPACITY_MARGIN } from './restart';
import { LOSS, setTimer, type TimerDuty, type TimerResult, type TimerSetting, timerAt } from './timer';
import { sayWater } from './words';

/** One way of draining a place: how well it suits, why, how it would be set, and what it costs. */
export interface Way {
  readonly drain: Drain;
  /** 0 it cannot do it, 1 poor, 2 works, 3 suits best of its sort. */
  readonly suits: 0 | 1 | 2 | 3;
  readonly because: readonly Sentence[];
  /** How it is set here, in words. */
  readonly setting: Sentence;
  /** Parameters that make it so. */
  readonly parameters: Readonly<Record<string, string | number>>;
  /** Air lost on a working day, kg. */
  readonly lostKgPerDay: number;
  /** What that air costs to make in a year, kWh. */
  readonly kWhPerYear: number;
  /** Time that somebody spends on it in a year, min. */
  readonly taskMinutes: number;
}

// Floats: orifice 0.06–0.1 in (trade handbook); below some millilitres an hour the seat runs dry, leaks or sticks
// (common practice, no source). Dirt and the travel of the float leave half of the free flow.
const FLOAT_BORE_M = 2e-3;
const FLOAT_LEFT = 0.5;
export const FLOAT_LEAST_KG_PER_S = 5e-3 / 3600;
/** So many times that at the wettest hour, and its seat is wetted often enough (estimate). */
const SEALS_IN_WET = 4;
// A drain without loss pays over some 100 cfm, or from 4,000 hours a year (trade handbook).
const PAYS_FROM_M3_PER_S = 100 * CFM;
const PAYS_FROM_H = 4000;
/** A spitter hisses for a moment at each change of pressure (estimate). */
const SPIT_S = 0.3;
const SPIT_BORE_M = 1e-3;

/** What the water of a day needs of a timer, for a peak. */
export function timerDuty(d: DrainDuty, peakKgPerS = d.peakKgPerS, boreM = d.stage.parameters.drainBoreM): TimerDuty {
  return {
    peakKgPerS,
    sumpM3: d.stage.parameters.sumpM3,
    boreM,
    pressurePa: d.station.pressurePa,
    temperatureC: d.station.temperatureC,
    atmosphericPa: d.atmosphericPa,
    strained: d.strained,
  };
}

/**
 * Air that a timer blows away on a working day, kg: it opens by the clock, and all the time without water is air.
 * @example timerLossPerDay(duty, { everyS: 1800, openS: 5 }) // 3.02
 */
export function timerLossPerDay(d: DrainDuty, set: TimerSetting, kgPerS = d.nowKgPerS): number {
  const { blowsKgPerS, liquidS } = timerAt(timerDuty(d, kgPerS), set);
  const openS = (pressureHours(d) * 3600 * set.openS) / set.everyS;
  const wetS = (d.loadedHoursPerDay * 3600 * Math.min(liquidS, set.openS)) / set.everyS;
  return blowsKgPerS * Math.max(0, openS - wetS);
}

/** Most water that a float can pass, kg/s. */
export const floatCapacity = (d: DrainDuty): number =>
  FLOAT_LEFT * liquidM3PerS(FLOAT_BORE_M, d.station.pressurePa - d.atmosphericPa) * WATER_KG_PER_M3;

const yearly = (d: DrainDuty, kgPerDay: number): number => kgPerDay * d.workedDaysPerYear * d.kWhPerKg;

/** Minutes a year that a drain asks for here: the tasks of the routine that it would bring to this stage. */
function minutesOf(d: DrainDuty, drain: Drain): number {
  const tasks = kindOf(d.stage.kind).service ?? [];
  const { perDay } = handDraining(d.nowKgPerS, d.stage.parameters.sumpM3, d.loadedShare, d.workedHoursPerDay);
  const fillDays = perDay > 0 ? 1 / perDay : undefined;
  return Object.entries<DrainWork>(DRAIN_WORK)
    .filter(([id, work]) => tasks.includes(id) && work.drains.includes(drain))
    .reduce((sum, [, { minutes, days }]) => {
      const every =
        drain === 'manual' ? handDays(days, fillDays, kgPerDay(d), d.stage.kind === 'pellet-tower').days : days;
      return sum + (minutes * YEAR_DAYS) / every;
    }, 0);
}

const every = (set: TimerSetting): string => `open ${spell(set.openS)} every ${spell(set.everyS)}`;

function byHand(d: DrainDuty): Way {
  const routine = handDraining(d.peakKgPerS, d.stage.parameters.sumpM3, d.loadedShare, d.workedHoursPerDay);
  const salty = d.stage.kind === 'pellet-tower';
  const often = howOften(routine.perDay, kgPerDay(d, d.peakKgPerS), salty);
  const tooOften = routine.perDay > OFTEN_A_DAY;
  const suits =
    routine.perDay > MOST_A_DAY || d.remembers === 'forgotten' ? 0 : tooOften ? 1 : d.remembers === 'daily' ? 3 : 2;
  return {
    drain: 'manual',
    suits,
    because: [
      ...(tooOften
        ? ([
            (say) =>
              `${sayWater(say, kgPerDay(d, d.peakKgPerS) / WATER_KG_PER_M3)} come on a day of the worst weather, and its sump holds ${sayWater(say, d.stage.parameters.sumpM3)}.`,
          ] satisfies Sentence[])
        : ['Nothing to wear out, and the operator sees the condensate.']),
      ...(d.remembers === 'forgotten' ? ['It is often forgotten here: the water is then carried into the line.'] : []),
      ...(d.remembers === 'not-said' ? ['It works only while somebody remembers.'] : []),
      ...(salty ? ['Brine gathers while it idles too: wet air stands on the pellets.'] : []),
    ],
    setting: often,
    parameters: { drain: 'manual' },
    lostKgPerDay: 0,
    kWhPerYear: 0,
    taskMinutes: minutesOf(d, 'manual'),
  };
}

function float(d: DrainDuty): Way {
  const enough = floatCapacity(d) >= CAPACITY_MARGIN * d.peakKgPerS;
  const seals = d.nowKgPerS >= FLOAT_LEAST_KG_PER_S || d.peakKgPerS >= SEALS_IN_WET * FLOAT_LEAST_KG_PER_S;
  const because: Sentence[] = [
    enough
      ? (say) =>
          `Passes up to ${say(floatCapacity(d), 'massFlow')} at this pressure: ${CAPACITY_MARGIN} × the peak is ${say(CAPACITY_MARGIN * d.peakKgPerS, 'massFlow')}.`
      : (say) =>
          `It passes ${say(floatCapacity(d), 'massFlow')} at this pressure; the peak with its margin is ${say(CAPACITY_MARGIN * d.peakKgPerS, 'massFlow')}.`,
    ...(d.rusty ? ['Rust and scale block it.'] : []),
    ...(d.emulsion ? ['Sludge of an emulsion blocks it shut.'] : []),
    ...(isFreezing(d) ? ['It stands in water, and freezes.'] : []),
    ...(seals
      ? []
      : ([
          (say) => `Under some ${say(FLOAT_LEAST_KG_PER_S, 'waterFlow')} its seat runs dry: it leaks or sticks.`,
        ] satisfies Sentence[])),
  ];
  const bad = Number(d.rusty) + Number(d.emulsion) + Number(isFreezing(d)) + Number(!seals);
  return {
    drain: 'float',
    suits: !enough ? 0 : bad === 0 ? 3 : 1,
    because,
    setting: 'opens by itself; test it weekly, strip it twice a year',
    parameters: { drain: 'float' },
    lostKgPerDay: 0,
    kWhPerYear: 0,
    taskMinutes: minutesOf(d, 'float'),
  };
}

function timer(d: DrainDuty): Way {
  const set = bestTimer(d);
  const lost = set ? timerLossPerDay(d, set) : 0;
  const share = set && d.deliveredKgPerS > 0 ? set.lostKgPerS / d.deliveredKgPerS : 0;
  const because: Sentence[] = [
    !set
      ? 'Its sump fills faster than any timer opens: a larger sump, or one that senses the level.'
      : share > LOSS.most
        ? (say) => `Loses ${say(share, 'share')} of the air: one that senses the level loses none.`
        : (say) => `Loses ${say(share, 'share')} of the air while loaded; up to ${say(LOSS.ideal, 'share')} is good.`,
    ...(d.power === 'no' ? ['It needs power, and there is none.'] : []),
    ...(d.hazardous ? ['A solenoid in an explosive atmosphere must be rated for it.'] : []),
    ...(d.emulsion ? ['Its discharge makes an emulsion of oil and water.'] : []),
    ...(d.rusty ? ['Its port is wide enough for flakes, with a strainer upstream of it.'] : []),
    ...(isFreezing(d) ? ['It dumps all there is, so little can freeze.'] : []),
    ...(d.stage.kind === 'coalescing-filter' ? ['Each opening shocks the element.'] : []),
  ];
  const poor = Number(share > LOSS.most) + Number(d.emulsion) + Number(d.stage.kind === 'coalescing-filter');
  return {
    drain: 'timer',
    suits: !set || d.power === 'no' || d.hazardous ? 0 : poor > 0 ? 1 : share <= LOSS.ideal ? 3 : 2,
    because,
    setting: set ? every(set) : '–',
    parameters: set ? { drain: 'timer', drainEveryS: set.everyS, drainOpenS: set.openS } : { drain: 'timer' },
    lostKgPerDay: lost,
    kWhPerYear: yearly(d, lost),
    taskMinutes: minutesOf(d, 'timer'),
  };
}

/**
 * The setting for the peak of a duty.
 * @example bestTimer(duty).everyS // 3600
 */
export const bestTimer = (d: DrainDuty, peakKgPerS = d.peakKgPerS): TimerResult | undefined =>
  setTimer(timerDuty(d, peakKgPerS));

/** Whether what opens once a cycle of the compressor passes what gathers in it. */
export function passesPerStopM3(d: DrainDuty): number {
  return d.blownOut ? d.stage.parameters.sumpM3 : d.stage.parameters.drainPulseM3;
}

function perCycle(d: DrainDuty, drain: 'unloader' | 'unloader-start' | 'spitter'): Way {
  const gathers = gathersPerStopM3(d);
  const passes = drain === 'spitter' ? d.stage.parameters.drainPulseM3 : passesPerStopM3(d);
  const opens = d.unloads && d.cycle !== undefined;
  const cannotBlow = drain !== 'spitter' && d.behindTank && d.stage.kind !== 'receiver';
  const enough = opens && gathers * CAPACITY_MARGIN <= passes;
  const because: Sentence[] = [
    !d.unloads
      ? 'This compressor changes its speed and never unloads: nothing opens it.'
      : !opens
        ? 'At this demand the compressor hardly ever stops.'
        : (say) =>
            `${say(gathers, 'drained')} gathers between two stops; it passes ${say(passes, 'drained')} each time, ${Math.round(stopsPerDay(d))} × a day${enough ? '' : gathers <= passes ? ', without a margin' : ': not enough'}.`,
    ...(cannotBlow
      ? ['It stands downstream of the tank’s check valve or the tank itself: the unloader has nothing to do with it.']
      : []),
    ...(drain === 'unloader-start' ? ['As the compressor starts there is little pressure to push the water out.'] : []),
    ...(drain === 'spitter' ? ['Grit holds it open, and it splatters.'] : []),
  ];
  const lost =
    drain === 'spitter'
      ? timerAt({ ...timerDuty(d), boreM: SPIT_BORE_M }, { everyS: 1, openS: 1 }).blowsKgPerS * SPIT_S * stopsPerDay(d)
      : 0;
  const works = opens && gathers <= passes && !cannotBlow;
  return {
    drain,
    suits: !works ? 0 : drain === 'unloader' ? (enough ? 3 : 2) : d.rusty ? 0 : 1,
    because,
    setting: (say) =>
      `${say(Math.min(gathers, passes), 'drained')} each ${drain === 'unloader-start' ? 'start' : drain === 'unloader' ? 'stop' : 'change of pressure'}`,
    parameters: { drain },
    lostKgPerDay: lost,
    kWhPerYear: yearly(d, lost),
    taskMinutes: minutesOf(d, drain),
  };
}

function onLossOfPressure(d: DrainDuty): Way {
  const kg = kgPerDay(d, d.peakKgPerS);
  const holds = kg / WATER_KG_PER_M3 <= d.stage.parameters.sumpM3;
  return {
    drain: 'pressure-loss',
    suits: d.charged || !holds ? 0 : 2,
    because: [
      d.charged
        ? 'This line stays under pressure overnight: it would never open.'
        : (say) =>
            `It opens each evening as the line is depressurised; the wettest day brings ${sayWater(say, kg / WATER_KG_PER_M3)}, and it holds ${sayWater(say, d.stage.parameters.sumpM3)}.`,
    ],
    setting: 'depressurise the line each evening',
    parameters: { drain: 'pressure-loss' },
    lostKgPerDay: 0,
    kWhPerYear: 0,
    taskMinutes: minutesOf(d, 'pressure-loss'),
  };
}

function level(d: DrainDuty): Way {
  const because: Sentence[] = [
    (say) =>
      `Loses no air. Choose one for ${say(CAPACITY_MARGIN * d.peakKgPerS, 'massFlow')} or more at this pressure: ${CAPACITY_MARGIN} × the peak.`,
    ...(d.power === 'no' ? ['Take one that works by air: there is no power.'] : []),
    ...(d.hazardous ? ['Electric ones must be rated for an explosive atmosphere; there are pneumatic ones.'] : []),
    ...(d.emulsion ? ['It opens gently, so it makes no emulsion.'] : []),
    ...(isFreezing(d) ? ['It needs a heater or insulation here.'] : []),
  ];
  const pays = d.deliveredKgPerS * d.m3PerKg > PAYS_FROM_M3_PER_S || d.workedHoursPerYear >= PAYS_FROM_H;
  return {
    drain: 'level',
    suits: isFreezing(d) || !pays ? 2 : 3,
    because: pays
      ? because
      : [
          ...because,
          (say) =>
            `It pays from some ${say(PAYS_FROM_M3_PER_S, 'volumeFlow')}, or ${PAYS_FROM_H} h a year: here it is optional.`,
        ],
    setting: 'opens by itself; press its test button weekly',
    parameters: { drain: 'level' },
    lostKgPerDay: 0,
    kWhPerYear: 0,
    taskMinutes: minutesOf(d, 'level'),
  };
}

/**
 * All ways of draining a place, those that suit first; of equals the one that loses less air and takes less time.
 * @example waysToDrain(duty)[0].drain // 'float'
 */
export function waysToDrain(d: DrainDuty): Way[] {
  return [
    byHand(d),
    float(d),
    timer(d),
    perCycle(d, 'unloader'),
    perCycle(d, 'unloader-start'),
    perCycle(d, 'spitter'),
    onLossOfPressure(d),
    level(d),
  ].sort((a, b) => b.suits - a.suits || a.lostKgPerDay - b.lostKgPerDay || a.taskMinutes - b.taskMinutes);
}
