import type { Metadata } from 'next';
import { idSchema } from '@/server/plan-id';
import { BeadsView } from '@/ui/beads/beads-view';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Desiccant charge' };

/** Stands alone: no line and no database. Coming from a line, the rail leads back to it. */
export default async function Page({ searchParams }: { searchParams: Promise<{ from?: string | string[] }> }) {
  const from = idSchema.safeParse((await searchParams).from);
  return (
    <Frame {...(from.success && { planId: from.data })}>
      <BeadsView />
    </Frame>
  );
}
