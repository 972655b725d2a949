import { respond } from '@/server/respond';
import { readRevision } from '@/server/save-revision';

interface Context {
  params: Promise<{ id: string; revisionId: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async () => {
    const { id, revisionId } = await params;
    return readRevision(id, revisionId);
  });
}
