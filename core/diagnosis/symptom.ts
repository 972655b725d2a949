/** A complaint as people bring it, with its causes in the order of likelihood and the check that tells. */
export interface Symptom {
  readonly id: string;
  readonly says: string;
  /** Where it shows. */
  readonly at: 'outlet' | 'receiver' | 'collecting' | 'drying' | 'cooling' | 'compressor' | 'media';
  readonly causes: readonly { readonly title: string; readonly check: string }[];
}
