'use client';

import { NOMINAL } from '@/core/pipe-flow/pipes';
import type { CompressorType } from '@/core/sizing/size-compressor';
import { asker, bounded } from '@/ui/forms/ask';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { useQuestion } from '@/ui/forms/use-question';
import { Cautions } from '@/ui/primitives/cautions';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';
import { BOUNDS, type Query, STATE, sizesOf } from './query';

const TYPES: Readonly<Record<CompressorType, string>> = {
  piston1: 'piston, one stage',
  piston2: 'piston, two stages',
  screw: 'screw, oil-flooded',
  oilfree: 'oil-free screw or scroll',
};

/** Sizes of everything but the dryer, each with what one size down and one up would change. */
export function SizesView() {
  const [typed, set] = useQuestion(STATE);
  const q = bounded(typed, BOUNDS);
  const ask = asker(q, BOUNDS, set);
  return (
    <div className="mx-auto grid max-w-[1180px] gap-6 p-4">
      <div>
        <h1>Sizes</h1>
        <p className="text-quiet">
          Compressor, receiver, cooler, separator, filters, pipe, regulator and hose, at sea level. The dryers have a
          page of their own.
        </p>
      </div>
      <section aria-label="Sizes" className="grid items-start gap-6 lg:grid-cols-[21rem_minmax(0,1fr)]">
        <form
          className="grid grid-cols-2 items-end gap-3 rounded-md border border-hairline bg-card p-4"
          onSubmit={(e) => e.preventDefault()}
          aria-label="Jobs and air"
        >
          <h2 className="col-span-full">Jobs</h2>
          {ask('avg', 'Average use', 'volumeFlow')}
          {ask('peak', 'Peak use', 'volumeFlow')}
          {ask('lasts', 'The peak lasts', 'duration')}
          {ask('leak', 'Leaks', 'share')}
          {ask('growth', 'Growth', 'share')}
          {ask('tool', 'One tool draws', 'volumeFlow')}
          {ask('at', 'Pressure at it', 'pressureDifference')}
          {ask('hose', 'Hose', 'length')}
          <h2 className="col-span-full">Compressor and air</h2>
          <div className="col-span-full">
            <ChoiceInput
              id="type"
              label="Compressor"
              value={q.type}
              options={TYPES}
              onCommit={(type) => set({ type: type as Query['type'] })}
            />
          </div>
          {ask('in', 'Cuts in at', 'pressureDifference')}
          {ask('out', 'Cuts out at', 'pressureDifference')}
          {ask('c', 'Intake, warm day', 'temperature')}
          {ask('rh', 'its humidity', 'share')}
          {ask('room', 'Room, hottest', 'temperature')}
          {ask('main', 'Main pipe', 'length')}
          <div className="col-span-full">
            <ChoiceInput
              id="follows"
              label="What follows the cooler"
              value={q.follows}
              options={{ refrigerated: 'refrigerated dryer', desiccant: 'desiccant or membrane' }}
              onCommit={(follows) => set({ follows: follows as Query['follows'] })}
            />
          </div>
        </form>
        <div className="grid min-w-0 gap-4" aria-live="polite">
          <SizesTable q={q} />
          <Cautions ids={['C40', 'C01', 'C04', 'C09']} />
        </div>
      </section>
    </div>
  );
}

interface Row {
  readonly what: string;
  readonly size: string;
  readonly why: string;
  readonly down: string;
  readonly up: string;
  readonly wrong?: boolean;
}

function useRows(q: Query): Row[] {
  const { say, number } = useUnits();
  const s = sizesOf(q);
  const hp = (motor: number): string => number(motor, motor % 1 === 0 ? 0 : 1);
  const flow = (m3PerS: number): string => say(m3PerS, 'volumeFlow');
  const largest = 'the largest made';
  const smallest = 'the smallest made';
  const { compressor: c, receiver: r, cooler, separator, main, regulator, hose } = s;
  const motor = (at: typeof c.beside.up, none: string): string =>
    at ? `${hp(at.hp)} hp: loaded ${say(at.loadedShare, 'share')}` : none;
  const tank = (at: typeof r.beside.up, none: string): string =>
    at ? `${say(at.volumeM3, 'volume')}: ${number(at.startsPerHour, 0)} starts an hour` : none;
  const approach = (at: typeof cooler.beside.up, none: string): string =>
    at ? `${say(at.approachK, 'temperatureDifference')}: out at ${say(at.outletC, 'temperature')}` : none;
  const cyclone = (at: typeof separator.beside.up, none: string): string =>
    at ? `${flow(at.ratedM3PerS)}: catches ${say(at.catchesShare, 'share')}` : none;
  const pipe = (at: typeof main.beside.up, none: string): string =>
    at
      ? `${NOMINAL[at.size]}: ${say(at.velocityMPerS, 'speed')}, ${Number.isFinite(at.lossPa) ? say(at.lossPa, 'pressureDifference') : 'chokes'}`
      : none;
  const through = (at: typeof hose.beside.up, none: string): string =>
    at
      ? `${say(at.boreM, 'size')}: ${Number.isFinite(at.lossPa) ? `loses ${say(at.lossPa, 'pressureDifference')}` : 'chokes'}`
      : none;
  return [
    {
      what: 'Compressor',
      size: `${hp(c.hp)} hp`,
      why: `${flow(c.neededM3PerS)} needed by the ${c.by === 'peak' ? 'peak, the tank left out' : 'average'}; loaded ${say(c.loadedShare, 'share')} of the time`,
      down: motor(c.beside.down, smallest),
      up: motor(c.beside.up, largest),
      wrong: !c.fits,
    },
    {
      what: 'Receiver',
      size: say(r.volumeM3, 'volume'),
      why: `${say(r.byStartsM3, 'volume')} for ${number(q.starts, 0)} starts an hour, ${say(r.byBurstM3, 'volume')} for the peak`,
      down: tank(r.beside.down, smallest),
      up: tank(r.beside.up, largest),
      wrong: !r.fits,
    },
    {
      what: 'Aftercooler',
      size: `approach ${say(cooler.approachK, 'temperatureDifference')}`,
      why: `out at ${say(cooler.outletC, 'temperature')}; ${say(cooler.condensesKgPerS, 'waterFlow')} of water; ${number(cooler.heatW / 1000, undefined, 2)} kW, wind ${flow(cooler.windM3PerS)}`,
      down: approach(cooler.beside.down, smallest),
      up: approach(cooler.beside.up, largest),
      wrong: !cooler.fits,
    },
    {
      what: 'Separator',
      size: flow(separator.ratedM3PerS),
      why: `${say(separator.loadShare, 'share')} of its rating; drain ${separator.drain === 'manual' ? 'by hand' : separator.drain === 'float' ? 'with a float' : 'level-sensing'}, ${say(separator.drainKgPerS, 'waterFlow')}`,
      down: cyclone(separator.beside.down, smallest),
      up: cyclone(separator.beside.up, largest),
    },
    {
      what: 'Filters',
      size: flow(s.filterM3PerS),
      why: `${flow(s.passesM3PerS)} pass at cut-in; the plate is for 7 bar`.replace(
        '7 bar',
        say(7e5, 'pressureDifference'),
      ),
      down: 'oil is carried through',
      up: 'less pressure lost, dearer element',
    },
    {
      what: 'Main pipe',
      size: NOMINAL[main.size],
      why: `${say(main.velocityMPerS, 'speed')}, loses ${say(main.lossPa, 'pressureDifference')}; aluminium`,
      down: pipe(main.beside.down, smallest),
      up: pipe(main.beside.up, largest),
      wrong: !main.fits,
    },
    {
      what: 'Regulator',
      size: `${NOMINAL[regulator.port]}`,
      why: `used to ${say(regulator.usedShare, 'share')} of what it chokes at`,
      down: regulator.beside.down ? `${NOMINAL[regulator.beside.down.port]}: more droop` : smallest,
      up: regulator.beside.up ? `${NOMINAL[regulator.beside.up.port]}: less droop` : largest,
    },
    {
      what: 'Hose to the tool',
      size: `${say(hose.boreM, 'size')} bore`,
      why: Number.isFinite(hose.lossPa) ? `loses ${say(hose.lossPa, 'pressureDifference')}` : 'chokes',
      down: through(hose.beside.down, smallest),
      up: through(hose.beside.up, largest),
      wrong: !hose.fits,
    },
  ];
}

function SizesTable({ q }: { q: Query }) {
  const rows = useRows(q);
  return (
    <Scrolls label="Sizes of each part">
      <table className="w-full max-sm:text-[0.85rem]">
        <thead>
          <tr className="eyebrow">
            <th scope="col" className="pb-1 text-left">
              Part
            </th>
            <th scope="col" className="px-2 pb-1 text-left">
              Size
            </th>
            <th scope="col" className="px-2 pb-1 text-left">
              One size down
            </th>
            <th scope="col" className="pb-1 pl-2 text-left">
              One size up
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.what} className="border-t border-hairline align-top">
              <th scope="row" className="py-2 pr-2 text-left font-normal">
                {r.what}
              </th>
              <td className="px-2 py-2">
                <span className={`font-semibold ${r.wrong ? 'text-brick' : ''}`}>
                  {r.wrong && '▲ more than '}
                  {r.size}
                </span>
                <span className="block text-[0.85rem] text-quiet">{r.why}</span>
              </td>
              <td className="px-2 py-2 text-quiet">{r.down}</td>
              <td className="py-2 pl-2 text-quiet">{r.up}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}
