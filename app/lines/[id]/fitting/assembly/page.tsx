import type { Metadata } from 'next';
import { AssemblyView } from '@/ui/fitting/assembly/assembly-view';

export const metadata: Metadata = { title: 'Assembly' };

export default function Page() {
  return <AssemblyView />;
}
