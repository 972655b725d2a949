import { pressureDewPointC } from '../air/dew-point';
import type { Basis } from '../air/enhancement-factor';
import { humidityRatioFromFraction, vapourFractionFromRelativeHumidity, WATER_TO_AIR_MASS } from '../air/humidity';
import { OutOfRange } from '../air/out-of-range';
import type { ParametersOf } from '../equipment/index';
import { type Kind, Refusal, type Surroundings } from '../equipment/shared/kind';
import type { Plan, Stage } from '../plan/plan';
import { aroundStage, surroundingsOf } from '../plan/surroundings';
import { dryAirDensityKgPerM3, dryAirKgPerS } from '../quantity/flow-basis';
import { AirStream, type Losses } from '../stream/air-stream';
import { type PreparedLine, prepare, type Stretch } from './prepare';
import { DEW_POINT, KEPT, Section } from './section';

const NO_FIGURES = new Float64Array(0);

/**
 * The air as it enters an intake, at the flow that its compressor delivers while it is loaded.
 * @example drawnAir([stage('intake').parameters, stage('compressor').parameters], around).dryAirKgPerS // 0.01169
 */
export function drawnAir(parameters: Stretch['parameters'], around: Surroundings): AirStream {
  const intake = parameters[0] as ParametersOf<'intake'>;
  const compressor = parameters[1] as ParametersOf<'compressor'>;
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

/**
 * Pressure dew point of a stream. Air that carries drops is saturated: its dew point is its own temperature.
 * @example pressureDewPointOf(air) // 50.1
 */
export function pressureDewPointOf(air: AirStream): number {
  if (air.liquidKgPerS > 0) return air.temperatureC;
  const { vapourKgPerS } = air;
  const fraction = vapourKgPerS / (WATER_TO_AIR_MASS * air.dryAirKgPerS + vapourKgPerS); // of the moles: one division
  return pressureDewPointC(fraction, air.pressurePa, air.basis);
}

/**
 * Visits the stages in the order of flow, parting the air where it goes several ways and mixing it where pipes join, and
 * returns the section: a station a stage, and the ledger.
 * Never throws on a valid plan: where the equations end or a stage refuses, the section says so; what lies downstream of it is
 * left out, and the rest of the line is walked.
 * @source each kind's own model; moist air by Hyland & Wexler 1983 with the enhancement factor of Greenspan 1976
 * @example walk(plan).at('outlet').temperatureC // 15.6
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
 * @param kept where the section keeps its numbers; a run that is done with one section may give them to the next. `null`
 *   keeps none: for who looks only at what the stages themselves do
 * @param onEnter is shown the stream that enters each stage; what it does to the stream, the stage meets
 * @example walkPrepared(prepare(standing(plan)), around).at('outlet').temperatureC // 15.6
 */
export function walkPrepared(
  line: PreparedLine,
  around: Surroundings,
  kept?: Float64Array | null,
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
  const figures =
    kept === null ? NO_FIGURES : kept?.length === KEPT * stages.length ? kept : new Float64Array(KEPT * stages.length);
  if (problems.length > 0) blank(figures, 0, stages.length);
  for (let n = 0; n < stretches.length; n++) {
    const { draws, after, first, passes, parameters, departures, placed, ends } = stretches[n] as Stretch;
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
      for (let k = KEPT * first; walked < passes.length; walked++, k += KEPT) {
        air.enterStage();
        if (onEnter) onEnter(first + walked, air);
        const here = placed ? aroundStage(around, placed[walked] as Stage) : around;
        (passes[walked] as Kind['pass'])(air, parameters[walked] as Stage['parameters'], here);
        if (kept !== null) {
          figures[k] = air.temperatureC;
          figures[k + 1] = air.pressurePa;
          figures[k + DEW_POINT] = pressureDewPointOf(air);
          figures[k + 3] = air.vapourKgPerS;
          figures[k + 4] = air.liquidKgPerS;
          figures[k + 5] = air.caughtKgPerS;
          figures[k + 6] = air.dryAirKgPerS;
        }
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
