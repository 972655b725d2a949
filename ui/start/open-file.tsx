'use client';

import { FileUp } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { type ChangeEvent, useState } from 'react';
import { create, type Refused, sendCopy } from './create-line';
import { Refusals } from './refusals';

const MOST_FILE_BYTES = 1_000_000;
const COPY_BEGINS = '{"of":"line"';

/** Opens a plan file, or a copy of a line with its log, from this device. */
export function OpenFile() {
  const router = useRouter();
  const [refused, setRefused] = useState<Refused>();
  const [copy, setCopy] = useState<File>();
  const [sending, setSending] = useState(false);
  const show = (answer: { id: string } | Refused): void => {
    if ('id' in answer) router.push(`/lines/${answer.id}/line`);
    else setRefused(answer);
  };
  const open = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    setRefused(undefined);
    setCopy(undefined);
    if (!file) return;
    if ((await file.slice(0, COPY_BEGINS.length).text()) === COPY_BEGINS) return setCopy(file);
    if (file.size > MOST_FILE_BYTES)
      return setRefused({ message: `“${file.name}” is larger than 1 MB. A plan file is far smaller.`, issues: [] });
    let plan: unknown;
    try {
      plan = JSON.parse(await file.text());
    } catch {
      return setRefused({ message: `“${file.name}” is not valid JSON, so it is no plan file.`, issues: [] });
    }
    show(await create(plan));
  };
  const take = async (file: File, as: 'new' | 'merge'): Promise<void> => {
    setSending(true);
    show(await sendCopy(file, as));
    setSending(false);
  };
  return (
    <section className="grid gap-2">
      <label className="button cursor-pointer justify-start has-focus-visible:outline-2 has-focus-visible:outline-water">
        <FileUp size={16} aria-hidden /> Open a plan file or a copy of a line…
        <input
          type="file"
          accept=".json,.jsonl,application/json,application/x-ndjson"
          className="sr-only"
          onChange={(e) => void open(e)}
        />
      </label>
      {copy && (
        <fieldset className="grid gap-2 rounded-md border border-hairline p-3" disabled={sending}>
          <legend className="px-1 font-medium break-all">{copy.name}</legend>
          <p className="text-quiet">A copy of a line with its log. How is it taken in?</p>
          <button type="button" className="button justify-start" onClick={() => void take(copy, 'new')}>
            As a new line
          </button>
          <button type="button" className="button justify-start" onClick={() => void take(copy, 'merge')}>
            Merge it into the line it was made of
          </button>
          <p className="text-[0.85rem] text-quiet">
            Merging adds what is missing. What is there stays; a plan that differs becomes a revision.
          </p>
        </fieldset>
      )}
      {refused && <Refusals of={refused} />}
    </section>
  );
}
