import { FOOT, POUND } from './constants';

/**
 * The quantities that people enter and read, and their units. Inside everything is SI; a unit says how to get there:
 * SI value = number × factor + offset. Gauge units have no fixed offset: the local barometer is added.
 */
export interface Unit {
  readonly id: string;
  /** As printed after the number. */
  readonly symbol: string;
  /** Other spellings people type, lower case, without spaces. The symbol counts too. */
  readonly spellings: readonly string[];
  readonly factor: number;
  readonly offset?: number;
  readonly gauge?: true;
  /** Decimals shown; left out, `figures` significant ones. */
  readonly decimals?: number;
  /** Significant figures shown, three unless said. */
  readonly figures?: number;
}

export interface Quantity {
  readonly name: string;
  /** A usual value, SI, shown as an example. */
  readonly typical: number;
  readonly units: readonly Unit[];
}

const unit = (
  id: string,
  symbol: string,
  factor: number,
  spellings: readonly string[] = [],
  more: Partial<Unit> = {},
): Unit => ({ id, symbol, factor, spellings, ...more });

// Exact by definition unless noted: in 0.0254 m, lb 0.45359237 kg, US gal 231 in³, lbf 4.4482216152605 N.
const US_GALLON = 231 * 0.0254 ** 3;
const IMPERIAL_GALLON = 4.54609e-3;
const PSI = (POUND * 9.80665) / 0.0254 ** 2;
const INCH_WATER = 249.089; // conventional, 4 °C
const INCH_MERCURY = 3386.389; // conventional, 0 °C
const CUBIC_FOOT = FOOT ** 3;
const US_FLUID_OUNCE = US_GALLON / 128;
const HORSEPOWER = 745.699872;

export const QUANTITIES = {
  temperature: {
    name: 'a temperature',
    typical: 20,
    units: [
      unit('C', '°C', 1, ['c', 'degc', 'celsius', 'deg.c', 'grad', 'gradc'], { offset: 0, decimals: 1 }),
      unit('F', '°F', 5 / 9, ['f', 'degf', 'fahrenheit', 'deg.f'], { offset: (-32 * 5) / 9, decimals: 1 }),
      unit('K', 'K', 1, ['kelvin'], { offset: -273.15, decimals: 1 }),
    ],
  },
  temperatureDifference: {
    name: 'a temperature difference',
    typical: 10,
    units: [
      unit('K', 'K', 1, ['kelvin', '°c', 'c', 'degc'], { decimals: 1 }),
      unit('Fd', '°F diff', 5 / 9, ['°f', 'f', 'degf', 'fd'], { decimals: 1 }),
    ],
  },
  pressure: {
    name: 'a pressure',
    typical: 8e5,
    units: [
      unit('barg', 'bar', 1e5, ['barg', 'bar(g)', 'bar.g', 'bargauge', 'barü', 'bar(ü)'], { gauge: true }),
      unit('psig', 'psi', PSI, ['psig', 'psi(g)', 'lb', 'lbs', 'pound', 'pounds'], { gauge: true }),
      unit('kPag', 'kPa', 1e3, ['kpag', 'kpa(g)'], { gauge: true }),
      unit('MPag', 'MPa', 1e6, ['mpag', 'mpa(g)'], { gauge: true }),
      unit('bara', 'bar abs', 1e5, ['bara', 'bar(a)']),
      unit('psia', 'psi abs', PSI, ['psia', 'psi(a)']),
      unit('kPaa', 'kPa abs', 1e3, ['kpaa', 'kpa(a)']),
    ],
  },
  barometer: {
    name: 'a barometer reading',
    typical: 101300,
    units: [
      unit('hPa', 'hPa', 100, ['mbar', 'mb', 'millibar'], { decimals: 0 }),
      unit('inHg', 'inHg', INCH_MERCURY, ['in.hg', '"hg'], { decimals: 2 }),
      unit('kPa', 'kPa', 1e3, [], { decimals: 1 }),
      unit('psia', 'psi abs', PSI, ['psia', 'psi'], { decimals: 2 }),
      unit('bara', 'bar abs', 1e5, ['bara', 'bar'], { decimals: 3 }),
    ],
  },
  pressureDifference: {
    name: 'a pressure difference',
    typical: 2e4,
    units: [
      unit('bar', 'bar', 1e5),
      unit('psi', 'psi', PSI, ['psid']),
      unit('mbar', 'mbar', 100, ['hpa']),
      unit('kPa', 'kPa', 1e3),
      unit('inH2O', 'inH2O', INCH_WATER, ['inwg', 'in.wg', 'inwc', '"wg', 'inh₂o']),
    ],
  },
  volumeFlow: {
    name: 'an air flow',
    typical: 0.01,
    units: [
      unit('cfm', 'cfm', CUBIC_FOOT / 60, ['ft3/min', 'ft³/min', 'icfm', 'scfm', 'acfm']),
      unit('m3/min', 'm³/min', 1 / 60, ['m3/min', 'm3min']),
      unit('L/s', 'L/s', 1e-3, ['l/s', 'lps']),
      unit('L/min', 'L/min', 1e-3 / 60, ['l/min', 'lpm'], { decimals: 0 }),
      unit('m3/h', 'm³/h', 1 / 3600, ['m3/h', 'nm3/h', 'm3h']),
      unit('m3/s', 'm³/s', 1, ['m3/s']),
    ],
  },
  airLost: {
    name: 'a little air',
    typical: 1e-4,
    units: [
      unit('L/min', 'L/min', 1e-3 / 60, ['l/min', 'lpm'], { figures: 2 }),
      unit('cfm', 'cfm', CUBIC_FOOT / 60, ['scfm'], { figures: 2 }),
      unit('m3/h', 'm³/h', 1 / 3600, ['m3/h'], { figures: 2 }),
    ],
  },
  waterFlow: {
    name: 'a flow of water',
    typical: 1e-4,
    units: [
      unit('g/h', 'g/h', 1e-3 / 3600, ['gph.w']),
      unit('kg/h', 'kg/h', 1 / 3600),
      unit('lb/h', 'lb/h', POUND / 3600, ['lbs/h', 'lb/hr']),
      unit('L/day', 'L/day', 1 / 86400, ['l/d']),
      unit('USgal/day', 'US gal/day', (US_GALLON * 1e3) / 86400, ['gal/day', 'gpd']),
    ],
  },
  massFlow: {
    name: 'a mass flow',
    typical: 0.01,
    units: [
      unit('kg/h', 'kg/h', 1 / 3600),
      unit('lb/h', 'lb/h', POUND / 3600, ['lb/hr']),
      unit('g/s', 'g/s', 1e-3),
      unit('kg/s', 'kg/s', 1),
    ],
  },
  volume: {
    name: 'a volume',
    typical: 0.27,
    units: [
      unit('L', 'L', 1e-3, ['l', 'liter', 'litre', 'liters', 'litres', 'ltr']),
      unit('USgal', 'US gal', US_GALLON, ['gal', 'gallon', 'gallons', 'usgal', 'usgallon', 'usgallons']),
      unit('impgal', 'imp gal', IMPERIAL_GALLON, ['impgal', 'ukgal', 'impgallon']),
      unit('m3', 'm³', 1, ['m3']),
      unit('ft3', 'ft³', CUBIC_FOOT, ['ft3', 'cuft', 'cu.ft']),
    ],
  },
  drained: {
    name: 'an amount of water',
    typical: 160e-6,
    units: [
      unit('mL', 'mL', 1e-6, ['ml', 'cc', 'g']),
      unit('floz', 'fl oz', US_FLUID_OUNCE, ['oz', 'floz', 'fl.oz', 'fl.oz.']),
      unit('L', 'L', 1e-3, ['l', 'liter', 'litre', 'liters', 'litres']),
      unit('cup', 'cup', 0.25e-3, ['cups']), // metric cup of 250 mL; the logbook asks for the cup's own size
      unit('USgal', 'US gal', US_GALLON, ['gal', 'usgal', 'gallon', 'gallons']),
    ],
  },
  length: {
    name: 'a length',
    typical: 12,
    units: [
      unit('m', 'm', 1, ['metre', 'meter']),
      unit('ft', 'ft', FOOT, ["'", 'feet', 'foot']),
      unit('mm', 'mm', 1e-3),
      unit('in', 'in', 0.0254, ['"', 'inch', 'inches']),
    ],
  },
  size: {
    name: 'a size',
    typical: 0.022,
    units: [unit('mm', 'mm', 1e-3), unit('in', 'in', 0.0254, ['"', 'inch', 'inches']), unit('m', 'm', 1)],
  },
  speed: {
    name: 'a speed',
    typical: 6,
    units: [unit('m/s', 'm/s', 1), unit('ft/s', 'ft/s', FOOT, ['fps'])],
  },
  fall: {
    name: 'a fall',
    typical: 0.01,
    units: [
      unit('%', '%', 0.01),
      unit('in/ft', 'in/ft', 1 / 12, ['in per ft', '"/ft', 'inperft']),
      unit('mm/m', 'mm/m', 1e-3),
    ],
  },
  altitude: {
    name: 'an altitude',
    typical: 100,
    units: [
      unit('m', 'm', 1, ['metre', 'meter', 'metres', 'meters'], { decimals: 0 }),
      unit('ft', 'ft', FOOT, ["'", 'feet', 'foot'], { decimals: 0 }),
    ],
  },
  mass: {
    name: 'a mass',
    typical: 4.5,
    units: [unit('kg', 'kg', 1), unit('g', 'g', 1e-3), unit('lb', 'lb', POUND, ['lbs', 'pound', 'pounds'])],
  },
  power: {
    name: 'a power',
    typical: 4000,
    units: [unit('kW', 'kW', 1e3), unit('hp', 'hp', HORSEPOWER), unit('W', 'W', 1)],
  },
  time: {
    name: 'a time',
    typical: 3600,
    units: [
      unit('h', 'h', 3600, ['hr', 'hrs', 'hour', 'hours'], { figures: 2 }),
      unit('min', 'min', 60, ['minute', 'minutes']),
      unit('s', 's', 1, ['sec', 'second', 'seconds']),
      unit('day', 'day', 86400, ['d', 'days']),
    ],
  },
  duration: {
    name: 'a short time',
    typical: 75,
    units: [
      unit('s', 's', 1, ['sec', 'second', 'seconds']),
      unit('min', 'min', 60, ['minute', 'minutes']),
      unit('h', 'h', 3600, ['hr', 'hour', 'hours']),
    ],
  },
  share: {
    name: 'a percentage',
    typical: 0.6,
    units: [unit('%', '%', 0.01, ['percent', 'pct', '%rh', 'rh'], { figures: 2 })],
  },
  waterContent: {
    name: 'a water content',
    typical: 5e-3,
    units: [
      unit('g/m3', 'g/m³', 1e-3, ['g/m3']),
      unit('lb/kft3', 'lb/1000 ft³', POUND / (1000 * CUBIC_FOOT), ['lb/1000ft3']),
    ],
  },
  oilContent: {
    name: 'an oil content',
    typical: 1e-6,
    units: [unit('mg/m3', 'mg/m³', 1e-6, ['mg/m3'])],
  },
  fraction: {
    name: 'a fraction in parts per million',
    typical: 500e-6,
    units: [unit('ppmv', 'ppm', 1e-6, ['ppmv', 'ppm(v)', 'ppmbyvolume'])],
  },
  humidityRatio: {
    name: 'a humidity ratio',
    typical: 5e-3,
    units: [unit('g/kg', 'g/kg', 1e-3), unit('gr/lb', 'gr/lb', 1 / 7000, ['grains/lb'])], // 7000 grains are a pound
  },
} as const satisfies Record<string, Quantity>;

export type QuantityName = keyof typeof QUANTITIES;

/**
 * The unit of a quantity by its id; the first (SI) one if there is none such.
 * @example unitOf('temperature', 'F').symbol // '°F'
 */
export function unitOf(quantity: QuantityName, id: string | undefined): Unit {
  const { units } = QUANTITIES[quantity] as Quantity;
  return units.find((u) => u.id === id) ?? (units[0] as Unit);
}

/** SI value of a number in a unit; a gauge unit needs the local barometer. */
export function toSi(value: number, u: Unit, atmosphericPa: number): number {
  return value * u.factor + (u.gauge ? atmosphericPa : (u.offset ?? 0));
}

/**
 * The number in a unit of an SI value: the inverse of {@link toSi}.
 * @param si in the SI unit of the quantity
 * @example fromSi(8e5, unitOf('pressureDifference', 'psi'), 101325) // 116.0
 */
export function fromSi(si: number, u: Unit, atmosphericPa: number): number {
  return (si - (u.gauge ? atmosphericPa : (u.offset ?? 0))) / u.factor;
}

/** Which unit a person likes for each quantity, and whether decimals stand after a comma. */
export type UnitChoice = Partial<Record<QuantityName, string>> & { readonly decimal?: 'comma' };

export const METRIC: UnitChoice = { volumeFlow: 'm3/min' };
export const US_CUSTOMARY: UnitChoice = {
  temperature: 'F',
  temperatureDifference: 'Fd',
  pressure: 'psig',
  barometer: 'inHg',
  pressureDifference: 'psi',
  volumeFlow: 'cfm',
  airLost: 'cfm',
  waterFlow: 'lb/h',
  massFlow: 'lb/h',
  volume: 'USgal',
  drained: 'floz',
  length: 'ft',
  size: 'in',
  speed: 'ft/s',
  fall: 'in/ft',
  altitude: 'ft',
  mass: 'lb',
  power: 'hp',
  waterContent: 'lb/kft3',
  humidityRatio: 'gr/lb',
};
