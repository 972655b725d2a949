'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHistory } from '@/ui/plan/plan-provider';
import { hrefOf, PLACES } from './places';
import { useKeys } from './use-keys';

const Palette = dynamic(() => import('./palette').then((m) => m.Palette), { ssr: false });

/** Ctrl K finds and does; single letters go places; `?` lists the keys. */
export function Shortcuts({ planId }: { planId: string }) {
  const router = useRouter();
  const { undo, redo } = useHistory();
  const [open, setOpen] = useState<'find' | 'keys'>();
  useKeys(
    { find: () => setOpen('find'), listKeys: () => setOpen('keys'), undo, redo },
    Object.fromEntries(PLACES.flatMap((p) => (p.key ? [[p.key, () => router.push(hrefOf(p, planId))]] : []))),
  );
  return open && <Palette planId={planId} open={open} setOpen={setOpen} />;
}
