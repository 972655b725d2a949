import { type ReactNode, useState } from 'react';
import { Field, tied } from '@/ui/forms/field';
import { rememberedWho } from '@/ui/people/remembered-who';
import { WhoInput } from '@/ui/people/who-input';
import type { KeptRecord } from './use-record';

/** Who says it, and what is done with a search: left for now, closed, repaired. */
export function KeepBar({
  record,
  actions,
}: {
  record: KeptRecord;
  actions: readonly {
    readonly says: ReactNode;
    readonly strong?: boolean;
    readonly act: (who: string) => Promise<void>;
  }[];
}) {
  const [who, setWho] = useState(rememberedWho);
  const [error, setError] = useState<string>();
  const act = (of: (who: string) => Promise<void>): void => {
    setError(who.trim() === '' ? 'Say who.' : undefined);
    if (who.trim() !== '') void of(who.trim());
  };
  return (
    <>
      <div className="flex max-w-2xl flex-wrap items-end gap-2">
        <Field id="find-who" label="Who" error={error}>
          <WhoInput {...tied('find-who', error)} value={who} onChange={(e) => setWho(e.target.value)} />
        </Field>
        {actions.map(({ says, strong, act: of }, i) => (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: the actions are always the same
            key={i}
            type="button"
            className={`button min-h-12 ${strong ? 'button-strong' : ''}`}
            onClick={() => act(of)}
          >
            {says}
          </button>
        ))}
      </div>
      <p role="status" className="min-h-target">
        {record.says}
        {record.refused && <span className="text-brick">Refused: {record.refused.message}</span>}
      </p>
    </>
  );
}
