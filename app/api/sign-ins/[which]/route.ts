import { endSignIns } from '@/server/people/sign-in';
import { respond } from '@/server/respond';

/** Ends one of them by its id, or `others`: all but the one that asks. */
export function DELETE(request: Request, { params }: { params: Promise<{ which: string }> }): Promise<Response> {
  return respond(async () => endSignIns(request.headers, (await params).which));
}
