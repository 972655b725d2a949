import { openGuestLink } from '@/server/people/guest-links';
import { callerOf, redirectWith } from '@/server/respond';

/** Opens the link of a guest, and leads to the lines that it lets them read. */
export function GET(request: Request, { params }: { params: Promise<{ secret: string }> }): Promise<Response> {
  return redirectWith(async () => {
    const cookie = await openGuestLink((await params).secret, callerOf(request));
    return cookie ? { to: '/', cookies: [cookie] } : { to: '/sign-in?link=over', cookies: [] };
  });
}
