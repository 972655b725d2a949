'use client';

import type { CompressorType } from '@/core/sizing/size-compressor';
import { asker, bounded } from '@/ui/forms/ask';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { OfBefore } from '@/ui/forms/of-before';
import { useQuestion } from '@/ui/forms/use-question';
import { Cautions } from '@/ui/primitives/cautions';
import { useUnits } from '@/ui/units/units';
import { BOUNDS, type Query, STATE } from './query';
import { rowsOf } from './rows';
import { SizesTable } from './sizes-table';

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
  const choose = (key: 'type' | 'shape' | 'follows' | 'madeFor', label: string, options: Record<string, string>) => (
    <ChoiceInput
      id={key}
      label={label}
      value={q[key]}
      options={options}
      onCommit={(value) => set({ [key]: value } as Partial<Query>)}
    />
  );
  const units = useUnits();
  return (
    <div className="mx-auto grid max-w-[1180px] gap-6 p-4">
      <div>
        <h1>Sizes</h1>
        <p className="text-quiet">
          Compressor, receiver, cooler, separator, filters, pipe, regulator, coupler and hose. The dryers have a page of
          their own. Flows are free air of sea level, as tools state them.
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
          {ask('tank', 'Tank for it, 0: none', 'volume')}
          {ask('leak', 'Leaks', 'share')}
          {ask('growth', 'Growth', 'share')}
          {ask('hours', 'Hours of air a week', 'time')}
          {ask('tool', 'One tool draws', 'volumeFlow')}
          {ask('at', 'Pressure at it', 'pressureDifference')}
          {ask('hose', 'Hose', 'length')}
          <h2 className="col-span-full">Compressor and air</h2>
          <div className="col-span-full">{choose('type', 'Compressor', TYPES)}</div>
          {ask('in', 'Cuts in at', 'pressureDifference')}
          {ask('out', 'Cuts out at', 'pressureDifference')}
          {ask('c', 'Intake, warm day', 'temperature')}
          {ask('rh', 'its humidity', 'share')}
          {ask('room', 'Room, hottest', 'temperature')}
          {ask('alt', 'Altitude', 'altitude')}
          {ask('main', q.shape === 'ring' ? 'Length of the ring' : 'Main pipe', 'length')}
          {choose('shape', 'The main is', { single: 'a single pipe', ring: 'a ring' })}
          <div className="col-span-full">
            {choose('follows', 'What follows the cooler', {
              refrigerated: 'refrigerated dryer',
              desiccant: 'desiccant or membrane',
            })}
          </div>
          <h2 className="col-span-full">A cooler that you have</h2>
          {ask('plate', 'It gives off, 0: none', 'power')}
          {ask('plateK', 'at a difference of', 'temperatureDifference')}
          <div className="col-span-full">
            {choose('madeFor', 'Its data are for', {
              oil: 'oil or water: half of it with air (estimate)',
              air: 'compressed air',
            })}
          </div>
        </form>
        <div className="grid min-w-0 gap-4" aria-live="polite">
          <OfBefore />
          <SizesTable rows={rowsOf(q, units)} />
          <Cautions ids={['C40', 'C01', 'C04', 'C09']} />
        </div>
      </section>
    </div>
  );
}
