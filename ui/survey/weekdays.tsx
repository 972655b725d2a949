'use client';

import { ToggleGroup } from 'radix-ui';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Days of the week; at least one. */
export function Weekdays({
  label,
  days,
  onDays,
}: {
  label: string;
  days: readonly number[];
  onDays: (days: number[]) => void;
}) {
  return (
    <>
      <p className="mb-0.5 text-[0.9rem] font-medium">{label}</p>
      <ToggleGroup.Root
        type="multiple"
        aria-label={label}
        value={days.map(String)}
        onValueChange={(v) => v.length > 0 && onDays(v.map(Number).sort())}
        className="flex flex-wrap gap-1"
      >
        {DAYS.map((day, i) => (
          <ToggleGroup.Item
            key={day}
            value={String(i + 1)}
            className="button min-w-12 data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-paper"
          >
            {day}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </>
  );
}
