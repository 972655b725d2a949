import type { Metadata } from 'next';
import { JointsView } from '@/ui/fitting/joints/joints-view';

export const metadata: Metadata = { title: 'Joints' };

export default function Page() {
  return <JointsView />;
}
