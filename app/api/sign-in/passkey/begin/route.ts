import { beginSignIn } from '@/server/people/passkeys';
import { callerOf, respondSignedIn } from '@/server/respond';

export function POST(request: Request): Promise<Response> {
  return respondSignedIn(() => beginSignIn(request.headers, callerOf(request)));
}
