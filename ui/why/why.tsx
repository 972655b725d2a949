'use client';

import { Popover } from 'radix-ui';
import { type KeyboardEvent, type ReactNode, type RefObject, type SVGProps, useRef, useState } from 'react';
import { explain, type Figure } from '@/core/line/explain';
import { COVERAGE, type Derivation } from '@/core/quantity/derivation';
import { formatNumber } from '@/core/quantity/format';
import { usePlan } from '@/ui/plan/plan-provider';
import { Amount, useUnits } from '@/ui/units/units';

/** Whether a figure is being asked about. There are hundreds on a page: the answer is made only while it is open. */
function useWhy<E extends Element>() {
  const [open, setOpen] = useState(false);
  const anchor = useRef<E>(null);
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key !== '?' && event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    event.stopPropagation();
    event.nativeEvent.stopImmediatePropagation();
    setOpen(true);
  };
  return { open, setOpen, anchor, onKeyDown, onClick: () => setOpen(true) };
}

/** A figure of the line on screen, or anything that can say how it came about. */
type Questioned = Figure | (() => Derivation | undefined);

function Answer({
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
    <p>The walk stops before this figure: see the message on the line.</p>
  );
}

/** A figure that answers “why?”: click it, or focus it and press `?`. */
export function Why({ figure, children, className }: { figure: Questioned; children: ReactNode; className?: string }) {
  const { open, setOpen, anchor, onKeyDown, onClick } = useWhy<HTMLButtonElement>();
  return (
    <>
      <button
        ref={anchor}
        type="button"
        aria-haspopup="dialog"
        aria-expanded={open}
        className={`decoration-edge decoration-dotted underline-offset-4 hover:underline ${className ?? ''}`}
        onKeyDown={onKeyDown}
        onClick={onClick}
        title="Why?"
      >
        {children}
      </button>
      {open && <Answer figure={figure} anchor={anchor} setOpen={setOpen} />}
    </>
  );
}

/** The same for a number drawn in a lane of the section. */
export function WhyText({
  figure,
  label,
  children,
  ...text
}: { figure: Questioned; label: string } & SVGProps<SVGTextElement>) {
  const { open, setOpen, anchor, onKeyDown, onClick } = useWhy<SVGTextElement>();
  return (
    <>
      <text
        ref={anchor}
        {...text}
        role="button"
        tabIndex={0}
        aria-label={label}
        aria-haspopup="dialog"
        aria-expanded={open}
        className={`cursor-help hover:underline ${text.className ?? ''}`}
        onClick={onClick}
        onKeyDown={onKeyDown}
      >
        {children}
      </text>
      {open && <Answer figure={figure} anchor={anchor} setOpen={setOpen} />}
    </>
  );
}

function Explanation({ of: d }: { of: Derivation }) {
  const { say, choice } = useUnits();
  const span = d.band && d.band.high - d.band.low > 0 ? d.band : undefined;
  const tell = (x: number): string => (d.quantity === 'number' ? formatNumber(x) : say(x, d.quantity));
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
          {d.words ?? (d.quantity === 'number' ? formatNumber(d.value) : <Amount si={d.value} quantity={d.quantity} />)}
        </p>
        {span && (
          <p className="text-quiet">
            between {tell(span.low)} and {tell(span.high)}, 19 times in 20
          </p>
        )}
      </div>
      <div>
        <p className="eyebrow">Formula</p>
        <p>{d.formula}</p>
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
                  ? formatNumber(i.value, Math.abs(i.value) < 10 ? 4 : undefined)
                  : say(i.value, i.quantity)}
              </td>
              <td className="py-1 text-quiet">{i.from}</td>
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
      {d.note && <p>{d.note}</p>}
      <p className="text-[0.85rem] text-quiet">
        Source: {d.source}.
        {choice.temperature === 'F' && d.quantity === 'temperatureDifference' ? ' °F here is a difference.' : ''}
      </p>
    </div>
  );
}
