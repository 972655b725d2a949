'use client';

import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import { END_FAMILIES, type End, endInWords, type FamilyName, type Gender } from '@/core/piping/ends';
import { Field, tied } from '@/ui/forms/field';
import { type Refused, send } from '@/ui/forms/send';

const THREADED = (Object.keys(END_FAMILIES) as FamilyName[]).filter((f) => f !== 'tube' && f !== 'hose');
const ENDS: readonly End[] = THREADED.flatMap((family) =>
  END_FAMILIES[family].sizes.flatMap((size) =>
    Object.keys(END_FAMILIES[family].genders).map((gender): End => ({ family, size, gender: gender as Gender })),
  ),
);
const EMPTY = { name: '', count: '1', place: '', end: '', boughtOn: '', for: '' };

/** Puts something on the shelf; what was typed stays where the server refuses it. */
export function ShelfForm({ sites }: { sites: readonly { readonly id: string; readonly name: string }[] }) {
  const router = useRouter();
  const [siteId, setSiteId] = useState(sites[0]?.id ?? '');
  const [said, setSaid] = useState(EMPTY);
  const [id, setId] = useState(() => crypto.randomUUID());
  const [refused, setRefused] = useState<Refused>();
  const at = (field: string): string | undefined => refused?.issues.find((i) => i.field === field)?.message;
  const say = (more: Partial<typeof EMPTY>): void => setSaid((s) => ({ ...s, ...more }));
  const put = async (e: FormEvent): Promise<void> => {
    e.preventDefault();
    const sent = await send('PUT', `/api/sites/${siteId}/shelf/${id}`, {
      name: said.name,
      count: Number(said.count),
      place: said.place,
      end: ENDS.find((end) => endInWords(end) === said.end) ?? null,
      boughtOn: said.boughtOn || null,
      for: said.for,
    });
    if ('refused' in sent) {
      setRefused(sent.refused);
      return;
    }
    setRefused(undefined);
    setSaid(EMPTY);
    setId(crypto.randomUUID());
    router.refresh();
  };
  const text = (field: 'name' | 'place' | 'for', label: string, help?: string) => (
    <Field id={`shelf-${field}`} label={label} error={at(field)} help={help}>
      <input
        {...tied(`shelf-${field}`, at(field), help)}
        className="control"
        value={said[field]}
        onChange={(e) => say({ [field]: e.target.value })}
      />
    </Field>
  );
  return (
    <form
      aria-label="Put on the shelf"
      className="grid gap-3 rounded-md border border-hairline bg-card p-4"
      onSubmit={(e) => void put(e)}
      noValidate
    >
      <h2>Put on the shelf</h2>
      {sites.length > 1 && (
        <label className="grid gap-1">
          <span className="font-medium">Site</span>
          <select className="control" value={siteId} onChange={(e) => setSiteId(e.target.value)}>
            {sites.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
      )}
      {text('name', 'What it is', 'As Parts calls it, and the bill knows it.')}
      <Field id="shelf-count" label="How many" error={at('count')}>
        <input
          {...tied('shelf-count', at('count'))}
          className="control"
          inputMode="numeric"
          value={said.count}
          onChange={(e) => say({ count: e.target.value })}
        />
      </Field>
      <Field
        id="shelf-end"
        label="One of its ends"
        error={at('end')}
        help="To find it by. Leave it empty where it has none."
      >
        <input
          {...tied('shelf-end', at('end'), true)}
          className="control"
          list="shelf-ends"
          value={said.end}
          onChange={(e) => say({ end: e.target.value })}
        />
      </Field>
      <datalist id="shelf-ends">
        {ENDS.map((end) => (
          <option key={endInWords(end)} value={endInWords(end)} />
        ))}
      </datalist>
      {text('place', 'Where it lies')}
      {text('for', 'Kept for')}
      <Field id="shelf-bought" label="Bought on" error={at('boughtOn')}>
        <input
          {...tied('shelf-bought', at('boughtOn'))}
          type="date"
          className="control"
          value={said.boughtOn}
          onChange={(e) => say({ boughtOn: e.target.value })}
        />
      </Field>
      <button type="submit" className="button button-strong">
        Put on the shelf
      </button>
      {refused && refused.issues.length === 0 && (
        <p role="alert" className="text-brick">
          {refused.message}
        </p>
      )}
    </form>
  );
}
