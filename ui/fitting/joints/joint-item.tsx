'use client';

import { useState } from 'react';
import { type Joint, keyOfChain } from '@/core/fitting/joints';
import { boreOfEndM, END_FAMILIES, sizeInWords } from '@/core/piping/ends';
import type { Fit } from '@/core/plan/fit-fields';
import type { Stage } from '@/core/plan/plan';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { useUnits } from '@/ui/units/units';
import { ChainRow } from './chain-row';
import { EndChoice } from './end-choice';

/** One joint: its row of parts, why these, what else would do, and what is on the things in hand. */
export function JointItem({
  joint,
  stage,
  before,
  canTube,
  onFit,
}: {
  joint: Joint;
  stage: Stage;
  /** The stage whose outlet it is, where it is one. */
  before: Stage | undefined;
  /** Whether a tube may lead to it: neither side is pipe or hose. */
  canTube: boolean;
  onFit: (stageId: string, fit: Fit) => void;
}) {
  const { say } = useUnits();
  // A line has many joints: what changes one is drawn when it is wanted.
  const [open, setOpen] = useState(false);
  const { sides, chosen, chains, trap, at } = joint;
  const [a, b] = sides;
  const leastBoreM = stage.fit?.leastBoreM ?? Math.min(boreOfEndM(a.end), boreOfEndM(b.end));
  const best = chains.ok ? chains.best : [];
  const wanted = stage.fit?.chains?.[at];
  // Chosen for the whole line, it need not be among the best of this joint.
  const isBeside = chosen && keyOfChain(chosen) === wanted && !best.some((c) => keyOfChain(c) === wanted);
  const options = isBeside ? [...best, chosen] : best;
  const pick = (key: string): void => onFit(stage.id, { ...stage.fit, chains: { ...stage.fit?.chains, [at]: key } });
  return (
    <li
      className={`grid gap-2 border-l-4 py-3 pl-3 ${chosen ? (trap ? 'border-amber' : 'border-hairline') : 'border-brick'}`}
    >
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2>
          {a.name} <span className="font-normal text-quiet">to</span> {b.name}
        </h2>
        <p className="text-[0.85rem] text-quiet">
          air {say(joint.temperatureC, 'temperature')}, up to {say(joint.gaugePa, 'pressureDifference')} gauge
        </p>
      </div>
      {trap && (
        <p className="text-amber">
          <strong>▲ Looks as if it fits, and leaks.</strong> {trap} {chosen && 'The part below goes between.'}
        </p>
      )}
      <ChainRow joint={joint} />
      {chains.ok && chosen ? (
        <p className="text-[0.88rem] text-quiet">
          {chosen.joints === 1 ? 'The two meet without a part.' : `${chosen.joints} joints that can leak`}
          {chosen.joints > 1 && `, narrowest ${say(chosen.boreM, 'size')}, about ${say(chosen.lengthM, 'size')} long.`}
          {joint.union && ' A union, as both things stand and nothing between them comes apart.'}
        </p>
      ) : (
        !chains.ok && (
          <p role="alert" className="text-brick">
            ▲ {chains.why}
          </p>
        )
      )}
      <details onToggle={(e) => setOpen(e.currentTarget.open)}>
        <summary className="cursor-pointer py-1 text-water underline underline-offset-4">Change ends or parts</summary>
        {open && (
          <div className="mt-2 grid gap-3">
            {at === 'in' && b.stageId && (
              <EndChoice
                label={`${b.name}, inlet`}
                end={b.end}
                said={b.said}
                onEnd={(e) => onFit(stage.id, without('in', stage.fit, e))}
              />
            )}
            {before && (
              <EndChoice
                label={`${before.name}, outlet`}
                end={a.end}
                said={a.said}
                onEnd={(e) => onFit(before.id, without('out', before.fit, e))}
              />
            )}
            {canTube && (
              <label className="grid max-w-xs gap-1">
                <span className="font-medium text-[0.88rem]">Between the two</span>
                <select
                  className="control"
                  value={stage.fit?.tube ?? ''}
                  onChange={(e) => onFit(stage.id, without('tube', stage.fit, e.target.value || undefined))}
                >
                  <option value="">what is usual there</option>
                  <option value="close">screwed together, no tube</option>
                  {END_FAMILIES.compression.sizes.map((s) => (
                    <option key={s} value={s}>
                      {sizeInWords(s)} tube
                    </option>
                  ))}
                </select>
              </label>
            )}
            <div className="flex max-w-md flex-wrap items-end gap-2">
              <QuantityInput
                id={`bore-${joint.id}`}
                label="No part narrower than"
                quantity="size"
                value={leastBoreM}
                min={0.002}
                max={0.3}
                tag={stage.fit?.leastBoreM === undefined ? 'the narrower end' : 'as you said'}
                onCommit={(m) => {
                  onFit(stage.id, { ...stage.fit, leastBoreM: m });
                  return undefined;
                }}
              />
              {stage.fit?.leastBoreM !== undefined && (
                <button
                  type="button"
                  className="button"
                  onClick={() => onFit(stage.id, without('leastBoreM', stage.fit, undefined))}
                >
                  As the ends are
                </button>
              )}
            </div>
            {options.length > 1 && (
              <fieldset className="grid gap-1">
                <legend className="mb-1 font-medium text-[0.88rem]">
                  Parts that would do: fewest joints, then price, then bore
                </legend>
                {options.map((c, i) => {
                  const key = keyOfChain(c);
                  return (
                    <label key={key} className="flex min-h-7 items-start gap-2">
                      <input
                        type="radio"
                        className="size-6 shrink-0"
                        name={`chain ${joint.id}`}
                        checked={
                          stage.fit?.chains?.[at] === key ||
                          (i === 0 && !options.some((o) => keyOfChain(o) === stage.fit?.chains?.[at]))
                        }
                        onChange={() => pick(key)}
                      />
                      <span>
                        {c.parts.map((p) => p.label).join(' + ')}{' '}
                        <span className="text-quiet">
                          · {c.joints} joints · {say(c.boreM, 'size')}
                        </span>
                      </span>
                    </label>
                  );
                })}
              </fieldset>
            )}
          </div>
        )}
      </details>
    </li>
  );
}

function without<K extends keyof Fit>(field: K, fit: Fit | undefined, value: Fit[K] | undefined): Fit {
  const { [field]: _, ...rest } = fit ?? {};
  return (value === undefined ? rest : { ...rest, [field]: value }) as Fit;
}
