'use client';

import { Broken } from '@/ui/shell/broken';
import { Frame } from '@/ui/shell/frame';

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <Frame>
      <Broken reset={reset} />
    </Frame>
  );
}
