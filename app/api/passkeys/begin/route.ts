import { beginPasskey } from '@/server/people/passkeys';
import { whoAsks } from '@/server/people/who-asks';
import { respondSignedIn } from '@/server/respond';

export function POST(request: Request): Promise<Response> {
  return respondSignedIn(async () => beginPasskey(await whoAsks(), request.headers));
}
