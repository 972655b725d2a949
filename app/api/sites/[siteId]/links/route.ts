import { newGuestLink } from '@/server/people/guest-links';
import { readJson, respond } from '@/server/respond';

export function POST(request: Request, { params }: { params: Promise<{ siteId: string }> }): Promise<Response> {
  return respond(async (who) => newGuestLink(who, (await params).siteId, await readJson(request)), 201);
}
