import { z } from 'zod';
import { atmosphericPressurePa } from '../air/atmosphere';
import { choiceField, numberField } from '../equipment/shared/kind';
import { monthDayField } from './date-fields';

export const idField = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,64}$/, 'An id is 1 to 64 letters, digits, hyphens or underscores.')
  .refine((id) => !(id in Object.prototype), 'This word cannot be an id.'); // it would be found in every table
/**
 * A name of at most so many characters, as a field of a document.
 * @param most characters
 * @example nameField(3).safeParse('long').success // false
 */
export const nameField = (most: number) =>
  z.string().trim().min(1, 'A name is needed.').max(most, `At most ${most} characters.`);

/** How the air of a place goes through a year of weather. */
export const placeYearSchema = z.strictObject({
  follows: choiceField({
    label: 'Through the year',
    options: {
      sheltered: 'follows the outdoors, later and warmer',
      outdoors: 'is the outdoors',
      warm: 'keeps its temperature; its moisture is the outdoors’',
      held: 'keeps its temperature and humidity: air-conditioned',
    },
  }),
  lagS: numberField({
    label: 'Follows after',
    help: 'Time in which two thirds of a change outdoors have come through.',
    quantity: 'time',
    least: 0,
    most: 172800,
    default: 3 * 3600,
    source: 'some hours for a shed; estimate',
    when: { field: 'follows', is: ['sheltered'] },
  }),
  warmerK: numberField({
    label: 'Warmer than outdoors by',
    quantity: 'temperatureDifference',
    least: 0,
    most: 30,
    default: 5.6, // a compressor room is 10–20 °F warmer than outdoors unless it is ducted (common practice)
    source: 'a compressor room without a duct, 10–20 °F; common practice',
    when: { field: 'follows', is: ['sheltered'] },
  }),
  heatedToC: numberField({
    label: 'Heated, so never below',
    quantity: 'temperature',
    least: -45,
    most: 30,
    default: 10,
    source: 'assumed: kept free of frost',
    when: { field: 'follows', is: ['sheltered'] },
  }),
});
export type PlaceYear = z.infer<typeof placeYearSchema>;
export const USUAL_YEAR: PlaceYear = placeYearSchema.parse({});

/** A place where the air was measured: indoors, outdoors, … */
export const placeSchema = z.strictObject({
  id: idField,
  name: nameField(60),
  temperatureC: numberField({
    label: 'Temperature',
    quantity: 'temperature',
    least: -45,
    most: 60,
    default: 80 / 3, // 80 °F
    source: 'default, not measured',
    uncertainty: { abs: 0.5 }, // ±0.5–1 °F of a cheap sensor
  }),
  relativeHumidity: numberField({
    label: 'Relative humidity',
    quantity: 'share',
    least: 0.01,
    most: 1,
    default: 0.6,
    source: 'default, not measured',
    uncertainty: { abs: 0.03 }, // ±2–3 %
  }),
  /** How it goes there through the year; left out, {@link USUAL_YEAR}. */
  year: placeYearSchema.optional(),
});
export type Place = z.infer<typeof placeSchema>;

const hoursOfDay = z.number().min(0).max(24);
const weekdays = z.array(z.int().min(1).max(7)).min(1, 'At least one day.').max(7);

export const workingSchema = z
  .strictObject({
    days: weekdays.default([1, 2, 3, 4, 5]).meta({ label: 'Working days, 1 = Monday' }),
    startsAtH: z.number().min(0).max(24).default(8).meta({ label: 'Starts at, hour of the day' }),
    endsAtH: z.number().min(0).max(24).default(17).meta({ label: 'Ends at, hour of the day' }),
    /** Further shifts; one that ends before it begins goes on after midnight. */
    shifts: z
      .array(z.strictObject({ days: weekdays, startsAtH: hoursOfDay, endsAtH: hoursOfDay }))
      .max(6, 'At most six further shifts.')
      .optional()
      .meta({ label: 'Further shifts' }),
    /** Days of every year on which nobody works, first and last of each stretch. */
    holidays: z
      .array(z.strictObject({ from: monthDayField, to: monthDayField }))
      .max(40, 'At most 40 holidays.')
      .optional()
      .meta({ label: 'Holidays' }),
    /** How busy each hour of the clock is beside the others; left out, every working hour alike. */
    busyByHour: z.array(z.number().min(0).max(5)).length(24, 'One number for each hour of the day.').optional(),
    overnight: choiceField({
      label: 'After work the line',
      options: { charged: 'stays under pressure', depressurised: 'is depressurised' },
    }),
    loadedShare: numberField({
      label: 'Share of that time the compressor runs loaded',
      quantity: 'share',
      least: 0,
      most: 1,
      default: 0.4,
      source: 'typical of a small shop; hour meter or stopwatch is better',
      uncertainty: { rel: 0.1 },
    }),
  })
  .refine((w) => w.endsAtH > w.startsAtH, { path: ['endsAtH'], message: 'The day must end after it starts.' });
export type Working = z.infer<typeof workingSchema>;

/** Details of a site, for the advice. */
export const siteSchema = z.strictObject({
  breathed: choiceField({
    label: 'Is this line used for breathing air?',
    options: { 'not-said': 'not said', no: 'nobody', yes: 'yes: a hood, a mask, diving, medical air' },
  }),
  gas: choiceField({ label: 'What is in the line', options: { air: 'air', other: 'another gas' } }),
  area: choiceField({
    label: 'Explosive atmosphere where it stands',
    options: {
      none: 'none',
      rated: 'yes; what is electric is rated for it',
      unrated: 'yes; electrical rating not checked',
    },
  }),
  condensate: choiceField({
    label: 'Condensate is discharged',
    options: {
      'not-said': 'not said',
      separator: 'through an oil–water separator',
      collected: 'to a licensed collector',
      away: 'down a drain, or on the ground',
    },
  }),
  remembers: choiceField({
    label: 'Drains by hand are opened',
    options: {
      'not-said': 'not said',
      daily: 'each day, reliably',
      forgotten: 'irregularly',
    },
  }),
  oiledOnce: choiceField({
    label: 'A lubricator once oiled this line',
    options: { no: 'no, or all of it was replaced', yes: 'yes' },
  }),
  drainLines: choiceField({
    label: 'Drains of different pressure run',
    options: { apart: 'each its own way', vented: 'into a vented line', shared: 'into one unvented line' },
  }),
  drainLiftM: numberField({
    label: 'Drain line rises by, at most',
    quantity: 'length',
    least: 0,
    most: 30,
    default: 0,
    source: 'assumed: it falls',
  }),
  drainLineBoreM: numberField({
    label: 'Narrowest bore of a drain line',
    quantity: 'size',
    least: 0.001,
    most: 0.1,
    default: 0.0095,
    source: 'typical, ⅜ in; common practice',
  }),
  drainLineCold: choiceField({
    label: 'A drain line passes where it may freeze',
    options: { no: 'no', yes: 'yes' },
  }),
});
export type Site = z.infer<typeof siteSchema>;

const monthSchema = z.strictObject({
  temperatureC: placeSchema.shape.temperatureC.unwrap(),
  /** Of a usual day, from its coldest hour to its warmest. */
  swingK: z.number().min(0).max(35),
  relativeHumidity: placeSchema.shape.relativeHumidity.unwrap(),
});
export type MonthMeans = z.infer<typeof monthSchema>;

/** The weather outdoors through a year. */
export const climateSchema = z.strictObject({
  from: choiceField({
    label: 'Weather of the year from',
    options: { none: 'not said', file: 'a stored year of hours', months: 'means of the months' },
  }),
  /** Of the stored years. */
  yearId: idField.nullable().default(null),
  months: z.array(monthSchema).length(12, 'Twelve months.').optional(),
});
export type Climate = z.infer<typeof climateSchema>;

export const surveySchema = z
  .strictObject({
    shop: nameField(80),
    atmosphereFrom: choiceField({
      label: 'Air pressure from',
      options: { altitude: 'altitude', barometer: 'barometer' },
    }),
    altitudeM: numberField({
      label: 'Altitude',
      quantity: 'altitude',
      least: -400,
      most: 4500,
      default: 0,
      source: 'default: sea level',
      uncertainty: { abs: 50 },
      when: { field: 'atmosphereFrom', is: ['altitude'] },
    }),
    barometerPa: numberField({
      label: 'Barometer at the place',
      help: 'Station pressure, not reduced to sea level.',
      quantity: 'barometer',
      least: 55000,
      most: 108000,
      default: 101325,
      source: 'default: standard sea level',
      uncertainty: { abs: 300 },
      when: { field: 'atmosphereFrom', is: ['barometer'] },
    }),
    pipe: choiceField({
      label: 'Pipe of the line',
      options: { clean: 'copper, aluminium, stainless or plastic rated for air', rusting: 'black or galvanised steel' },
    }),
    places: z.array(placeSchema).min(1).max(12),
    intakePlaceId: idField,
    roomPlaceId: idField,
    working: workingSchema,
    climate: climateSchema.default(climateSchema.parse({})),
    site: siteSchema.default(siteSchema.parse({})),
  })
  .superRefine((survey, ctx) => {
    for (const field of ['intakePlaceId', 'roomPlaceId'] as const)
      if (!survey.places.some((p) => p.id === survey[field]))
        ctx.addIssue({ code: 'custom', path: [field], message: 'There is no place with this id.' });
  });
export type Survey = z.infer<typeof surveySchema>;

/**
 * The barometer that the survey means, Pa absolute.
 * @example surveyAtmosphericPa(plan.survey) // 101325
 */
export function surveyAtmosphericPa(survey: Survey): number {
  return survey.atmosphereFrom === 'barometer' ? survey.barometerPa : atmosphericPressurePa(survey.altitudeM);
}

/**
 * A place of the survey by its id; the first one where there is none of that id.
 * @example placeOf(plan.survey, 'none').id // 'in'
 */
export function placeOf(survey: Survey, placeId: string): Place {
  return survey.places.find((p) => p.id === placeId) ?? (survey.places[0] as Place);
}
