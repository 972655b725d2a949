import { propose } from '@/server/proposals';
import { readJson, respond } from '@/server/respond';

export function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async (who) => propose(who, (await params).id, await readJson(request)), 201);
}
