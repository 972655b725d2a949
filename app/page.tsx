import { listPlans } from '@/server/read-plan';
import { whenUp } from '@/server/when-up';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { StartView } from '@/ui/start/start-view';

export const dynamic = 'force-dynamic';

export default async function Page() {
  const lines = await whenUp(listPlans);
  return <Frame>{lines ? <StartView lines={lines} /> : <DatabaseDown />}</Frame>;
}
