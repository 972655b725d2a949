import { readJson, respond } from '@/server/respond';
import { createPlan } from '@/server/save-plan';

export function POST(request: Request): Promise<Response> {
  return respond(async () => createPlan(await readJson(request)), 201);
}
