import { type Batch, LAYER_MOST_M } from './dry-batch';

/** A step of drying a charge. With a time it is waited for. */
export interface DryingStep {
  readonly says: string;
  readonly lastsS?: number;
}

const STIR_S = 1800;
/** Between two weighings that must agree within 0.5 % (trade handbook). */
export const WEIGH_AGAIN_S = 1800;
const COOLS_S = 2700; // in a closed tin, to the hand’s warmth (estimate)

/**
 * The steps of drying a charge in an oven of its own.
 * @param hours in the oven, above 0; stirred each half hour
 * @example dryingSteps({ dyed: true }, 3).length // 13
 */
export function dryingSteps(batch: Pick<Batch, 'dyed'>, hours: number): DryingStep[] {
  const spells = Math.max(1, Math.ceil((hours * 3600) / STIR_S));
  const oven = Array.from({ length: spells }, (_, i): DryingStep => {
    const last = i === spells - 1;
    const lastsS = last ? hours * 3600 - i * STIR_S : STIR_S;
    return { says: last ? 'In the oven, last spell' : 'In the oven; then stir', lastsS };
  });
  return [
    { says: 'Smell and look: clean of oil and paint, no brown beads. Weigh tray and beads, write it down.' },
    { says: `Spread it, at most {${LAYER_MOST_M * 1000} mm} deep. Fan on, door of the room open.` },
    ...oven,
    { says: 'Weigh it hot, quickly, with gloves.' },
    { says: 'Back in the oven', lastsS: WEIGH_AGAIN_S },
    { says: 'Weigh again: less than 0.5 % lost is the end. More: another half hour.' },
    { says: 'Into a dry metal tin, lid on, to cool', lastsS: COOLS_S },
    {
      says: `Sieve out what is under {1 mm}. Weigh it dry, label it: medium, grams, date, times dried${batch.dyed ? ', colour' : ''}.`,
    },
  ];
}
