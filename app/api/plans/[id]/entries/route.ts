import { logAnEntry, readEntries } from '@/server/log-an-entry';
import { readJson, respond } from '@/server/respond';

interface Context {
  params: Promise<{ id: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async () => readEntries((await params).id));
}

export function POST(request: Request, { params }: Context): Promise<Response> {
  return respond(async () => logAnEntry((await params).id, await readJson(request)), 201);
}
