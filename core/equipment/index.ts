import type { z } from 'zod';
import { aftercooler } from './aftercooler';
import { bowlFilter } from './bowl-filter';
import { coalescingFilter } from './coalescing-filter';
import { compressor } from './compressor';
import { intake } from './intake';
import type { FieldMeta, Kind } from './kind';
import { outlet } from './outlet';
import { receiver } from './receiver';
import { refrigeratedDryer } from './refrigerated-dryer';
import { regulator } from './regulator';
import { separator } from './separator';

/** Every kind of equipment, in the order in which the insert menu shows them. */
export const KINDS = {
  intake,
  compressor,
  aftercooler,
  separator,
  receiver,
  'bowl-filter': bowlFilter,
  'coalescing-filter': coalescingFilter,
  'refrigerated-dryer': refrigeratedDryer,
  regulator,
  outlet,
} as const;

export type KindName = keyof typeof KINDS;
export type ParametersOf<K extends KindName> = z.infer<(typeof KINDS)[K]['parameters']>;

/** The kind under its loosest type, for code that treats all alike. */
export function kindOf(name: KindName): Kind {
  return KINDS[name] as unknown as Kind;
}

/** The declared fields of a kind, in order, with their descriptions. */
export function fieldsOf(name: KindName): [string, FieldMeta][] {
  const shape = kindOf(name).parameters.shape as Record<string, z.ZodType>;
  return Object.entries(shape).map(([field, schema]) => [field, schema.meta() as unknown as FieldMeta]);
}

/** Whether a field is used, given the other parameters. */
export function isRelevant(meta: FieldMeta, parameters: Record<string, unknown>): boolean {
  return meta.when === undefined || meta.when.is.includes(String(parameters[meta.when.field]));
}
