import type { Metadata } from 'next';
import { PlanPrint } from '@/ui/water/plan/plan-print';

export const metadata: Metadata = { title: 'Drain plan' };

export default function Page() {
  return <PlanPrint />;
}
