import type { Drain } from '../equipment/shared/drain-fields';

/** How somebody sees at the drain that it works (trade handbook and common practice). */
export const HOW_TO_CHECK: Readonly<Record<Drain, string>> = {
  manual: 'Open slowly until only air comes; note the amount and how it looked.',
  float: 'Weekly: lift its test pin, or crack the line upstream of it: water standing there means that it hangs.',
  timer: 'Press test: water, then a moment of air. Still water as it shuts: longer or more often.',
  unloader: 'Listen at a stop: a puff with water. Nothing three stops running: it is blocked.',
  'unloader-start': 'Watch a start: it spits, then shuts as the pressure builds.',
  'pressure-loss': 'After depressurising, its bowl must be empty.',
  spitter: 'Change the pressure a little at a tool: it spits and shuts.',
  level: 'Weekly: press its test button; water comes, then it shuts without air.',
  none: 'No drain is fitted.',
};
