import type { z } from 'zod';
import { aftercooler } from './aftercooler';
import { auxiliaryFan } from './auxiliary-fan';
import { beadCartridge } from './bead-cartridge';
import { blowerPurgeTower } from './blower-purge-tower';
import { bowlFilter } from './bowl-filter';
import { carbonFilter } from './carbon-filter';
import { checkValve } from './check-valve';
import { coalescingFilter } from './coalescing-filter';
import { compressor } from './compressor';
import { coolingRun } from './cooling-run';
import { coupler } from './coupler';
import { cyclingDryer } from './cycling-dryer';
import { dripLeg } from './drip-leg';
import { dropletSeparator } from './droplet-separator';
import { flowController } from './flow-controller';
import { fluidCooler } from './fluid-cooler';
import { gauge } from './gauge';
import { heatOfCompressionTower } from './heat-of-compression-tower';
import { heatedPurgeTower } from './heated-purge-tower';
import { highInletDryer } from './high-inlet-dryer';
import { homeMadeHousing } from './home-made-housing';
import { hose } from './hose';
import { hoseReel } from './hose-reel';
import { intake } from './intake';
import { intercooler } from './intercooler';
import { isolatingValve } from './isolating-valve';
import type { FieldMeta, Kind } from './kind';
import { lubricator } from './lubricator';
import { measuredStage } from './measured-stage';
import { membrane } from './membrane';
import { oilWaterSeparator } from './oil-water-separator';
import { outlet } from './outlet';
import { particulateFilter } from './particulate-filter';
import { pelletTower } from './pellet-tower';
import { pipe } from './pipe';
import { receiver } from './receiver';
import { refrigeratedDryer } from './refrigerated-dryer';
import { regulator } from './regulator';
import { reliefValve } from './relief-valve';
import { separator } from './separator';
import { sightGlass } from './sight-glass';
import { splitFlowTower } from './split-flow-tower';
import { testPoint } from './test-point';
import { toolFilter } from './tool-filter';
import { twinTower } from './twin-tower';
import { unloader } from './unloader';
import { WALL_UNITS, type WallUnitName } from './wall-unit';
import { waterCooler } from './water-cooler';

/** Every kind of equipment, family by family, in the order in which the insert menu and the catalogue show them. */
export const KINDS = {
  intake,
  compressor,
  'check-valve': checkValve,
  unloader,
  'relief-valve': reliefValve,
  receiver,
  'isolating-valve': isolatingValve,
  aftercooler,
  'fluid-cooler': fluidCooler,
  'cooling-run': coolingRun,
  'water-cooler': waterCooler,
  intercooler,
  'auxiliary-fan': auxiliaryFan,
  separator,
  'drip-leg': dripLeg,
  'bowl-filter': bowlFilter,
  'coalescing-filter': coalescingFilter,
  'particulate-filter': particulateFilter,
  'carbon-filter': carbonFilter,
  'droplet-separator': dropletSeparator,
  'tool-filter': toolFilter,
  'refrigerated-dryer': refrigeratedDryer,
  'cycling-dryer': cyclingDryer,
  'high-inlet-dryer': highInletDryer,
  'bead-cartridge': beadCartridge,
  'pellet-tower': pelletTower,
  'twin-tower': twinTower,
  'heated-purge-tower': heatedPurgeTower,
  'blower-purge-tower': blowerPurgeTower,
  'split-flow-tower': splitFlowTower,
  'heat-of-compression-tower': heatOfCompressionTower,
  membrane,
  'home-made-housing': homeMadeHousing,
  regulator,
  'flow-controller': flowController,
  gauge,
  lubricator,
  'sight-glass': sightGlass,
  'test-point': testPoint,
  pipe,
  coupler,
  hose,
  'hose-reel': hoseReel,
  outlet,
  'oil-water-separator': oilWaterSeparator,
  'measured-stage': measuredStage,
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

/** Anything that people have names for. */
interface Called {
  readonly label: string;
  readonly does: string;
  readonly alsoCalled?: readonly string[] | undefined;
}

/** Those that a person may mean by a word: by name, by what people call it, by what it does; best first. */
function find<N extends string>(names: readonly N[], of: (name: N) => Called, word: string): N[] {
  const wanted = word.trim().toLowerCase();
  if (wanted === '') return [...names];
  const rank = (name: N): number => {
    const { label, alsoCalled = [], does } = of(name);
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

/** The kinds that a person may mean by a word, best first. */
export function findKinds(word: string): KindName[] {
  return find(Object.keys(KINDS) as KindName[], kindOf, word);
}

/** The wall units that a person may mean by a word, best first. */
export function findWallUnits(word: string): WallUnitName[] {
  return find(Object.keys(WALL_UNITS) as WallUnitName[], (name) => WALL_UNITS[name], word);
}
