import { logADrain } from '@/server/log-a-drain';
import { readLogbook } from '@/server/read-logbook';
import { readJson, respond } from '@/server/respond';

interface Context {
  params: Promise<{ id: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => (await readLogbook(who, (await params).id)).entries);
}

export function POST(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => logADrain(who, (await params).id, await readJson(request)), 201);
}
