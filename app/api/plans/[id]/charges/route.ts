import { readJson, respond } from '@/server/respond';
import { readCharges, saveCharge } from '@/server/save-charge';

interface Context {
  params: Promise<{ id: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => readCharges(who, (await params).id));
}

export function POST(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => saveCharge(who, (await params).id, await readJson(request)), 201);
}
