import { z } from 'zod';
import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import { JOBS, type JobId } from '@/core/plan/jobs';
import type { PlanStart } from '@/core/plan/start-plan';
import { CFM, PSI } from '@/core/quantity/constants';
import { editableNumber } from '@/core/quantity/format';
import { parseQuantity } from '@/core/quantity/parse';
import type { QuantityName, UnitChoice } from '@/core/quantity/units';

/** Numbers that the form asks for: what they are, their range, and a typical value in round metric and US units (common practice, no source). */
export const QUANTITY_FIELDS = {
  intakeTemperatureC: { quantity: 'temperature', min: -45, max: 60, metric: 27, us: 80 / 3 },
  intakeRelativeHumidity: { quantity: 'share', min: 0.01, max: 1, metric: 0.6, us: 0.6 },
  freeAirDeliveryM3PerS: { quantity: 'volumeFlow', min: 1e-4, max: 1, metric: 0.45 / 60, us: 16 * CFM },
  cutInPa: { quantity: 'pressure', min: 1.2e5, max: 41e5, metric: 101325 + 6.5e5, us: 101325 + 95 * PSI },
  cutOutPa: { quantity: 'pressure', min: 1.3e5, max: 41e5, metric: 101325 + 8.5e5, us: 101325 + 125 * PSI },
  receiverVolumeM3: { quantity: 'volume', min: 0.004, max: 20, metric: 0.23, us: 60 * 3.785412e-3 },
  distanceM: { quantity: 'length', min: 0, max: 3000, metric: 10, us: 30 * 0.3048 },
} as const satisfies Record<string, { quantity: QuantityName; min: number; max: number; metric: number; us: number }>;
export type QuantityField = keyof typeof QUANTITY_FIELDS;

export const COMPRESSOR_TYPES = {
  piston1: 'piston, one stage',
  piston2: 'piston, two stages',
  screw: 'screw, oil-flooded',
  oilfree: 'oil-free screw or scroll',
} as const;

/** What the form holds: numbers as they were typed. */
export type StartForm = Record<QuantityField, string> & {
  readonly shop: string;
  readonly lineName: string;
  readonly type: keyof typeof COMPRESSOR_TYPES;
  readonly job: JobId | 'general';
  readonly weather: boolean;
  readonly aftercooler: boolean;
  readonly refrigeratedDryer: boolean;
};

/** What a line is built from, and whether a year of weather is looked for. */
export type StartAnswers = PlanStart & { readonly weather: boolean };

/** What was typed, in other units; what cannot be read stays as it is. */
export function inOtherUnits(text: string, field: QuantityField, from: UnitChoice, to: UnitChoice): string {
  const { quantity } = QUANTITY_FIELDS[field];
  const parsed = parseQuantity(text, quantity, { choice: from });
  return parsed.ok ? editableNumber(parsed.value, quantity, to, SEA_LEVEL_PA) : text;
}

/** The form with typical values. */
export function typicalStart(choice: UnitChoice): StartForm {
  const set = choice.temperature === 'F' ? 'us' : 'metric';
  const typical = Object.entries(QUANTITY_FIELDS).map(([name, f]) => [
    name,
    editableNumber(f[set], f.quantity, choice, SEA_LEVEL_PA),
  ]);
  return {
    shop: 'My shop',
    lineName: 'Main line',
    type: 'piston1',
    job: 'general',
    weather: false,
    aftercooler: true,
    refrigeratedDryer: false,
    ...(Object.fromEntries(typical) as Record<QuantityField, string>),
  };
}

const nameField = (most: number) =>
  z.string().trim().min(1, 'A name is needed.').max(most, `At most ${most} characters.`);

/** Checks the form as a whole, in the person’s units, and makes of it what a line is built from. */
export function startSchema(choice: UnitChoice) {
  const number = (field: QuantityField) =>
    z.string().transform((text, ctx): number => {
      const { quantity, min, max } = QUANTITY_FIELDS[field];
      const parsed = parseQuantity(text, quantity, { choice, min, max });
      if (parsed.ok) return parsed.value;
      ctx.addIssue({ code: 'custom', message: parsed.message });
      return Number.NaN;
    });
  return z
    .object({
      shop: nameField(80),
      lineName: nameField(80),
      type: z.enum(Object.keys(COMPRESSOR_TYPES) as [keyof typeof COMPRESSOR_TYPES]),
      job: z.enum(['general', ...(Object.keys(JOBS) as JobId[])]),
      weather: z.boolean(),
      aftercooler: z.boolean(),
      refrigeratedDryer: z.boolean(),
      intakeTemperatureC: number('intakeTemperatureC'),
      intakeRelativeHumidity: number('intakeRelativeHumidity'),
      freeAirDeliveryM3PerS: number('freeAirDeliveryM3PerS'),
      cutInPa: number('cutInPa'),
      cutOutPa: number('cutOutPa'),
      receiverVolumeM3: number('receiverVolumeM3'),
      distanceM: number('distanceM'),
    })
    .superRefine(({ cutInPa, cutOutPa }, ctx) => {
      if (cutInPa >= cutOutPa)
        for (const path of ['cutInPa', 'cutOutPa'])
          ctx.addIssue({
            code: 'custom',
            path: [path],
            message: 'A compressor cuts in below the pressure at which it cuts out. Are the two exchanged?',
          });
    })
    .transform(
      ({
        type,
        freeAirDeliveryM3PerS,
        cutInPa,
        cutOutPa,
        aftercooler,
        refrigeratedDryer,
        job,
        ...rest
      }): StartAnswers => ({
        ...rest,
        compressor: { type, freeAirDeliveryM3PerS, cutInPa, cutOutPa },
        has: { aftercooler, refrigeratedDryer },
        ...(job !== 'general' && { job }),
      }),
    );
}
