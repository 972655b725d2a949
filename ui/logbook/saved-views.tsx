'use client';

import { useEffect, useState } from 'react';
import { ENTRY_KINDS } from '@/core/log/log-entry';
import { readStored, store } from '@/ui/browser-store';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';

export interface SavedView {
  readonly q: string;
  readonly kind: string;
}
export const VIEWS_KEY = 'cool-dram.log-views';

/** Searches that one comes back to, kept in this browser. */
export function SavedViews({ q, kind }: SavedView) {
  const { planId } = usePlan();
  const [views, setViews] = useState<readonly SavedView[]>([]);
  useEffect(() => {
    try {
      setViews(JSON.parse(readStored(VIEWS_KEY) ?? '[]'));
    } catch {
      // What cannot be read any more is no view.
    }
  }, []);
  const set = (next: readonly SavedView[]): void => {
    setViews(next);
    store(VIEWS_KEY, JSON.stringify(next));
  };
  const same = (v: SavedView): boolean => v.q === q && v.kind === kind;
  const isPlain = q === '' && kind === 'all';
  return (
    <div className="flex flex-wrap items-center gap-2">
      {!isPlain && !views.some(same) && (
        <button type="button" className="button" onClick={() => set([...views, { q, kind }])}>
          Save this view
        </button>
      )}
      {views.map((v) => (
        <span key={`${v.kind} ${v.q}`} className="flex items-center">
          <Link
            className={`button ${same(v) ? 'border-ink' : ''}`}
            href={`/lines/${planId}/logbook/all?${new URLSearchParams({ ...(v.q && { q: v.q }), ...(v.kind !== 'all' && { kind: v.kind }) })}`}
          >
            {[v.kind !== 'all' && ENTRY_KINDS[v.kind as keyof typeof ENTRY_KINDS], v.q].filter(Boolean).join(': ')}
          </Link>
          <button
            type="button"
            className="min-h-8 px-2 text-quiet"
            onClick={() => set(views.filter((x) => x !== v))}
            aria-label="Delete this view"
          >
            ×
          </button>
        </span>
      ))}
    </div>
  );
}
