import { revokeGuestLink } from '@/server/people/guest-links';
import { respond } from '@/server/respond';

interface Context {
  params: Promise<{ siteId: string; linkId: string }>;
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, linkId } = await params;
    return revokeGuestLink(who, siteId, linkId);
  });
}
