import type { Metadata } from 'next';
import { DayView } from '@/ui/day/day-view';

export const metadata: Metadata = { title: 'Compressor cycle' };

export default function Page() {
  return <DayView />;
}
