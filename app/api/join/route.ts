import { countTry, join } from '@/server/people/join';
import { signIn } from '@/server/people/sign-in';
import { callerOf, readJson, respondSignedIn } from '@/server/respond';

/** An account of one's own, with the code of an owner; signed in at once. */
export function POST(request: Request): Promise<Response> {
  return respondSignedIn(async () => {
    await countTry(callerOf(request));
    return signIn(await join(await readJson(request)), request.headers, callerOf(request));
  }, 201);
}
