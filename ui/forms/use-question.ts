import { type UseQueryStatesKeysMap, useQueryStates, type Values } from 'nuqs';
import { useEffect, useState } from 'react';

/**
 * A question that the address bar holds. What is typed counts at once; the address follows it. Each write of the address
 * holds everything typed so far: the router may still set an older address while it catches up.
 */
export function useQuestion<Parsers extends UseQueryStatesKeysMap>(
  parsers: Parsers,
): [question: Values<Parsers>, set: (change: Partial<Values<Parsers>>) => void] {
  const [addressed, setAddress] = useQueryStates(parsers);
  const [typed, setTyped] = useState<Partial<Values<Parsers>>>({});
  useEffect(() => {
    if (Object.keys(typed).length > 0) void setAddress(typed);
  }, [typed, setAddress]);
  return [{ ...addressed, ...typed }, (change) => setTyped((before) => ({ ...before, ...change }))];
}
