import type { Metadata } from 'next';
import { WinterView } from '@/ui/water/winter/winter-view';

export const metadata: Metadata = { title: 'Water, winter' };

export default function Page() {
  return <WinterView />;
}
