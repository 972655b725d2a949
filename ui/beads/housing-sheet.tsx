'use client';

import { fitCartridge } from '@/core/desiccant/fit-cartridge';
import { dryAirKgPerS } from '@/core/quantity/flow-basis';
import { spell } from '@/core/quantity/spell';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures } from '@/ui/primitives/figures';
import { Sheet } from '@/ui/primitives/sheet';
import { InUnits } from '@/ui/units/in-units';
import { Amount, useUnits } from '@/ui/units/units';
import { type Ask, dutyOf, FLOW_BASIS, type Query } from './query';

const MARKED = { unread: 'not inspected yet', yes: 'can be read', no: 'none to be read' } as const;
const RELIEF = { yes: 'there is one', no: 'none, or not known' } as const;
const SERIES = { 1: 'one', 2: 'two', 3: 'three', 4: 'four' } as const;

/** What the charge is put into: whether it bears the pressure, is filled right, and what several in a row gain. */
export function HousingSheet({ q, set, ask }: { q: Query; set: (change: Partial<Query>) => void; ask: Ask }) {
  const { say } = useUnits();
  const fit = fitCartridge(dutyOf(q), {
    ...(q.marked !== 'unread' && { ratedPa: q.marked === 'yes' ? q.rated : 0 }),
    cutOutPa: q.cutout,
    ...(q.relief === 'yes' && { reliefPa: q.opens }),
    ...(q.room > 0 && { volumeM3: q.room }),
    inSeries: Math.round(q.row),
    leakKgPerS: dryAirKgPerS(q.leak, FLOW_BASIS, 1),
    idleH: 24 - q.day / 3600,
  });
  const grave = fit.findings.some((f) => f.grave);
  const row = Math.round(q.row);
  return (
    <Sheet
      id="housing"
      label="The housing"
      title="Housing"
      asks="Housing"
      fields={
        <>
          <ChoiceInput
            id="marked"
            label="Pressure marked on it"
            value={q.marked}
            options={MARKED}
            onCommit={(marked) => set({ marked: marked as Query['marked'] })}
          />
          {q.marked === 'yes' && ask('rated', 'Marked', 'pressure')}
          {ask('cutout', 'Cut-out pressure', 'pressure')}
          <ChoiceInput
            id="relief"
            label="Relief valve before it"
            value={q.relief}
            options={RELIEF}
            onCommit={(relief) => set({ relief: relief as Query['relief'] })}
          />
          {q.relief === 'yes' && ask('opens', 'Opening pressure', 'pressure')}
          {ask('room', 'Room inside', 'volume', '0: not known.')}
          <ChoiceInput
            id="row"
            label="Cartridges in a row"
            value={String(row)}
            options={SERIES}
            onCommit={(n) => set({ row: Number(n) })}
          />
          {ask('leak', 'Leaks downstream', 'volumeFlow')}
        </>
      }
    >
      <p className={`font-semibold ${grave ? 'text-brick' : fit.findings.length > 0 ? 'text-amber' : 'text-water'}`}>
        {grave ? '▲ Not suitable' : fit.findings.length > 0 ? '◆ Check this first' : '● Fit for the line'}
      </p>
      {fit.findings.map((f) => (
        <p key={f.says}>
          <InUnits text={f.says} />
        </p>
      ))}
      <Figures
        rows={[
          ['Volume of the beads', <Amount key="n" si={fit.needsM3} quantity="volume" />],
          ...(fit.filled !== undefined && fit.mostKg !== undefined
            ? ([
                ['Filled', fit.filled > 10 ? 'far too small' : say(fit.filled, 'share')],
                ['Takes at most, half an inch free', <Amount key="m" si={fit.mostKg} quantity="mass" />],
              ] as const)
            : []),
          ...(row > 1
            ? ([
                [
                  'The first of the row lasts',
                  Number.isFinite(fit.leadHours) ? `${spell(fit.leadHours * 3600)} of air` : 'indefinitely',
                ],
              ] as const)
            : []),
          [
            `Leaks take in ${say((24 - q.day / 3600) * 3600, 'time')} of rest`,
            <Amount key="i" si={fit.idleKg} quantity="mass" />,
          ],
          ['Of a charge', say(Math.min(1, fit.idleShare), 'share')],
        ]}
      />
      <p>
        {row > 1
          ? 'The first is run until its own outlet is wet: the next one catches what passes. Then the next becomes the first, and a dry charge goes in behind. Valves and labels say which is which.'
          : 'Two in a row may be run to the end, the first while the next watches: about twice the work from the same beads.'}
      </p>
      <p className="text-[0.85rem] text-quiet">
        Arrow with the flow. Air passes down through loose beads, so that it never lifts them; where it rises, a screen
        holds them. A dust filter downstream. Closed in a tight line beads keep for weeks; a leak downstream of them
        draws wet air through all night. Open, they take a hundredth of their weight in half an hour.
      </p>
      <Cautions ids={['C06', 'C07', 'C04']} />
    </Sheet>
  );
}
