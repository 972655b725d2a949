import type { Metadata } from 'next';
import { WeekView } from '@/ui/water/week/week-view';

export const metadata: Metadata = { title: 'Water, week' };

export default function Page() {
  return <WeekView />;
}
