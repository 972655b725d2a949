import { respond } from '@/server/respond';
import { readRevision } from '@/server/save-revision';

interface Context {
  params: Promise<{ id: string; revisionId: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { id, revisionId } = await params;
    return readRevision(who, id, revisionId);
  });
}
