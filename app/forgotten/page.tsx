import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { isShared } from '@/server/people/is-shared';
import { canMail } from '@/server/people/mail';
import { AccountForm } from '@/ui/people/account-form';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'New password' };
export const dynamic = 'force-dynamic';

export default async function Page({ searchParams }: { searchParams: Promise<{ sent?: string | string[] }> }) {
  if (!isShared() || !canMail()) redirect('/sign-in');
  const isSent = (await searchParams).sent !== undefined;
  return (
    <Frame>
      {isSent ? (
        <p role="status" className="mx-auto mt-[8vh] max-w-[24rem] p-5">
          If there is an account with this address, a mail with a link is on its way to it. Look among unwanted mails
          too.
        </p>
      ) : (
        <AccountForm
          title="New password"
          says="A link to set it is sent to your address."
          asked={[{ name: 'email', label: 'E-mail', type: 'email', autoComplete: 'username' }]}
          does="Send the link"
          address="/api/forgotten"
          to="/forgotten?sent"
        />
      )}
    </Frame>
  );
}
