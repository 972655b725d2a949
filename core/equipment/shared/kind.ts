import { z } from 'zod';
import type { Basis } from '../../air/enhancement-factor';
import type { Dirt } from '../../purity/dirt';
import type { Reason } from '../../quantity/derivation';
import type { QuantityName } from '../../quantity/units';
import type { AirStream } from '../../stream/air-stream';

/** What surrounds a stage: nothing in it depends on the other stages. */
export interface Surroundings {
  readonly basis: Basis;
  /** Local barometer, absolute. */
  readonly atmosphericPa: number;
  /** The air where the equipment stands, which coolers draw and receivers lose heat to. */
  readonly roomTemperatureC: number;
  readonly intakeTemperatureC: number;
  /** Over liquid water, 0…1. */
  readonly intakeRelativeHumidity: number;
  /** Temperatures of all places of the survey by their ids, for stages that stand elsewhere. */
  readonly rooms?: Readonly<Record<string, number>>;
  /** Pieces of a run that is drawn through several places, in order: of its length, and the air there, °C. */
  readonly along?: readonly { readonly share: number; readonly roomC: number }[];
  /** Share of the working time in which the compressor is loaded, 0…1: heat comes to a receiver only then. */
  readonly loadedShare: number;
  /** Whether the line loses its pressure when work ends, so that drains which need that can open. */
  readonly depressurised?: boolean;
}

/** Where the engine notes so many callers of each error (a field of V8’s; of no effect elsewhere). */
const traced = Error as ErrorConstructor & { stackTraceLimit?: number | undefined };

/** A stage refuses its parameters in the stream that reaches it; the message belongs at the field. */
export class Refusal extends Error {
  constructor(
    readonly field: string,
    message: string,
  ) {
    // It is an answer, not a defect: a search makes thousands, and to note where each was made is a quarter of its time.
    const { stackTraceLimit } = traced;
    traced.stackTraceLimit = 0;
    super(message);
    traced.stackTraceLimit = stackTraceLimit;
    this.name = 'Refusal';
  }
}

/** What other code reads of what a stage shows: load over what a dryer can do here, and how long a medium lasts from now. */
export type Figure = 'load' | 'life';

/** A figure or a word of a stage besides its station. */
export interface Shown {
  readonly label: string;
  readonly figure?: Figure;
  readonly value?: number;
  readonly quantity?: QuantityName | 'number';
  readonly text?: string;
  /** Whether it asks for attention. */
  readonly warns?: boolean;
}

/** How far an input may be off (standard uncertainty), absolute in SI or relative. */
export interface Uncertainty {
  readonly abs?: number;
  readonly rel?: number;
}

/** What a form, the JSON Schema and the catalogue need to know of a parameter, declared beside its check. */
export interface FieldMeta {
  readonly label: string;
  readonly help?: string;
  readonly quantity?: QuantityName;
  readonly least?: number;
  readonly most?: number;
  /** Where the default comes from. */
  readonly source?: string;
  readonly uncertainty?: Uncertainty;
  readonly options?: Readonly<Record<string, string>>;
  /** Shown and used only while another parameter has one of these values. */
  readonly when?: { readonly field: string; readonly is: readonly string[] };
  /** What somebody can read where the parameter itself cannot be read. */
  readonly reads?: string;
  /** How it is made and fitted: only the advice reads it. */
  readonly about?: 'build';
}

interface NumberField extends FieldMeta {
  readonly quantity: QuantityName;
  readonly least: number;
  readonly most: number;
  readonly default: number;
  readonly source: string;
}

/** Smaller than anything that is entered, in SI, is none: what is divided by it would leave the range of numbers. */
const LEAST_SIZE = 1e-12;

/**
 * A number with its quantity, range, default and the default's source.
 * @example numberField({ label: 'Length', quantity: 'length', default: 3, min: 0, max: 10, source: 'common practice', uncertainty: 0.1 }).parse(undefined) // 3
 */
export function numberField({ default: fallback, ...meta }: NumberField) {
  // All checks at once: each one alone would make the number anew, hundreds of times before a page answers.
  return z
    .number()
    .check(
      z.overwrite((x) => (Math.abs(x) < LEAST_SIZE ? 0 : x)),
      z.gte(meta.least),
      z.lte(meta.most),
    )
    .default(fallback)
    .meta({ ...meta });
}

/**
 * A choice among named options; the first is the default, or the one that is named: ids that are numbers come first in any order.
 * @example choiceField({ label: 'Size', options: { small: 'Small', large: 'Large' } }).parse(undefined) // 'small'
 */
export function choiceField<const O extends Record<string, string>>({
  default: fallback,
  ...meta
}: Omit<FieldMeta, 'options'> & { readonly options: O; readonly default?: keyof O & string }) {
  const ids = Object.keys(meta.options) as [keyof O & string, ...(keyof O & string)[]];
  return z
    .enum(ids)
    .default(fallback ?? ids[0])
    .meta({ ...meta });
}

/** Kinds that belong together, in the order of the catalogue. */
export const FAMILIES = {
  source: 'Compressor and tank',
  cooling: 'Cooling',
  catching: 'Catching',
  drying: 'Drying',
  serving: 'Serving the tool',
  other: 'Anything else',
} as const;

/** A stage one size up: in words, as parameters, and what it costs beside the one at hand. */
export interface Wider<P> {
  readonly parameters: P;
  readonly says: string;
  readonly costs?: string;
}

export interface Kind<S extends z.ZodObject = z.ZodObject> {
  readonly kind: string;
  readonly family: keyof typeof FAMILIES;
  readonly label: string;
  /** One sentence for the catalogue and the insert menu. */
  readonly does: string;
  /** Its model, in one line for the catalogue. */
  readonly equation: string;
  /** Where the trade handbook has it. */
  readonly ids?: readonly string[] | undefined;
  /** Other names that people have for it, for the search. */
  readonly alsoCalled?: readonly string[] | undefined;
  /** What belongs upstream and downstream of it. */
  readonly needs?: { readonly before: string; readonly after: string } | undefined;
  /** Ids of the tasks that it brings, in core/maintenance/tasks.ts. */
  readonly service?: readonly string[] | undefined;
  /** Ids of the cautions that the screen shows beside it. */
  readonly cautions: readonly string[];
  /** Further cautions for what was entered: of a pipe that must not carry air. */
  moreCautions?(parameters: z.infer<S>): readonly string[];
  readonly parameters: S;
  /** Makes of the stream that enters the stream that leaves: depends on nothing but its three arguments. */
  pass(air: AirStream, parameters: z.infer<S>, around: Surroundings): void;
  /** Why the air leaves at this temperature; left out, it leaves as it came. */
  whyTemperature?(inlet: AirStream, parameters: z.infer<S>, around: Surroundings): Reason;
  /** Why the air leaves at this pressure; left out, less the stage's pressure loss. */
  whyPressure?(inlet: AirStream, parameters: z.infer<S>, around: Surroundings): Reason;
  /** What of the liquid at the stage is caught, for “why?”. */
  catches?(parameters: z.infer<S>, around: Surroundings): { readonly efficiency: number; readonly source: string };
  /** What it does to the oil and the particles in the air, with the humidity of the air that leaves it. */
  cleans?(dirt: Dirt, parameters: z.infer<S>, air: { temperatureC: number; relativeHumidity: number }): void;
  /** What else can be told of the stage where it stands: a reading, a margin, a warning. */
  shows?(inlet: AirStream, parameters: z.infer<S>, around: Surroundings): readonly Shown[];
  /** The same one size up, in words and as parameters, for what it would give back; left out, there is none to be had. */
  wider?(parameters: z.infer<S>): Wider<z.infer<S>> | undefined;
  /** Air that it blows away all the time as purge, sweep, sample or leak, at a line pressure: m³/s of free air. */
  ventsM3PerS?(parameters: z.infer<S>, linePa: number): number;
  /** Room for air inside, m³: what an unloader upstream of the check valve has to blow off. */
  airSpaceM3?(parameters: z.infer<S>): number;
}

const EVERY_KIND = {
  ids: undefined,
  alsoCalled: undefined,
  needs: undefined,
  service: undefined,
  moreCautions: undefined,
  whyTemperature: undefined,
  whyPressure: undefined,
  catches: undefined,
  cleans: undefined,
  shows: undefined,
  wider: undefined,
  ventsM3PerS: undefined,
  airSpaceM3: undefined,
};

/**
 * Gives a kind its parameter types, and all kinds one shape, so that a walk finds `pass` in the same place in each.
 * @example defineKind(kindOf('hose')).kind // 'hose'
 */
export function defineKind<S extends z.ZodObject>(defined: Kind<S>): Kind<S> {
  return { ...EVERY_KIND, ...defined } as Kind<S>;
}

/**
 * Room for air inside: what an unloader has to blow off where the stage stands upstream of the check valve.
 * @example airSpaceField(0.001).parse(undefined) // 0.001
 */
export function airSpaceField(fallbackM3: number) {
  return numberField({
    label: 'Air space inside',
    help: 'Upstream of the check valve the unloader must empty it at each stop.',
    quantity: 'volume',
    least: 0,
    most: 1,
    default: fallbackM3,
    source: 'estimate',
  });
}

/**
 * The pressure that leaves a stage, where it leaves any.
 * @returns Pa, absolute
 * @throws Refusal by the name of the stage where less than the atmosphere would be left
 * @example aboveAtmosphere(7e5, 'Filter', around) // 700000
 */
export function aboveAtmosphere(pressurePa: number, what: string, around: Surroundings): number {
  if (pressurePa < around.atmosphericPa)
    throw new Refusal('', `More pressure is lost in this ${what} than arrives: it is too narrow for so much air.`);
  return pressurePa;
}

/**
 * What a stage says that cannot pass what is asked of it. It is no fault of a field: a person enters what is there.
 * @example chokes('Valve').field // ''
 */
export function chokes(what: string): Refusal {
  return new Refusal(
    '',
    `This ${what} cannot pass so much air: it chokes, whatever the pressure downstream of it. A wider one can.`,
  );
}
