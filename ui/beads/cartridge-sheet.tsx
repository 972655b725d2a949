'use client';

import type { BedMediumName } from '@/core/desiccant/bed-media';
import { MEDIA, type Medium } from '@/core/desiccant/isotherm';
import { sparesOf } from '@/core/desiccant/judge-charge';
import { sizeCartridge, type Worth } from '@/core/desiccant/size-cartridge';
import { spell } from '@/core/quantity/spell';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures } from '@/ui/primitives/figures';
import { Link } from '@/ui/primitives/link';
import { Sheet } from '@/ui/primitives/sheet';
import { InUnits } from '@/ui/units/in-units';
import { Amount, useUnits } from '@/ui/units/units';
import { type Ask, dutyOf, type Query } from './query';

/** The beads of the bed’s screen. */
const BED_OF: Record<Medium, BedMediumName> = { silica: 'gel', alumina: 'alumina', sieve: '4A' };
const WORTH: Record<Worth, { mark: string; word: string; look: string }> = {
  good: { mark: '●', word: 'Suitable for desiccant', look: 'text-water' },
  dear: { mark: '◆', word: 'Works, but costly', look: 'text-amber' },
  hopeless: { mark: '▲', word: 'Not recommended', look: 'text-brick' },
};

/** A cartridge sized within a minute, and told honestly. */
export function CartridgeSheet({ q, set, ask }: { q: Query; set: (change: Partial<Query>) => void; ask: Ask }) {
  const { say, number } = useUnits();
  const hoursInWords = (hours: number): string =>
    hours > 5000 ? 'more than 5000 h' : hours < 1 ? spell(hours * 3600) : `${number(hours, undefined, 2)} h`;
  const size = sizeCartridge(dutyOf(q));
  const worth = WORTH[size.worth];
  const perDay = q.day / 3600;
  const spares = sparesOf(size.hours, perDay);
  return (
    <Sheet
      id="size"
      label="Desiccant charge and air"
      title="Desiccant and air"
      asks="Desiccant and air"
      fields={
        <>
          <ChoiceInput
            id="medium"
            label="Beads"
            value={q.medium}
            options={MEDIA}
            onCommit={(medium) => set({ medium: medium as Medium })}
          />
          {ask('kg', 'Dry beads', 'mass')}
          {ask('flow', 'Air flow through it', 'volumeFlow', 'Standard: {1 bar} abs, {20 °C}, dry.')}
          {ask('day', 'Flow hours in a working day', 'time')}
          {ask('c', 'Inlet air temperature', 'temperature')}
          {ask('pa', 'Pressure', 'pressure')}
          {ask('rh', 'Humidity in the line', 'share', '100 % downstream of a cooler or separator.')}
        </>
      }
    >
      <div>
        <p className={`font-semibold ${worth.look}`}>
          {worth.mark} {worth.word}
        </p>
        <p className="text-[1.6rem] font-bold leading-tight">
          Exhausted after {hoursInWords(size.hours)} of air
          {Number.isFinite(size.days) && (
            <span className="text-[1.05rem] font-normal text-quiet">
              {' '}
              {size.days < 1
                ? 'within a working day'
                : size.days > 500
                  ? 'years of work'
                  : `${Math.floor(size.days)} working ${Math.floor(size.days) === 1 ? 'day' : 'days'}`}
            </span>
          )}
        </p>
        <p>{size.because}</p>
        {size.warnings.map((w) => (
          <p key={w} className="text-amber">
            ◆ {w}
          </p>
        ))}
      </div>
      {size.upstream.length > 0 && (
        <table className="w-full max-w-lg">
          <caption className="eyebrow pb-1 text-left">The same charge, if upstream</caption>
          <tbody>
            {size.upstream.map((u) => (
              <tr key={u.says} className="border-t border-hairline">
                <th scope="row" className="py-1.5 text-left font-normal">
                  <InUnits text={u.says} />
                </th>
                <td className="py-1.5 pl-3 text-right font-semibold whitespace-nowrap">{hoursInWords(u.hours)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Figures
        rows={[
          ['Water adsorbed', <Amount key="w" si={size.waterKgPerS} quantity="waterFlow" />],
          ['Capacity of the charge', <Amount key="h" si={size.holdsKg} quantity="mass" />],
          [
            `Beads that last five days of ${say(perDay * 3600, 'time')}`,
            <Amount key="m" si={size.weekKg} quantity="mass" />,
          ],
          ['Dry charges in stock, sealed', spares > 20 ? 'more than 20' : String(spares)],
          ['Contact time', `${number(size.contactS, undefined, 2)} s`],
        ]}
      />
      <p>
        <Link
          href={`/bed?${new URLSearchParams({ first: BED_OF[q.medium], kg: String(q.kg), flow: String(q.flow), c: String(q.c), pa: String(q.pa), rh: String(q.rh), atm: String(q.atm) })}`}
          className="text-water underline underline-offset-4"
        >
          Open in Desiccant bed
        </Link>
      </p>
      <p className="text-[0.85rem] text-quiet">
        Mass of beads × capacity ÷ water of the air down to −40. The capacity of beads is a typical value: half to
        double is common. Colour proves air only as dry as the dye’s own turning point, far from −40. Beads shed dust: a
        dust filter belongs downstream of them.
      </p>
      <Cautions ids={['C07', 'C21', 'C24']} />
    </Sheet>
  );
}
