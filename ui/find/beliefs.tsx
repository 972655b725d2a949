import type { ReactNode } from 'react';
import type { Believed } from '@/core/diagnosis/finding/cause';
import { InUnits } from '@/ui/units/in-units';

const SHOWN = 7;
/** A probability as it is said: one that is nearly nothing is not none. */
export const percent = (p: number): string => (p < 0.005 ? 'under 1 %' : `${Math.round(p * 100)} %`);

function howOften(perYear: number): string {
  const years = Math.round(1 / perYear);
  if (perYear >= 1.5) return `Comes ${Math.round(perYear)} times a year`;
  return years <= 1 ? 'Comes about once a year' : `Comes about every ${years} years`;
}

const times = (n: number): string => `${Number(n.toFixed(1))} times as likely`;

/** A cause and how likely it is. */
export function Bar({ probability, children }: { probability: number; children: ReactNode }) {
  return (
    <>
      <div className="flex items-baseline justify-between gap-3">
        <span className="min-w-0 break-words">{children}</span>
        <strong className="shrink-0">{percent(probability)}</strong>
      </div>
      <div className="h-2 rounded-sm bg-sunk" aria-hidden>
        <div className="h-2 rounded-sm bg-water" style={{ width: `${Math.round(probability * 1000) / 10}%` }} />
      </div>
    </>
  );
}

/** How likely each cause is, as bars, with what this line says for and against it. */
export function Beliefs({ believed }: { believed: readonly Believed[] }) {
  return (
    <section aria-label="What is believed" className="grid gap-2">
      <h2>What it may be</h2>
      <ol className="grid gap-2">
        {believed.slice(0, SHOWN).map(({ cause, probability }) => (
          <li key={cause.id}>
            <Bar probability={probability}>{cause.says}</Bar>
            <p className="text-[0.82rem] text-quiet">
              {cause.pair
                ? 'Two at once.'
                : cause.fault
                  ? `${howOften(cause.fault.perYear)} (estimate).`
                  : 'One complaint in ten has no cause in the line (estimate).'}
              {cause.reasons.map((r) => (
                <span key={`${r.stageId} ${r.faultId} ${r.says}`} className="block">
                  ▸ <InUnits text={r.says} /> {times(r.times)}.
                </span>
              ))}
            </p>
          </li>
        ))}
      </ol>
      {believed.length > SHOWN && (
        <p className="text-quiet">
          {believed.length - SHOWN} others together{' '}
          {percent(believed.slice(SHOWN).reduce((sum, b) => sum + b.probability, 0))}.
        </p>
      )}
    </section>
  );
}
