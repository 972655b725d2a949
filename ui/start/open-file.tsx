'use client';

import { FileUp } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { type ChangeEvent, useState } from 'react';
import { create, type Refused } from './create-line';
import { Refusals } from './refusals';

const MOST_FILE_BYTES = 1_000_000;

/** Opens a plan file from this device as a new line. */
export function OpenFile() {
  const router = useRouter();
  const [refused, setRefused] = useState<Refused>();
  const open = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    if (file.size > MOST_FILE_BYTES)
      return setRefused({ message: `“${file.name}” is larger than 1 MB. A plan file is far smaller.`, issues: [] });
    let plan: unknown;
    try {
      plan = JSON.parse(await file.text());
    } catch {
      return setRefused({ message: `“${file.name}” is not valid JSON, so it is no plan file.`, issues: [] });
    }
    const answer = await create(plan);
    if ('id' in answer) router.push(`/lines/${answer.id}/line`);
    else setRefused(answer);
  };
  return (
    <section className="grid gap-2">
      <label className="button cursor-pointer justify-start has-focus-visible:outline-2 has-focus-visible:outline-water">
        <FileUp size={16} aria-hidden /> Open a plan file…
        <input type="file" accept=".json,application/json" className="sr-only" onChange={(e) => void open(e)} />
      </label>
      {refused && <Refusals of={refused} />}
    </section>
  );
}
