import type { Advice } from '@/core/advice/judge-line';

export const MARKS = {
  stop: { sign: '■', word: 'danger', tone: 'text-brick' },
  must: { sign: '▲', word: 'must fix', tone: 'text-brick' },
  should: { sign: '◆', word: 'should fix', tone: 'text-amber' },
  note: { sign: '·', word: 'note', tone: 'text-quiet' },
} as const;
export type Grade = keyof typeof MARKS;

export const gradeOf = ({ rule }: Pick<Advice, 'rule'>): Grade => (rule.stop ? 'stop' : rule.grade);

/** Sign and word of a grade; the rule’s id is in docs/advice.md, and stays in the page for whoever looks it up. */
export function GradeMark({ grade, id }: { grade: Grade; id: string }) {
  const { sign, word, tone } = MARKS[grade];
  return (
    <span data-rule={id} className={`font-semibold whitespace-nowrap ${tone}`}>
      <span aria-hidden>{sign} </span>
      {word}
    </span>
  );
}
