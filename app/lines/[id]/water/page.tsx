import type { Metadata } from 'next';
import { TodayView } from '@/ui/water/today/drains-today-view';

export const metadata: Metadata = { title: 'Water today' };

export default function Page() {
  return <TodayView />;
}
