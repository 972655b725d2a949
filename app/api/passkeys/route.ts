import { keepPasskey } from '@/server/people/passkeys';
import { readJson, respond } from '@/server/respond';

export function POST(request: Request): Promise<Response> {
  return respond(async (who) => keepPasskey(who, request.headers, await readJson(request)), 201);
}
