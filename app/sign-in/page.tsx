import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { isShared } from '@/server/people/is-shared';
import { canMail } from '@/server/people/mail';
import { AccountForm } from '@/ui/people/account-form';
import { PasskeyButton } from '@/ui/people/passkey-button';
import { Link } from '@/ui/primitives/link';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

/** A place of this server, whatever the address says. */
const ownPath = (to: unknown): string => (typeof to === 'string' && /^\/(?![/\\])/.test(to) ? to : '/');

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ to?: string | string[]; link?: string | string[] }>;
}) {
  if (!isShared()) redirect('/');
  const { to, link } = await searchParams;
  return (
    <Frame>
      <AccountForm
        title="Sign in"
        says={link === 'over' && 'This link does not work, or not any more. Ask the owner of the site for another.'}
        asked={[
          { name: 'email', label: 'E-mail', type: 'email', autoComplete: 'username' },
          { name: 'password', label: 'Password', type: 'password', autoComplete: 'current-password' },
        ]}
        does="Sign in"
        address="/api/sign-in"
        to={ownPath(to)}
        below={
          <>
            <PasskeyButton to={ownPath(to)} />
            <span className="mt-3 block">
              {canMail() ? (
                <>
                  The password is lost?{' '}
                  <Link href="/forgotten" className="text-water underline underline-offset-4">
                    Have a link sent
                  </Link>
                  . No account? The owner of the site can give you a code.
                </>
              ) : (
                'No account, or the password is lost? The owner of the site can give you a code.'
              )}
            </span>
          </>
        }
      />
    </Frame>
  );
}
