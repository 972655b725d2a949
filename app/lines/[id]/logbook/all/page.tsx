import type { Metadata } from 'next';
import { readLogPage } from '@/server/read-log-page';
import { readPlan } from '@/server/read-plan';
import { readCalibrations, readTrend } from '@/server/read-trend';
import { whenUp } from '@/server/when-up';
import { AllView } from '@/ui/logbook/all-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Everything in the log' };

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const asked = await searchParams;
  const one = (name: string): string | undefined => {
    const value = asked[name];
    return typeof value === 'string' ? value.slice(0, 200) : undefined;
  };
  const read = await whenUp(async (who) => {
    const { plan } = await readPlan(who, id);
    const ask = { q: one('q'), kind: one('kind'), before: one('before') };
    return Promise.all([readLogPage(who, id, ask), readTrend(who, id, one('trend')), readCalibrations(id, plan)]);
  });
  if (!read) return <DatabaseDown />;
  const [page, trend, calibrations] = read;
  return <AllView page={page} trend={trend} calibrations={calibrations} />;
}
