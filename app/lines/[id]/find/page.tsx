import type { Metadata } from 'next';
import { FindView } from '@/ui/find/find-view';

export const metadata: Metadata = { title: 'Find the fault' };

interface Props {
  searchParams: Promise<{ complaint?: string | string[]; at?: string | string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const { complaint, at } = await searchParams;
  const symptom = typeof complaint === 'string' ? complaint : undefined;
  const stageId = typeof at === 'string' ? at : undefined;
  return (
    <FindView key={`${symptom} ${stageId}`} complaint={symptom === undefined ? undefined : { symptom, stageId }} />
  );
}
