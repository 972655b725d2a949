'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { isFound, type ShelfItem } from '@/core/fitting/shelf';
import { endInWords } from '@/core/piping/ends';
import { send } from '@/ui/forms/send';
import { Scrolls } from '@/ui/primitives/scrolls';
import { ShelfForm } from './shelf-form';

/** An item, and the site on whose shelf it lies. */
export interface OnShelf extends ShelfItem {
  readonly id: string;
  readonly siteId: string;
  readonly site: string;
}

/** What is owned and not fitted, on all sites: found by name or thread, put there and taken down. */
export function ShelfView({
  items,
  sites,
}: {
  items: readonly OnShelf[];
  /** Where one may put something. */
  sites: readonly { readonly id: string; readonly name: string }[];
}) {
  const router = useRouter();
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string>();
  const shown = items.filter((i) => isFound(i, words));
  const writable = new Set(sites.map((s) => s.id));
  const change = async ({ id, siteId }: OnShelf, by: number): Promise<void> => {
    const sent = await send('PATCH', `/api/sites/${siteId}/shelf/${id}`, { by });
    setProblem('refused' in sent ? sent.refused.message : undefined);
    router.refresh();
  };
  return (
    <div className="mx-auto grid max-w-[1100px] gap-5 p-4">
      <h1>Shelf</h1>
      <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <section aria-label="On the shelf" className="grid gap-3">
          <label className="grid max-w-md gap-1">
            <span className="font-medium">Find by name, thread or place</span>
            <input
              className="control"
              type="search"
              placeholder="1/2 in BSPT male"
              value={words}
              onChange={(e) => setWords(e.target.value)}
            />
          </label>
          {problem && (
            <p role="alert" className="text-brick">
              {problem}
            </p>
          )}
          {shown.length === 0 ? (
            <p className="max-w-prose text-quiet">
              {items.length === 0
                ? 'Nothing is on the shelf yet. Put here what you own and have not fitted: Parts then says what you need not buy.'
                : 'Nothing of that name or thread.'}
            </p>
          ) : (
            <Scrolls label="What is on the shelf">
              <table className="w-full">
                <thead>
                  <tr className="eyebrow text-left [&>th]:pr-4 [&>th]:pb-1">
                    <th scope="col">What</th>
                    <th scope="col">Count</th>
                    <th scope="col">Where</th>
                    <th scope="col">Kept for</th>
                  </tr>
                </thead>
                <tbody>
                  {shown.map((i) => (
                    <tr key={i.id} className="border-t border-hairline align-top [&>td]:py-2 [&>td]:pr-4">
                      <td className="max-w-72 break-words">
                        {i.name}
                        {i.end && <span className="block text-[0.82rem] text-quiet">{endInWords(i.end)}</span>}
                      </td>
                      <td>
                        <span className="flex items-center gap-1.5">
                          {writable.has(i.siteId) && (
                            <button
                              type="button"
                              className="button px-2"
                              aria-label={`Take one ${i.name} down`}
                              onClick={() => void change(i, -1)}
                            >
                              −
                            </button>
                          )}
                          <span className="min-w-6 text-center font-semibold">{i.count}</span>
                          {writable.has(i.siteId) && (
                            <button
                              type="button"
                              className="button px-2"
                              aria-label={`Put one ${i.name} back`}
                              onClick={() => void change(i, 1)}
                            >
                              +
                            </button>
                          )}
                        </span>
                      </td>
                      <td className="max-w-60 break-words">
                        {i.place || <span className="text-quiet">not said</span>}
                        <span className="block text-[0.82rem] text-quiet">{i.site}</span>
                      </td>
                      <td className="max-w-52 break-words text-quiet">
                        {i.for}
                        {i.boughtOn && <span className="block text-[0.82rem]">bought {i.boughtOn}</span>}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Scrolls>
          )}
        </section>
        {sites.length > 0 && <ShelfForm sites={sites} />}
      </div>
    </div>
  );
}
