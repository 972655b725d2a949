import { readJson, respond } from '@/server/respond';
import { saveSiteOrder } from '@/server/work/work-list';

/** Keeps the order in which somebody drives to sites. */
export function PUT(request: Request): Promise<Response> {
  return respond(async (who) => saveSiteOrder(who, await readJson(request)));
}
