import dynamic from 'next/dynamic';
import type { Played } from '@/core/practice/spacing';

const Lines = dynamic(() => import('./estimate-lines').then((m) => m.EstimateLines), {
  ssr: false,
  loading: () => <div className="h-48" />,
});

/** One’s estimates through time. */
export function EstimateChart({ played }: { played: readonly Played[] }) {
  return (
    <figure>
      <Lines played={played} />
      <figcaption className="text-[0.82rem] text-quiet">
        Guess over truth, one estimate after the other; 1 is right.
      </figcaption>
    </figure>
  );
}
