import { useState } from 'react';
import { FILTERS, is } from '@/core/equipment/groups';
import { fittingSchema } from '@/core/plan/fit-fields';
import { allStages, standing } from '@/core/plan/runs';
import { Field, tied } from '@/ui/forms/field';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';

const READINGS = [
  'Pump-up time from cut-in to cut-out, and leak-down',
  'Dew point downstream of the dryer',
  'Water at each drain over one day',
] as const;

/** When the line was put into service: its readings from then on are the base line of what drifts. */
export function InService() {
  const { plan, planId, edit } = usePlan();
  const [text, setText] = useState(plan.fitting.inServiceSince ?? '');
  const field = fittingSchema.shape.inServiceSince;
  const problem = text === '' ? undefined : field.safeParse(text).error?.issues[0]?.message;
  const filters = allStages(standing(plan)).filter((s) => is(FILTERS, s.kind));
  return (
    <section aria-label="Put into service" className="grid max-w-prose gap-2">
      <h2>Put into service</h2>
      <p className="text-quiet">
        Log these on the first day. Readings from this time on are the base line; older ones count for drift no more.
      </p>
      <ul className="list-disc pl-5">
        {[...READINGS, ...filters.map((f) => `Pressure drop of ${f.name} in flow`)].map((r) => (
          <li key={r}>{r}</li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <Field id="in-service" label="In service since" error={problem}>
          <input
            {...tied('in-service', problem)}
            type="datetime-local"
            className="control"
            value={text}
            onChange={(e) => {
              const next = e.target.value.slice(0, 16);
              setText(next);
              if (!field.safeParse(next || undefined).success) return;
              edit((p) => {
                const { inServiceSince: _, ...rest } = p.fitting;
                return { ...p, fitting: next === '' ? rest : { ...rest, inServiceSince: next } };
              });
            }}
          />
        </Field>
        <Link href={`/lines/${planId}/logbook`} className="button">
          Log the readings
        </Link>
      </div>
    </section>
  );
}
