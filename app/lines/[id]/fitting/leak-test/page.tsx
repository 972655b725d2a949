import type { Metadata } from 'next';
import { LeakTestView } from '@/ui/fitting/leak-test/leak-test-view';

export const metadata: Metadata = { title: 'Leak test' };

export default function Page() {
  return <LeakTestView />;
}
