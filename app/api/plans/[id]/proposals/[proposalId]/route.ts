import { decide } from '@/server/proposals';
import { readJson, respond } from '@/server/respond';

interface Context {
  params: Promise<{ id: string; proposalId: string }>;
}

export function PATCH(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { id, proposalId } = await params;
    return decide(who, id, proposalId, await readJson(request));
  });
}
