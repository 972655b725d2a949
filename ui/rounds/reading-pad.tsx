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
  const { quantity, units, unitId, setUnit, text, setText, step, expected, drains, since, problem } = point;
  return (
    <div className="grid gap-3">
      <div className="flex items-end gap-3">
        {/* The pad below is for thumbs; a keyboard types here, and none pops up on a screen. */}
        <input
          id="reading"
          inputMode="none"
          autoComplete="off"
          aria-label={READINGS[of].label}
          aria-describedby={problem ? 'reading-error' : undefined}
          aria-invalid={problem ? true : undefined}
          className="w-36 min-w-0 border-b-4 border-copper bg-transparent text-right text-[2.6rem] leading-none font-semibold"
          placeholder="–"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
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
