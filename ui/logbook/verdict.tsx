import type { DrainVerdict } from '@/core/log/judge-drain';

const LOOK: Record<DrainVerdict, { mark: string; word: string; tone: string }> = {
  'as expected': { mark: '●', word: 'as expected', tone: 'text-water' },
  less: { mark: '▼', word: 'less than expected', tone: 'text-amber' },
  more: { mark: '▲', word: 'more than expected', tone: 'text-brick' },
  'nothing to expect': { mark: '○', word: 'nothing to expect', tone: 'text-quiet' },
};

/** A verdict by shape, word and colour. */
export function Verdict({ of: verdict, className, short }: { of: DrainVerdict; className?: string; short?: boolean }) {
  const { mark, word, tone } = LOOK[verdict];
  return (
    <span className={`font-semibold whitespace-nowrap ${tone} ${className ?? ''}`}>
      <span aria-hidden>{mark} </span>
      {short ? verdict : word}
    </span>
  );
}
