'use client';

import { familiesFor } from '@/core/sizing/families';
import { asker, bounded } from '@/ui/forms/ask';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { OfBefore } from '@/ui/forms/of-before';
import { useQuestion } from '@/ui/forms/use-question';
import { AtmosphereProvider } from '@/ui/units/units';
import { FamiliesTable } from './families-table';
import { FamilySheet } from './family-sheet';
import { BOUNDS, dutyOf, type Query, STATE } from './query';

/** All families of dryers for one duty, side by side, and the sheet of each. */
export function DryersView() {
  const [typed, set] = useQuestion(STATE);
  const q = bounded(typed, BOUNDS);
  const ask = asker(q, BOUNDS, set);
  const duty = dutyOf(q);
  return (
    <AtmosphereProvider atmosphericPa={q.atm}>
      <div className="mx-auto grid max-w-[1080px] gap-8 p-4">
        <div>
          <h1>Dryer selection</h1>
          <p className="text-quiet">Every type of dryer for the same air: dew point, air lost, cost a year.</p>
        </div>
        <section aria-label="Dryer types side by side" className="grid items-start gap-6 lg:grid-cols-[19rem_1fr]">
          <form
            className="grid grid-cols-2 items-end gap-3 rounded-md border border-hairline bg-card p-4 lg:grid-cols-1"
            onSubmit={(e) => e.preventDefault()}
            aria-label="Air and duty"
          >
            <h2 className="col-span-full">Air and duty</h2>
            {ask('flow', 'Peak air flow', 'volumeFlow', 'Standard: {1 bar} abs, {20 °C}, dry.')}
            {ask('load', 'Average load', 'share')}
            {ask('c', 'Inlet air temperature', 'temperature')}
            {ask('pa', 'Pressure', 'pressure')}
            {ask('rh', 'Humidity in the line', 'share', '100 % downstream of a cooler or separator.')}
            {ask('want', 'Pressure dew point wanted', 'temperature')}
            {ask('room', 'Room', 'temperature')}
            {ask('hot', 'Room on the hottest day', 'temperature')}
            {ask('cold', 'Room when it is coldest', 'temperature')}
            {ask('after', 'Coldest downstream pipe', 'temperature')}
            {ask('hours', 'Operating hours a year', 'time')}
            <ChoiceInput
              id="oilfree"
              label="Hot air of an oil-free compressor"
              value={q.oilfree}
              options={{ no: 'no', yes: 'yes, straight to the dryer' }}
              onCommit={(oilfree) => set({ oilfree: oilfree as Query['oilfree'] })}
            />
          </form>
          <div className="grid min-w-0 gap-6" aria-live="polite">
            <OfBefore />
            <FamiliesTable answers={familiesFor(duty)} look={q.look} onLook={(look) => set({ look })} />
            <FamilySheet q={q} set={set} ask={ask} duty={duty} />
          </div>
        </section>
      </div>
    </AtmosphereProvider>
  );
}
