'use client';

import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import { send } from '@/ui/forms/send';

/** Names that were typed into the log before there were accounts: an owner says whose they are. */
export function NamesView({
  siteId,
  names,
  people,
}: {
  siteId: string;
  names: readonly { readonly name: string; readonly entries: number; readonly personId: string | null }[];
  people: readonly { readonly id: string; readonly name: string }[];
}) {
  const router = useRouter();
  const assign = async (name: string, personId: string): Promise<void> => {
    const answer = await send('PUT', `/api/sites/${siteId}/names`, { name, personId: personId || null });
    toast('refused' in answer ? answer.refused.message : 'The log says so from now on.');
    router.refresh();
  };
  return (
    <div className="mx-auto grid max-w-[60rem] gap-4 p-4 sm:p-6">
      <h1>Names in the log</h1>
      <p className="max-w-[60ch] text-quiet">
        Typed where nobody was signed in. Say whose they are, and the log shows their name beside it. What was written
        stays as it is.
      </p>
      {names.length === 0 && <p>Every entry of this site was written by somebody who was signed in.</p>}
      <ul className="border-t border-hairline">
        {names.map(({ name, entries, personId }) => (
          <li key={name} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline py-2">
            <span className="min-w-0 flex-1 basis-48">
              <strong className="block truncate">{name}</strong>
              <span className="block text-quiet">
                {entries} {entries === 1 ? 'entry' : 'entries'}
              </span>
            </span>
            <select
              aria-label={`Whose name ${name} is`}
              className="control w-auto max-w-full"
              value={personId ?? ''}
              onChange={(e) => void assign(name, e.target.value)}
            >
              <option value="">nobody in particular</option>
              {people.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
    </div>
  );
}
