'use client';

import { formatDistanceToNow } from 'date-fns';
import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import { send } from '@/ui/forms/send';
import { forgetKeptPages } from '@/ui/offline/kept-pages';
import { deviceOf } from './device-of';
import { type Passkey, PasskeysPart } from './passkeys-part';
import { PinPart } from './pin-part';

export interface OwnSignIn {
  readonly id: string;
  readonly userAgent: string | null;
  readonly since: string;
  readonly lastUsed: string;
  readonly isThis: boolean;
}

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly via?: 'link' | 'device' | undefined;
}
const VIA = {
  link: 'You came with a link, with which one only reads.',
  device: 'A shared device of this site. Who is at work on it says so at the top.',
} as const;

/** Where somebody is signed in, and the way out. */
export function SignInsPart({
  person,
  signIns,
  hasPin,
  passkeys,
}: {
  person: Person;
  signIns: readonly OwnSignIn[];
  hasPin: boolean;
  passkeys: readonly Passkey[];
}) {
  const router = useRouter();
  const end = async (which: string): Promise<void> => {
    const answer = await send('DELETE', `/api/sign-ins/${which}`);
    if ('refused' in answer) toast(answer.refused.message);
    router.refresh();
  };
  const leave = async (): Promise<void> => {
    const answer = await send('POST', '/api/sign-out');
    if ('refused' in answer) toast(answer.refused.message);
    else {
      await forgetKeptPages();
      location.assign('/sign-in');
    }
  };
  return (
    <section className="grid gap-3" aria-label="Your account">
      <h2>Your account</h2>
      <p>
        <strong>{person.name}</strong> <span className="text-quiet">{person.via ? VIA[person.via] : person.email}</span>
      </p>
      {signIns.length > 0 && (
        <ul className="border-t border-hairline">
          {signIns.map((s) => (
            <li key={s.id} className="flex min-h-11 items-center gap-3 border-b border-hairline py-1">
              <span className="min-w-0 flex-1">
                {deviceOf(s.userAgent)}
                <span className="text-quiet" suppressHydrationWarning>
                  {s.isThis
                    ? ' · this one'
                    : ` · last used ${formatDistanceToNow(new Date(s.lastUsed), { addSuffix: true })}`}
                </span>
              </span>
              {!s.isThis && (
                <button type="button" className="button" onClick={() => void end(s.id)}>
                  Sign out there
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap gap-2">
        {person.via !== 'device' && (
          <button type="button" className="button" onClick={() => void leave()}>
            {person.via ? 'Leave' : 'Sign out'}
          </button>
        )}
        {signIns.length > 1 && (
          <button type="button" className="button" onClick={() => void end('others')}>
            Sign out everywhere else
          </button>
        )}
      </div>
      {!person.via && (
        <>
          <PasskeysPart passkeys={passkeys} />
          <PinPart hasPin={hasPin} />
        </>
      )}
    </section>
  );
}
