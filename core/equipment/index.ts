import type { z } from 'zod';
import { aftercooler } from './aftercooler';
import { beadCartridge } from './bead-cartridge';
import { bowlFilter } from './bowl-filter';
import { checkValve } from './check-valve';
import { coalescingFilter } from './coalescing-filter';
import { compressor } from './compressor';
import { coolingRun } from './cooling-run';
import { dripLeg } from './drip-leg';
import { dropletSeparator } from './droplet-separator';
import { fluidCooler } from './fluid-cooler';
import { intake } from './intake';
import type { FieldMeta, Kind } from './kind';
import { measuredStage } from './measured-stage';
import { membrane } from './membrane';
import { outlet } from './outlet';
import { pelletTower } from './pellet-tower';
import { receiver } from './receiver';
import { refrigeratedDryer } from './refrigerated-dryer';
import { regulator } from './regulator';
import { separator } from './separator';
import { twinTower } from './twin-tower';
import { unloader } from './unloader';

/** Every kind of equipment, in the order in which the insert menu shows them. */
export const KINDS = {
  intake,
  compressor,
  aftercooler,
  'fluid-cooler': fluidCooler,
  'cooling-run': coolingRun,
  separator,
  receiver,
  'check-valve': checkValve,
  unloader,
  'drip-leg': dripLeg,
  'bowl-filter': bowlFilter,
  'coalescing-filter': coalescingFilter,
  'droplet-separator': dropletSeparator,
  'refrigerated-dryer': refrigeratedDryer,
  'bead-cartridge': beadCartridge,
  'pellet-tower': pelletTower,
  'twin-tower': twinTower,
  membrane,
  regulator,
  'measured-stage': measuredStage,
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

/** The kinds that a person may mean by a word: by name, by what people call it, by what it does; best first. */
export function findKinds(word: string): KindName[] {
  const wanted = word.trim().toLowerCase();
  const names = Object.keys(KINDS) as KindName[];
  if (wanted === '') return names;
  const rank = (name: KindName): number => {
    const { label, alsoCalled = [], does } = kindOf(name);
    const called = [label, ...alsoCalled].map((n) => n.toLowerCase());
    if (called.some((n) => n.startsWith(wanted))) return 0;
    if (called.some((n) => n.includes(wanted))) return 1;
    return does.toLowerCase().includes(wanted) ? 2 : 3;
  };
  return names
    .map((name) => ({ name, rank: rank(name) }))
    .filter((r) => r.rank < 3)
    .sort((a, b) => a.rank - b.rank)
    .map((r) => r.name);
}
