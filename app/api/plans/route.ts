import { listPlans } from '@/server/read-plan';
import { readJson, respond } from '@/server/respond';
import { createPlan } from '@/server/save-plan';

/** The lines last worked on. */
export function GET(request: Request): Promise<Response> {
  return respond((who) => listPlans(who, new URL(request.url).searchParams.get('q') ?? ''));
}

export function POST(request: Request): Promise<Response> {
  return respond(async (who) => createPlan(who, await readJson(request)), 201);
}
