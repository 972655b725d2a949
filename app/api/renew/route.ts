import { countTry, renew } from '@/server/people/join';
import { signIn } from '@/server/people/sign-in';
import { callerOf, readJson, respondSignedIn } from '@/server/respond';

/** A new password in place of one that was lost, with the code of an owner; signed in at once. */
export function POST(request: Request): Promise<Response> {
  return respondSignedIn(async () => {
    await countTry(callerOf(request));
    return signIn(await renew(await readJson(request)), request.headers, callerOf(request));
  });
}
