import type { z } from 'zod';
import { dripLeg } from './catching/drip-leg';
import { dropletSeparator } from './catching/droplet-separator';
import { oilWaterSeparator } from './catching/oil-water-separator';
import { separator } from './catching/separator';
import { aftercooler } from './cooling/aftercooler';
import { auxiliaryFan } from './cooling/auxiliary-fan';
import { coolingRun } from './cooling/cooling-run';
import { fluidCooler } from './cooling/fluid-cooler';
import { intercooler } from './cooling/intercooler';
import { waterCooler } from './cooling/water-cooler';
import { beadCartridge } from './drying/bead-cartridge';
import { blowerPurgeTower } from './drying/blower-purge-tower';
import { cyclingDryer } from './drying/cycling-dryer';
import { heatOfCompressionTower } from './drying/heat-of-compression-tower';
import { heatedPurgeTower } from './drying/heated-purge-tower';
import { highInletDryer } from './drying/high-inlet-dryer';
import { homeMadeHousing } from './drying/home-made-housing';
import { membrane } from './drying/membrane';
import { pelletTower } from './drying/pellet-tower';
import { refrigeratedDryer } from './drying/refrigerated-dryer';
import { splitFlowTower } from './drying/split-flow-tower';
import { twinTower } from './drying/twin-tower';
import { bowlFilter } from './filtering/bowl-filter';
import { carbonFilter } from './filtering/carbon-filter';
import { coalescingFilter } from './filtering/coalescing-filter';
import { particulateFilter } from './filtering/particulate-filter';
import { toolFilter } from './filtering/tool-filter';
import { gauge } from './measuring/gauge';
import { measuredStage } from './measuring/measured-stage';
import { sightGlass } from './measuring/sight-glass';
import { testPoint } from './measuring/test-point';
import { coupler } from './serving/coupler';
import { flowController } from './serving/flow-controller';
import { hose } from './serving/hose';
import { hoseReel } from './serving/hose-reel';
import { isolatingValve } from './serving/isolating-valve';
import { lubricator } from './serving/lubricator';
import { outlet } from './serving/outlet';
import { pipe } from './serving/pipe';
import { regulator } from './serving/regulator';
import { WALL_UNITS, type WallUnitName } from './serving/wall-unit';
import type { FieldMeta, Kind } from './shared/kind';
import { checkValve } from './supply/check-valve';
import { compressor } from './supply/compressor';
import { intake } from './supply/intake';
import { receiver } from './supply/receiver';
import { reliefValve } from './supply/relief-valve';
import { unloader } from './supply/unloader';

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

/**
 * The kind under its loosest type, for code that treats all alike.
 * @example kindOf('aftercooler').label // 'Aftercooler'
 */
export function kindOf(name: KindName): Kind {
  return KINDS[name] as unknown as Kind;
}

/**
 * The declared fields of a kind, in order, with their descriptions.
 * @example fieldsOf('intake').map(([name]) => name) // ["filterLossPa","near","conditioned"]
 */
export function fieldsOf(name: KindName): [string, FieldMeta][] {
  const shape = kindOf(name).parameters.shape as Record<string, z.ZodType>;
  return Object.entries(shape).map(([field, schema]) => [field, schema.meta() as unknown as FieldMeta]);
}

/**
 * Whether a field is used, given the other parameters.
 * @example isRelevant({ when: { field: 'drain', is: ['timer'] } }, { drain: 'float' }) // false
 */
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

/**
 * The kinds that a person may mean by a word, best first.
 * @example findKinds('membrane')[0] // 'membrane'
 */
export function findKinds(word: string): KindName[] {
  return find(Object.keys(KINDS) as KindName[], kindOf, word);
}

/**
 * The wall units that a person may mean by a word, best first.
 * @example findWallUnits('service unit') // []
 */
export function findWallUnits(word: string): WallUnitName[] {
  return find(Object.keys(WALL_UNITS) as WallUnitName[], (name) => WALL_UNITS[name], word);
}
