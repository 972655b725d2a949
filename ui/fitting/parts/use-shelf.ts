import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { isSameAs } from '@/core/fitting/shelf';
import { send } from '@/ui/forms/send';
import type { OnShelf } from '@/ui/shelf/shelf-view';

/** Takes parts of a line from the shelves and puts them back; what the server refuses is said, and not done. */
export function useShelf(shelf: readonly OnShelf[], ownSiteId: string | undefined) {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();
  const done = (refused: string | undefined): boolean => {
    setProblem(refused);
    router.refresh();
    return refused === undefined;
  };
  const set = async ({ id, siteId, site: _, ...item }: OnShelf, count: number): Promise<string | undefined> => {
    const address = `/api/sites/${siteId}/shelf/${id}`;
    const sent = count > 0 ? await send('PUT', address, { ...item, count }) : await send('DELETE', address);
    return 'refused' in sent ? sent.refused.message : undefined;
  };
  /** Takes so many down, from the shelf of the line’s own site first. */
  const take = async (label: string, count: number): Promise<boolean> => {
    let left = count;
    for (const item of shelf.filter((i) => isSameAs({ label }, i))) {
      if (left === 0) break;
      const some = Math.min(left, item.count);
      const refused = await set(item, item.count - some);
      if (refused !== undefined) return done(refused);
      left -= some;
    }
    return done(undefined);
  };
  /** Puts so many on the shelf of the line’s own site, to those of the same name where there are any. */
  const put = async (label: string, count: number): Promise<boolean> => {
    if (ownSiteId === undefined) return done('You may put nothing on the shelf of this site.');
    const there = shelf.find((i) => i.siteId === ownSiteId && i.loose === null && isSameAs({ label }, i));
    if (there) return done(await set(there, there.count + count));
    const item = { name: label.replaceAll(/[{}]/g, '').slice(0, 120), count };
    const sent = await send('PUT', `/api/sites/${ownSiteId}/shelf/${crypto.randomUUID()}`, item);
    return done('refused' in sent ? sent.refused.message : undefined);
  };
  return { problem, take, put };
}
