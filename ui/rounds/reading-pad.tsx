'use client';

import { APPEARANCES } from '@/core/log/drain-entry';
import { READINGS, type ReadingName } from '@/core/log/readings';
import { AppearanceChoice } from '@/ui/logbook/appearance-input';
import { useUnits } from '@/ui/units/units';
import { sayTime } from '@/ui/units/when';
import { NumberPad } from './number-pad';
import type { usePoint } from './use-point';

/** The number that is asked for: its unit, what is expected, and large keys. */
export function ReadingPad({ of, point }: { of: ReadingName; point: ReturnType<typeof usePoint> }) {
  const { say } = useUnits();
  const { quantity, units, unitId, setUnit, text, setText, step, expected, drains, since } = point;
  return (
    <div className="grid gap-3">
      <div className="flex items-end gap-3">
        <output
          className="min-w-32 border-b-4 border-copper text-right text-[2.6rem] leading-none font-semibold"
          aria-label={READINGS[of].label}
        >
          {text || '–'}
        </output>
        <div className="flex gap-1.5" role="radiogroup" aria-label="Unit">
          {units.map((u) => (
            <button
              key={u.id}
              type="button"
              role="radio"
              aria-checked={u.id === unitId}
              className={`button min-h-12 ${u.id === unitId ? 'border-ink bg-ink text-paper' : ''}`}
              onClick={() => setUnit(u.id)}
            >
              {u.symbol}
            </button>
          ))}
        </div>
      </div>
      <p className="text-quiet">
        {step.of > 1 && `${step.at} of ${step.of}: `}
        {READINGS[of].label.toLowerCase()}
        {expected && (
          <>
            , expected{drains && ` since ${sayTime(since)}`}:{' '}
            <strong className="text-ink">
              {say(expected.low, quantity)} to {say(expected.high, quantity)}
            </strong>
          </>
        )}
      </p>
      {drains && <AppearanceChoice value={point.looks} onValue={point.setLooks} options={APPEARANCES} />}
      <NumberPad text={text} onText={setText} signed={quantity === 'temperature'} />
    </div>
  );
}
