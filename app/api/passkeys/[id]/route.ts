import { removePasskey } from '@/server/people/passkeys';
import { respond } from '@/server/respond';

export function DELETE(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return respond(async (who) => removePasskey(who, (await params).id));
}
