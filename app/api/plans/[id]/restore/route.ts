import { respond } from '@/server/respond';
import { restoreLine } from '@/server/sites/remove-line';

/** Restores a line that was removed. */
export function POST(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async (who) => restoreLine(who, (await params).id));
}
