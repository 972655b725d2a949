import { Link } from '@/ui/primitives/link';
import { AccountForm } from './account-form';

const PASSWORD = {
  name: 'password',
  label: 'Password',
  type: 'password',
  autoComplete: 'new-password',
  help: 'At least ten characters: three or four words are easy to remember.',
} as const;
const CODE = {
  name: 'code',
  label: 'Code',
  type: 'text',
  autoComplete: 'one-time-code',
  help: 'From the owner of the site, for example K7RMX-2QP9D.',
} as const;

/** What a code is for. */
export interface Invitation {
  readonly role: string;
  readonly site: string;
  /** Whose password it renews; a new account where there is none. */
  readonly name: string | null;
  readonly email: string | null;
}

/** With the code of an owner: a new account, or a new password. */
export function JoinForm({ code, invitation }: { code: string; invitation: Invitation | undefined }) {
  const isKnown = invitation !== undefined;
  const signIn = (
    <>
      You have an account?{' '}
      <Link href="/sign-in" className="text-water underline underline-offset-4">
        Sign in
      </Link>
      .
    </>
  );
  if (invitation?.name)
    return (
      <AccountForm
        title="New password"
        says={`For ${invitation.name}, ${invitation.email}. You are signed out everywhere else; passkeys and PIN are removed.`}
        asked={[PASSWORD]}
        also={{ code }}
        does="Set the password"
        address="/api/renew"
        to="/"
      />
    );
  return (
    <AccountForm
      title="New account"
      says={
        isKnown
          ? `You join “${invitation.site}” as ${invitation.role}.`
          : code === ''
            ? 'You need the code that the owner of the site gave you.'
            : 'This code does not work, or not any more. Ask the owner for another.'
      }
      asked={[
        ...(isKnown ? [] : [CODE]),
        { name: 'name', label: 'Name', type: 'text', autoComplete: 'name', help: 'As it will stand in the log.' },
        {
          name: 'email',
          label: 'E-mail',
          type: 'email',
          autoComplete: 'username',
          help: 'You sign in with it.',
        },
        PASSWORD,
      ]}
      {...(isKnown && { also: { code } })}
      does="Create the account"
      address="/api/join"
      to="/"
      below={signIn}
    />
  );
}
