import { readJson, respond } from '@/server/respond';
import { listSites } from '@/server/sites/list-sites';
import { createSite } from '@/server/sites/save-site';

/** The sites that one is on. */
export function GET(request: Request): Promise<Response> {
  return respond((who) => listSites(who, new URL(request.url).searchParams.get('q') ?? ''));
}

export function POST(request: Request): Promise<Response> {
  return respond(async (who) => createSite(who, await readJson(request)), 201);
}
