'use client';

import { type Batch, dryBatch, LAYER_MOST_M, suitsBatch } from '@/core/desiccant/dry-batch';
import { MEDIA, type Medium } from '@/core/desiccant/isotherm';
import { spell } from '@/core/quantity/spell';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Cautions } from '@/ui/primitives/cautions';
import { Scrolls } from '@/ui/primitives/scrolls';
import { Sheet } from '@/ui/primitives/sheet';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { DryingTimer } from './drying-timer';
import type { Ask, Query } from './query';
import { QuotedTable } from './quoted-table';

const YES_NO = { no: 'no', yes: 'yes' } as const;
const TRAY = { clean: 'clean beads', oily: 'beads brown or smelling of oil', pellets: 'salt pellets' } as const;

/** What an oven leaves in a spent charge, and what it does to it. */
export function BatchSheet({ q, set, ask }: { q: Query; set: (change: Partial<Query>) => void; ask: Ask }) {
  const batch: Batch = {
    medium: q.medium,
    dyed: q.dyed === 'yes' && q.medium === 'silica',
    oily: q.tray === 'oily',
    pellets: q.tray === 'pellets',
    dryKg: q.kg,
    loaded: q.loaded,
    layerM: q.layer,
  };
  const suits = suitsBatch(batch);
  const result = dryBatch(batch, q.oven, q.hours / 3600);
  return (
    <Sheet
      id="dry"
      label="Drying a charge"
      title="Dry an exhausted charge"
      asks="Batch and oven"
      fields={
        <>
          {q.medium === 'silica' && (
            <ChoiceInput
              id="dyed"
              label="Some beads change colour"
              value={q.dyed}
              options={YES_NO}
              onCommit={(dyed) => set({ dyed: dyed as Query['dyed'] })}
            />
          )}
          <ChoiceInput
            id="tray"
            label="In the tray are"
            value={q.tray}
            options={TRAY}
            onCommit={(tray) => set({ tray: tray as Query['tray'] })}
          />
          {ask('loaded', 'Water in them, of their dry weight', 'share', 'Weigh it: (wet − dry) ÷ dry.')}
          {ask('layer', 'Layer on the tray', 'size')}
          {ask('oven', 'Oven at', 'temperature')}
          {ask('hours', 'For', 'time')}
        </>
      }
    >
      {result.refused ? (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          <InUnits text={result.refused} />
        </p>
      ) : (
        <Outcome q={q} set={set} result={result} suits={suits} />
      )}
      {q.tray === 'clean' && <WaysTable q={q} batch={batch} />}
      {q.tray === 'clean' && <QuotedTable batch={batch} />}
      {!result.refused && <DryingTimer batch={batch} hours={q.hours / 3600} />}
      <p className="text-[0.85rem] text-quiet">
        The end point is found by weight: less than 0.5 % lost in half an hour. Cool it in a sealed dry tin; open, it
        takes back a hundredth in half an hour. An oven or dehydrator of its own, never one for food. Times are an order
        of magnitude, from the heat that air gives a tray; the maker’s sheet of the beads wins.
      </p>
      <Cautions ids={['C22', ...(batch.oily ? ['C26'] : []), ...(batch.dyed ? ['C23'] : []), 'C24']} />
    </Sheet>
  );
}

/** What the oven leaves, and a way to set what suits. */
function Outcome({
  q,
  set,
  result,
  suits,
}: {
  q: Query;
  set: (change: Partial<Query>) => void;
  result: ReturnType<typeof dryBatch>;
  suits: ReturnType<typeof suitsBatch>;
}) {
  const { say } = useUnits();
  return (
    <div>
      <p className="text-[1.6rem] font-bold leading-tight">
        Leaves {say(result.leaves, 'share')} of water{' '}
        <span className="text-[1.05rem] font-normal text-quiet">
          in {MEDIA[q.medium as Medium]}; {say((q.loaded - result.leaves) * q.kg, 'mass')} driven off
        </span>
      </p>
      {result.ruins && (
        <p className="font-semibold text-brick">
          ▲ <InUnits text={result.ruins} />
        </p>
      )}
      <p>{result.says}</p>
      {(q.oven !== suits.ovenC || q.hours !== suits.hours * 3600) && (
        <button
          type="button"
          className="button mt-1"
          onClick={() => set({ oven: suits.ovenC, hours: suits.hours * 3600 })}
        >
          Set what suits: {say(suits.ovenC, 'temperature')}, {spell(suits.hours * 3600)}
        </button>
      )}
      {q.layer > LAYER_MOST_M && (
        <p className="text-amber">◆ Thicker than {say(LAYER_MOST_M, 'size')}: the bottom stays wet. Spread it.</p>
      )}
    </div>
  );
}

/** The oven as it is set beside the one that suits these beads. */
function WaysTable({ q, batch }: { q: Query; batch: Batch }) {
  const { say } = useUnits();
  const suits = suitsBatch(batch);
  const ways = [
    { name: 'As set here', ovenC: q.oven, hours: q.hours / 3600 },
    { name: 'Suits these beads', ...suits },
  ].map((way) => ({ ...way, result: dryBatch(batch, way.ovenC, way.hours) }));
  return (
    <Scrolls label="Ways to dry the charge">
      <table className="w-full max-w-2xl max-sm:text-[0.85rem]">
        <thead>
          <tr className="eyebrow">
            <td />
            {['Oven', 'Time', 'Leaves', 'About needs'].map((h) => (
              <th key={h} scope="col" className={`px-2 pb-1 text-right ${h === 'About needs' ? 'max-sm:hidden' : ''}`}>
                {h}
              </th>
            ))}
            <td />
          </tr>
        </thead>
        <tbody>
          {ways.map((way) => (
            <tr key={`${way.name}${way.ovenC}`} className="border-t border-hairline">
              <th scope="row" className="py-1.5 pr-2 text-left font-normal">
                {way.name}
              </th>
              <td className="px-2 text-right whitespace-nowrap">{say(way.ovenC, 'temperature')}</td>
              <td className="px-2 text-right whitespace-nowrap">{spell(way.hours * 3600)}</td>
              <td className="px-2 text-right font-semibold whitespace-nowrap">
                {way.result.refused ? '–' : say(way.result.leaves, 'share')}
              </td>
              <td className="px-2 text-right whitespace-nowrap max-sm:hidden">
                {way.result.refused ? '–' : spell(Math.round(way.result.hoursNeeded * 4) * 900)}
              </td>
              <td className="pl-2 text-[0.88rem] whitespace-nowrap">
                {way.result.refused ? (
                  <span className="text-brick">▲ useless</span>
                ) : way.result.ruins ? (
                  <span className="text-brick">▲ ruins it</span>
                ) : way.ovenC < suits.leastC - 0.5 ? (
                  <span className="text-amber">◆ in part</span>
                ) : (
                  <span className="text-water">● fit</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}
