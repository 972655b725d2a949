import { changeRole, removeMember } from '@/server/people/members';
import { readJson, respond } from '@/server/respond';

interface Context {
  params: Promise<{ siteId: string; personId: string }>;
}

export function PATCH(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, personId } = await params;
    return changeRole(who, siteId, personId, await readJson(request));
  });
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, personId } = await params;
    return removeMember(who, siteId, personId);
  });
}
