/** A usual composite: stages that are bought, hung up and served as one thing, in the order of flow. */
export interface WallUnit {
  readonly label: string;
  readonly does: string;
  readonly alsoCalled: readonly string[];
  readonly stages: readonly { readonly kind: string; readonly name: string; readonly parameters?: object }[];
}

const swirl = { kind: 'bowl-filter', name: 'Swirl filter' } as const;
const general = { kind: 'coalescing-filter', name: 'Coalescer 1 µm' } as const;
const fine = { kind: 'coalescing-filter', name: 'Coalescer 0.01 µm', parameters: { grade: 'fine' } } as const;
const regulator = { kind: 'regulator', name: 'Regulator' } as const;
const beads = { kind: 'bead-cartridge', name: 'Bead cartridge' } as const;
const dust = { kind: 'particulate-filter', name: 'Dust filter' } as const;

/**
 * What hangs at a wall: three to five stages in one frame. In the line they are their stages, each with its own model; the
 * unit can be closed to one card and opened again. Chains: common practice, no source.
 */
export const WALL_UNITS = {
  'wall-three': {
    label: 'Wall unit, three stages',
    does: 'Swirl filter, regulator and a 0.01 µm coalescer in one frame. It takes drops and dirt; the dew point stays.',
    alsoCalled: ['FRL', 'filter panel', 'wall panel', 'combination unit', 'portable unit', 'trolley'],
    stages: [swirl, regulator, fine],
  },
  'wall-four': {
    label: 'Wall unit, four stages',
    does: 'Swirl filter, regulator, 0.01 µm coalescer and beads: dry air at one bench for as long as the beads last.',
    alsoCalled: ['paint air panel', 'filter panel', 'wall panel', 'combination unit'],
    stages: [swirl, regulator, fine, beads],
  },
  'wall-five': {
    label: 'Wall unit, five stages',
    does: 'Swirl filter, coalescers of 1 and 0.01 µm, beads and a dust filter downstream of them.',
    alsoCalled: ['paint air panel', 'filter panel', 'wall panel', 'combination unit'],
    stages: [swirl, general, fine, beads, dust],
  },
} as const satisfies Record<string, WallUnit>;
export type WallUnitName = keyof typeof WALL_UNITS;
