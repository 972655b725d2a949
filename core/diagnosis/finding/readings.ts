import { CATCHERS, COOLERS, DRYERS, FILTERS, is } from '../../equipment/groups';
import { isHeldOpen } from '../../line/drain-air';
import { coldestReachC } from '../../plan/coldest-hour';
import type { Plan } from '../../plan/plan';
import { stageById } from '../../plan/runs';
import { surroundingsAt, surroundingsOf } from '../../plan/surroundings';
import { lostAtRestPa, reachesTankM3PerS } from './at-the-tank';
import { beforeOf, type CheckKind } from './check-kind';

/** What stands behind a drain that works, of what it holds (estimate). */
const GATHERED = 0.1;

/** What a line that counts as tight loses in ten minutes, Pa (estimate). */
const TIGHT_PA = 1e4;

const numbers = (plan: Plan, id: string): object => stageById(plan, id)?.parameters ?? {};

/** What is read with an instrument. Minutes are estimates of common practice, no source (in `standsMin` the line is shut off); uncertainties as the trade handbook has them for such readings. */
export const READINGS = {
  temperature: {
    label: 'Temperature of the air',
    how: 'Thermometer on tape or matt paint on the pipe, insulated, 15 to 30 cm downstream, in steady running.',
    quantity: 'temperature',
    abs: 2.5,
    rel: 0,
    minutes: 5,
    tool: 'thermometer',
    standsMin: 0,
    cautions: ['C09'],
    canRead: (s) => is(COOLERS, s.kind) || s.kind === 'receiver' || s.kind === 'compressor',
    read: (section, _plan, id) => section.at(id)?.temperatureC,
  },
  'cooling-air': {
    label: 'Temperature of the air that cools it',
    how: 'Thermometer in the shade, where the air goes in, while it runs.',
    quantity: 'temperature',
    abs: 1.5,
    rel: 0,
    minutes: 3,
    tool: 'thermometer',
    standsMin: 0,
    cautions: ['C09'],
    canRead: (s) => is(COOLERS, s.kind) && s.kind !== 'water-cooler',
    read: (_section, plan, id) => {
      const stage = stageById(plan, id);
      return stage && surroundingsAt(plan, stage).roomTemperatureC;
    },
  },
  'dew-point': {
    label: 'Pressure dew point',
    how: 'Meter on a short line of steel or PTFE, at line pressure; wait until it has settled.',
    quantity: 'temperature',
    abs: 3,
    rel: 0,
    minutes: 20,
    tool: 'meter',
    standsMin: 0,
    cautions: [],
    canRead: (s) => is(DRYERS, s.kind) || s.kind === 'outlet',
    read: (section, _plan, id) => section.at(id)?.pressureDewPointC,
  },
  pressure: {
    label: 'Pressure in flow',
    how: 'Gauge at this place while the tool runs.',
    quantity: 'pressure',
    abs: 1.5e4,
    rel: 0,
    minutes: 5,
    tool: 'gauge',
    standsMin: 0,
    cautions: ['C07'],
    canRead: (s) => s.kind === 'regulator' || s.kind === 'outlet' || s.kind === 'receiver',
    read: (section, _plan, id) => section.at(id)?.pressurePa,
  },
  drop: {
    label: 'Pressure drop over it, in flow',
    how: 'One gauge, moved by a valve from before to behind it, or its indicator.',
    quantity: 'pressureDifference',
    abs: 4e3,
    rel: 0.25,
    minutes: 6,
    tool: 'gauge',
    standsMin: 0,
    cautions: [],
    canRead: (s) => is(FILTERS, s.kind) || is(DRYERS, s.kind) || s.kind === 'hose' || s.kind === 'hose-reel',
    read: (section, plan, id) => {
      const [before, own] = [section.at(beforeOf(plan, id)), section.at(id)];
      return before && own && before.pressurePa - own.pressurePa;
    },
  },
  catch: {
    label: 'Water that its drain gives in an hour of loaded running',
    how: 'Empty it, let it run loaded for a known time, and catch what comes in a measuring cup.',
    quantity: 'waterFlow',
    abs: 5e-6, // what clings to cup and bowl: 18 mL an hour
    rel: 0.2,
    minutes: 15,
    tool: 'cup',
    standsMin: 0,
    cautions: ['C20'],
    canRead: (s) => is(CATCHERS, s.kind) || s.kind === 'receiver' || is(DRYERS, s.kind),
    read: (section, _plan, id) => section.at(id)?.caughtKgPerS,
  },
  held: {
    label: 'Water that stands behind its drain',
    how: 'Open the drain by hand, pointed away from people, and catch what comes at once.',
    quantity: 'drained',
    abs: 1e-5,
    rel: 0.3,
    minutes: 4,
    tool: 'cup',
    standsMin: 0,
    cautions: ['C20'],
    canRead: (s) => is(CATCHERS, s.kind) || s.kind === 'receiver' || is(DRYERS, s.kind),
    read: (section, plan, id) => {
      const stage = stageById(plan, id);
      const { drain, sumpM3 } = (stage?.parameters ?? {}) as { drain?: string; sumpM3?: number };
      if (!stage || sumpM3 === undefined) return undefined;
      if (isHeldOpen(stage)) return 0;
      // Where nothing empties it, it is full of what comes; otherwise little has gathered since it opened last.
      const comes = (section.at(beforeOf(plan, id))?.liquidKgPerS ?? 0) > 0;
      return drain === 'none' && comes ? sumpM3 : GATHERED * sumpM3;
    },
  },
  'leak-down': {
    label: 'Pressure lost in ten minutes at rest',
    how: 'All tools off, the compressor off, everything else open: read the tank, wait ten minutes, read it again.',
    quantity: 'pressureDifference',
    abs: 1.5e4,
    rel: 0.3,
    minutes: 10,
    tool: 'gauge',
    standsMin: 0,
    cautions: [],
    canRead: (s) => s.kind === 'receiver',
    read: (section, plan, id) => TIGHT_PA + lostAtRestPa(plan, section, id),
  },
  'intake-loss': {
    label: 'Loss over the intake filter',
    how: 'Its gauge or a hand gauge behind it, loaded.',
    quantity: 'pressureDifference',
    abs: 300,
    rel: 0.15,
    minutes: 4,
    tool: 'gauge',
    standsMin: 0,
    cautions: ['C09'],
    canRead: (s) => s.kind === 'intake',
    read: (_section, plan, id) => ((stageById(plan, id)?.parameters ?? {}) as { filterLossPa?: number }).filterLossPa,
  },
  delivery: {
    label: 'What the compressor delivers, by pump-up',
    how: 'Shut the tank off downstream, drain it, time it from one pressure to another.',
    quantity: 'volumeFlow',
    abs: 0,
    rel: 0.06,
    minutes: 10,
    tool: 'watch',
    standsMin: 10,
    cautions: ['C20'],
    canRead: (s) => s.kind === 'compressor',
    read: (section, plan, id) => reachesTankM3PerS(plan, section, id),
  },
  'intake-air': {
    label: 'Temperature of the air at the intake',
    how: 'Thermometer in the shade at the intake, not in its own warm stream.',
    quantity: 'temperature',
    abs: 1.5,
    rel: 0,
    minutes: 2,
    tool: 'thermometer',
    standsMin: 0,
    cautions: [],
    canRead: (s) => s.kind === 'intake',
    read: (_section, plan) => surroundingsOf(plan).intakeTemperatureC,
  },
  coldest: {
    label: 'Temperature of its coldest reach in the morning',
    how: 'Thermometer taped to it before anybody starts. Water gathers where that is below the pressure dew point of its air.',
    quantity: 'temperature',
    abs: 2.5, // a night like others is no nearer known
    rel: 0,
    minutes: 6,
    tool: 'thermometer',
    standsMin: 0,
    cautions: [],
    canRead: (s) => s.kind === 'pipe' || s.kind === 'hose',
    read: (_section, plan, id) => {
      const stage = stageById(plan, id);
      return stage && coldestReachC(plan, stage);
    },
  },
  purge: {
    label: 'Flow of its purge',
    how: 'Its flow meter, or its gauge before the orifice by the maker’s table, in the middle of a half-cycle.',
    quantity: 'volumeFlow',
    abs: 1e-4,
    rel: 0.1,
    minutes: 8,
    tool: 'gauge',
    standsMin: 0,
    cautions: ['C07'],
    canRead: (s) => s.kind === 'twin-tower',
    read: (_section, plan, id) => (numbers(plan, id) as { purgeM3PerS?: number }).purgeM3PerS,
  },
} as const satisfies Record<string, CheckKind>;
