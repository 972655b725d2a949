import type { Metadata } from 'next';
import { YearView } from '@/ui/water/year/year-view';

export const metadata: Metadata = { title: 'Water, year' };

export default function Page() {
  return <YearView />;
}
