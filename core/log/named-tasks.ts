/** Tasks that the log itself understands, by their ids in the trade handbook; core/maintenance says what each of them is. */
export const NAMED_TASKS = {
  lookAtBeads: 'M21',
  changeCharge: 'M22',
  timePumpUp: 'M31',
  timeLeakDown: 'M32',
} as const;
