import { parseAsFloat } from 'nuqs';
import { useState } from 'react';
import { type AskFor, asker, type Bounds, bounded } from '@/ui/forms/ask';
import { useQuestion } from '@/ui/forms/use-question';

/** Numbers that the address bar holds as far as they differ from those of the line, and the fields for them. */
export function useNumbers<Key extends string>(
  ofLine: Readonly<Record<Key, number>>,
  allBounds: Bounds<NoInfer<Key>>,
): { q: Readonly<Record<Key, number>>; ask: AskFor<Key> } {
  const keys = Object.keys(ofLine) as Key[];
  const [parsers] = useState(() => Object.fromEntries(keys.map((k) => [k, parseAsFloat.withDefault(ofLine[k])])));
  const bounds = Object.fromEntries(keys.map((k) => [k, allBounds[k]])) as Bounds<Key>;
  const [typed, set] = useQuestion(parsers);
  const q = bounded(typed as Record<Key, number>, bounds);
  return { q, ask: asker(q, bounds, set) };
}
