import type { Metadata } from 'next';
import { siteTimeMs, siteTimeOf } from '@/core/log/site-clock';
import { clockOnTheWall } from '@/server/clock';
import { readTrial } from '@/server/read-log-page';
import { whenUp } from '@/server/when-up';
import { TrialView } from '@/ui/logbook/trial-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Trial' };
const A_WEEK_MS = 7 * 86_400_000;
const DAYS = 7;

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ at?: string | string[]; days?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const { at, days } = await searchParams;
  const given = typeof at === 'string' && Number.isFinite(siteTimeMs(at)) ? at : undefined;
  const asked = {
    at: given ?? siteTimeOf(siteTimeMs(clockOnTheWall()) - A_WEEK_MS),
    days: Math.round(Math.min(90, Math.max(1, Number(days) || DAYS))),
  };
  const read = await whenUp((who) => readTrial(who, id, asked.at, asked.days));
  return read ? <TrialView {...asked} {...read} /> : <DatabaseDown />;
}
