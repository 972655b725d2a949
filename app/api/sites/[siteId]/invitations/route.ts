import { invite } from '@/server/people/join';
import { readJson, respond } from '@/server/respond';

export function POST(request: Request, { params }: { params: Promise<{ siteId: string }> }): Promise<Response> {
  return respond(async (who) => invite(who, (await params).siteId, await readJson(request)), 201);
}
