import { gradeLine } from '../line/grade-line';
import { pressureAt, usualAsks, walkAsked } from '../line/moments';
import { propagateAll, type ReadFigure } from '../line/propagate';
import { humidityAt } from '../line/section';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { pathTo, stageById, standing } from '../plan/runs';
import type { Band } from '../quantity/derivation';
import { type ExpectedReading, INSTRUMENTS, type LogEntry } from './log-entry';
import type { ReadingName } from './readings';

/** What a reading at a stage is in the walk; nothing for what the walk does not know. */
export function pickOf(plan: Plan, stageId: string, of: ReadingName): ReadFigure | undefined {
  const stage = stageById(plan, stageId);
  if (!stage) return undefined;
  const before = pathTo(plan, stageId).at(-2)?.id;
  switch (of) {
    case 'temperature':
      return (section) => section.at(stageId)?.temperatureC;
    case 'dew-point':
      return (section) => section.at(stageId)?.pressureDewPointC;
    case 'humidity':
      return (section) => {
        const at = section.at(stageId);
        return at && humidityAt(at, at.temperatureC, at.pressurePa);
      };
    case 'pressure-flowing':
      return (section) => section.at(stageId)?.pressurePa;
    case 'pressure-drop':
      return (section) => {
        const [inlet, own] = [section.at(before), section.at(stageId)];
        return inlet && own && inlet.pressurePa - own.pressurePa;
      };
    case 'cut-in':
    case 'cut-out':
      return stage.kind === 'compressor'
        ? (_section, p) => {
            const own = stageById(p, stageId);
            return own?.kind === 'compressor' ? own.parameters[of === 'cut-in' ? 'cutInPa' : 'cutOutPa'] : undefined;
          }
        : undefined;
    default:
      return undefined;
  }
}

type ReadConditions = {
  readonly [K in 'stageId' | 'readings' | 'instrument' | 'intakeTemperatureC' | 'intakeRelativeHumidity']: LogEntry[K];
};

/** Read at the usual flow of the place: not the compressor’s whole flow through one hose. */
const BY_FLOW: readonly ReadingName[] = ['pressure-flowing', 'pressure-drop'];

/** A pressure at rest or in flow goes with the band of the compressor, and in flow down to that of the peak. */
function ofMoment(
  plan: Plan,
  stageId: string,
  name: ReadingName,
  own: Band | undefined,
): Omit<Band, 'drivers'> | undefined {
  if (name === 'pressure-static') {
    const rest = pressureAt(plan, stageId, 'rest');
    return rest && { value: rest.pressurePa, low: rest.lowPa, high: rest.highPa };
  }
  if (name !== 'pressure-flowing' || !own) return own;
  const usual = pressureAt(plan, stageId, 'usual');
  return {
    value: own.value,
    low: Math.min(own.low, usual?.lowPa ?? own.low),
    high: Math.max(own.high, usual?.highPa ?? own.high),
  };
}

/** What filters pass and oil evaporates is known to a factor of three at best (estimate). */
const OIL_FACTOR = 3;

/** Oil of the air downstream of a stage, kg/m³ at the reference conditions of ISO 8573-1. */
function oilExpected(plan: Plan, stageId: string): Omit<Band, 'drivers'> | undefined {
  const mg = gradeLine(plan, walk(plan)).get(stageId)?.dirt.oilMg;
  return mg === undefined
    ? undefined
    : { value: mg * 1e-6, low: (mg * 1e-6) / OIL_FACTOR, high: mg * 1e-6 * OIL_FACTOR };
}

const IN_KELVIN: readonly ReadingName[] = ['temperature', 'dew-point'];

/**
 * What the walk, in the air of that time, expects of each reading of an entry, with the band of the inputs and of the
 * instrument: two standard uncertainties either way.
 * @returns in the order of the readings; null for what the walk does not know
 * @example expectReadings(plan, { stageId: 'fine', readings: [{ of: 'pressure-drop', value: 8e3 }], instrument: 'hand', intakeTemperatureC: null, intakeRelativeHumidity: null })[0].value // 8000
 */
export function expectReadings(plan: Plan, entry: ReadConditions): (ExpectedReading | null)[] {
  const { survey } = plan;
  const places = survey.places.map((p) =>
    p.id === survey.intakePlaceId
      ? {
          ...p,
          temperatureC: entry.intakeTemperatureC ?? p.temperatureC,
          relativeHumidity: entry.intakeRelativeHumidity ?? p.relativeHumidity,
        }
      : p,
  );
  const then: Plan = { ...plan, survey: { ...survey, places } };
  const bandsOf = (of: readonly ReadingName[], at: Parameters<typeof propagateAll>[4]): (Band | undefined)[] => {
    const picks = of.map((r) => pickOf(then, entry.stageId, r));
    const known = picks.filter((p) => p !== undefined);
    const found = known.length > 0 ? propagateAll(then, known, 'real', [], at) : [];
    let k = 0;
    return picks.map((p) => p && found[k++]);
  };
  const names = entry.readings.map((r) => r.of);
  // What the flow decides is read at the usual flow; the rest does not care for it.
  const asks = usualAsks(standing(then));
  const flowing = bandsOf(
    names.filter((n) => BY_FLOW.includes(n)),
    { asks, walkAt: (p, line, basis) => walkAsked(p, line, asks, basis) },
  );
  const others = bandsOf(
    names.filter((n) => !BY_FLOW.includes(n)),
    {},
  );
  const { rel, absK } = INSTRUMENTS[entry.instrument] ?? (INSTRUMENTS.hand as (typeof INSTRUMENTS)[string]);
  return names.map((name) => {
    const own = (BY_FLOW.includes(name) ? flowing : others).shift();
    const band = name === 'oil-content' ? oilExpected(then, entry.stageId) : ofMoment(then, entry.stageId, name, own);
    if (!band) return null;
    const off = 2 * (IN_KELVIN.includes(name) ? absK : rel * Math.abs(band.value));
    return {
      value: band.value,
      low: band.value - Math.hypot(band.value - band.low, off),
      high: band.value + Math.hypot(band.high - band.value, off),
    };
  });
}

export type ReadingVerdict = 'as expected' | 'less' | 'more';

/**
 * A reading against its band: on its ends it is as expected.
 * @param value in the SI unit of the reading
 * @example verdictOfReading(9e3, { value: 8e3, low: 7e3, high: 1e4 }) // 'as expected'
 */
export function verdictOfReading(value: number, expected: ExpectedReading): ReadingVerdict {
  return value < expected.low ? 'less' : value > expected.high ? 'more' : 'as expected';
}
