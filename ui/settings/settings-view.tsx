import { Link } from '@/ui/primitives/link';
import { LetterKeysChoice } from '@/ui/shell/letter-keys';
import { UnitsForm } from '@/ui/units/units-form';
import { sayMoment } from '@/ui/units/when';
import { Copyable } from './copyable';
import type { Passkey } from './passkeys-part';
import { PeoplePart, type SiteOf } from './people-part';
import { SharingPart } from './sharing-part';
import { type OwnSignIn, type Person, SignInsPart } from './sign-ins-part';

/** Who may use this server, and where one is signed in. */
export function SettingsView({
  person,
  sites,
  more,
  signIns,
  hasPin,
  passkeys,
  hasAuthority,
  address,
  mails,
  backup,
  version,
}: {
  person: Person | undefined;
  sites: readonly SiteOf[];
  /** Whether there are sites besides. */
  more: boolean;
  signIns: readonly OwnSignIn[];
  hasPin: boolean;
  passkeys: readonly Passkey[];
  hasAuthority: boolean;
  address: string | undefined;
  mails: boolean;
  /** What backups there are, for whoever may know. */
  backup: { place: string; count: number; newest: string | undefined } | undefined;
  version: string;
}) {
  return (
    <div className="mx-auto grid max-w-[60rem] gap-8 p-4 sm:p-6">
      <h1>Settings</h1>
      {person ? (
        <>
          {sites.map((site) => (
            <PeoplePart key={site.id} site={site} ownId={person.id} address={address} mails={mails} />
          ))}
          {more && (
            <p className="text-quiet">
              You are on more sites than these. The people of another one are found by way of its page, on{' '}
              <Link href="/sites" className="text-water underline underline-offset-4">
                Sites
              </Link>
              .
            </p>
          )}
          <SharingPart address={address} hasAuthority={hasAuthority} />
          <SignInsPart person={person} signIns={signIns} hasPin={hasPin} passkeys={passkeys} />
        </>
      ) : (
        <section className="grid max-w-[60ch] gap-2">
          <h2>Sharing</h2>
          <p>
            Only this machine reaches Cool Dram now, and nobody signs in. To let phones and other people of your network
            use it, stop it in its terminal and start it with
          </p>
          <Copyable text="bin/start --share" />
          <p className="text-quiet">
            The terminal then shows a link and a QR code. The first account becomes the owner, who invites the others.
            Your lines stay as they are.
          </p>
        </section>
      )}
      {backup && (
        <section className="grid max-w-[60ch] gap-1" aria-label="Backups">
          <h2>Backups</h2>
          {backup.newest ? (
            <p suppressHydrationWarning>
              The newest is of {sayMoment(backup.newest)}; {backup.count} {backup.count === 1 ? 'is' : 'are'} kept.
            </p>
          ) : (
            <p className="text-amber">No backup has been made yet. One is made each day while Cool Dram runs.</p>
          )}
          <p className="text-quiet">
            In {backup.place}. Copy them to another disk; <code>bin/backup</code> makes one at once.
          </p>
        </section>
      )}
      <section className="grid max-w-[44rem] gap-2" aria-label="Units and numbers">
        <h2>Units and numbers</h2>
        <UnitsForm wide />
      </section>
      <section className="grid max-w-[60ch] gap-2" aria-label="Keyboard">
        <h2>Keyboard</h2>
        <LetterKeysChoice />
        <p className="text-quiet">The sign ? lists all keys; Ctrl K finds everything without them.</p>
      </section>
      <section className="grid max-w-[60ch] gap-1" aria-label="About">
        <h2>About</h2>
        <p>
          Cool Dram {version}. It fetches nothing from outside but the forecast that you name, and sends nothing there.
        </p>
        <p className="text-quiet">
          It calculates and keeps records. Local codes and licensed practice go first, and it never declares air fit for
          breathing.
        </p>
      </section>
    </div>
  );
}
