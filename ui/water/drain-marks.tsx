import type { DrainMark } from '@/core/drains/judge-setting';
import { fieldsOf, type KindName } from '@/core/equipment/index';

export const DRAIN_MARKS: Readonly<Record<DrainMark, { sign: string; tone: string; says: string }>> = {
  over: { sign: '▲', tone: 'text-brick', says: 'over its mark or capacity' },
  wastes: { sign: '◆', tone: 'text-amber', says: 'works, but wastes air' },
  holds: { sign: '●', tone: 'text-water', says: 'holds' },
  dry: { sign: '○', tone: 'text-quiet', says: 'should stay dry' },
};

export function DrainMarkSign({ mark }: { mark: DrainMark }) {
  const { sign, tone, says } = DRAIN_MARKS[mark];
  return (
    <span className={tone}>
      <span aria-hidden>{sign}</span>
      <span className="sr-only">{says}</span>
    </span>
  );
}

/** How a drain is opened, in the words of its field. */
export function drainWords(kind: KindName, drain: string): string {
  return fieldsOf(kind).find(([field]) => field === 'drain')?.[1].options?.[drain] ?? drain;
}
