import type { Metadata } from 'next';
import { readFindings } from '@/server/read-findings';
import { readSummaryOf } from '@/server/read-log-summary';
import { whenUp } from '@/server/when-up';
import { FindView } from '@/ui/find/find-view';

export const metadata: Metadata = { title: 'Find the fault' };

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ params, searchParams }: Props) {
  const [{ id }, asked] = await Promise.all([params, searchParams]);
  const one = (name: string): string | undefined => {
    const value = asked[name];
    return typeof value === 'string' ? value : undefined;
  };
  const [symptom, stageId, entryId] = [one('complaint'), one('at'), one('entry')];
  const [log, findings] = await Promise.all([
    whenUp((who) => readSummaryOf(who, id)),
    whenUp((who) => readFindings(who, id)),
  ]);
  return (
    <FindView
      key={`${symptom} ${stageId} ${entryId}`}
      complaint={symptom === undefined ? undefined : { symptom, stageId }}
      findings={findings ?? []}
      {...{ log, entryId }}
    />
  );
}
