import { readLog } from '@/server/read-log';
import { readPlan } from '@/server/read-plan';
import { respond } from '@/server/respond';
import { listRevisions } from '@/server/save-revision';

interface Context {
  params: Promise<{ id: string }>;
}

/** All that is kept of a line: its plan, the names of its revisions, and its whole log. */
export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const [{ plan }, revisions, log] = await Promise.all([readPlan(id), listRevisions(id), readLog(id)]);
    return { plan, revisions, ...log };
  });
}
