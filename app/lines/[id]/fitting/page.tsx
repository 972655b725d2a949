import type { Metadata } from 'next';
import { RunView } from '@/ui/fitting/run/run-view';

export const metadata: Metadata = { title: 'Run' };

export default function Page() {
  return <RunView />;
}
