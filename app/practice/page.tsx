import type { Metadata } from 'next';
import { idSchema } from '@/server/plan-id';
import { PracticeView } from '@/ui/practice/practice-view';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Practice' };

interface Props {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** Stands alone: no line and no database. Coming from a line, the rail leads back to it. */
export default async function Page({ searchParams }: Props) {
  const asked = await searchParams;
  const one = (name: string): string | undefined => {
    const value = asked[name];
    return typeof value === 'string' ? value : undefined;
  };
  const from = idSchema.safeParse(one('from'));
  const of = { hand: one('case'), kind: one('kind'), seed: one('seed'), level: one('level') };
  return (
    <Frame {...(from.success && { planId: from.data })}>
      <PracticeView key={JSON.stringify(of)} asked={of} />
    </Frame>
  );
}
