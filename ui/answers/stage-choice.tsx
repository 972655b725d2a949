import type { Stage } from '@/core/plan/plan';
import { ChoiceInput } from '@/ui/forms/choice-input';

/** Which of several stages of a line is asked about; nothing where there is one. */
export function StageChoice({
  id,
  label,
  stages,
  chosen,
  onChoose,
}: {
  id: string;
  label: string;
  stages: readonly Stage[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  if (stages.length < 2) return null;
  return (
    <div className="col-span-full">
      <ChoiceInput
        id={id}
        label={label}
        value={chosen}
        options={Object.fromEntries(stages.map((s) => [s.id, s.name]))}
        onCommit={onChoose}
      />
    </div>
  );
}
