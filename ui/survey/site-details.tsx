'use client';

import type { FieldMeta } from '@/core/equipment/shared/kind';
import { withSurvey } from '@/core/plan/edit';
import { type Site, siteSchema } from '@/core/plan/survey';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { usePlan } from '@/ui/plan/plan-provider';

const FIELDS = Object.entries(siteSchema.shape).map(
  ([field, schema]) => [field as keyof Site, schema.meta() as unknown as FieldMeta] as const,
);

/** Details of a site: whether it is used for breathing, where the condensate goes, how its drain lines run. */
export function SiteDetails() {
  const { plan, edit } = usePlan();
  const { site } = plan.survey;
  const set = (field: keyof Site, value: string | number): undefined => {
    edit((p) => withSurvey(p, { ...p.survey, site: { ...p.survey.site, [field]: value } as Site }), `site.${field}`);
  };
  return (
    <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
      {FIELDS.map(([field, { label, options, quantity = 'length', least, most }]) =>
        options ? (
          <ChoiceInput
            key={field}
            id={`site-${field}`}
            label={label}
            value={String(site[field])}
            options={options}
            onCommit={(v) => set(field, v)}
          />
        ) : (
          <QuantityInput
            key={field}
            id={`site-${field}`}
            label={label}
            quantity={quantity}
            value={site[field] as number}
            min={least}
            max={most}
            onCommit={(v) => set(field, v)}
          />
        ),
      )}
    </div>
  );
}
