'use client';

import { Slider } from 'radix-ui';

/** A number to drag, beside the field in which it can be typed. */
export function Drag({
  label,
  value,
  min,
  max,
  step,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange: (v: number) => void;
}) {
  return (
    <Slider.Root
      className="relative flex h-6 touch-none items-center"
      value={[value]}
      min={min}
      max={max}
      step={step}
      onValueChange={([v]) => v !== undefined && onChange(Number(v.toFixed(4)))}
    >
      <Slider.Track className="relative h-1 flex-1 rounded-full bg-hairline">
        <Slider.Range className="absolute h-full rounded-full bg-water" />
      </Slider.Track>
      <Slider.Thumb aria-label={label} className="block size-5 rounded-full border-2 border-water bg-card" />
    </Slider.Root>
  );
}
