import type { ReactNode } from 'react';

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
  /** A word beside the label, such as “typical”. */
  tag?: string | undefined;
  children: ReactNode;
}) {
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="mb-0.5 flex items-baseline gap-2 text-[0.9rem] font-medium">
        {label}
        {tag && <span className="text-[0.75rem] font-normal text-quiet">{tag}</span>}
      </label>
      {children}
      {error ? (
        <p id={`${id}-error`} role="alert" className="mt-1 text-[0.85rem] text-brick">
          {error}
        </p>
      ) : (
        help && (
          <p id={`${id}-help`} className="mt-0.5 text-[0.8rem] text-quiet">
            {help}
          </p>
        )
      )}
    </div>
  );
}

/** The attributes that tie a control to its {@link Field}. */
export function tied(id: string, error: string | undefined) {
  return {
    id,
    'aria-invalid': error ? true : undefined,
    'aria-describedby': error ? `${id}-error` : `${id}-help`,
  } as const;
}
