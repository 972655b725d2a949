'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { Field, tied } from '@/ui/forms/field';
import { type Refused, send } from '@/ui/forms/send';
import type { SitePage } from './site-types';

const DETAILS = [
  ['name', 'Name', 80, 1],
  ['customer', 'Customer', 120, 1],
  ['address', 'Address', 300, 2],
  ['contacts', 'Contacts', 500, 3],
  ['notes', 'Notes: access, keys, parking', 2000, 4],
  ['timeZone', 'Time zone', 64, 1],
] as const;

/** What one has to know to go there: to be read, or changed by an owner. */
export const SiteDetails = ({ site }: { site: SitePage }) =>
  site.isOwn ? <DetailsForm site={site} /> : <Details site={site} />;

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
  const [zones, setZones] = useState<readonly string[]>([]);
  useEffect(() => setZones(Intl.supportedValuesOf('timeZone')), []);
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
          ...tied(field, issueOf(field), field === 'timeZone'),
          name: field,
          defaultValue: site[field],
          maxLength: most,
          className: 'control',
        };
        return (
          <Field
            key={field}
            id={field}
            label={label}
            error={issueOf(field)}
            {...(field === 'timeZone' && { help: 'Empty: that of the server. For example Europe/Lisbon.' })}
          >
            {rows === 1 ? (
              <input {...input} {...(field === 'timeZone' && { list: 'time-zones', autoComplete: 'off' })} />
            ) : (
              <textarea {...input} rows={rows} />
            )}
          </Field>
        );
      })}
      <datalist id="time-zones">
        {zones.map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
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

/** The weather of the year that new lines here begin with, as it stands in one of its lines. */
export function SiteClimate({ site }: { site: SitePage }) {
  const router = useRouter();
  const take = async (climateOf: string): Promise<void> => {
    const answer = await send('PATCH', `/api/sites/${site.id}`, { climateOf: climateOf || null });
    toast('refused' in answer ? answer.refused.message : 'New lines begin with it.');
    router.refresh();
  };
  const from = site.climate?.from ?? 'none';
  return (
    <section aria-label="Climate" className="grid gap-1">
      <h2>Climate</h2>
      <p className="text-quiet">
        {from === 'file'
          ? 'New lines here begin with a stored year of weather.'
          : from === 'months'
            ? 'New lines here begin with means of the months.'
            : 'Not said: each line has its own.'}
      </p>
      {site.isOwn && site.lines.length > 0 && (
        <select
          aria-label="Take the climate of a line"
          className="control w-auto max-w-full"
          value=""
          onChange={(e) => void take(e.target.value === '-' ? '' : e.target.value)}
        >
          <option value="">Take it from …</option>
          {site.lines.map((l) => (
            <option key={l.id} value={l.id}>
              {l.shop} · {l.name}
            </option>
          ))}
          {from !== 'none' && <option value="-">no line</option>}
        </select>
      )}
    </section>
  );
}
