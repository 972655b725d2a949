import { mailNewPassword } from '@/server/people/join';
import { callerOf, readJson, respondToAnybody } from '@/server/respond';

/** A mail with a link to a new password. */
export function POST(request: Request): Promise<Response> {
  return respondToAnybody(async () => mailNewPassword(await readJson(request), callerOf(request)));
}
