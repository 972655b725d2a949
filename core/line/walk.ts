import { pressureDewPointC } from '../air/dew-point';
import type { Basis } from '../air/enhancement-factor';
import {
  humidityRatioFromFraction,
  relativeHumidity,
  vapourFractionFromRatio,
  vapourFractionFromRelativeHumidity,
} from '../air/humidity';
import { OutOfRange } from '../air/out-of-range';
import { type KindName, kindOf, type ParametersOf } from '../equipment/index';
import { type Kind, Refusal, type Surroundings } from '../equipment/kind';
import { dryAirDensityKgPerM3, dryAirKgPerS } from '../quantity/flow-basis';
import { AirStream } from '../stream/air-stream';
import { type Plan, placeOf, type Stage, surveyAtmosphericPa } from './plan';

/** The air as it leaves a stage, and what the stage took out of it. Flows are those while the pump runs loaded. */
export interface Station {
  readonly stageId: string;
  readonly kind: KindName;
  readonly temperatureC: number;
  readonly pressurePa: number;
  /** Over ice below 0 °C (frost point). */
  readonly pressureDewPointC: number;
  readonly vapourKgPerS: number;
  readonly liquidKgPerS: number;
  readonly caughtKgPerS: number;
  readonly frozenKgPerS: number;
}

/** Where all the water went. Water in = vapour out + liquid out + caught + frozen. */
export interface Ledger {
  readonly waterInKgPerS: number;
  readonly vapourOutKgPerS: number;
  readonly liquidOutKgPerS: number;
  readonly caughtKgPerS: number;
  readonly frozenKgPerS: number;
}

/** Why a walk stopped: the stage that refused, and the field that the message belongs to. */
export interface WalkProblem {
  readonly stageId: string;
  readonly field: string;
  readonly message: string;
}

/** How many numbers {@link Section.figures} keeps of a station, and where its dew point stands among them. */
export const KEPT = 7;
export const DEW_POINT = 2;

/**
 * The walked line. The numbers of all stations stand side by side in one array, which is what a run over many hours
 * reads; stations and ledger as objects are made from it when somebody asks for them.
 */
export class Section {
  private made: readonly Station[] | undefined;

  constructor(
    readonly dryAirKgPerS: number,
    readonly waterInKgPerS: number,
    private readonly stages: readonly Stage[],
    /** Of each station: temperature, pressure, dew point, vapour, drops, caught, frozen. */
    readonly figures: readonly number[],
    /** Set where a stage refused; the stations then end before it. */
    readonly problem: WalkProblem | undefined,
  ) {}

  /** A station a stage, as far as the walk came. */
  get stations(): readonly Station[] {
    this.made ??= Array.from({ length: this.figures.length / KEPT }, (_, i) => this.station(i));
    return this.made;
  }

  get ledger(): Ledger {
    const sum = (of: (station: Station) => number): number => this.stations.reduce((total, s) => total + of(s), 0);
    const last = this.stations.at(-1);
    return {
      waterInKgPerS: this.waterInKgPerS,
      vapourOutKgPerS: last?.vapourKgPerS ?? this.waterInKgPerS,
      liquidOutKgPerS: last?.liquidKgPerS ?? 0,
      caughtKgPerS: sum((s) => s.caughtKgPerS),
      frozenKgPerS: sum((s) => s.frozenKgPerS),
    };
  }

  private station(i: number): Station {
    const { id, kind } = this.stages[i] as Stage;
    const [temperatureC, pressurePa, pressureDewPointC, vapourKgPerS, liquidKgPerS, caughtKgPerS, frozenKgPerS] =
      this.figures.slice(KEPT * i, KEPT * (i + 1)) as [number, number, number, number, number, number, number];
    return {
      stageId: id,
      kind,
      temperatureC,
      pressurePa,
      pressureDewPointC,
      vapourKgPerS,
      liquidKgPerS,
      caughtKgPerS,
      frozenKgPerS,
    };
  }
}

/** The surroundings of every stage of a plan. */
export function surroundingsOf(plan: Plan, basis: Basis = 'real'): Surroundings {
  const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
  return {
    basis,
    atmosphericPa: surveyAtmosphericPa(plan.survey),
    roomTemperatureC: placeOf(plan.survey, plan.survey.roomPlaceId).temperatureC,
    intakeTemperatureC: intake.temperatureC,
    intakeRelativeHumidity: intake.relativeHumidity,
  };
}

/** The air as it enters the intake, at the flow that the line's compressor delivers while it is loaded. */
function drawnAir([intakeOwn, compressorOwn]: PreparedLine['parameters'], around: Surroundings): AirStream {
  const intake = intakeOwn as ParametersOf<'intake'>;
  const compressor = compressorOwn as ParametersOf<'compressor'>;
  const x = vapourFractionFromRelativeHumidity(
    around.intakeRelativeHumidity,
    around.intakeTemperatureC,
    around.atmosphericPa,
    around.basis,
  );
  // The intake filter lowers the pressure, not the share of vapour, of the air that fills the cylinder.
  const flow = dryAirKgPerS(
    compressor.freeAirDeliveryM3PerS,
    compressor.flowBasis,
    dryAirDensityKgPerM3(around.atmosphericPa - intake.filterLossPa, around.intakeTemperatureC, x),
  );
  return new AirStream(
    around.basis,
    flow,
    flow * humidityRatioFromFraction(x),
    around.intakeTemperatureC,
    around.atmosphericPa,
  );
}

/** Pressure dew point of a stream. Air that carries drops is saturated: its dew point is its own temperature. */
function dewPointOf(air: AirStream): number {
  if (air.liquidKgPerS > 0) return air.temperatureC;
  return pressureDewPointC(vapourFractionFromRatio(air.vapourKgPerS / air.dryAirKgPerS), air.pressurePa, air.basis);
}

/** Mole fraction of vapour in a stream. */
export function vapourFractionAt(station: Pick<Station, 'vapourKgPerS'>, dryAir: number): number {
  return vapourFractionFromRatio(station.vapourKgPerS / dryAir);
}

/**
 * Visits the stages in the order of flow and returns the section: a station a stage, and the ledger.
 * Never throws on a valid plan: where the equations end or a stage refuses, the section says so and stops there.
 * @source each kind's own model; moist air by Hyland & Wexler 1983 with the enhancement factor of Greenspan 1976
 */
export function walk(plan: Plan, basis: Basis = 'real'): Section {
  return walkPrepared(prepare(plan.stages), surroundingsOf(plan, basis));
}

/** A line made ready to be walked many times: what each stage does and knows is looked up once. */
export interface PreparedLine {
  readonly stages: readonly Stage[];
  readonly passes: readonly Kind['pass'][];
  readonly parameters: readonly Stage['parameters'][];
}

export function prepare(stages: readonly Stage[]): PreparedLine {
  return {
    stages,
    passes: stages.map((stage) => kindOf(stage.kind).pass),
    parameters: stages.map((stage) => ({ ...stage.parameters })), // side by side in memory
  };
}

/**
 * The same for a run over many hours.
 * @param figures where the section keeps its numbers; a run that is done with one section may give them to the next
 */
export function walkPrepared(line: PreparedLine, around: Surroundings, figures: number[] = []): Section {
  const { stages, passes, parameters } = line;
  let walked = 0;
  let problem: WalkProblem | undefined;
  let dryAir = 0;
  let waterIn = 0;
  try {
    const air = drawnAir(parameters, around);
    dryAir = air.dryAirKgPerS;
    waterIn = air.vapourKgPerS;
    for (; walked < stages.length; walked++) {
      air.enterStage();
      (passes[walked] as Kind['pass'])(air, parameters[walked] as Stage['parameters'], around);
      const k = KEPT * walked;
      figures[k] = air.temperatureC;
      figures[k + 1] = air.pressurePa;
      figures[k + DEW_POINT] = dewPointOf(air);
      figures[k + 3] = air.vapourKgPerS;
      figures[k + 4] = air.liquidKgPerS;
      figures[k + 5] = air.caughtKgPerS;
      figures[k + 6] = air.frozenKgPerS;
    }
  } catch (error) {
    const stage = stages[walked] as Stage;
    if (error instanceof Refusal) problem = { stageId: stage.id, field: error.field, message: error.message };
    else if (error instanceof OutOfRange) problem = { stageId: stage.id, field: '', message: error.message };
    else throw error;
  }
  if (figures.length !== KEPT * walked) figures.length = KEPT * walked;
  return new Section(dryAir, waterIn, stages, figures, problem);
}

/** How far the ledger is from balancing, as a share of the water in. */
export function imbalance(ledger: Ledger): number {
  const out = ledger.vapourOutKgPerS + ledger.liquidOutKgPerS + ledger.caughtKgPerS + ledger.frozenKgPerS;
  return ledger.waterInKgPerS === 0 ? 0 : Math.abs(ledger.waterInKgPerS - out) / ledger.waterInKgPerS;
}

/** Relative humidity of the air at a station, over liquid water, in the line or expanded to a pressure, at a temperature. */
export function humidityAt(
  section: Section,
  station: Station,
  temperatureC: number,
  pressurePa: number,
  basis: Basis = 'real',
): number {
  return relativeHumidity(vapourFractionAt(station, section.dryAirKgPerS), temperatureC, pressurePa, basis);
}
