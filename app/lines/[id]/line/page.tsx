import type { Metadata } from 'next';
import { LineView } from '@/ui/line-section/line-view';

export const metadata: Metadata = { title: 'Line' };

export default function Page() {
  return <LineView />;
}
