import type { Refused } from './create-line';

/** What was refused, at most eight fields of it. */
export function Refusals({ of: refused }: { of: Refused }) {
  return (
    <div role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
      {refused.issues.length === 0 ? (
        refused.message
      ) : (
        <ul className="grid gap-1">
          {refused.issues.slice(0, 8).map((i) => (
            <li key={`${i.field}${i.message}`}>
              <strong>{i.field.replace(/^plan\./, '')}</strong>: {i.message}
            </li>
          ))}
          {refused.issues.length > 8 && <li>… and {refused.issues.length - 8} more.</li>}
        </ul>
      )}
    </div>
  );
}
