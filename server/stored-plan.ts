import type { Plan } from '../core/line/plan';
import { rehung } from '../core/line/rehang';
import { issuesOf, RequestRefused } from './errors';

/**
 * A plan as it lies in the database, through its schema, so that fields new since then get their defaults, and what hangs on
 * something that is gone hangs on what is left.
 * @throws RequestRefused `unreadable` with the fields: damaged, or stored by a later version
 */
export function storedPlan(document: unknown): Plan {
  const result = rehung(document);
  if (result.success) return result.data;
  throw new RequestRefused(
    422,
    'unreadable',
    'This line cannot be read: it was damaged, or stored by a later version. Nothing of it was changed.',
    issuesOf(result.error, document),
  );
}
