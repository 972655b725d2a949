import type { Metadata } from 'next';
import { PartsView } from '@/ui/fitting/parts/parts-view';

export const metadata: Metadata = { title: 'Parts' };

export default function Page() {
  return <PartsView />;
}
