import type { Plan } from '@/core/plan/plan';

/** “Loft line” becomes “Loft line, plan B”, and that “… plan C”. */
export function copyName(name: string): string {
  const letter = /, plan ([B-Y])$/.exec(name)?.[1];
  const bare = name.replace(/, plan [B-Z]$/, '').slice(0, 70);
  return `${bare}, plan ${letter ? String.fromCharCode(letter.charCodeAt(0) + 1) : 'B'}`;
}

/** A copy of a line to try something on: nothing is due on it until its own routine is begun. */
export const copyOf = (plan: Plan): Plan => ({
  ...plan,
  name: copyName(plan.name),
  routine: { ...plan.routine, startedOn: null },
});
