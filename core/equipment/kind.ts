import { z } from 'zod';
import type { Basis } from '../air/enhancement-factor';
import type { Dirt } from '../purity/dirt';
import type { Reason } from '../quantity/derivation';
import type { QuantityName } from '../quantity/units';
import type { AirStream } from '../stream/air-stream';
import { freeAirM3PerS } from './free-air';

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
  /** Whether the line loses its pressure when work ends, so that drains which need that can open. */
  readonly letDown?: boolean;
}

/** A stage refuses its parameters in the stream that reaches it; the message belongs at the field. */
export class Refusal extends Error {
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
    this.name = 'Refusal';
  }
}

/** A figure or a word of a stage besides its station. */
export interface Shown {
  readonly label: string;
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
}

interface NumberField extends FieldMeta {
  readonly quantity: QuantityName;
  readonly least: number;
  readonly most: number;
  readonly default: number;
  readonly source: string;
}

/** A number with its quantity, range, default and the default's source. */
export function numberField({ default: fallback, ...meta }: NumberField) {
  return z
    .number()
    .min(meta.least)
    .max(meta.most)
    .default(fallback)
    .meta({ ...meta });
}

/** A choice among named options; the first is the default, or the one that is named: ids that are numbers come first in any order. */
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
  source: 'Pump and tank',
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
  /** Where the handbook of practice has it. */
  readonly ids?: readonly string[] | undefined;
  /** Other names that people have for it, for the search. */
  readonly alsoCalled?: readonly string[] | undefined;
  /** What belongs before it and behind it. */
  readonly needs?: { readonly before: string; readonly after: string } | undefined;
  /** Ids of the cautions that the screen shows beside it. */
  readonly cautions: readonly string[];
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
  /** Room for air inside, m³: what an unloader ahead of the check valve has to blow off. */
  airSpaceM3?(parameters: z.infer<S>): number;
}

const EVERY_KIND = {
  ids: undefined,
  alsoCalled: undefined,
  needs: undefined,
  whyTemperature: undefined,
  whyPressure: undefined,
  catches: undefined,
  cleans: undefined,
  shows: undefined,
  wider: undefined,
  airSpaceM3: undefined,
};

/** Gives a kind its parameter types, and all kinds one shape, so that a walk finds `pass` in the same place in each. */
export function defineKind<S extends z.ZodObject>(defined: Kind<S>): Kind<S> {
  return { ...EVERY_KIND, ...defined } as Kind<S>;
}

/** Pressure lost in the stage: as it was read, and at which flow. */
export function lossFields(fallbackPa: number) {
  return {
    pressureLossPa: numberField({
      label: 'Pressure loss',
      help: 'As it is now, by its gauges or its sheet.',
      quantity: 'pressureDifference',
      least: 0,
      most: 3e5,
      default: fallbackPa,
      source: 'typical, common practice',
      uncertainty: { rel: 0.3 },
    }),
    lossAtM3PerS: numberField({
      label: '… while this much flows',
      help: 'Free air. At other flows it loses more or less; 0: the same at any flow.',
      quantity: 'volumeFlow',
      least: 0,
      most: 2,
      default: 0,
      source: 'not said: the same at any flow',
    }),
  };
}

/** The same of what holds an element that clogs: as it is now, and as it was when new. */
export function elementFields(nowPa: number, newPa: number) {
  return {
    ...lossFields(nowPa),
    cleanLossPa: numberField({
      label: '… and with a new element',
      help: 'At the same flow: what changing it would give back.',
      quantity: 'pressureDifference',
      least: 0,
      most: 3e5,
      default: newPa,
      source: 'typical, common practice',
    }),
  };
}

const WORTH_CHANGING = 1.2; // now over new

/** The same with a new element. */
export const newElement = <P extends { readonly pressureLossPa: number; readonly cleanLossPa: number }>(p: P) =>
  p.pressureLossPa > p.cleanLossPa * WORTH_CHANGING
    ? { parameters: { ...p, pressureLossPa: p.cleanLossPa }, says: 'a new element' }
    : undefined;

/** What loses pressure, of the parameters of a stage. */
export interface LosesPressure {
  readonly pressureLossPa: number;
  readonly lossAtM3PerS?: number;
}

const RATED_PA = 801_325; // 7 bar above the atmosphere, at which losses are read and rated (ISO 7183, recalled)

/** How losses grow with the flow: exponents, common practice (estimate). */
export const LOSS_GROWS = { media: 1.2, mixed: 1.85, ports: 2 } as const;

/**
 * The loss of a stage at the flow that reaches it.
 * @source Δp₂ = Δp₁ · (Q₂/Q₁)ⁿ · p₁/p₂ with n = 1.0–1.4 for coalescing media, 1.85 for pipe-like passages, 2 for ports
 *   (handbook of practice, estimate)
 */
export function lossHerePa(inlet: AirStream, p: LosesPressure, around: Surroundings, exponent: number): number {
  if (!p.lossAtM3PerS) return p.pressureLossPa;
  const flow = freeAirM3PerS(inlet, around) / p.lossAtM3PerS;
  return (p.pressureLossPa * flow ** exponent * RATED_PA) / inlet.pressurePa;
}

/** Room for air inside: what an unloader has to blow off where the stage stands ahead of the check valve. */
export function airSpaceField(fallbackM3: number) {
  return numberField({
    label: 'Air space inside',
    help: 'Ahead of the check valve the unloader must empty it at each stop.',
    quantity: 'volume',
    least: 0,
    most: 1,
    default: fallbackM3,
    source: 'estimate',
  });
}

/** The pressure that leaves a stage with a loss; refused where the loss would leave less than the atmosphere. */
export function pressureAfterLoss(
  inlet: AirStream,
  p: LosesPressure,
  around: Surroundings,
  exponent: number = LOSS_GROWS.mixed,
): number {
  const left = inlet.pressurePa - lossHerePa(inlet, p, around, exponent);
  if (left < around.atmosphericPa)
    throw new Refusal('pressureLossPa', 'This pressure loss is more than the pressure that arrives here. Check both.');
  return left;
}

/** What a stage says that cannot pass what is asked of it. It is no fault of a field: a person enters what is there. */
export function chokes(what: string): Refusal {
  return new Refusal(
    '',
    `This ${what} cannot pass so much air: it chokes, whatever the pressure behind it. A wider one can.`,
  );
}
