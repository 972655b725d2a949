import type { Because } from '@/core/practice/case';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';

/** Sentences, each with its figure where it has one. */
export function Sentences({ of }: { of: readonly Because[] }) {
  const { say } = useUnits();
  return (
    <ul className="max-w-xl">
      {of.map(({ says, si, quantity }) => (
        <li key={says} className="flex justify-between gap-4 border-b border-hairline py-1">
          <span className="min-w-0 break-words">
            <InUnits text={says} />
          </span>
          {si !== undefined && quantity && <strong className="shrink-0">{say(si, quantity)}</strong>}
        </li>
      ))}
    </ul>
  );
}
