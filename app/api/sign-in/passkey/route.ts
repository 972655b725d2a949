import { signInWithPasskey } from '@/server/people/passkeys';
import { readJson, respondSignedIn } from '@/server/respond';

export function POST(request: Request): Promise<Response> {
  return respondSignedIn(async () => signInWithPasskey(request.headers, await readJson(request)));
}
