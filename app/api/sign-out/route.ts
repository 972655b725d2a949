import { signOut } from '@/server/people/sign-in';
import { respondSignedIn } from '@/server/respond';

export function POST(request: Request): Promise<Response> {
  return respondSignedIn(() => signOut(request.headers));
}
