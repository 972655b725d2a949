import { enhancementFactor } from '../air/enhancement-factor';
import { type AirAt, type MoistureAnswer, type MoistureReading, moistureAt, vapourFractionOf } from '../air/moisture';
import { OutOfRange } from '../air/out-of-range';
import { stablePhase } from '../air/saturation';
import { bandOf, type Derivation, input, notBelowZero, type ReasonInput } from '../quantity/derivation';

/** Where the moist-air figures come from. */
export const MOIST_AIR = 'saturation: Hyland & Wexler 1983 (ASHRAE); enhancement factor: Greenspan 1976, Hardy 1998';

const READING_FROM = 'the reading';
const SATURATION = 'x = f · e(T_dp) / p';

/** What a reading is made of: how it gives the vapour fraction x, and each of its numbers with what it may be off by. */
interface Part {
  readonly label: string;
  readonly quantity: ReasonInput['quantity'];
  readonly value: number;
  /** Standard uncertainty. Trade handbook: probes and gauges as usually found, typical. */
  readonly off: number;
  readonly changed: (value: number) => MoistureReading;
}

/** Pressure, and where it counts the temperature, of the air in which moisture was read. */
const readAt = (at: AirAt, withAt: (at: AirAt) => MoistureReading, temperature: boolean): Part[] => [
  {
    label: 'pressure where it was read',
    quantity: 'pressure',
    value: at.pressurePa,
    off: 0.02 * at.pressurePa, // ±2 % of span
    changed: (pressurePa) => withAt({ ...at, pressurePa }),
  },
  ...(temperature
    ? [
        {
          label: 'air temperature where it was read',
          quantity: 'temperature',
          value: at.temperatureC,
          off: 0.5, // ±1 °F
          changed: (temperatureC: number) => withAt({ ...at, temperatureC }),
        } as const,
      ]
    : []),
];

type ReadingOf<K extends MoistureReading['kind']> = Extract<MoistureReading, { readonly kind: K }>;
interface Parts {
  readonly formula: string;
  readonly parts: readonly Part[];
}

const dewPointPart = (reading: ReadingOf<'pressureDewPoint' | 'atmosphericDewPoint'>): Part => ({
  label: reading.convention === 'water' ? 'dew point, over supercooled water' : 'dew or frost point',
  quantity: 'temperature',
  value: reading.dewPointC,
  off: 2, // polymer sensors ±2 K
  changed: (dewPointC) => ({ ...reading, dewPointC }),
});

const PARTS: { readonly [K in MoistureReading['kind']]: (reading: ReadingOf<K>) => Parts } = {
  relativeHumidity: (reading) => ({
    formula: 'x = φ · f · e(T) / p',
    parts: [
      {
        label: 'relative humidity φ',
        quantity: 'share',
        value: reading.relativeHumidity,
        off: Math.min(0.02, 0.4 * reading.relativeHumidity), // ±2 %; a probe cannot show less than nothing
        changed: (relativeHumidity) => ({ ...reading, relativeHumidity }),
      },
      ...readAt(reading.at, (at) => ({ ...reading, at }), true),
    ],
  }),
  pressureDewPoint: (reading) => ({
    formula: SATURATION,
    parts: [dewPointPart(reading), ...readAt(reading.at, (at) => ({ ...reading, at }), false)],
  }),
  atmosphericDewPoint: (reading) => ({
    formula: SATURATION,
    parts: [
      dewPointPart(reading),
      {
        label: 'atmosphere',
        quantity: 'barometer',
        value: reading.atmosphericPa,
        off: 500, // a day's weather
        changed: (atmosphericPa) => ({ ...reading, atmosphericPa }),
      },
    ],
  }),
  density: (reading) => ({
    formula: 'x = ρ · Z · R_w · T / p',
    parts: [
      {
        label: 'water per volume ρ',
        quantity: 'waterContent',
        value: reading.kgPerM3,
        off: 0.2 * reading.kgPerM3, // colour tubes ±20 %
        changed: (kgPerM3) => ({ ...reading, kgPerM3 }),
      },
      ...readAt(reading.at, (at) => ({ ...reading, at }), true),
    ],
  }),
  ppm: (reading) => ({
    formula: 'x = r / (1 + r)',
    parts: [
      {
        label: 'parts by volume r',
        quantity: 'fraction',
        value: reading.ppmByVolume / 1e6,
        off: (0.2 * reading.ppmByVolume) / 1e6, // colour tubes ±20 %
        changed: (r) => ({ ...reading, ppmByVolume: r * 1e6 }),
      },
    ],
  }),
};
const partsOf = (reading: MoistureReading): Parts =>
  (PARTS[reading.kind] as (reading: MoistureReading) => Parts)(reading);

/** The figures of a {@link MoistureAnswer} that a person may question. */
export type MoistureFigure = Exclude<keyof MoistureAnswer, 'condenses'>;

const FIGURES: Record<
  MoistureFigure,
  { title: string; quantity: Derivation['quantity']; formula: string; of: 'p' | 'Tp' | ''; scale?: number }
> = {
  frostOrDewPointC: {
    title: 'Dew point',
    quantity: 'temperature',
    formula: 'the temperature T at which f(T, p) · e(T) = x · p',
    of: 'p',
  },
  dewPointOverWaterC: {
    title: 'Dew point over supercooled water',
    quantity: 'temperature',
    formula: 'the temperature T at which f(T, p) · e_water(T) = x · p',
    of: 'p',
  },
  relativeHumidity: {
    title: 'Relative humidity',
    quantity: 'share',
    formula: 'x · p / (f · e(T)), over liquid water',
    of: 'Tp',
  },
  kgPerM3: { title: 'Water per volume', quantity: 'waterContent', formula: 'x · p / (Z · R_w · T)', of: 'Tp' },
  humidityRatio: { title: 'Water per dry air', quantity: 'humidityRatio', formula: '0.622 · x / (1 − x)', of: '' },
  ppmByVolume: {
    title: 'Parts per million by volume',
    quantity: 'fraction',
    formula: 'x / (1 − x)',
    of: '',
    scale: 1e-6,
  },
};

/**
 * “Why?” for a figure of air whose moisture was read in one way and is told in another, perhaps elsewhere.
 * @returns `undefined` where the figure lies outside its equations
 * @example explainMoisture('relativeHumidity', { kind: 'relativeHumidity', relativeHumidity: 0.5, at: { temperatureC: 30, pressurePa: 8e5 } }, { temperatureC: 20, pressurePa: 8e5 }).value // 0.907
 */
export function explainMoisture(figure: MoistureFigure, reading: MoistureReading, at: AirAt): Derivation | undefined {
  const { title, quantity, formula, of, scale = 1 } = FIGURES[figure];
  const from = partsOf(reading);
  const read = (r: MoistureReading): number | undefined => {
    try {
      const value = moistureAt(vapourFractionOf(r), at)[figure];
      return value === undefined ? undefined : value * scale;
    } catch (error) {
      if (error instanceof OutOfRange) return undefined;
      throw error;
    }
  };
  const value = read(reading);
  if (value === undefined) return undefined;
  const band = bandOf(
    value,
    from.parts.map((p) => [p.label, [p.value + p.off, p.value - p.off].flatMap((v) => read(p.changed(v)) ?? [])]),
  );
  const T = input('air temperature T there', 'temperature', at.temperatureC, 'asked for');
  const p = input('pressure p there', 'pressure', at.pressurePa, 'asked for');
  const inputs = [
    ...from.parts.map((part) => input(part.label, part.quantity, part.value, READING_FROM)),
    input('vapour fraction x', 'fraction', vapourFractionOf(reading), from.formula),
    ...(of === 'Tp' ? [T, p] : of === 'p' ? [p] : []),
  ];
  if (figure === 'relativeHumidity')
    inputs.push(
      input('enhancement factor f', 'number', enhancementFactor(at.temperatureC, at.pressurePa, 'water'), 'computed'),
    );
  const dew = figure === 'frostOrDewPointC';
  return {
    title,
    quantity,
    value,
    band: quantity === 'temperature' ? band : notBelowZero(band),
    formula,
    inputs,
    source:
      figure === 'humidityRatio' || figure === 'ppmByVolume' ? 'ideal-gas mixture; 0.621945 of ASHRAE' : MOIST_AIR,
    ...(dew && stablePhase(value) === 'ice' && { note: 'Below {0 °C} this is the frost point, over ice.' }),
  };
}
