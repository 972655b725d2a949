import { choiceField, type FieldMeta, numberField } from './kind';

/**
 * How a thing is made and fitted. Only the advice reads it: to the air it makes no difference, to whoever stands beside it
 * all. Nothing said is said as such, not guessed.
 * @example builtField('Fitted', { 'not-said': 'Not said', yes: 'Yes' }).parse(undefined) // 'not-said'
 */
export const builtField = <const O extends Record<string, string>>(
  label: string,
  options: O,
  more: Pick<FieldMeta, 'help' | 'when'> = {},
) => choiceField({ label, options, about: 'build', ...more });

const UNSAID = { 'not-said': 'not said' } as const;

/**
 * The same, where nobody may have looked yet.
 * @example askedField('Fitted', { 'not-said': 'Not said', yes: 'Yes' }).parse(undefined) // 'not-said'
 */
export const askedField = <const O extends Record<string, string>>(
  label: string,
  options: O,
  more: Pick<FieldMeta, 'help' | 'when'> = {},
) => builtField(label, { ...UNSAID, ...options }, more);

/**
 * A pressure on a plate, above the atmosphere; 0 is not said.
 * @example platePressure('Rated pressure', 'As on its plate').parse(undefined) // 0
 */
export const platePressure = (label: string, help: string) =>
  numberField({
    label,
    help: `${help} 0: not said.`,
    quantity: 'pressureDifference',
    least: 0,
    most: 1e7,
    default: 0,
    source: 'not said',
    about: 'build',
  });

/**
 * What a part bears, by its plate or sheet.
 * @example Object.keys(ratingFields(50)) // ["ratedGaugePa","ratedC"]
 */
export const ratingFields = (ratedC: number, source = 'typical, common practice') => ({
  ratedGaugePa: platePressure('Rated working pressure', 'On its plate, above the atmosphere.'),
  ratedC: numberField({
    label: 'Rated for air up to',
    quantity: 'temperature',
    least: 0,
    most: 400,
    default: ratedC,
    source,
    about: 'build',
  }),
});

/**
 * The flow on a filter’s plate; 0 is not said.
 * @example Object.keys(plateFlow()) // ["ratedFlowM3PerS"]
 */
export const plateFlow = () => ({
  ratedFlowM3PerS: numberField({
    label: 'Rated flow',
    help: 'Free air at {7 bar}, on its sheet. 0: not said.',
    quantity: 'volumeFlow',
    least: 0,
    most: 2,
    default: 0,
    source: 'not said',
    about: 'build',
  }),
});
