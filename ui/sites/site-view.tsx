'use client';

import { Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { Field, tied } from '@/ui/forms/field';
import { type Refused, send } from '@/ui/forms/send';

interface SitePage {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly address: string;
  readonly contacts: string;
  readonly notes: string;
  readonly lines: readonly {
    readonly id: string;
    readonly shop: string;
    readonly name: string;
    readonly stages: number;
  }[];
  readonly removed: readonly {
    readonly id: string;
    readonly shop: string;
    readonly name: string;
    readonly removedAt: string;
  }[];
  readonly members: readonly { readonly id: string; readonly name: string; readonly role: string }[];
  readonly isOwn: boolean;
  readonly others: readonly { readonly id: string; readonly name: string }[];
}
const DETAILS = [
  ['name', 'Name', 80, 1],
  ['customer', 'Customer', 120, 1],
  ['address', 'Address', 300, 2],
  ['contacts', 'Contacts', 500, 3],
  ['notes', 'Notes: access, keys, parking', 2000, 4],
] as const;

/** A site: its lines, and what one has to know to go there. */
export function SiteView({ site }: { site: SitePage }) {
  return (
    <div className="mx-auto grid max-w-[60rem] items-start gap-x-8 gap-y-6 p-4 sm:p-6 md:grid-cols-[1fr_22rem]">
      <div className="md:col-span-2">
        <p>
          <Link href="/sites" className="text-water underline underline-offset-4">
            All sites
          </Link>
        </p>
        <h1 className="break-words">{site.name}</h1>
      </div>
      <div className="grid min-w-0 gap-6">
        <section aria-label="Lines" className="min-w-0">
          <h2 className="mb-1">Lines</h2>
          {site.lines.length === 0 && (
            <p className="mb-2 text-quiet">No line stands here yet. Build one, or move one here from its own site.</p>
          )}
          <ul className="border-t border-hairline">
            {site.lines.map((line) => (
              <li key={line.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline py-1">
                <Link
                  href={`/lines/${line.id}/today`}
                  prefetch={false}
                  className="flex min-h-11 min-w-0 flex-1 basis-56 items-center hover:bg-sunk"
                >
                  <span className="min-w-0 truncate">
                    <strong>{line.shop}</strong> · {line.name}
                  </span>
                </Link>
                <span className="text-quiet">{line.stages} stages</span>
                {site.others.length > 0 && <MoveLine line={line} to={site.others} />}
                {site.isOwn && <RemoveLine line={line} />}
              </li>
            ))}
          </ul>
          {site.isOwn && (
            <p className="mt-3">
              <Link href={`/?site=${site.id}`} className="button">
                New line here
              </Link>
            </p>
          )}
        </section>
        {site.removed.length > 0 && <RemovedLines lines={site.removed} />}
        {site.members.length > 0 && (
          <section aria-label="People">
            <h2>People</h2>
            <p>{site.members.map((m) => `${m.name} (${m.role})`).join(', ')}</p>
            <p>
              <Link href="/settings" className="text-water underline underline-offset-4">
                Invite or change them in Settings
              </Link>
            </p>
          </section>
        )}
      </div>
      {site.isOwn ? <DetailsForm site={site} /> : <Details site={site} />}
    </div>
  );
}

function Details({ site }: { site: SitePage }) {
  return (
    <dl className="grid gap-2">
      {DETAILS.slice(1).map(
        ([field, label]) =>
          site[field] && (
            <div key={field}>
              <dt className="text-quiet">{label}</dt>
              <dd className="break-words whitespace-pre-line">{site[field]}</dd>
            </div>
          ),
      )}
    </dl>
  );
}

function DetailsForm({ site }: { site: SitePage }) {
  const router = useRouter();
  const [refused, setRefused] = useState<Refused>();
  const save = async (form: HTMLFormElement): Promise<void> => {
    const answer = await send('PATCH', `/api/sites/${site.id}`, Object.fromEntries(new FormData(form)));
    setRefused('refused' in answer ? answer.refused : undefined);
    if ('refused' in answer) return;
    toast('Saved.');
    router.refresh();
  };
  const issueOf = (field: string) => refused?.issues.find((i) => i.field === field)?.message;
  return (
    <form
      aria-label="Site details"
      className="grid gap-3 rounded-md border border-hairline bg-card p-4"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void save(e.currentTarget);
      }}
    >
      <h2>Site details</h2>
      {DETAILS.map(([field, label, most, rows]) => {
        const input = {
          ...tied(field, issueOf(field)),
          name: field,
          defaultValue: site[field],
          maxLength: most,
          className: 'control',
        };
        return (
          <Field key={field} id={field} label={label} error={issueOf(field)}>
            {rows === 1 ? <input {...input} /> : <textarea {...input} rows={rows} />}
          </Field>
        );
      })}
      {refused && refused.issues.length === 0 && (
        <p role="alert" className="text-brick">
          {refused.message}
        </p>
      )}
      <button type="submit" className="button button-strong">
        Save
      </button>
    </form>
  );
}

function RemoveLine({ line }: { line: { id: string; name: string } }) {
  const router = useRouter();
  const remove = async (): Promise<void> => {
    if (!window.confirm(`Remove ${line.name} with its log? You can restore it for 30 days.`)) return;
    const answer = await send('DELETE', `/api/plans/${line.id}`);
    toast('refused' in answer ? answer.refused.message : `${line.name} is removed.`);
    router.refresh();
  };
  return (
    <button
      type="button"
      className="button px-2"
      aria-label={`Remove ${line.name}`}
      title="Remove"
      onClick={() => void remove()}
    >
      <Trash2 size={16} aria-hidden />
    </button>
  );
}

function RemovedLines({ lines }: { lines: SitePage['removed'] }) {
  const router = useRouter();
  const restore = async (line: (typeof lines)[number]): Promise<void> => {
    const answer = await send('POST', `/api/plans/${line.id}/restore`);
    toast('refused' in answer ? answer.refused.message : `${line.name} is back, with its log.`);
    router.refresh();
  };
  return (
    <section aria-label="Removed lines">
      <h2>Removed lines</h2>
      <p className="mb-1 text-quiet">Each is kept for 30 days with its log, then deleted for good.</p>
      <ul className="border-t border-hairline">
        {lines.map((line) => (
          <li key={line.id} className="flex flex-wrap items-center gap-3 border-b border-hairline py-1">
            <span className="min-w-0 flex-1 basis-56 truncate">
              {line.shop} · {line.name}
            </span>
            <span className="text-quiet">{line.removedAt.slice(0, 10)}</span>
            <button type="button" className="button" onClick={() => void restore(line)}>
              Restore
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function MoveLine({ line, to }: { line: { id: string; name: string }; to: readonly { id: string; name: string }[] }) {
  const router = useRouter();
  const move = async (siteId: string): Promise<void> => {
    const answer = await send('PUT', `/api/plans/${line.id}/site`, { siteId });
    toast(
      'refused' in answer
        ? answer.refused.message
        : `${line.name} stands on ${to.find((t) => t.id === siteId)?.name} now.`,
    );
    router.refresh();
  };
  return (
    <select
      aria-label={`Move ${line.name} to another site`}
      className="control w-36"
      value=""
      onChange={(e) => void move(e.target.value)}
    >
      <option value="">Move to …</option>
      {to.map((site) => (
        <option key={site.id} value={site.id}>
          {site.name}
        </option>
      ))}
    </select>
  );
}
