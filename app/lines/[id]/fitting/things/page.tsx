import type { Metadata } from 'next';
import { ThingsView } from '@/ui/fitting/things/things-view';

export const metadata: Metadata = { title: 'Installed' };

export default function Page() {
  return <ThingsView />;
}
