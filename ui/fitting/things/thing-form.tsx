'use client';

import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Stage } from '@/core/plan/plan';
import { type Thing, thingSchema } from '@/core/plan/thing-fields';
import { KeptFiles } from '@/ui/files/kept-files';
import { Field, tied } from '@/ui/forms/field';
import { MountingFields } from './mounting-fields';
import { Plate } from './plate';

const TEXTS = { maker: 'Maker, as on its plate', model: 'Model', serial: 'Serial number' } as const;
const DAYS = { installedOn: 'Installed on', warrantyUntil: 'Warranty until' } as const;

/** The plate of one thing; what does not hold stays in its field with the reason, and is not taken over. */
export function ThingForm({ stage, onThing }: { stage: Stage; onThing: (thing: Thing) => void }) {
  const [said, setSaid] = useState<Thing>(() => stage.thing ?? thingSchema.parse({}));
  const checked = thingSchema.safeParse(said);
  const at = (...path: (string | number)[]): string | undefined =>
    checked.error?.issues.find((i) => i.path.join('.') === path.join('.'))?.message;
  const say = (more: Partial<Thing>): void => {
    const next = { ...said, ...more };
    setSaid(next);
    const holds = thingSchema.safeParse(next);
    if (holds.success) onThing(holds.data);
  };
  const plate = said.files.find((f) => f.type === 'picture');
  const setting = (i: number, more: Partial<Thing['settings'][number]>): void =>
    say({ settings: said.settings.map((s, k) => (k === i ? { ...s, ...more } : s)) });
  return (
    <form aria-label={`What is installed: ${stage.name}`} className="grid gap-4" onSubmit={(e) => e.preventDefault()}>
      <h2>{stage.name}</h2>
      <div className={`grid items-start gap-4 ${plate ? 'xl:grid-cols-2' : 'max-w-2xl'}`}>
        {plate && <Plate file={plate} of={stage.name} />}
        <div className="grid gap-3 sm:grid-cols-2">
          {(Object.keys(TEXTS) as (keyof typeof TEXTS)[]).map((field) => (
            <Field key={field} id={`thing-${field}`} label={TEXTS[field]} error={at(field)}>
              <input
                {...tied(`thing-${field}`, at(field))}
                className="control"
                value={said[field]}
                onChange={(e) => say({ [field]: e.target.value })}
              />
            </Field>
          ))}
          {(Object.keys(DAYS) as (keyof typeof DAYS)[]).map((field) => (
            <Field key={field} id={`thing-${field}`} label={DAYS[field]} error={at(field)}>
              <input
                {...tied(`thing-${field}`, at(field))}
                type="date"
                className="control"
                value={said[field] ?? ''}
                onChange={(e) => say({ [field]: e.target.value || undefined })}
              />
            </Field>
          ))}
        </div>
      </div>
      <section aria-label="Pictures and documents" className="grid gap-2">
        <h3 className="font-semibold">Pictures and documents</h3>
        <p className="text-[0.85rem] text-quiet">
          The first picture stands beside the fields: take it of the plate, and read it off there.
        </p>
        <KeptFiles of={stage.name} files={said.files} onFiles={(files) => say({ files })} documents />
      </section>
      <div className="max-w-2xl">
        <Field
          id="thing-opens"
          label="How this one opens"
          error={at('opens')}
          help="Shown on the round: the tool, which way the thread turns, what falls out."
        >
          <textarea
            {...tied('thing-opens', at('opens'), true)}
            className="control"
            rows={3}
            value={said.opens}
            onChange={(e) => say({ opens: e.target.value })}
          />
        </Field>
      </div>
      <MountingFields {...{ said, say }} />
      <section aria-label="Settings as last found" className="grid max-w-2xl gap-2">
        <h3 className="font-semibold">Settings as last found</h3>
        {said.settings.map((s, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: settings have no other name than their place
          <div key={i} className="grid items-start gap-2 sm:grid-cols-[1fr_1fr_10rem_auto]">
            <Field id={`setting-${i}-what`} label="What" error={at('settings', i, 'what')}>
              <input
                {...tied(`setting-${i}-what`, at('settings', i, 'what'))}
                className="control"
                value={s.what}
                onChange={(e) => setting(i, { what: e.target.value })}
              />
            </Field>
            <Field id={`setting-${i}-value`} label="Set to" error={at('settings', i, 'value')}>
              <input
                {...tied(`setting-${i}-value`, at('settings', i, 'value'))}
                className="control"
                value={s.value}
                onChange={(e) => setting(i, { value: e.target.value })}
              />
            </Field>
            <Field id={`setting-${i}-on`} label="Found on" error={at('settings', i, 'foundOn')}>
              <input
                {...tied(`setting-${i}-on`, at('settings', i, 'foundOn'))}
                type="date"
                className="control"
                value={s.foundOn}
                onChange={(e) => setting(i, { foundOn: e.target.value })}
              />
            </Field>
            <button
              type="button"
              className="button mt-6.5 px-2"
              aria-label={`Remove setting ${i + 1}`}
              onClick={() => say({ settings: said.settings.toSpliced(i, 1) })}
            >
              <Trash2 size={15} aria-hidden />
            </button>
          </div>
        ))}
        {said.settings.length < 12 && (
          <p>
            <button
              type="button"
              className="button"
              onClick={() =>
                say({
                  settings: [...said.settings, { what: '', value: '', foundOn: new Date().toISOString().slice(0, 10) }],
                })
              }
            >
              Add a setting
            </button>
          </p>
        )}
      </section>
    </form>
  );
}
