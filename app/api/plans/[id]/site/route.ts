import { readJson, respond } from '@/server/respond';
import { moveLine } from '@/server/sites/save-site';

/** Moves a line to another site. */
export function PUT(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async (who) => moveLine(who, (await params).id, await readJson(request)));
}
