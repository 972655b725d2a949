import { pressureDewPointC } from '../air/dew-point';
import type { Basis } from '../air/enhancement-factor';
import {
  humidityRatioFromFraction,
  relativeHumidity,
  vapourFractionFromRatio,
  vapourFractionFromRelativeHumidity,
} from '../air/humidity';
import { OutOfRange } from '../air/out-of-range';
import type { KindName, ParametersOf } from '../equipment/index';
import { type Kind, Refusal, type Surroundings } from '../equipment/kind';
import { dryAirDensityKgPerM3, dryAirKgPerS } from '../quantity/flow-basis';
import { AirStream, type Losses } from '../stream/air-stream';
import { type Plan, placeOf, type Stage, surveyAtmosphericPa } from './plan';
import { type PreparedLine, prepare, type Stretch, type WalkProblem } from './prepare';

/** The air as it leaves a stage, and what the stage took out of it. Flows are those while the pump runs loaded. */
export interface Station extends Losses {
  readonly stageId: string;
  readonly kind: KindName;
  readonly temperatureC: number;
  readonly pressurePa: number;
  /** Over ice below 0 °C (frost point). */
  readonly pressureDewPointC: number;
  readonly vapourKgPerS: number;
  readonly liquidKgPerS: number;
  readonly caughtKgPerS: number;
  readonly dryAirKgPerS: number;
}

/** Where all the water went. Water in = vapour out + liquid out + caught + frozen + adsorbed + vented. */
export interface Ledger {
  readonly waterInKgPerS: number;
  readonly vapourOutKgPerS: number;
  readonly liquidOutKgPerS: number;
  readonly caughtKgPerS: number;
  readonly frozenKgPerS: number;
  readonly adsorbedKgPerS: number;
  readonly ventedKgPerS: number;
}

// Of each station, in this order, in Section.figures.
const FIGURES = [
  'temperatureC',
  'pressurePa',
  'pressureDewPointC',
  'vapourKgPerS',
  'liquidKgPerS',
  'caughtKgPerS',
  'dryAirKgPerS',
] as const satisfies readonly (keyof Station)[];
type OwnFigures = Record<(typeof FIGURES)[number], number>;
const NOTHING_LOST: Losses = { frozenKgPerS: 0, adsorbedKgPerS: 0, ventedKgPerS: 0, ventedAirKgPerS: 0 };
/** How many numbers {@link Section.figures} keeps of a station, and where its dew point stands among them. */
export const KEPT = FIGURES.length;
export const DEW_POINT = 2;

/**
 * The walked line. The numbers of all stations stand side by side in one array, which is what a run over many hours
 * reads; stations and ledger as objects are made from it when somebody asks for them.
 */
export class Section {
  private made: ReadonlyMap<string, Station> | undefined;

  constructor(
    private readonly line: PreparedLine,
    /** Dry air and water that all intakes draw. */
    readonly dryAirKgPerS: number,
    readonly waterInKgPerS: number,
    /** What left the line at its outlets and open ends. */
    readonly vapourOutKgPerS: number,
    readonly liquidOutKgPerS: number,
    /** {@link KEPT} numbers a station; not a number where the walk did not come. */
    readonly figures: Float64Array,
    /** Of the few stations where water leaves otherwise than through a drain. */
    private readonly losses: readonly (Losses | undefined)[] | undefined,
    /** What refused, and what could not be reached; the rest of the line is walked all the same. */
    readonly problems: readonly WalkProblem[],
  ) {}

  /** The first thing that is wrong. */
  get problem(): WalkProblem | undefined {
    return this.problems[0];
  }

  private get byId(): ReadonlyMap<string, Station> {
    this.made ??= new Map(
      this.line.stages.flatMap(({ id, kind }, i) => {
        const own = this.figures.slice(KEPT * i, KEPT * (i + 1));
        if (Number.isNaN(own[0])) return [];
        const figures = Object.fromEntries(FIGURES.map((name, k) => [name, own[k]])) as OwnFigures;
        return [[id, { stageId: id, kind, ...NOTHING_LOST, ...this.losses?.[i], ...figures }] as const];
      }),
    );
    return this.made;
  }

  /** The stations that the walk reached: the main run's, then each branch's. */
  get stations(): readonly Station[] {
    return [...this.byId.values()];
  }

  /** The station of a stage; `undefined` where the walk did not come, or the stage is only provided for. */
  at(stageId: string | undefined): Station | undefined {
    return stageId === undefined ? undefined : this.byId.get(stageId);
  }

  get ledger(): Ledger {
    const sum = (name: keyof Losses | 'caughtKgPerS'): number => this.stations.reduce((total, s) => total + s[name], 0);
    return {
      waterInKgPerS: this.waterInKgPerS,
      vapourOutKgPerS: this.vapourOutKgPerS,
      liquidOutKgPerS: this.liquidOutKgPerS,
      caughtKgPerS: sum('caughtKgPerS'),
      frozenKgPerS: sum('frozenKgPerS'),
      adsorbedKgPerS: sum('adsorbedKgPerS'),
      ventedKgPerS: sum('ventedKgPerS'),
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

/** The air as it enters an intake, at the flow that its compressor delivers while it is loaded. */
function drawnAir([intakeOwn, compressorOwn]: Stretch['parameters'], around: Surroundings): AirStream {
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
export function vapourFractionAt(station: Pick<Station, 'vapourKgPerS' | 'dryAirKgPerS'>): number {
  return vapourFractionFromRatio(station.vapourKgPerS / station.dryAirKgPerS);
}

/**
 * Visits the stages in the order of flow, parting the air where it goes several ways and mixing it where pipes join, and
 * returns the section: a station a stage, and the ledger.
 * Never throws on a valid plan: where the equations end or a stage refuses, the section says so; what lies behind it is
 * left out, and the rest of the line is walked.
 * @source each kind's own model; moist air by Hyland & Wexler 1983 with the enhancement factor of Greenspan 1976
 */
export function walk(plan: Plan, basis: Basis = 'real'): Section {
  return walkPrepared(prepare(plan), surroundingsOf(plan, basis));
}

/** Says of stations that the walk did not come there. */
function blank(figures: Float64Array, from: number, to: number): void {
  for (let k = KEPT * from; k < KEPT * to; k++) figures[k] = Number.NaN;
}

/**
 * The same for a run over many hours.
 * @param kept where the section keeps its numbers; a run that is done with one section may give them to the next
 * @param onEnter is shown the stream that enters each stage; what it does to the stream, the stage meets
 */
export function walkPrepared(
  line: PreparedLine,
  around: Surroundings,
  kept?: Float64Array,
  onEnter?: (index: number, air: AirStream) => void,
): Section {
  const { stages, stretches } = line;
  let problems = line.unreached;
  let losses: (Losses | undefined)[] | undefined;
  /** Air that was taken off for a stretch, and air at the end of each. */
  const taken: (AirStream | undefined)[] | undefined = stretches.length > 1 ? [] : undefined;
  const ended: (AirStream | undefined)[] | undefined = stretches.length > 1 ? [] : undefined;
  let dryAir = 0;
  let waterIn = 0;
  let vapourOut = 0;
  let liquidOut = 0;
  const figures = kept?.length === KEPT * stages.length ? kept : new Float64Array(KEPT * stages.length);
  if (problems.length > 0) blank(figures, 0, stages.length);
  for (let n = 0; n < stretches.length; n++) {
    const { draws, after, first, passes, parameters, departures, ends } = stretches[n] as Stretch;
    let walked = 0;
    try {
      let air = taken?.[n];
      if (draws) {
        air = drawnAir(parameters, around);
        dryAir += air.dryAirKgPerS;
        waterIn += air.vapourKgPerS;
      }
      for (const other of after) {
        const comes = ended?.[other];
        if (air && comes) air.join(comes);
        else air ??= comes;
      }
      if (!air) {
        blank(figures, first, first + passes.length);
        continue;
      }
      for (; walked < passes.length; walked++) {
        air.enterStage();
        if (onEnter) onEnter(first + walked, air);
        (passes[walked] as Kind['pass'])(air, parameters[walked] as Stage['parameters'], around);
        const k = KEPT * (first + walked);
        figures[k] = air.temperatureC;
        figures[k + 1] = air.pressurePa;
        figures[k + DEW_POINT] = dewPointOf(air);
        figures[k + 3] = air.vapourKgPerS;
        figures[k + 4] = air.liquidKgPerS;
        figures[k + 5] = air.caughtKgPerS;
        figures[k + 6] = air.dryAirKgPerS;
        if (air.lost) {
          losses ??= [];
          losses[first + walked] = air.lost;
        }
        const off = departures?.[walked];
        if (off === undefined) continue;
        for (const { share, to } of off) {
          const gone = air.takeOff(share);
          if (to !== undefined && taken) taken[to] = gone;
          else {
            vapourOut += gone.vapourKgPerS;
            liquidOut += gone.liquidKgPerS;
          }
        }
      }
      if (ended) ended[n] = air;
      if (ends) {
        vapourOut += air.vapourKgPerS;
        liquidOut += air.liquidKgPerS;
      }
    } catch (error) {
      blank(figures, first + walked, first + passes.length);
      const stageId = stages[first + walked]?.id ?? '';
      if (!(error instanceof Refusal || error instanceof OutOfRange)) throw error;
      const field = error instanceof Refusal ? error.field : '';
      problems = [...problems, { stageId, field, message: error.message }];
    }
  }
  return new Section(line, dryAir, waterIn, vapourOut, liquidOut, figures, losses, problems);
}

/** How far the ledger is from balancing, as a share of the water in. */
export function imbalance(ledger: Ledger): number {
  const { waterInKgPerS, ...went } = ledger;
  const out = Object.values(went).reduce((sum, kgPerS) => sum + kgPerS, 0);
  return waterInKgPerS === 0 ? 0 : Math.abs(waterInKgPerS - out) / waterInKgPerS;
}

/** Relative humidity of the air at a station, over liquid water, in the line or expanded to a pressure, at a temperature. */
export function humidityAt(station: Station, temperatureC: number, pressurePa: number, basis: Basis = 'real'): number {
  return relativeHumidity(vapourFractionAt(station), temperatureC, pressurePa, basis);
}
