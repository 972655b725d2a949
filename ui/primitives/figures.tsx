import type { ReactNode } from 'react';

/** Figures with their names, a line each. */
export function Figures({ rows }: { rows: readonly (readonly [label: string, value: ReactNode])[] }) {
  return (
    <dl className="max-w-lg">
      {rows.map(([label, value]) => (
        <div key={label} className="flex justify-between gap-3 border-t border-hairline py-1.5">
          <dt className="text-quiet">{label}</dt>
          <dd className="text-right font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

/** A headline with the smaller words that belong to it. */
export function Headline({ children, then }: { children: ReactNode; then?: ReactNode }) {
  return (
    <p className="text-[1.6rem] font-bold leading-tight">
      {children} {then && <span className="text-[1.05rem] font-normal text-quiet">{then}</span>}
    </p>
  );
}
