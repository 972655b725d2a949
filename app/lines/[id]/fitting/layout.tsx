import type { ReactNode } from 'react';
import { FittingFrame } from '@/ui/fitting/fitting-frame';

export default function FittingLayout({ children }: { children: ReactNode }) {
  return <FittingFrame>{children}</FittingFrame>;
}
