'use client';

import { Slider } from 'radix-ui';

/** A number to drag, beside the field in which it can be typed. */
export function Drag({
  label,
  value,
  min,
  max,
  step,
  says,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /** The value in words, where it is not read as a number. */
  says?: (value: number) => string;
  onChange: (v: number) => void;
}) {
  return (
    <Slider.Root
      className="relative flex h-[24px] touch-none items-center"
      value={[value]}
      min={min}
      max={max}
      step={step}
      onValueChange={([v]) => v !== undefined && onChange(Number(v.toFixed(4)))}
    >
      <Slider.Track className="relative h-1 flex-1 rounded-full bg-hairline">
        <Slider.Range className="absolute h-full rounded-full bg-water" />
      </Slider.Track>
      <Slider.Thumb
        aria-label={label}
        aria-valuetext={says?.(value)}
        className="relative block size-5 rounded-full border-2 border-water bg-card after:absolute after:-inset-[6px]"
      />
    </Slider.Root>
  );
}
