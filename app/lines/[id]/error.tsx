'use client';

import { useParams } from 'next/navigation';
import { Broken } from '@/ui/shell/broken';

/** Of one page of a line: the others stay within reach in the rail. */
export default function ErrorPage({ reset }: { reset: () => void }) {
  const { id } = useParams<{ id: string }>();
  return <Broken planId={id} reset={reset} />;
}
