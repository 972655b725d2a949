import type { Basis } from '../air/enhancement-factor';
import { enhancementFactor } from '../air/enhancement-factor';
import { saturatedHumidityRatio } from '../air/humidity';
import { LEAST_C, MOST_C, stablePhase } from '../air/saturation';
import { kindOf } from '../equipment/index';
import { panFullAfterS } from '../equipment/shared/drain-fields';
import type { Shown, Surroundings } from '../equipment/shared/kind';
import type { Plan, Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { surroundingsAt, surroundingsOf } from '../plan/surroundings';
import { type Derivation, input, notBelowZero, type Reason, type ReasonInput } from '../quantity/derivation';
import type { QuantityName } from '../quantity/units';
import type { AirStream } from '../stream/air-stream';
import { MOIST_AIR } from './explain-moisture';
import { type PlanFigure, planReason } from './explain-plan';
import { MOMENTS, type Moment, pressureAt } from './moments';
import { dryMarginK } from './outlet-criteria';
import { prepare } from './prepare';
import { propagate } from './propagate';
import { humidityAt, type Section, type Station, vapourFractionAt } from './section';
import { walkPrepared } from './walk';

/** The computed figures of a section that a person may question. */
export const STATION_FIGURES = [
  'temperature',
  'dewPoint',
  'margin',
  'pressure',
  'vapour',
  'liquid',
  'caught',
  'humidity',
  'humidityExpanded',
] as const;
export type StationFigure = (typeof STATION_FIGURES)[number];
export type Figure = { readonly stageId: string; readonly name: StationFigure } | { readonly name: PlanFigure };

const READ: Record<
  StationFigure,
  {
    title: string;
    quantity: QuantityName;
    read: (st: Station, basis: Basis, around: Surroundings) => number;
  }
> = {
  temperature: { title: 'Air temperature', quantity: 'temperature', read: (st) => st.temperatureC },
  dewPoint: { title: 'Pressure dew point', quantity: 'temperature', read: (st) => st.pressureDewPointC },
  margin: {
    title: 'Dry margin',
    quantity: 'temperatureDifference',
    read: (st, _basis, around) =>
      Math.max(0, st.kind === 'outlet' ? dryMarginK(st, around) : st.temperatureC - st.pressureDewPointC),
  },
  pressure: { title: 'Pressure', quantity: 'pressure', read: (st) => st.pressurePa },
  vapour: { title: 'Vapour in the air', quantity: 'waterFlow', read: (st) => st.vapourKgPerS },
  liquid: { title: 'Carried as drops', quantity: 'waterFlow', read: (st) => st.liquidKgPerS },
  caught: { title: 'Caught at the drain', quantity: 'waterFlow', read: (st) => st.caughtKgPerS },
  humidity: {
    title: 'Relative humidity in the line',
    quantity: 'share',
    read: (st, basis) => humidityAt(st, st.temperatureC, st.pressurePa, basis),
  },
  humidityExpanded: {
    title: 'Relative humidity let out into the room',
    quantity: 'share',
    read: (st, basis, around) => humidityAt(st, around.roomTemperatureC, around.atmosphericPa, basis),
  },
};

/**
 * Reads a figure of a station; `undefined` where the walk does not reach it.
 * @example readFigure(plan, section, 'outlet', 'dewPoint') // -0.961
 */
export function readFigure(
  plan: Plan,
  section: Section,
  stageId: string,
  name: StationFigure,
  basis: Basis = 'real',
): number | undefined {
  const station = section.at(stageId);
  const stage = stageById(plan, stageId);
  return station && stage && READ[name].read(station, basis, surroundingsAt(plan, stage, basis));
}

/** The stream that enters a stage: what left the one before, less what was taken off, with what joined it there. */
function inletOf(plan: Plan, stageId: string, basis: Basis): AirStream {
  const line = prepare(plan);
  let inlet: AirStream | undefined;
  walkPrepared(line, surroundingsOf(plan, basis), undefined, (i, air) => {
    if (line.stages[i]?.id === stageId) inlet = air.copy();
  });
  return inlet as AirStream;
}

/**
 * What a stage shows besides its station: a reading, a margin, a warning. Nothing where the walk does not come.
 * @example shownBy(plan, section, stage('receiver')).map((s) => s.label) // []
 */
export function shownBy(plan: Plan, section: Section, stage: Stage, basis: Basis = 'real'): readonly Shown[] {
  const station = section.at(stage.id);
  if (!station) return [];
  const shows = kindOf(stage.kind).shows;
  const shown = shows?.(inletOf(plan, stage.id, basis), stage.parameters, surroundingsAt(plan, stage, basis)) ?? [];
  const readings: Shown[] =
    stage.kind === 'gauge'
      ? (Object.keys(MOMENTS) as Moment[]).flatMap((moment) => {
          const then = pressureAt(plan, stage.id, moment, basis);
          return then
            ? [{ label: `Reads ${MOMENTS[moment]}`, quantity: 'pressure' as const, value: then.pressurePa }]
            : [];
        })
      : [];
  const fullS = panFullAfterS(stage.parameters, station.caughtKgPerS);
  return fullS === undefined
    ? [...readings, ...shown]
    : [...readings, ...shown, { label: 'Catch pan full after, loaded', quantity: 'time', value: fullS }];
}

/** What the reason of a figure of a station is made of. */
interface AtStation {
  readonly stage: Stage;
  readonly station: Station;
  readonly inlet: AirStream;
  readonly around: Surroundings;
  readonly basis: Basis;
}

const vapourShare = ({ station }: AtStation): ReasonInput =>
  input('vapour fraction x', 'fraction', vapourFractionAt(station), 'ledger');
const airHere = ({ station }: AtStation): ReasonInput =>
  input('air temperature', 'temperature', station.temperatureC, 'this stage');
const pressureHere = ({ station }: AtStation): ReasonInput =>
  input('pressure', 'pressure', station.pressurePa, 'this stage');
const roomHere = ({ around }: AtStation): ReasonInput =>
  input('room', 'temperature', around.roomTemperatureC, 'Survey');

function enhancement({ station, basis }: AtStation): ReasonInput {
  const held = Math.min(100, Math.max(LEAST_C, station.temperatureC));
  return input(
    'enhancement factor f',
    'number',
    basis === 'ideal' ? 1 : enhancementFactor(held, station.pressurePa, stablePhase(held)),
    station.temperatureC > 100 ? 'held at its value at {100 °C}, outside the fit' : 'computed',
  );
}

function whyDrops({ stage, station, inlet, around }: AtStation, formula: string): Reason {
  const catches = kindOf(stage.kind).catches?.(stage.parameters, around);
  return {
    formula,
    inputs: [
      input('drops that arrive', 'waterFlow', inlet.liquidKgPerS, 'stage before'),
      input(
        'drops at this stage',
        'waterFlow',
        station.caughtKgPerS + station.liquidKgPerS,
        'condensed or evaporated here',
      ),
      ...(catches ? [input('share caught', 'share', catches.efficiency, catches.source)] : []),
    ],
    source: catches ? `water balance; ${catches.source}` : 'water balance',
  };
}

function whyVapour(at: AtStation): Reason {
  const { station, inlet, basis } = at;
  const arrives = inlet.vapourKgPerS + inlet.liquidKgPerS;
  const most =
    station.temperatureC > MOST_C
      ? Number.POSITIVE_INFINITY
      : saturatedHumidityRatio(station.temperatureC, station.pressurePa, basis) * station.dryAirKgPerS;
  return {
    formula: 'the lesser of what arrives and what the air can hold: 0.622 · x/(1−x) · dry air, x = f·e/p',
    inputs: [
      input('water that arrives', 'waterFlow', arrives, 'stage before'),
      airHere(at),
      pressureHere(at),
      enhancement(at),
      input('dry air', 'massFlow', station.dryAirKgPerS, 'its share of what the compressor delivers'),
      ...(most < 1e3 ? [input('the air can hold', 'waterFlow', most, 'saturation')] : []),
    ],
    source: MOIST_AIR,
  };
}

const WHY: Readonly<Record<StationFigure, (at: AtStation) => Reason>> = {
  temperature: ({ stage, inlet, around }) =>
    kindOf(stage.kind).whyTemperature?.(inlet, stage.parameters, around) ?? {
      formula: 'as it came: this stage neither heats nor cools',
      inputs: [input('air in', 'temperature', inlet.temperatureC, 'stage before')],
      source: 'model of this kind',
    },
  pressure: ({ stage, station, inlet, around }) =>
    kindOf(stage.kind).whyPressure?.(inlet, stage.parameters, around) ?? {
      formula: 'pressure in − loss',
      inputs: [
        input('pressure in', 'pressure', inlet.pressurePa, 'stage before'),
        input('loss', 'pressureDifference', inlet.pressurePa - station.pressurePa, 'this stage, at this flow'),
      ],
      source: 'entered or typical',
    },
  dewPoint: (at) => ({
    formula: 'the temperature T at which f(T, p) · e(T) = x · p',
    inputs: [vapourShare(at), pressureHere(at), enhancement(at)],
    source: MOIST_AIR,
    ...(at.station.pressureDewPointC < 0 && { note: 'Below {0 °C} this is the frost point, over ice.' }),
  }),
  margin: (at) => {
    const atJob = at.stage.kind === 'outlet';
    return {
      formula: atJob ? 'the colder of air and room − pressure dew point' : 'air temperature − pressure dew point',
      inputs: [
        airHere(at),
        ...(atJob ? [roomHere(at)] : []),
        input('pressure dew point', 'temperature', at.station.pressureDewPointC, 'this stage'),
      ],
      source: 'definition; where it is zero, water condenses',
    };
  },
  humidity: (at) => ({
    formula: 'x · p / (f · e(T)), over liquid water',
    inputs: [vapourShare(at), airHere(at), pressureHere(at), enhancement(at)],
    source: MOIST_AIR,
  }),
  humidityExpanded: (at) => ({
    formula: 'x · atmosphere / (f · e(room)), over liquid water',
    inputs: [vapourShare(at), roomHere(at), input('atmosphere', 'barometer', at.around.atmosphericPa, 'Survey')],
    source: MOIST_AIR,
  }),
  vapour: whyVapour,
  caught: (at) => whyDrops(at, 'drops at this stage · share caught'),
  liquid: (at) => whyDrops(at, 'drops at this stage · (1 − share caught)'),
};

/**
 * Builds the answer to “why?” for a figure: formula, inputs with where they come from, source, and the band.
 * @returns `undefined` where the walk does not reach the figure
 * @example explain(plan, section, { stageId: 'outlet', name: 'temperature' }).value // 15.6
 */
export function explain(plan: Plan, section: Section, figure: Figure, basis: Basis = 'real'): Derivation | undefined {
  if (!('stageId' in figure)) {
    const { pick, ...reason } = planReason(plan, section, figure.name);
    const band = propagate(plan, pick, basis);
    return band && { ...reason, value: band.value, band: notBelowZero(band) };
  }
  const stage = stageById(plan, figure.stageId);
  const station = section.at(figure.stageId);
  const { title, quantity } = READ[figure.name];
  if (!stage || !station) return undefined;
  const band = propagate(plan, (s, p) => readFigure(p, s, figure.stageId, figure.name, basis), basis);
  if (!band) return undefined;
  return {
    ...WHY[figure.name]({
      stage,
      station,
      inlet: inletOf(plan, stage.id, basis),
      around: surroundingsAt(plan, stage, basis),
      basis,
    }),
    title: `${title} · ${stage.name}`,
    quantity,
    value: band.value,
    band: quantity === 'temperature' || quantity === 'pressure' ? band : notBelowZero(band),
  };
}
