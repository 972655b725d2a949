import { readJson, respond } from '@/server/respond';
import { listRevisions, saveRevision } from '@/server/save-revision';

interface Context {
  params: Promise<{ id: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => listRevisions(who, (await params).id));
}

export function POST(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => saveRevision(who, (await params).id, await readJson(request)), 201);
}
