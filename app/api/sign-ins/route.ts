import { readSignIns } from '@/server/people/sign-in';
import { respond } from '@/server/respond';

/** Where whoever asks is signed in. */
export function GET(request: Request): Promise<Response> {
  return respond(() => readSignIns(request.headers));
}
