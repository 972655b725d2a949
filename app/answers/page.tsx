import type { Metadata } from 'next';
import { idSchema } from '@/server/plan-id';
import { AnswerLinks } from '@/ui/answers/answer-links';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Short answers' };

export default async function Page({ searchParams }: { searchParams: Promise<{ from?: string | string[] }> }) {
  const from = idSchema.safeParse((await searchParams).from).data;
  return (
    <Frame {...(from !== undefined && { planId: from })}>
      <div className="mx-auto grid max-w-[1080px] gap-4 p-4">
        <div>
          <h1>Short answers</h1>
          <p className="text-quiet">
            One question on one screen, with the numbers of a line that is open, or typical ones.
          </p>
        </div>
        <AnswerLinks from={from} />
      </div>
    </Frame>
  );
}
