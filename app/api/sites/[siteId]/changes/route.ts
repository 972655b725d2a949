import { readAudit } from '@/server/people/audit';
import { respond } from '@/server/respond';

/** What was changed on a site, and by whom; `before` is the `next` of the page before it. */
export function GET(request: Request, { params }: { params: Promise<{ siteId: string }> }): Promise<Response> {
  const before = new URL(request.url).searchParams.get('before') ?? undefined;
  return respond(async (who) => readAudit(who, (await params).siteId, before));
}
