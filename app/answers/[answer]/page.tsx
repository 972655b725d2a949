import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { planOfLink } from '@/server/plan-of-link';
import { AnswerPage } from '@/ui/answers/answer-page';
import { ANSWERS, isAnswer } from '@/ui/answers/answers';
import { Frame } from '@/ui/shell/frame';

interface Address {
  readonly params: Promise<{ answer: string }>;
  readonly searchParams: Promise<{ from?: string | string[] }>;
}

export async function generateMetadata({ params }: Address): Promise<Metadata> {
  const { answer } = await params;
  return { title: isAnswer(answer) ? ANSWERS[answer].asks : 'Short answers' };
}

/** With the numbers of the line that it was opened from, or typical ones. */
export default async function Page({ params, searchParams }: Address) {
  const { answer } = await params;
  if (!isAnswer(answer)) notFound();
  const { planId, plan } = await planOfLink((await searchParams).from);
  return (
    <Frame {...(planId !== undefined && { planId })}>
      <AnswerPage name={answer} line={planId !== undefined && plan ? { id: planId, plan } : undefined} />
    </Frame>
  );
}
