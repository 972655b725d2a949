import type { Joint } from '@/core/fitting/joints';
import type { Part } from '@/core/fitting/parts';
import { type End, endInWords } from '@/core/piping/ends';
import { mates } from '@/core/piping/mates';
import { EndDrawing } from './end-drawing';

/** Parts of a chain turned the way they are put on, from the first side. */
function turned(parts: readonly Part[], from: End): { part: Part; enters: End; leaves: End }[] {
  let free = from;
  return parts.map((part) => {
    const [enters, leaves] = mates(free, part.ends[0]).verdict === 'yes' ? part.ends : [part.ends[1], part.ends[0]];
    free = leaves;
    return { part, enters, leaves };
  });
}

/** A chain as a row of small drawings: the first end, each part, the second end. */
export function ChainRow({ joint: { sides, chosen } }: { joint: Joint }) {
  const [a, b] = sides;
  return (
    <ol className="flex flex-wrap items-stretch gap-1.5">
      <Side name={a.name} end={a.end} said={a.said} />
      {turned(chosen?.parts ?? [], a.end).map(({ part, enters, leaves }, i) => (
        <li
          // biome-ignore lint/suspicious/noArrayIndexKey: the same part may stand twice in a chain
          key={i}
          className="grid w-36 content-start justify-items-center gap-0.5 rounded-md border border-hairline bg-card p-1.5 text-center"
        >
          <span className="flex">
            <EndDrawing end={enters} flipped />
            <EndDrawing end={leaves} />
          </span>
          <span className="text-[0.78rem] leading-tight">{part.label}</span>
        </li>
      ))}
      <Side name={b.name} end={b.end} said={b.said} flipped />
    </ol>
  );
}

function Side({ name, end, said, flipped = false }: { name: string; end: End; said: boolean; flipped?: boolean }) {
  return (
    <li className="grid w-36 content-start justify-items-center gap-0.5 rounded-md bg-sunk p-1.5 text-center">
      <EndDrawing end={end} flipped={flipped} />
      <span className="font-medium text-[0.82rem] leading-tight">{name}</span>
      <span className="text-[0.78rem] text-quiet leading-tight">
        {endInWords(end)}
        {!said && ' · typical'}
      </span>
    </li>
  );
}
