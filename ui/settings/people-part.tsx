'use client';

import { useRouter } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import { toast } from 'sonner';
import { Field, tied } from '@/ui/forms/field';
import { send } from '@/ui/forms/send';
import { Link } from '@/ui/primitives/link';
import { QrCode, useAddress } from '@/ui/primitives/qr-code';
import { Copyable } from './copyable';
import { type Device, DevicesPart } from './devices-part';
import { type GuestLink, GuestLinksPart } from './guest-links-part';

export interface Member {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}
export interface SiteOf {
  readonly id: string;
  readonly name: string;
  readonly members?: readonly Member[];
  readonly links?: readonly GuestLink[];
  readonly devices?: readonly Device[];
}
const ROLES = [
  ['owner', 'everything: people, exports'],
  ['planner', 'plans, settings, prices, log'],
  ['technician', 'rounds, log, charges'],
  ['viewer', 'reads only'],
] as const;
type Role = (typeof ROLES)[number][0];

/** The people of a site. Its owners invite them, change what they may do, and take them off. */
export function PeoplePart({
  site,
  ownId,
  address,
  mails,
}: {
  site: SiteOf;
  ownId: string;
  address: string | undefined;
  /** Whether this server sends mails. */
  mails: boolean;
}) {
  const origin = useAddress(address);
  const router = useRouter();
  const [role, setRole] = useState<Role>('technician');
  const [email, setEmail] = useState('');
  const [issue, setIssue] = useState<string>();
  const [link, setLink] = useState<{ says: ReactNode; url: string }>();
  const told = async (work: ReturnType<typeof send>, done: string): Promise<void> => {
    const answer = await work;
    toast('refused' in answer ? answer.refused.message : done);
    router.refresh();
  };
  const code = async (address: string, whom: string, body?: unknown): Promise<void> => {
    const answer = await send<{ code: string; mailed?: boolean }>('POST', address, body);
    setIssue('refused' in answer ? answer.refused.issues.find((i) => i.field === 'email')?.message : undefined);
    if ('refused' in answer) return void toast(answer.refused.message);
    if (answer.body.mailed) toast(`The link was sent to ${email}.`);
    else if (answer.body.mailed === false && email !== '') toast('The mail could not be sent. Give the link yourself.');
    if (answer.body.mailed !== undefined) setEmail('');
    setLink({ says: <Once whom={whom} />, url: `${origin}/join?code=${answer.body.code}` });
  };
  const base = `/api/sites/${site.id}`;
  if (!site.members)
    return (
      <section>
        <h2>{site.name}</h2>
        <p className="text-quiet">The owner of this site sees here who may use it.</p>
      </section>
    );
  return (
    <section className="grid gap-3" aria-label={`People of ${site.name}`}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>People of {site.name}</h2>
        <span className="flex flex-wrap gap-x-4">
          <Link href={`/settings/names?site=${site.id}`} className="text-water underline underline-offset-4">
            Names in the log
          </Link>
          <Link href={`/settings/changes?site=${site.id}`} className="text-water underline underline-offset-4">
            Who changed what
          </Link>
        </span>
      </div>
      <ul className="border-t border-hairline">
        {site.members.map((m) => (
          <li key={m.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline py-2">
            <span className="min-w-0 flex-1 basis-48">
              <strong className="block truncate">
                {m.name}
                {m.id === ownId && <span className="font-normal text-quiet"> (you)</span>}
              </strong>
              <span className="block truncate text-quiet">{m.email}</span>
            </span>
            <RoleSelect
              label={`Role of ${m.name}`}
              value={m.role}
              onChange={(next) =>
                void told(send('PATCH', `${base}/members/${m.id}`, { role: next }), `${m.name} is ${next} now.`)
              }
            />
            <span className="flex gap-2">
              <button
                type="button"
                className="button"
                onClick={() => void code(`${base}/members/${m.id}/recovery`, `${m.name} sets a new password`)}
              >
                New password
              </button>
              <button
                type="button"
                className="button"
                onClick={() => {
                  if (window.confirm(`Take ${m.name} off ${site.name}? Their name stays in the log.`))
                    void told(
                      send('DELETE', `${base}/members/${m.id}`),
                      `${m.name} sees nothing of ${site.name} any more.`,
                    );
                }}
              >
                Remove
              </button>
            </span>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-2">
        <RoleSelect label="Role of the new person" value={role} onChange={setRole} />
        {mails && (
          <div className="min-w-0 basis-56">
            <Field id={`${base}-email`} label="E-mail to send the link to, if any" error={issue}>
              <input
                {...tied(`${base}-email`, issue)}
                type="email"
                autoComplete="off"
                className="control"
                value={email}
                onChange={(e) => setEmail(e.target.value)}
              />
            </Field>
          </div>
        )}
        <button
          type="button"
          className="button button-strong"
          onClick={() =>
            void code(`${base}/invitations`, `A new ${role} makes an account`, {
              role,
              ...(email !== '' && { email }),
            })
          }
        >
          Invite
        </button>
      </div>
      <DevicesPart base={base} devices={site.devices ?? []} told={told} />
      <GuestLinksPart
        base={base}
        links={site.links ?? []}
        told={told}
        made={({ name, secret }) => {
          setLink({
            says: (
              <>
                <strong>{name}</strong> reads {site.name} with this link. It is shown only now; whoever has it can use
                it.
              </>
            ),
            url: `${origin}/guest/${secret}`,
          });
          router.refresh();
        }}
      />
      {link && <LinkToGive {...link} />}
    </section>
  );
}

function RoleSelect({ label, value, onChange }: { label: string; value: Role; onChange: (role: Role) => void }) {
  return (
    <select
      aria-label={label}
      className="control w-auto"
      value={value}
      onChange={(e) => onChange(e.target.value as Role)}
    >
      {ROLES.map(([role, may]) => (
        <option key={role} value={role}>
          {role}: {may}
        </option>
      ))}
    </select>
  );
}

const Once = ({ whom }: { whom: string }) => (
  <>
    <strong>{whom}</strong> with this link. It works once, for seven days, and is shown only now.
  </>
);

/** A link, also as a picture for the camera of a phone. */
function LinkToGive({ says, url }: { says: ReactNode; url: string }) {
  return (
    <div role="status" className="flex flex-wrap items-start gap-4 rounded-md border border-hairline bg-card p-4">
      <QrCode of={url} alt="The link as a QR code" className="size-44" />
      <div className="grid min-w-0 flex-1 basis-64 gap-2">
        <p className="max-w-[48ch]">{says}</p>
        <Copyable text={url} />
      </div>
    </div>
  );
}
