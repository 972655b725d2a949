import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { isSameAs } from '@/core/fitting/shelf';
import { send } from '@/ui/forms/send';
import type { OnShelf } from '@/ui/shelf/shelf-view';

const addressOf = (siteId: string, id: string): string => `/api/sites/${siteId}/shelf/${id}`;

const MAY_NOT = 'You may not change this line: its shelf stays as it is.';

/** Takes parts of a line from the shelves and puts them back; what the server refuses is said, and not done. */
export function useShelf(shelf: readonly OnShelf[], ownSiteId: string | undefined) {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();
  const done = (refused: string | undefined): boolean => {
    setProblem(refused);
    router.refresh();
    return refused === undefined;
  };
  const change = ({ id, siteId }: OnShelf, by: number) => send('PATCH', addressOf(siteId, id), { by });
  /**
   * Takes so many down, from the shelf of the line’s own site first.
   * @param gone what was taken of each item since the page was loaded
   * @returns how many were taken: what the server refuses in between stays there
   */
  const take = async (label: string, count: number, gone = new Map<string, number>()): Promise<number> => {
    let left = count;
    let refused = ownSiteId === undefined ? MAY_NOT : undefined;
    for (const item of shelf.filter((i) => i.loose === null && isSameAs({ label }, i))) {
      const before = gone.get(item.id) ?? 0;
      const some = Math.min(left, item.count - before);
      if (refused !== undefined || some <= 0) continue;
      const sent = await change(item, -some);
      if ('refused' in sent) refused = sent.refused.message;
      else {
        gone.set(item.id, before + some);
        left -= some;
      }
    }
    done(refused);
    return count - left;
  };
  /** Puts so many on the shelf of the line’s own site, to those of the same name where there are any. */
  const put = async (label: string, count: number): Promise<boolean> => {
    if (ownSiteId === undefined) return done(MAY_NOT);
    const there = shelf.find((i) => i.siteId === ownSiteId && i.loose === null && isSameAs({ label }, i));
    const sent = there && (await change(there, count));
    if (sent && !('refused' in sent)) return done(undefined);
    if (sent && sent.refused.code !== 'not-found') return done(sent.refused.message);
    // It was the last, and is gone: it goes back to its place.
    const { id = crypto.randomUUID(), place = '' } = there ?? {};
    const name = label.replaceAll(/[{}]/g, '').slice(0, 120);
    const made = await send('PUT', addressOf(ownSiteId, id), { name, count, place });
    return done('refused' in made ? made.refused.message : undefined);
  };
  return { problem, take, put };
}
