'use client';

import { Popover } from 'radix-ui';
import type { RefObject } from 'react';
import { explain, type Figure } from '@/core/line/explain';
import { COVERAGE, type Derivation } from '@/core/quantity/derivation';
import { usePlan } from '@/ui/plan/plan-provider';
import { InUnits } from '@/ui/units/in-units';
import { Amount, useUnits } from '@/ui/units/units';

/** A figure of the line on screen, or anything that can say how it came about. */
export type Questioned = Figure | (() => Derivation | undefined);

/** How a figure came about, beside it. */
export function Answer({
  figure,
  anchor,
  setOpen,
}: {
  figure: Questioned;
  anchor: RefObject<Element | null>;
  setOpen: (open: boolean) => void;
}) {
  return (
    <Popover.Root open onOpenChange={setOpen}>
      <Popover.Anchor virtualRef={anchor as never} />
      <Popover.Portal>
        <Popover.Content
          className="floating z-50 max-h-(--radix-popover-content-available-height) w-[25rem] max-w-[94vw] overflow-auto p-4"
          sideOffset={8}
          collisionPadding={10}
          aria-label="Why this figure"
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            (anchor.current as HTMLElement | SVGElement | null)?.focus();
          }}
        >
          {typeof figure === 'function' ? <Answered by={figure()} /> : <OfTheLine figure={figure} />}
          <Popover.Arrow className="fill-card" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function OfTheLine({ figure }: { figure: Figure }) {
  const { plan, section } = usePlan();
  return <Answered by={explain(plan, section, figure)} />;
}

function Answered({ by: derivation }: { by: Derivation | undefined }) {
  return derivation ? (
    <Explanation of={derivation} />
  ) : (
    <p>Not calculated: an upstream stage has an error. See the message on the line.</p>
  );
}

function Explanation({ of: d }: { of: Derivation }) {
  const { say, choice, number } = useUnits();
  const span = d.band && d.band.high - d.band.low > 0 ? d.band : undefined;
  const tell = (x: number): string => (d.quantity === 'number' ? number(x) : say(x, d.quantity));
  const effect = (x: number): string =>
    d.quantity === 'temperature'
      ? say(x, 'temperatureDifference')
      : d.quantity === 'pressure' || d.quantity === 'barometer'
        ? say(x, 'pressureDifference')
        : tell(x);
  return (
    <div className="grid gap-3">
      <div>
        <p className="eyebrow">{d.title}</p>
        <p className="text-[1.5rem] font-semibold">
          {d.words ?? (d.quantity === 'number' ? number(d.value) : <Amount si={d.value} quantity={d.quantity} />)}
        </p>
        {span && (
          <p className="text-quiet">
            between {tell(span.low)} and {tell(span.high)}, 95 %
          </p>
        )}
      </div>
      <div>
        <p className="eyebrow">Formula</p>
        <p>
          <InUnits text={d.formula} />
        </p>
      </div>
      <table className="w-full">
        <caption className="eyebrow text-left">Inputs</caption>
        <tbody>
          {d.inputs.map((i) => (
            <tr key={`${i.label} ${i.value}`} className="border-t border-hairline align-top">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {i.label}
              </th>
              <td className="py-1 pr-2 text-right font-semibold whitespace-nowrap">
                {i.quantity === 'number'
                  ? number(i.value, Math.abs(i.value) < 10 ? 4 : undefined)
                  : say(i.value, i.quantity)}
              </td>
              <td className="py-1 text-quiet">
                <InUnits text={i.from} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {span && d.band && (
        <div>
          <p className="eyebrow">What could shift it</p>
          <ul>
            {d.band.drivers
              .filter((x) => x.effect > 0.02 * (d.band?.drivers[0]?.effect ?? 0))
              .slice(0, 5)
              .map((driver) => (
                <li key={driver.label} className="flex justify-between gap-3">
                  <span>{driver.label}</span>
                  <span className="whitespace-nowrap">± {effect(driver.effect * COVERAGE)}</span>
                </li>
              ))}
          </ul>
        </div>
      )}
      {d.note && (
        <p>
          <InUnits text={d.note} />
        </p>
      )}
      <p className="text-[0.85rem] text-quiet">
        Source: {d.source}.
        {choice.temperature === 'F' && d.quantity === 'temperatureDifference' ? ' °F here is a difference.' : ''}
      </p>
    </div>
  );
}
