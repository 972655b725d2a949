import type { Metadata } from 'next';
import { OutboxView } from '@/ui/offline/outbox-view';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Outbox' };
export const dynamic = 'force-dynamic';

export default function Page() {
  return (
    <Frame>
      <OutboxView />
    </Frame>
  );
}
