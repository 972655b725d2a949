import { readJson, respond } from '@/server/respond';
import { readSite } from '@/server/sites/list-sites';
import { changeSite } from '@/server/sites/save-site';

interface Context {
  params: Promise<{ siteId: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => readSite(who, (await params).siteId));
}

export function PATCH(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => changeSite(who, (await params).siteId, await readJson(request)));
}
