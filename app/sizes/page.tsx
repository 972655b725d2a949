import type { Metadata } from 'next';
import { idSchema } from '@/server/plan-id';
import { Frame } from '@/ui/shell/frame';
import { SizesView } from '@/ui/sizes/sizes-view';

export const metadata: Metadata = { title: 'Sizes' };

/** Stands alone: no line and no database. Coming from a line, the rail leads back to it. */
export default async function Page({ searchParams }: { searchParams: Promise<{ from?: string | string[] }> }) {
  const from = idSchema.safeParse((await searchParams).from);
  return (
    <Frame {...(from.success && { planId: from.data })}>
      <SizesView />
    </Frame>
  );
}
