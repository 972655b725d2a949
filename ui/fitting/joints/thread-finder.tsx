'use client';

import { useId, useState } from 'react';
import { type End, endInWords } from '@/core/piping/ends';
import { type MeasuredThread, perInchOf, threadsLike } from '@/core/piping/identify';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';

/** Crests in a length, as a gauge or a rule shows them. */
const PER_INCH = [28, 27, 20, 19, 18, 16, 14, 12, 11.5, 11];

/** Which thread is this? By a caliper and a pitch gauge. */
export function ThreadFinder({
  onEnd,
}: {
  /** Takes a thread as that of a thing in hand; nothing where there is none. */
  onEnd?: (end: End) => void;
}) {
  const { say } = useUnits();
  const id = useId();
  const [measured, setMeasured] = useState<MeasuredThread>({ gender: 'male', diameterM: 0.0208, perInch: 14 });
  const found = threadsLike(measured);
  return (
    <section aria-label="Which thread is this?" className="grid gap-3 rounded-md border border-hairline bg-card p-4">
      <h2>Which thread is this?</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <ChoiceInput
          id={`${id}-half`}
          label="It is"
          value={measured.gender}
          options={{ male: 'a male thread', female: 'a female thread' }}
          onCommit={(gender) => setMeasured((m) => ({ ...m, gender: gender as MeasuredThread['gender'] }))}
        />
        <QuantityInput
          id={`${id}-diameter`}
          label={measured.gender === 'male' ? 'Outside, over the crests' : 'Inside, across its mouth'}
          quantity="size"
          value={measured.diameterM}
          min={0.004}
          max={0.08}
          onCommit={(diameterM) => {
            setMeasured((m) => ({ ...m, diameterM }));
            return undefined;
          }}
        />
        <div className="sm:col-span-2">
          <ChoiceInput
            id={`${id}-pitch`}
            label="Pitch"
            value={String(measured.perInch)}
            options={Object.fromEntries(
              PER_INCH.map((n) => [String(n), `${n} an inch · ${perInchOf(n).toFixed(2)} mm`]),
            )}
            help="With a pitch gauge, or count crests along a rule."
            onCommit={(n) => setMeasured((m) => ({ ...m, perInch: Number(n) }))}
          />
        </div>
      </div>
      {found.length === 0 ? (
        <p className="text-quiet">
          No thread of the tables is near that. Measure again over the largest crests, with a clean thread.
        </p>
      ) : (
        <Scrolls label="Threads that it may be">
          <table className="w-full">
            <thead>
              <tr className="eyebrow text-left">
                <th scope="col" className="pb-1">
                  It may be
                </th>
                <th scope="col" className="pb-1">
                  Diameter is off by
                </th>
                <th scope="col" className="pb-1">
                  Screws on and leaks
                </th>
              </tr>
            </thead>
            <tbody>
              {found.map(({ end, offM, confusable }) => (
                <tr key={endInWords(end)} className="border-t border-hairline align-top [&>td]:py-1.5 [&>td]:pr-3">
                  <td className="font-semibold">
                    {endInWords(end)}
                    {onEnd && (
                      <button type="button" className="button mt-1 block font-normal" onClick={() => onEnd(end)}>
                        It is this one
                      </button>
                    )}
                  </td>
                  <td>{say(Math.abs(offM), 'size')}</td>
                  <td className="text-amber">
                    {confusable.map(endInWords).join('; ') || <span className="text-quiet">nothing common</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Scrolls>
      )}
    </section>
  );
}
