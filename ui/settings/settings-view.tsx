import { Copyable } from './copyable';
import { PeoplePart, type SiteOf } from './people-part';
import { SharingPart } from './sharing-part';
import { type OwnSignIn, SignInsPart } from './sign-ins-part';

/** Who may use this server, and where one is signed in. */
export function SettingsView({
  person,
  sites,
  signIns,
  hasAuthority,
  address,
}: {
  person: { id: string; name: string; email: string } | undefined;
  sites: readonly SiteOf[];
  signIns: readonly OwnSignIn[];
  hasAuthority: boolean;
  address: string | undefined;
}) {
  return (
    <div className="mx-auto grid max-w-[60rem] gap-8 p-4 sm:p-6">
      <h1>Settings</h1>
      {person ? (
        <>
          {sites.map((site) => (
            <PeoplePart key={site.id} site={site} ownId={person.id} address={address} />
          ))}
          <SharingPart address={address} hasAuthority={hasAuthority} />
          <SignInsPart person={person} signIns={signIns} />
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
    </div>
  );
}
