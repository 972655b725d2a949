import { signIn } from '@/server/people/sign-in';
import { callerOf, readJson, respondSignedIn } from '@/server/respond';

export function POST(request: Request): Promise<Response> {
  return respondSignedIn(async () => signIn(await readJson(request), request.headers, callerOf(request)));
}
