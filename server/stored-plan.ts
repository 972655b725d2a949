import { LRUCache } from 'lru-cache';
import { issuesOf } from '../core/plan/issues';
import type { Plan } from '../core/plan/plan';
import { relinked } from '../core/plan/relink';
import { RequestRefused } from './errors';

/** Plans that were read, by their documents: a plan is never changed, and its checks take longer than finding it here. */
const known = new LRUCache<string, Plan>({ max: 200 });

/**
 * A plan as it lies in the database, through its schema, so that fields new since then get their defaults, and links to
 * what is gone lead to what is left.
 * @throws RequestRefused `unreadable` with the fields: damaged, or stored by a later version
 */
export function storedPlan(document: unknown): Plan {
  const text = JSON.stringify(document);
  const there = known.get(text);
  if (there) return there;
  const result = relinked(document);
  if (result.success) {
    known.set(text, result.data);
    return result.data;
  }
  throw new RequestRefused(
    422,
    'unreadable',
    'This line cannot be read: it was damaged, or stored by a later version. Nothing of it was changed.',
    issuesOf(result.error, document),
  );
}
