'use client';

import { INDICATORS, type IndicatorName, provesDownToC } from '@/core/desiccant/indicators';
import { heldWater, OVEN_ROOM } from '@/core/desiccant/isotherm';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Cautions } from '@/ui/primitives/cautions';
import { Sheet } from '@/ui/primitives/sheet';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import type { Query } from './query';

const LABELS = Object.fromEntries(Object.entries(INDICATORS).map(([id, i]) => [id, i.label]));
/** What a screen shows of the colours; the word and the pattern say it too. */
const COLOURS: Record<IndicatorName, readonly [dry: string, turning: string, wet: string]> = {
  cobalt: ['#27408b', '#8a5fb0', '#e79ab8'],
  violet: ['#d9822b', '#8a6a35', '#2f5a3c'],
  iron: ['#c9862c', '#dcb87c', '#efe9dc'],
  other: ['#c9b38a', '#c9b38a', '#c9b38a'],
  none: ['#f3f1ea', '#d8d6cc', '#9fb1b5'],
};
const STATES = ['dry', 'turning', 'wet'] as const;

/** What a colour says, and what it does not. */
export function ColourSheet({ q, set }: { q: Query; set: (change: Partial<Query>) => void }) {
  const { say } = useUnits();
  const indicator = INDICATORS[q.dye];
  const [begins, ends] = indicator.turns;
  return (
    <Sheet
      id="colour"
      label="Indicator colour"
      title="Indicator colour"
      asks="Colour"
      fields={
        <ChoiceInput
          id="dye"
          label="Indicator"
          value={q.dye}
          options={LABELS}
          onCommit={(dye) => set({ dye: dye as IndicatorName })}
        />
      }
    >
      <ol className="flex max-w-lg gap-3" aria-label="From dry to wet">
        {STATES.map((state, i) => (
          <li key={state} className="flex-1">
            <svg
              viewBox="0 0 120 60"
              role="img"
              aria-label={`${state}: ${indicator.looks[i]}`}
              className="block w-full"
            >
              <defs>
                <pattern id={`bead-${state}`} width="14" height="14" patternUnits="userSpaceOnUse">
                  <circle cx="7" cy="7" r="6" fill={COLOURS[q.dye][i]} className="stroke-quiet" strokeWidth="0.700" />
                  {i > 0 && <path d="M3 3l8 8" className="stroke-ink" strokeWidth="1.200" />}
                  {i > 1 && <path d="M11 3l-8 8" className="stroke-ink" strokeWidth="1.200" />}
                </pattern>
              </defs>
              <rect width="120" height="60" rx="4" fill={`url(#bead-${state})`} className="stroke-hairline" />
            </svg>
            <p className="text-[0.9rem]">
              <strong>{state}</strong>: {indicator.looks[i]}
            </p>
            <p className="text-[0.85rem] text-quiet">
              {state === 'dry'
                ? `air round it under ${say(begins, 'share')}`
                : state === 'wet'
                  ? `over ${say(ends, 'share')}`
                  : `${say(begins, 'share')} to ${say(ends, 'share')}`}
            </p>
          </li>
        ))}
      </ol>
      <p>
        <strong>
          Dry in colour proves a pressure dew point below {say(provesDownToC(indicator, q.c), 'temperature')}
        </strong>{' '}
        with beads at {say(q.c, 'temperature')}, and nothing drier: it does not prove −40. Brown after oil, it says
        nothing at all.
      </p>
      <p>
        <InUnits text={indicator.note} />
      </p>
      <p className="text-[0.85rem] text-quiet">
        An opened bag takes water like a bed: left open in a room of {say(OVEN_ROOM.relativeHumidity, 'share')}, gel
        ends at {say(heldWater('silica', OVEN_ROOM.relativeHumidity), 'share')} of its weight in water, spent before it
        was used. Keep it in a tight tin with a humidity card, oldest first; look at the card after a year.
      </p>
      <Cautions ids={indicator.cautions} />
    </Sheet>
  );
}
