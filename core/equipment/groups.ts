import type { KindName } from './index';

/** Kinds that a rule treats alike. */
const group = <const K extends readonly KindName[]>(...kinds: K): K => kinds;

export const COOLERS = group('aftercooler', 'fluid-cooler', 'cooling-run', 'water-cooler');
export const TOWERS = group('twin-tower', 'heated-purge-tower', 'blower-purge-tower', 'split-flow-tower');
/** Media that oil spoils. */
export const DESICCANT = group('bead-cartridge', ...TOWERS);
/** Chill to a little above freezing. */
export const CHILLED = group('refrigerated-dryer', 'cycling-dryer');
export const DRYERS = group(
  ...CHILLED,
  'high-inlet-dryer',
  ...DESICCANT,
  'heat-of-compression-tower',
  'pellet-tower',
  'membrane',
);
/** Take drops out, and fill up where nothing drains them. */
export const CATCHERS = group(
  'separator',
  'receiver',
  'drip-leg',
  'bowl-filter',
  'coalescing-filter',
  'droplet-separator',
  'tool-filter',
  ...CHILLED,
  'high-inlet-dryer',
  'pellet-tower',
);
export const FILTERS = group(
  'bowl-filter',
  'coalescing-filter',
  'particulate-filter',
  'carbon-filter',
  'droplet-separator',
  'tool-filter',
);
/** Clean or dry the air, and cost pressure. */
export const TREATMENT = group(...COOLERS, 'separator', ...FILTERS, ...DRYERS);
/** Change nothing in the air that a medium downstream of them minds. */
export const INERT = group(
  'isolating-valve',
  'check-valve',
  'relief-valve',
  'gauge',
  'sight-glass',
  'test-point',
  'coupler',
  'hose',
  'pipe',
  'regulator',
  'flow-controller',
  'particulate-filter',
  'receiver',
  'oil-water-separator',
  'outlet',
);
/**
 * Whether a kind is one of a group.
 * @example is(['pipe', 'hose'], 'hose') // true
 */
export const is = (kinds: readonly KindName[], kind: KindName): boolean => kinds.includes(kind);

/** Uses that dust or oil spoils. */
export const SENSITIVE = ['spray', 'cutting', 'instruments', 'food'] as const;
