import { TOOLS, type Tool } from '@/core/diagnosis/finding/check-kind';

/** What is at hand: checks that need something else are passed over. */
export function ToolsAtHand({
  without,
  onWithout,
}: {
  without: readonly Tool[];
  onWithout: (without: readonly Tool[]) => void;
}) {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <legend className="font-medium">At hand</legend>
      {(Object.keys(TOOLS) as Tool[]).map((tool) => (
        <label key={tool} className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={!without.includes(tool)}
            onChange={(e) => onWithout(e.target.checked ? without.filter((t) => t !== tool) : [...without, tool])}
          />
          {TOOLS[tool]}
        </label>
      ))}
    </fieldset>
  );
}
