'use client';

import { Popover } from 'radix-ui';
import { type KeyboardEvent, type ReactNode, type RefObject, type SVGProps, useRef, useState } from 'react';
import { explain, type Figure, type StationFigure } from '@/core/line/explain';
import { COVERAGE, type Derivation } from '@/core/quantity/derivation';
import { usePlan } from '@/ui/plan/plan-provider';
import { InUnits } from '@/ui/units/in-units';
import { Amount, useUnits } from '@/ui/units/units';

const asks = (event: KeyboardEvent): boolean => ['?', 'Enter', ' '].includes(event.key);

/** Keeps a key from what else listens to it: the page’s shortcuts. */
function swallow(event: KeyboardEvent): void {
  event.preventDefault();
  event.stopPropagation();
  event.nativeEvent.stopImmediatePropagation();
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
    <p>Not calculated: an upstream stage has an error. See the message on the line.</p>
  );
}

/** A figure that answers “why?”: click it, or focus it and press `?`. */
export function Why({ figure, children, className }: { figure: Questioned; children: ReactNode; className?: string }) {
  const [open, setOpen] = useState(false); // the answer is made only while it is open
  const anchor = useRef<HTMLButtonElement>(null);
  return (
    <>
      <button
        ref={anchor}
        type="button"
        aria-haspopup="dialog"
        aria-expanded={open}
        className={`decoration-edge decoration-dotted underline-offset-4 hover:underline ${className ?? ''}`}
        onKeyDown={(e) => {
          if (!asks(e)) return;
          swallow(e);
          setOpen(true);
        }}
        onClick={() => setOpen(true)}
        title="Why?"
      >
        {children}
      </button>
      {open && <Answer figure={figure} anchor={anchor} setOpen={setOpen} />}
    </>
  );
}

/** A number of a drawing, by whose it is and what it tells. */
export type DrawnFigure = StationFigure | 'purity';

/**
 * A drawing whose numbers ({@link figureText}) answer “why?”. It listens for all of them: there are hundreds, and they move with
 * every keystroke.
 */
export function WhyDrawing({
  figureOf = (stageId, name) => ({ stageId, name: name as StationFigure }),
  label,
  children,
  ...svg
}: {
  figureOf?: ((stageId: string, name: DrawnFigure) => Questioned) | undefined;
  label: string;
} & SVGProps<SVGSVGElement>) {
  const [asked, ask] = useState<{ figure: Questioned; anchor: RefObject<Element | null> }>();
  const open = (target: EventTarget): boolean => {
    const text = (target as Element).closest<SVGTextElement>('text[data-figure]');
    if (!text) return false;
    const { stageId = '', figure } = text.dataset;
    ask({ figure: figureOf(stageId, figure as DrawnFigure), anchor: { current: text } });
    return true;
  };
  return (
    <>
      <svg
        {...svg}
        role="group"
        aria-label={label}
        onClick={(e) => open(e.target)}
        onKeyDown={(e) => asks(e) && open(e.target) && swallow(e)}
      >
        {children}
      </svg>
      {asked && <Answer {...asked} setOpen={() => ask(undefined)} />}
    </>
  );
}

/**
 * A number in a {@link WhyDrawing}. Its name is the number; what describes it stays the same while one types. A function, not
 * a component: there are hundreds, and nearly all change with every keystroke.
 */
export function figureText({
  stageId,
  name,
  label,
  className,
  ...text
}: { stageId: string; name: DrawnFigure; label: string } & SVGProps<SVGTextElement>): ReactNode {
  return (
    <text
      key={`${name} ${stageId}`}
      {...text}
      data-figure={name}
      data-stage-id={stageId}
      role="button"
      tabIndex={0}
      aria-description={label}
      aria-haspopup="dialog"
      className={`cursor-help hover:underline ${className ?? ''}`}
    />
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
