// Steps by kind: common practice of the trade; wording ours. The maker’s sheet wins.

const ISOLATE = [
  'Shut the valve before and the valve behind; tell whoever uses the air.',
  'Open the bleed until nothing comes. Read zero on the gauge, and prove it: crack the drain or the vent as well.',
] as const;
const SEAL =
  'Wipe seat and O-ring dry and look for nicks. Leave its film of grease; a dry one gets a trace of silicone grease. It seats in its groove all round, not pinched.';
const WASH =
  'Wash bowl and what may be washed in lukewarm water with a little mild soap; no solvent, no alcohol: they craze clear bowls. Rinse, dry wholly, and count the wash.';
const BACK = [
  'Shut the bleed. Open the valve before it slowly, a quarter turn, and wait for the gauge.',
  'Soap on the joints, or listen: no bubble for a minute. Then open the valve behind.',
] as const;

/** What is recharged, and how. */
export const RECHARGE = {
  'bead-cartridge': {
    label: 'Bead cartridge',
    steps: [
      ...ISOLATE,
      'Pour the exhausted beads into a tray; oil smell or brown beads: oily waste, and find the oil first.',
      WASH,
      'Fill dry beads to {12 mm} under the top, tapped down, no dust. Weigh what goes in.',
      SEAL,
      'Screens on both ends, arrow with the flow, upright as it was made for.',
      ...BACK,
      'Log it: which charge, grams, how far the old one was exhausted.',
    ],
  },
  'pellet-tower': {
    label: 'Pellet tower',
    steps: [
      ...ISOLATE,
      'Drain the brine where it may go. Gloves and goggles.',
      'Break bridges with wood, not steel. Top up to its mark, never tamped.',
      SEAL,
      ...BACK,
      'Log kilograms and level.',
    ],
  },
  'twin-tower': {
    label: 'Twin towers',
    steps: [
      'Stop it, lock it out. Depressurise both towers, read zero on both gauges, and prove it at both exhausts.',
      'Sample top, middle and bottom: colour, oil, weight lost on drying. Vacuum the beads out, mask on.',
      'Look at screens and silencer; replace what is torn or full of dust.',
      'Fill in one go, evenly, to the top; no void that lets the bed move.',
      'Bring each tower to pressure slowly. Soap the flanges.',
      'Purge without taking air until its dew point is reached. Log kilograms, kind and size.',
    ],
  },
  'coalescing-filter': {
    label: 'Coalescing filter',
    steps: [
      ...ISOLATE,
      'Bowl off; an element that catches oil is replaced, never washed.',
      WASH,
      'New element by its end, clean hands. Flow is from the inside out: see the arrow on the head.',
      SEAL,
      ...BACK,
      'Read the pressure drop new and dry, and log it: later ones are compared with it.',
    ],
  },
  'bowl-filter': {
    label: 'Bowl or tool filter',
    steps: [
      ...ISOLATE,
      WASH,
      'A sintered or mesh element may be washed and blown from the clean side; one that stays dark is replaced. Clear bowls with cracks or clouding too.',
      SEAL,
      ...BACK,
    ],
  },
  'carbon-filter': {
    label: 'Carbon',
    steps: [
      ...ISOLATE,
      'Replaced by the calendar, not by pressure drop: used-up carbon looks like fresh. Closed bag for the old one.',
      SEAL,
      ...BACK,
    ],
  },
} as const satisfies Record<string, { label: string; steps: readonly string[] }>;
export type Recharged = keyof typeof RECHARGE;
