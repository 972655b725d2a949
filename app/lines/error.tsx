'use client';

import { useParams } from 'next/navigation';
import { Broken } from '@/ui/shell/broken';
import { Frame } from '@/ui/shell/frame';

/** Of a line that cannot be read at all; a page of one that can has its own. */
export default function ErrorPage({ reset }: { reset: () => void }) {
  const { id } = useParams<{ id?: string }>();
  return (
    <Frame>
      <Broken planId={id} reset={reset} />
    </Frame>
  );
}
