'use client';

import { Trash2 } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { growthM, LOOP_EVERY_M, supportedAs, supportsOf } from '@/core/fitting/supports';
import {
  DIRECTIONS,
  type Direction,
  isUpright,
  LEAST_LEG_M,
  type Leg,
  MOST_FALL,
  MOST_LEG_M,
  measuresOf,
} from '@/core/piping/legs';
import { readLegs, writeLegs } from '@/core/piping/read-legs';
import type { Stage } from '@/core/plan/plan';
import { Field, tied } from '@/ui/forms/field';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { Figures } from '@/ui/primitives/figures';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';

/** From a cold morning to the warmest the air gets in a pipe: for its growth, K (estimate). */
const WARMER_K = 30;

/** The legs of one run: as one paces it out, or row by row. */
export function RunEditor({
  stage,
  places,
  onLegs,
}: {
  stage: Stage;
  places: readonly { id: string; name: string }[];
  onLegs: (legs: readonly Leg[] | undefined) => void;
}) {
  const { choice } = useUnits();
  const legs = stage.fit?.legs ?? [];
  const shown = writeLegs(legs, choice);
  const [typed, setTyped] = useState<string>();
  const [error, setError] = useState<string>();
  const take = (text: string): void => {
    setTyped(text);
    const read = readLegs(text, choice);
    setError(read.ok ? undefined : read.message);
    if (read.ok) onLegs(read.legs);
  };
  const change = (i: number, more: Partial<Leg>): void => {
    setTyped(undefined);
    setError(undefined);
    onLegs(legs.map((l, at) => (at === i ? cleaned({ ...l, ...more }) : l)));
  };
  return (
    <div className="grid gap-4">
      <Field
        id="run-text"
        label="The run, as you pace it out"
        help="For example: up {2.1 m}, along {6.4 m} falling 1 %, left {3 m}, down {1.8 m} drain. Along begins facing east; or say north, east, south, west."
        error={error}
      >
        <textarea
          {...tied('run-text', error, true)}
          className="control min-h-16"
          rows={2}
          value={typed ?? shown}
          onChange={(e) => take(e.target.value)}
          onBlur={() => !error && setTyped(undefined)}
        />
      </Field>
      {legs.length > 0 && (
        <>
          <Scrolls label="Legs of the run">
            <table className="w-full">
              <thead>
                <tr className="eyebrow text-left">
                  <th scope="col" className="pr-3 pb-1">
                    Leg
                  </th>
                  <th scope="col" className="pr-3 pb-1">
                    Goes
                  </th>
                  <th scope="col" className="pr-3 pb-1">
                    Length
                  </th>
                  <th scope="col" className="pr-3 pb-1">
                    Fall
                  </th>
                  <th scope="col" className="pr-3 pb-1">
                    Drain at its end
                  </th>
                  <th scope="col" className="pr-3 pb-1">
                    Passes through
                  </th>
                  <th scope="col">
                    <span className="sr-only">Remove</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {legs.map((leg, i) => (
                  <LegRow
                    // biome-ignore lint/suspicious/noArrayIndexKey: legs have no other name than their place
                    key={i}
                    {...{ leg, i, places }}
                    onChange={(more) => change(i, more)}
                    onRemove={() => {
                      setTyped(undefined);
                      onLegs(legs.length > 1 ? legs.toSpliced(i, 1) : undefined);
                    }}
                  />
                ))}
              </tbody>
            </table>
          </Scrolls>
          <p className="flex flex-wrap gap-2">
            <button
              type="button"
              className="button"
              onClick={() => {
                setTyped(undefined);
                onLegs([...legs, { to: 'east', lengthM: 1, fall: 0 }]);
              }}
            >
              Add a leg
            </button>
            <button type="button" className="button" onClick={() => onLegs(undefined)}>
              Remove the drawing, keep its numbers
            </button>
          </p>
          <RunFigures stage={stage} legs={legs} />
        </>
      )}
    </div>
  );
}

/** An upright leg has no fall. */
function cleaned(leg: Leg): Leg {
  const { drain, place, ...rest } = leg;
  return {
    ...rest,
    fall: isUpright(leg.to) ? 0 : leg.fall,
    ...(drain && { drain }),
    ...(place && { place }),
  };
}

function LegRow({
  leg,
  i,
  places,
  onChange,
  onRemove,
}: {
  leg: Leg;
  i: number;
  places: readonly { id: string; name: string }[];
  onChange: (more: Partial<Leg>) => void;
  onRemove: () => void;
}) {
  const label = (what: string): string => `${what} of leg ${i + 1}`;
  return (
    <tr className="border-t border-hairline align-top [&>td]:py-1.5 [&>td]:pr-3">
      <td className="font-semibold leading-9">{i + 1}</td>
      <td>
        <select
          className="control min-w-24"
          aria-label={label('Direction')}
          value={leg.to}
          onChange={(e) => onChange({ to: e.target.value as Direction })}
        >
          {Object.entries(DIRECTIONS).map(([to, d]) => (
            <option key={to} value={to}>
              {d.label}
            </option>
          ))}
        </select>
      </td>
      <td className="min-w-28">
        <Cell>
          <QuantityInput
            id={`leg-${i}-length`}
            label={label('Length')}
            quantity="length"
            value={leg.lengthM}
            min={LEAST_LEG_M}
            max={MOST_LEG_M}
            onCommit={(lengthM) => {
              onChange({ lengthM });
              return undefined;
            }}
          />
        </Cell>
      </td>
      <td className="min-w-28">
        {isUpright(leg.to) ? (
          <span className="leading-9 text-quiet">upright</span>
        ) : (
          <Cell>
            <QuantityInput
              id={`leg-${i}-fall`}
              label={label('Fall')}
              quantity="fall"
              value={leg.fall}
              min={-MOST_FALL}
              max={MOST_FALL}
              onCommit={(fall) => {
                onChange({ fall });
                return undefined;
              }}
            />
          </Cell>
        )}
      </td>
      <td className="leading-9">
        <input
          type="checkbox"
          className="size-[24px] align-middle"
          aria-label={label('Drain at the end')}
          checked={leg.drain === true}
          onChange={(e) => onChange({ drain: e.target.checked ? true : undefined })}
        />
      </td>
      <td>
        <select
          className="control min-w-32"
          aria-label={label('Place')}
          value={leg.place ?? ''}
          onChange={(e) => onChange({ place: e.target.value || undefined })}
        >
          <option value="">its own place</option>
          {places.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </td>
      <td>
        <button type="button" className="button px-2" aria-label={`Remove leg ${i + 1}`} onClick={onRemove}>
          <Trash2 size={15} aria-hidden />
        </button>
      </td>
    </tr>
  );
}

/** A field in a table: its column says what it is, its label is for those who hear it. */
function Cell({ children }: { children: ReactNode }) {
  return <div className="[&_label]:sr-only [&>div>div:first-child]:min-h-0">{children}</div>;
}

function RunFigures({ stage, legs }: { stage: Stage; legs: readonly Leg[] }) {
  const units = useUnits();
  const say = (m: number): string => units.say(m, 'length');
  const saySize = (m: number): string => units.say(m, 'size');
  const m = measuresOf(legs);
  const pipe = supportedAs(stage);
  const wet = m.undrained.map((i) => i + 1).join(', ');
  return (
    <Figures
      rows={[
        ['Length', say(m.lengthM)],
        ['Bends', m.bends],
        [m.riseM < 0 ? 'Ends lower by' : 'Ends higher by', say(Math.abs(m.riseM))],
        ['Low points without a drain', m.undrained.length === 0 ? 'none' : `▲ at the end of leg ${wet}`],
        ['Least fall of its level legs', m.leastFall >= 1 ? 'all upright' : `${(m.leastFall * 100).toFixed(1)} %`],
        ...(pipe
          ? ([
              ['Supports, at least', supportsOf(pipe.as, pipe.outsideM, legs)],
              [
                'Longest straight piece',
                `${say(m.longestM)}${m.longestM > LOOP_EVERY_M ? ' · ▲ give it a loop or a flexible piece' : ''}`,
              ],
              ['It grows, when warm, by', saySize(growthM(pipe.as, m.longestM, WARMER_K))],
            ] as const)
          : []),
      ]}
    />
  );
}
