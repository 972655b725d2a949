import type { ReactNode } from 'react';
import { listWeather } from '@/server/save-weather';
import { whenUp } from '@/server/when-up';
import { DatabaseDown } from '@/ui/shell/database-down';
import { WaterFrame } from '@/ui/water/water-frame';
import { WaterProvider } from '@/ui/water/water-provider';

export default async function WaterLayout({ children }: { children: ReactNode }) {
  const years = await whenUp(listWeather);
  if (!years) return <DatabaseDown />;
  return (
    <WaterProvider years={years}>
      <WaterFrame>{children}</WaterFrame>
    </WaterProvider>
  );
}
