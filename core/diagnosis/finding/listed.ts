import type { Symptom } from '../symptom';

// Where no walk can tell (colour, smell, noise, starting): the causes of the trade handbook in their order, each with a look
// that shows it. All numbers are estimates.

/** Of a complaint whose causes are all known, so many have another one. */
const ANOTHER = 0.1;
/** How often a look shows what it should under its cause, and how often under another. */
export const LOOK = { underIt: 0.9, underAnother: 0.1 } as const;

/** How likely a cause of the list is; the last one is “another cause”. */
export interface ListedBelief {
  /** Its place in the list of the symptom; -1 for another cause. */
  readonly index: number;
  readonly probability: number;
}

/**
 * How likely each usual cause is, after what was looked at: the first of the list is twice as likely as the second.
 * @param seen what each look showed, by the place of its cause
 * @returns the likeliest first; all together 1
 * @source order: trade handbook; likelihoods: estimates
 * @example believeListed(symptomById('D11'), new Map([[1, true]]))[0].index // 1
 */
export function believeListed(symptom: Symptom, seen: ReadonlyMap<number, boolean>): ListedBelief[] {
  const total = symptom.causes.reduce((sum, _, i) => sum + 1 / (i + 1), 0);
  const weights = [
    ...symptom.causes.map((_, i) => ({ index: i, weight: (1 - ANOTHER) / (i + 1) / total })),
    { index: -1, weight: ANOTHER },
  ].map(({ index, weight }) => ({
    index,
    weight: [...seen].reduce((product, [at, shows]) => {
      const p = at === index ? LOOK.underIt : LOOK.underAnother;
      return product * (shows ? p : 1 - p);
    }, weight),
  }));
  const sum = weights.reduce((all, w) => all + w.weight, 0);
  return weights
    .map(({ index, weight }) => ({ index, probability: weight / sum }))
    .sort((a, b) => b.probability - a.probability);
}

/**
 * The look that tells most: that of the likeliest cause that was not looked at.
 * @example nextLook(symptomById('D11'), new Map([[0, false]])) // 1
 */
export const nextLook = (symptom: Symptom, seen: ReadonlyMap<number, boolean>): number | undefined =>
  believeListed(symptom, seen).find(({ index }) => index >= 0 && !seen.has(index))?.index;
