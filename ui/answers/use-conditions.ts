import type { Conditions } from '@/core/answers/conditions';
import type { AskFor, Bounds } from '@/ui/forms/ask';
import { useNumbers } from './use-numbers';

type Air = 'c' | 'rh' | 'room';
const AIR: Bounds<Air> = { c: [-30, 55], rh: [0.02, 1], room: [-20, 60] };

/** The air that is asked about, begun with that of the line, and further numbers of the same page. */
export function useConditions<Key extends string = never>(
  { intakeC, intakeHumidity, roomC }: Conditions,
  more: Readonly<Record<Key, number>> = {} as Record<Key, number>,
  moreBounds: Bounds<Key> = {} as Bounds<Key>,
): { conditions: Conditions; q: Readonly<Record<Key | Air, number>>; ask: AskFor<Key | Air> } {
  const { q, ask } = useNumbers<Key | Air>(
    { ...more, c: intakeC, rh: intakeHumidity, room: roomC },
    { ...AIR, ...moreBounds },
  );
  return { conditions: { intakeC: q.c, intakeHumidity: q.rh, roomC: q.room }, q, ask };
}
