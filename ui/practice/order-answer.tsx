import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { useState } from 'react';
import type { OrderCard } from '@/core/practice/case';
import { Give, type OnAnswer } from './answers';

/** Stages put in a row, by keys and fingers alike. */
export function OrderAnswer({
  cards,
  budget,
  onAnswer,
}: {
  cards: readonly OrderCard[];
  /** What may be spent; nothing where none is left out. */
  budget: number | undefined;
  onAnswer: OnAnswer;
}) {
  const [row, setRow] = useState(cards);
  const [left, setLeft] = useState<readonly OrderCard[]>([]);
  const spent = row.reduce((sum, c) => sum + (c.price ?? 0), 0);
  const over = budget !== undefined && spent > budget;
  const move = (at: number, by: -1 | 1): void => {
    const [card] = row.slice(at, at + 1);
    if (card) setRow(row.toSpliced(at, 1).toSpliced(at + by, 0, card));
  };
  return (
    <form
      aria-label="Your answer"
      className="grid max-w-md gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!over) onAnswer({ form: 'order', ids: row.map((c) => c.id) });
      }}
    >
      <ol className="grid gap-1.5">
        {row.map((card, i) => (
          <li
            key={card.id}
            className="flex items-center gap-2 rounded-md border border-hairline bg-card py-1 pr-1 pl-3"
          >
            <span className="w-6 font-semibold">{i + 1}</span>
            <span className="min-w-0 flex-1">
              {card.name}
              {card.price !== undefined && <span className="text-quiet"> · {card.price}</span>}
            </span>
            {card.price !== undefined && (
              <button
                type="button"
                className="button min-h-11 min-w-11"
                aria-label={`${card.name}: leave it out`}
                onClick={() => {
                  setRow(row.toSpliced(i, 1));
                  setLeft([...left, card]);
                }}
              >
                <X size={16} aria-hidden />
              </button>
            )}
            <button
              type="button"
              className="button min-h-11 min-w-11"
              disabled={i === 0}
              aria-label={`${card.name}: earlier`}
              onClick={() => move(i, -1)}
            >
              <ArrowUp size={16} aria-hidden />
            </button>
            <button
              type="button"
              className="button min-h-11 min-w-11"
              disabled={i === row.length - 1}
              aria-label={`${card.name}: later`}
              onClick={() => move(i, 1)}
            >
              <ArrowDown size={16} aria-hidden />
            </button>
          </li>
        ))}
      </ol>
      {left.length > 0 && (
        <p className="flex flex-wrap items-center gap-2">
          Left out:
          {left.map((card) => (
            <button
              key={card.id}
              type="button"
              className="button min-h-11"
              onClick={() => {
                setLeft(left.filter((c) => c !== card));
                setRow([...row, card]);
              }}
            >
              {card.name} · {card.price}
              <span className="sr-only">: take it after all</span>
            </button>
          ))}
        </p>
      )}
      {budget !== undefined && (
        <p role="status" className={over ? 'text-brick' : ''}>
          {spent} of {budget} spent{over && ': too much. Leave something out.'}
        </p>
      )}
      <Give />
    </form>
  );
}
