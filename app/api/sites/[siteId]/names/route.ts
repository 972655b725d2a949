import { assignName } from '@/server/people/names';
import { readJson, respond } from '@/server/respond';

/** Says whose a name is that was typed into the log. */
export function PUT(request: Request, { params }: { params: Promise<{ siteId: string }> }): Promise<Response> {
  return respond(async (who) => assignName(who, (await params).siteId, await readJson(request)));
}
