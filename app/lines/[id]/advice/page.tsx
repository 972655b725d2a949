import type { Metadata } from 'next';
import { AdviceView } from '@/ui/advice/advice-view';

export const metadata: Metadata = { title: 'Advice' };

export default function Page() {
  return <AdviceView />;
}
