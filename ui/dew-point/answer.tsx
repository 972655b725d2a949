'use client';

import type { ReactNode } from 'react';
import { type MoistureReading, moistureAt } from '@/core/air/moisture';
import { explainMoisture, type MoistureFigure } from '@/core/line/explain-moisture';
import type { QuantityName } from '@/core/quantity/units';
import { OfBefore } from '@/ui/forms/of-before';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { Scrolls } from '@/ui/primitives/scrolls';
import { Amount, useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';
import { fractionOf, type Query, readingOf } from './query';

/** The same air told in every way: where it was read, where it is wanted, and let out into the room. */
export function Answer({ q, set }: { q: Query; set: (change: Partial<Query>) => void }) {
  const { say } = useUnits();
  const x = fractionOf(q);
  return (
    <section className="grid min-w-0 gap-3" aria-label="The same air elsewhere" aria-live="polite">
      <OfBefore />
      <div className="grid max-w-md grid-cols-2 items-start gap-3">
        <QuantityInput
          id="toPa"
          label="Wanted pressure"
          quantity="pressure"
          value={q.toPa}
          min={0.5e5}
          max={41e5}
          onCommit={(toPa) => {
            set({ toPa });
            return undefined;
          }}
        />
        <QuantityInput
          id="toC"
          label="Wanted air temperature"
          quantity="temperature"
          value={q.toC}
          min={-40}
          max={100}
          onCommit={(toC) => {
            set({ toC });
            return undefined;
          }}
        />
      </div>
      {typeof x === 'string' ? (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          {x}
        </p>
      ) : (
        <Comparison
          x={x}
          reading={readingOf(q)}
          columns={[
            ...(q.has === 'ppm' || q.has === 'atmosphericDewPoint'
              ? []
              : [{ title: 'Where it was read', pressurePa: q.atPa, temperatureC: q.atC }]),
            { title: 'Where you want it', pressurePa: q.toPa, temperatureC: q.toC },
            { title: 'Expanded into the room', pressurePa: q.air, temperatureC: q.toC },
          ]}
        />
      )}
      <p className="text-[0.85rem] text-quiet">
        Real moist air: saturation by Hyland &amp; Wexler 1983, enhancement factor by Greenspan 1976. Valid from{' '}
        {say(-100, 'temperature')} to {say(100, 'temperature')} and up to {say(41e5, 'pressure')}; dew points within ±
        {say(0.1, 'temperatureDifference')} of the sources of the equations, a meter within ±
        {say(2, 'temperatureDifference')}. Barometer {say(q.air, 'barometer')}.
      </p>
    </section>
  );
}

function Comparison({
  x,
  reading,
  columns,
}: {
  x: number;
  reading: MoistureReading;
  columns: readonly { title: string; pressurePa: number; temperatureC: number }[];
}) {
  const answers = columns.map((at) => moistureAt(x, at));
  const cell = (i: number, figure: MoistureFigure, quantity: QuantityName, factor = 1) => {
    const value = answers[i]?.[figure];
    const at = columns[i];
    return value === undefined || !at ? (
      <span className="text-quiet">outside its equations</span>
    ) : (
      <Why figure={() => explainMoisture(figure, reading, at)}>
        <Amount si={value * factor} quantity={quantity} />
      </Why>
    );
  };
  const below = answers.some((a) => (a.frostOrDewPointC ?? 0) < 0);
  const rows: [string, (i: number) => ReactNode][] = [
    ['Pressure', (i) => <Amount si={columns[i]?.pressurePa ?? 0} quantity="pressure" />],
    ['Air temperature', (i) => <Amount si={columns[i]?.temperatureC ?? 0} quantity="temperature" />],
    [
      below ? 'Dew point (frost point below freezing)' : 'Dew point',
      (i) => (
        <strong className="text-[1.05rem] text-deep sm:text-[1.25rem]">
          {cell(i, 'frostOrDewPointC', 'temperature')}
        </strong>
      ),
    ],
    ...(below
      ? [
          ['… over supercooled water', (i) => cell(i, 'dewPointOverWaterC', 'temperature')] as [
            string,
            (i: number) => ReactNode,
          ],
        ]
      : []),
    [
      'Relative humidity',
      (i) =>
        answers[i]?.condenses ? (
          <span className="font-semibold text-amber">◆ saturated, water condenses</span>
        ) : (
          cell(i, 'relativeHumidity', 'share')
        ),
    ],
    ['Water per volume there', (i) => cell(i, 'kgPerM3', 'waterContent')],
    ['Parts per million by volume', (i) => cell(i, 'ppmByVolume', 'fraction', 1e-6)],
    ['Water per dry air', (i) => cell(i, 'humidityRatio', 'humidityRatio')],
  ];
  return (
    <Scrolls label="Moisture in every unit" className="rounded-md border border-hairline bg-card">
      <table className="w-full max-sm:text-[0.88rem]">
        <thead>
          <tr className="align-bottom">
            <td />
            {columns.map((c) => (
              <th key={c.title} scope="col" className="px-1.5 py-2 text-right sm:px-3 font-semibold">
                {c.title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([label, value]) => (
            <tr key={label} className="border-t border-hairline">
              <th scope="row" className="px-2 py-2 text-left sm:px-3 font-normal text-quiet">
                {label}
              </th>
              {columns.map((c, i) => (
                <td key={c.title} className="px-1.5 py-2 text-right sm:px-3">
                  {value(i)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}
