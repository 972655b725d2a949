'use client';

import { useEffect, useState } from 'react';
import { z } from 'zod';
import { CASE_KINDS, type CaseKind } from '@/core/practice/case';
import type { Played } from '@/core/practice/spacing';

const KEY = 'practice';
/** So many of the newest are kept on a device. */
const MOST = 1000;
const playedSchema = z.array(
  z.strictObject({
    at: z.iso.datetime(),
    kind: z.enum(Object.keys(CASE_KINDS) as [CaseKind, ...CaseKind[]]),
    seed: z.int(),
    score: z.number().min(0).max(1),
    ratio: z.number().positive().optional(),
  }),
);

function read(): readonly Played[] {
  try {
    return playedSchema.parse(JSON.parse(localStorage.getItem(KEY) ?? '[]'));
  } catch {
    return []; // none yet, of another version, or no storage
  }
}

/** What was played on this device, and one more. */
export function usePlayed(): { played: readonly Played[]; add: (played: Played) => void } {
  const [played, setPlayed] = useState<readonly Played[]>([]);
  useEffect(() => setPlayed(read()), []);
  const add = (one: Played): void => {
    const all = [...read(), one].slice(-MOST);
    setPlayed(all);
    try {
      localStorage.setItem(KEY, JSON.stringify(all));
    } catch {
      // no storage: it counts as long as the page is open
    }
  };
  return { played, add };
}
