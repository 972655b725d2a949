import { readJson, respond } from '@/server/respond';
import { saveTemplate } from '@/server/sites/templates';

export function POST(request: Request, { params }: { params: Promise<{ siteId: string }> }): Promise<Response> {
  return respond(async (who) => saveTemplate(who, (await params).siteId, await readJson(request)), 201);
}
