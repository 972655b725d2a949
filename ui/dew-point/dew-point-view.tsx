'use client';

import { parseAsFloat, parseAsStringLiteral, useQueryStates } from 'nuqs';
import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import type { Convention } from '@/core/air/dew-point';
import { type MoistureReading, moistureAt, vapourFractionOf } from '@/core/air/moisture';
import { OutOfRange } from '@/core/air/out-of-range';
import type { QuantityName } from '@/core/quantity/units';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { Amount, AtmosphereProvider, useUnits } from '@/ui/units/units';

const KINDS = {
  relativeHumidity: 'relative humidity in the line',
  pressureDewPoint: 'pressure dew point',
  atmosphericDewPoint: 'atmospheric dew point',
  density: 'water per cubic metre',
  ppm: 'parts per million by volume',
} as const;
type KindId = keyof typeof KINDS;
const KIND_IDS = Object.keys(KINDS) as KindId[];
const CONVENTIONS = { frost: 'frost point, over ice', water: 'dew point over supercooled water' } as const;

const STATE = {
  has: parseAsStringLiteral(KIND_IDS).withDefault('relativeHumidity'),
  rh: parseAsFloat.withDefault(0.024),
  dp: parseAsFloat.withDefault(3),
  adp: parseAsFloat.withDefault(-20),
  gm3: parseAsFloat.withDefault(0.005),
  ppm: parseAsFloat.withDefault(500e-6),
  below: parseAsStringLiteral(['frost', 'water'] as const).withDefault('frost'),
  atC: parseAsFloat.withDefault(21),
  atPa: parseAsFloat.withDefault(SEA_LEVEL_PA + 3.45e5),
  toC: parseAsFloat.withDefault(21),
  toPa: parseAsFloat.withDefault(SEA_LEVEL_PA + 7.24e5),
  air: parseAsFloat.withDefault(SEA_LEVEL_PA),
};

/** Any one way of telling moisture turned into all the others, at any pressure. The address bar holds the question. */
export function DewPointView() {
  const [q, setQ] = useQueryStates(STATE);
  const air = Math.min(108000, Math.max(55000, q.air));
  return (
    <AtmosphereProvider atmosphericPa={air}>
      <div className="mx-auto grid max-w-[1080px] items-start gap-6 p-4 lg:grid-cols-[22rem_1fr]">
        <div className="lg:col-span-2">
          <h1>Dew point answer</h1>
          <p className="text-quiet">
            “2.4 % here at 50 psi: what is it at 105?” Type what your meter says and where; read it in every other way.
          </p>
        </div>
        <Question q={q} set={(change) => void setQ(change)} />
        <Answer q={{ ...q, air }} />
      </div>
    </AtmosphereProvider>
  );
}

type Query = { [K in keyof typeof STATE]: (typeof STATE)[K]['defaultValue'] };

function Question({ q, set }: { q: Query; set: (change: Partial<Query>) => void }) {
  const input = (
    key: 'rh' | 'dp' | 'adp' | 'gm3' | 'ppm' | 'atC' | 'atPa' | 'air',
    label: string,
    quantity: QuantityName,
    min: number,
    max: number,
  ) => (
    <QuantityInput
      key={key}
      id={key}
      label={label}
      quantity={quantity}
      value={q[key]}
      min={min}
      max={max}
      onCommit={(v) => {
        set({ [key]: v });
        return undefined;
      }}
    />
  );
  const dewKind = q.has === 'pressureDewPoint' || q.has === 'atmosphericDewPoint';
  const lowest = q.below === 'water' ? -50 : -100;
  return (
    <form
      className="grid gap-3 rounded-md border border-hairline bg-card p-4"
      onSubmit={(e) => e.preventDefault()}
      aria-label="What you have"
    >
      <h2>What you have</h2>
      <ChoiceInput
        id="has"
        label="The reading is"
        value={q.has}
        options={KINDS}
        onCommit={(v) => set({ has: v as KindId })}
      />
      {q.has === 'relativeHumidity' && input('rh', 'Relative humidity', 'share', 0.00001, 1)}
      {q.has === 'pressureDewPoint' && input('dp', 'Pressure dew point', 'temperature', lowest, 100)}
      {q.has === 'atmosphericDewPoint' && input('adp', 'Atmospheric dew point', 'temperature', lowest, 99)}
      {q.has === 'density' && input('gm3', 'Water content', 'waterContent', 1e-9, 0.5)}
      {q.has === 'ppm' && input('ppm', 'Water, on dry air', 'fraction', 1e-9, 0.5)}
      {dewKind && (
        <ChoiceInput
          id="below"
          label="Below freezing the meter shows"
          value={q.below}
          options={CONVENTIONS}
          onCommit={(v) => set({ below: v as Convention })}
          help="Most meters report frost point."
        />
      )}
      {q.has !== 'ppm' &&
        q.has !== 'atmosphericDewPoint' &&
        input('atPa', 'Pressure where it was read', 'pressure', 0.5e5, 41e5)}
      {(q.has === 'relativeHumidity' || q.has === 'density') &&
        input('atC', 'Air temperature where it was read', 'temperature', -40, 100)}
      {input('air', 'Barometer', 'barometer', 55000, 108000)}
    </form>
  );
}

function readingOf(q: Query): MoistureReading {
  const at = { temperatureC: q.atC, pressurePa: q.atPa };
  switch (q.has) {
    case 'relativeHumidity':
      return { kind: 'relativeHumidity', relativeHumidity: q.rh, at };
    case 'pressureDewPoint':
      return { kind: 'pressureDewPoint', dewPointC: q.dp, convention: q.below, at };
    case 'atmosphericDewPoint':
      return { kind: 'atmosphericDewPoint', dewPointC: q.adp, convention: q.below, atmosphericPa: q.air };
    case 'density':
      return { kind: 'density', kgPerM3: q.gm3, at };
    default:
      return { kind: 'ppm', ppmByVolume: q.ppm * 1e6 };
  }
}

function fractionOf(q: Query): number | string {
  try {
    const x = vapourFractionOf(readingOf(q));
    return x > 0 && x < 0.9 ? x : 'That would be more water than air. Check the reading and where it was taken.';
  } catch (error) {
    if (error instanceof OutOfRange) return error.message;
    throw error;
  }
}

function Answer({ q }: { q: Query }) {
  const { say } = useUnits();
  const [, setQ] = useQueryStates(STATE);
  const x = fractionOf(q);
  return (
    <section className="grid min-w-0 gap-3" aria-label="The same air elsewhere" aria-live="polite">
      <div className="grid max-w-md grid-cols-2 items-start gap-3">
        <QuantityInput
          id="toPa"
          label="What is it at"
          quantity="pressure"
          value={q.toPa}
          min={0.5e5}
          max={41e5}
          onCommit={(toPa) => {
            void setQ({ toPa });
            return undefined;
          }}
        />
        <QuantityInput
          id="toC"
          label="and air temperature"
          quantity="temperature"
          value={q.toC}
          min={-40}
          max={100}
          onCommit={(toC) => {
            void setQ({ toC });
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
          columns={[
            ...(q.has === 'ppm' || q.has === 'atmosphericDewPoint'
              ? []
              : [{ title: 'Where it was read', pressurePa: q.atPa, temperatureC: q.atC }]),
            { title: 'Where you want it', pressurePa: q.toPa, temperatureC: q.toC },
            { title: 'Let out into the room', pressurePa: q.air, temperatureC: q.toC },
          ]}
        />
      )}
      <p className="text-[0.85rem] text-quiet">
        Real moist air: saturation by Hyland &amp; Wexler 1983, enhancement factor by Greenspan 1976. Good for −100…+100
        °C and 0.5…41 bar absolute; dew points within ±0.1 K of the equations’ sources, far better than a meter’s ±2 K.
        Barometer {say(q.air, 'barometer')}.
      </p>
    </section>
  );
}

function Comparison({
  x,
  columns,
}: {
  x: number;
  columns: readonly { title: string; pressurePa: number; temperatureC: number }[];
}) {
  const answers = columns.map((at) => moistureAt(x, at));
  const cell = (value: number | undefined, quantity: QuantityName) =>
    value === undefined ? (
      <span className="text-quiet">outside its equations</span>
    ) : (
      <Amount si={value} quantity={quantity} />
    );
  const below = answers.some((a) => (a.frostOrDewPointC ?? 0) < 0);
  const rows: [string, (i: number) => React.ReactNode][] = [
    ['Pressure', (i) => <Amount si={columns[i]?.pressurePa ?? 0} quantity="pressure" />],
    ['Air temperature', (i) => <Amount si={columns[i]?.temperatureC ?? 0} quantity="temperature" />],
    [
      below ? 'Dew point (frost point below 0 °C)' : 'Dew point',
      (i) => <strong className="text-[1.25rem] text-deep">{cell(answers[i]?.frostOrDewPointC, 'temperature')}</strong>,
    ],
    ...(below
      ? [
          ['… over supercooled water', (i) => cell(answers[i]?.dewPointOverWaterC, 'temperature')] as [
            string,
            (i: number) => React.ReactNode,
          ],
        ]
      : []),
    [
      'Relative humidity',
      (i) =>
        answers[i]?.condenses ? (
          <span className="font-semibold text-amber">◆ saturated, drops fall out</span>
        ) : (
          cell(answers[i]?.relativeHumidity, 'share')
        ),
    ],
    ['Water per volume there', (i) => cell(answers[i]?.kgPerM3, 'waterContent')],
    ['Parts per million by volume', (i) => cell((answers[i]?.ppmByVolume ?? 0) / 1e6, 'fraction')],
    [
      'Water per dry air',
      (i) => (
        <span className="whitespace-nowrap">
          {((answers[i]?.humidityRatio ?? 0) * 1000).toPrecision(3)} <span className="unit">g/kg</span>
        </span>
      ),
    ],
  ];
  return (
    <div className="overflow-x-auto rounded-md border border-hairline bg-card">
      <table className="w-full min-w-[30rem]">
        <thead>
          <tr className="align-bottom">
            <td />
            {columns.map((c) => (
              <th key={c.title} scope="col" className="px-3 py-2 text-right font-semibold">
                {c.title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([label, value]) => (
            <tr key={label} className="border-t border-hairline">
              <th scope="row" className="px-3 py-2 text-left font-normal text-quiet">
                {label}
              </th>
              {columns.map((c, i) => (
                <td key={c.title} className="px-3 py-2 text-right">
                  {value(i)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
