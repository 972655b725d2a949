import type { DryerDuty } from '../sizing/dryer-duty';
import { type Family, type FamilyAnswer, familiesFor } from '../sizing/families';

const REFRIGERATED: readonly Family[] = ['refrigerated-dryer', 'cycling-dryer'];

export interface WhichDryer {
  /** The better of each for this duty: what fits before what does not, then the cheaper a year. */
  readonly refrigerated: FamilyAnswer;
  readonly desiccant: FamilyAnswer;
  readonly choose: 'refrigerated' | 'desiccant' | 'neither';
}

const bestOf = (answers: readonly FamilyAnswer[]): FamilyAnswer =>
  answers.reduce((best, a) => {
    const [worse, better] = [best.not.length > 0, a.not.length > 0];
    if (worse !== better) return worse ? a : best;
    return a.perYear < best.perYear ? a : best;
  });

/**
 * Refrigerated or desiccant, for a duty: what fits, and of two that fit the cheaper a year.
 * @param duty inlet 5…60 °C, 1.5…41 bar absolute, hours above 0
 * @throws OutOfRange of the air’s equations
 * @source {@link familiesFor}; pellets and membranes are left to its table
 * @example whichDryer(dryerDuty).choose // 'refrigerated'
 */
export function whichDryer(duty: DryerDuty): WhichDryer {
  const answers = familiesFor(duty);
  const refrigerated = bestOf(answers.filter((a) => REFRIGERATED.includes(a.family)));
  const isDesiccant = (a: FamilyAnswer): boolean => a.family === 'bead-cartridge' || a.family.endsWith('tower');
  const desiccant = bestOf(answers.filter((a) => isDesiccant(a) && a.family !== 'pellet-tower'));
  const [cold, beads] = [refrigerated.not.length === 0, desiccant.not.length === 0];
  if (!cold && !beads) return { refrigerated, desiccant, choose: 'neither' };
  const isColdBetter = cold && (!beads || refrigerated.perYear <= desiccant.perYear);
  return { refrigerated, desiccant, choose: isColdBetter ? 'refrigerated' : 'desiccant' };
}
