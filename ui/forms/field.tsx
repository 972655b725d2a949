import type { ReactNode } from 'react';
import { InUnits } from '@/ui/units/in-units';

/** A label above a control, help below it, and the message when something is wrong, tied together for screen readers. */
export function Field({
  id,
  label,
  help,
  error,
  tag,
  children,
}: {
  id: string;
  label: string;
  help?: ReactNode;
  error?: string | undefined;
  /** Beside the label: a word such as “typical”, or a choice of where the number comes from. */
  tag?: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className="min-w-0">
      <div className="mb-0.5 flex min-h-target items-center gap-2 text-[0.9rem]">
        <label htmlFor={id} className="leading-tight font-medium">
          {label}
        </label>
        {tag && <span className="text-[0.75rem] text-quiet">{tag}</span>}
      </div>
      {children}
      {error ? (
        <p id={`${id}-error`} role="alert" className="mt-1 text-[0.85rem] text-brick">
          <InUnits text={error} />
        </p>
      ) : (
        help && (
          <p id={`${id}-help`} className="mt-0.5 text-[0.8rem] text-quiet">
            {typeof help === 'string' ? <InUnits text={help} /> : help}
          </p>
        )
      )}
    </div>
  );
}

/**
 * The attributes that tie a control to its {@link Field}.
 * @param help that of the field, where it has one
 */
export function tied(id: string, error: string | undefined, help?: ReactNode) {
  return {
    id,
    'aria-invalid': error ? true : undefined,
    'aria-describedby': error ? `${id}-error` : help ? `${id}-help` : undefined,
  } as const;
}
