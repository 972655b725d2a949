import type { Symptom } from '@/core/diagnosis/symptom';
import { InUnits } from '@/ui/units/in-units';

/** Causes that no walk can tell: in the order of what is likely, with the check that tells. */
export function FixedCauses({ symptom }: { symptom: Symptom }) {
  return (
    <section aria-label="Usual causes" className="grid max-w-2xl gap-2">
      <h2>{symptom.says}</h2>
      <p className="text-quiet">
        The line cannot calculate this. Causes in the order of what is likely, by trade handbook and common practice.
      </p>
      <ol>
        {symptom.causes.map((c, i) => (
          <li key={c.title} className="grid grid-cols-[1.75rem_1fr] border-b border-hairline py-2">
            <span className="font-semibold">{i + 1}</span>
            <span>
              <InUnits text={c.title} />
              <span className="block text-quiet">
                <InUnits text={c.check} />
              </span>
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
