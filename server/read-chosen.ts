import type { Plan } from '../core/plan/plan';
import { RequestRefused } from './errors';
import type { Who } from './people/may';
import { readPlan } from './read-plan';
import { readRevision } from './save-revision';

/** A plan to hold another against. */
export interface Chosen {
  /** “revision:…” or “line:…”, as the address has it. */
  readonly key: string;
  readonly title: string;
  readonly plan: Plan;
}

const MOST = 2;

/** The plans that an address asks for; one that is not there any more is left out. */
export async function readChosen(who: Who, planId: string, asked: string): Promise<Chosen[]> {
  const keys = [...new Set(asked.split(',').filter(Boolean))].slice(0, MOST);
  const found = await Promise.all(
    keys.map(async (key): Promise<Chosen | undefined> => {
      const [what, id = ''] = key.split(':');
      try {
        if (what === 'revision') {
          const { name, plan } = await readRevision(who, planId, id);
          return { key, title: name, plan };
        }
        const { plan } = await readPlan(who, id);
        return { key, title: plan.name, plan };
      } catch (error) {
        if (error instanceof RequestRefused && error.status < 500) return undefined;
        throw error;
      }
    }),
  );
  return found.filter((f) => f !== undefined);
}
