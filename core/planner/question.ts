import { z } from 'zod';
import { outlet } from '../equipment/serving/outlet';
import { choiceField, numberField } from '../equipment/shared/kind';
import { JOBS, type JobId } from '../plan/jobs';
import { moneySchema } from '../plan/money';
import { climateSchema, nameField } from '../plan/survey';
import { CFM, PSI } from '../quantity/constants';

const jobIds = Object.keys(JOBS) as [JobId, ...JobId[]];

/** The most jobs that one question holds (the search grows with each that needs its own treatment). */
export const MOST_JOBS = 6;

/** What a job asks of its air: as an outlet does, but that the basis of a humidity is known. Leaves out whatever else is given. */
export const jobNeedsSchema = z.object({
  need: choiceField({
    label: 'Its air needs',
    options: {
      'no-liquid': 'no liquid water',
      'dew-point': 'a pressure dew point',
      'humidity-expanded': 'humidity after expansion to the room',
      'humidity-in-line': 'humidity in the line',
      'iso-class': 'a water class of ISO 8573-1',
    },
  }),
  ...outlet.parameters.pick({
    dewPointC: true,
    relativeHumidity: true,
    waterClass: true,
    particleClass: true,
    oilClass: true,
  }).shape,
});

/** A job that the line is to serve. */
export const questionJobSchema = z.strictObject({
  job: z.enum(jobIds),
  ...jobNeedsSchema.shape,
  /** As its maker states it, ISO 8778. */
  flowM3PerS: numberField({
    label: 'Air flow in use',
    quantity: 'volumeFlow',
    least: 1e-5,
    most: 0.5,
    default: JOBS['solvent-spray'].flowM3PerS,
    source: 'the usual job',
  }),
  leastGaugePa: numberField({
    label: 'Pressure at the tool',
    quantity: 'pressureDifference',
    least: 0.2 * PSI,
    most: 190 * PSI,
    default: JOBS['solvent-spray'].leastGaugePa,
    source: 'the usual job',
  }),
  usedShare: numberField({
    label: 'Share of the working time in use',
    quantity: 'share',
    least: 0.01,
    most: 1,
    default: JOBS['solvent-spray'].usedShare,
    source: 'the usual job',
  }),
  distanceM: numberField({
    label: 'Pipe to it',
    quantity: 'length',
    least: 0,
    most: 300,
    default: 10,
    source: 'assumed',
  }),
  roomC: numberField({
    label: 'Its room, warm day',
    quantity: 'temperature',
    least: -40,
    most: 50,
    default: 30,
    source: 'assumed: as warm as outdoors',
  }),
  coldestC: numberField({
    label: 'Coldest that its pipe or hose gets',
    quantity: 'temperature',
    least: -45,
    most: 45,
    default: 15,
    source: 'assumed: a heated room',
  }),
  isCold: choiceField({ label: 'It is that cold', options: { winter: 'in winter', always: 'all the year' } }),
});
export type QuestionJob = z.infer<typeof questionJobSchema>;

/** Kinds of stage that a shop may own already, and that the planner knows what to do with. */
export const OWNABLE = {
  aftercooler: 'aftercooler',
  separator: 'separator',
  'cooling-run': 'copper cooling run',
  'bowl-filter': 'bowl filter',
  'coalescing-filter': 'coalescing filter',
  'refrigerated-dryer': 'refrigerated dryer',
  'bead-cartridge': 'bead cartridge',
  membrane: 'membrane dryer',
  'twin-tower': 'twin-tower dryer',
  'particulate-filter': 'dust filter',
  'carbon-filter': 'carbon filter',
} as const;
export type Ownable = keyof typeof OWNABLE;
const ownable = Object.keys(OWNABLE) as [Ownable, ...Ownable[]];

const yesNo = (label: string, yes = 'yes', no = 'no') => choiceField({ label, options: { yes, no } });

/** What the planner is asked: what is given, and what is wanted of it. */
export const questionSchema = z
  .strictObject({
    name: nameField(80).default('My shop'),
    /** The design hour: as warm and humid as it is on 0.4 % of the hours of a year (ASHRAE’s design days, recalled). */
    intakeC: numberField({
      label: 'Intake air, warm day',
      quantity: 'temperature',
      least: -10,
      most: 50,
      default: 30,
      source: 'assumed: a warm day of a temperate climate',
    }),
    intakeHumidity: numberField({
      label: 'its relative humidity',
      quantity: 'share',
      least: 0.05,
      most: 1,
      default: 0.65,
      source: 'assumed: a humid day',
    }),
    roomC: numberField({
      label: 'Compressor room, warm day',
      quantity: 'temperature',
      least: 0,
      most: 50,
      default: 33,
      source: 'assumed: 3 K above the intake',
    }),
    coldestRoomC: numberField({
      label: 'Compressor room, coldest',
      quantity: 'temperature',
      least: -40,
      most: 40,
      default: 10,
      source: 'assumed: kept free of frost',
    }),
    altitudeM: numberField({
      label: 'Altitude',
      quantity: 'altitude',
      least: -400,
      most: 4500,
      default: 0,
      source: 'assumed: sea level',
    }),
    climate: climateSchema.default(climateSchema.parse({})),
    compressor: z.strictObject({
      sized: choiceField({
        label: 'Compressor and tank are',
        options: { given: 'there, or chosen already', open: 'to be bought: size them for the jobs' },
      }),
      type: choiceField({
        label: 'Compressor',
        options: {
          piston1: 'piston, one stage',
          piston2: 'piston, two stages',
          screw: 'screw, oil-flooded',
          oilfree: 'oil-free screw or scroll',
        },
      }),
      freeAirDeliveryM3PerS: numberField({
        label: 'Free air delivery',
        quantity: 'volumeFlow',
        least: 5e-4,
        most: 0.6,
        default: 16 * CFM,
        source: 'typical of 5 hp (trade handbook)',
      }),
      cutInGaugePa: numberField({
        label: 'Cuts in at',
        quantity: 'pressureDifference',
        least: 2e5,
        most: 13e5,
        default: 95 * PSI,
        source: 'typical of one stage, common practice',
      }),
      cutOutGaugePa: numberField({
        label: 'Cuts out at',
        quantity: 'pressureDifference',
        least: 3e5,
        most: 13.7e5,
        default: 125 * PSI,
        source: 'typical of one stage, common practice',
      }),
    }),
    receiverM3: numberField({
      label: 'Receiver',
      quantity: 'volume',
      least: 0.02,
      most: 20,
      default: 0.2271,
      source: 'typical of 5 hp: 60 gal',
    }),
    jobs: z.array(questionJobSchema).min(1, 'At least one job.').max(MOST_JOBS, `At most ${MOST_JOBS} jobs.`),
    owned: z.array(z.enum(ownable)).max(ownable.length).default([]),
    /** Kinds that are not wanted, whatever they would do. */
    refused: z.array(z.enum(ownable)).max(ownable.length).default([]),
    hasPower: yesNo('Mains power at the line'),
    noise: choiceField({
      label: 'Noise',
      options: { any: 'no limit', quiet: 'people work beside it: nothing that blows off' },
    }),
    condensate: choiceField({
      label: 'Condensate goes',
      options: {
        'not-said': 'not said',
        separator: 'through an oil–water separator',
        collected: 'to a licensed collector',
      },
    }),
    breathed: choiceField({
      label: 'Used for breathing?',
      options: { no: 'nobody', yes: 'yes: hood, mask, diving, medical' },
    }),
    hoursPerDay: numberField({
      label: 'Working hours a day',
      quantity: 'time',
      least: 3600,
      most: 86_400,
      default: 9 * 3600,
      source: 'assumed',
    }),
    daysPerWeek: z.int('Whole days.').min(1).max(7).default(5),
    minutesPerWeek: z
      .number({ error: 'A number of minutes.' })
      .min(0, 'Not below 0.')
      .max(3000, 'At most 3,000.')
      .default(60),
    budget: z
      .number({ error: 'An amount.' })
      .min(0, 'Not below 0.')
      .max(1e9, 'At most a thousand million.')
      .default(1e5),
    money: moneySchema.default(moneySchema.parse({})),
  })
  .refine((q) => q.compressor.cutInGaugePa < q.compressor.cutOutGaugePa, {
    path: ['compressor', 'cutInGaugePa'],
    message: 'It cuts in below the pressure at which it cuts out. Are the two swapped?',
  });
export type Question = z.infer<typeof questionSchema>;

/**
 * A job of a question with the usual numbers and needs of its kind.
 * @example questionJob('sander').usedShare // 0.6
 */
export function questionJob(job: JobId, more: Partial<QuestionJob> = {}): QuestionJob {
  const { needs, flowM3PerS, leastGaugePa, usedShare } = JOBS[job];
  return questionJobSchema.parse({ job, ...jobNeedsSchema.parse(needs), flowM3PerS, leastGaugePa, usedShare, ...more });
}

/**
 * A question with everything at its default but what is said.
 * @example question({}).jobs.length // 1
 */
export function question(more: Partial<z.input<typeof questionSchema>>): Question {
  return questionSchema.parse({ compressor: {}, jobs: [questionJob('solvent-spray')], ...more });
}
