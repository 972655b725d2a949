'use client';

import { BED_MEDIA, type BedMediumName } from '@/core/desiccant/bed-media';
import { asker, bounded } from '@/ui/forms/ask';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { OfBefore } from '@/ui/forms/of-before';
import { useQuestion } from '@/ui/forms/use-question';
import { AtmosphereProvider } from '@/ui/units/units';
import { BedFilmView } from './bed-film-view';
import { BOUNDS, dutyOf, type Query, STATE } from './query';
import { useBed } from './use-bed';

const LABELS = Object.fromEntries(Object.entries(BED_MEDIA).map(([id, m]) => [id, m.label]));

/** What happens inside the beads: the front, the warmth, what leaves; a cartridge, or two towers that dry each other. */
export function BedView() {
  const [typed, set] = useQuestion(STATE);
  const q = bounded(typed, BOUNDS);
  const ask = asker(q, BOUNDS, set);
  const towers = q.of === 'towers';
  const duty = dutyOf(q);
  const { ran, problem, progress, stop, start } = useBed(
    towers
      ? { of: 'towers', duty: { ...duty, cycleS: q.cycle, purgeShare: q.purge, atmosphericPa: q.atm } }
      : { of: 'cartridge', duty, hours: q.hours / 3600 },
  );
  const shown = ran && (ran.towers !== undefined) === towers ? ran : undefined;
  return (
    <AtmosphereProvider atmosphericPa={q.atm}>
      <div className="mx-auto grid max-w-[1180px] gap-6 p-4">
        <div>
          <h1>Desiccant bed</h1>
          <p className="text-quiet">
            How the adsorption front, the temperature and the outlet dew point move through a desiccant bed.
          </p>
        </div>
        <div className="grid items-start gap-6 lg:grid-cols-[18rem_1fr]">
          <form
            className="grid grid-cols-2 items-end gap-3 rounded-md border border-hairline bg-card p-4 lg:grid-cols-1"
            onSubmit={(e) => e.preventDefault()}
            aria-label="Bed and air"
          >
            <ChoiceInput
              id="of"
              label="Bed of"
              value={q.of}
              options={{ cartridge: 'a cartridge', towers: 'two heatless towers' }}
              onCommit={(of) => set({ of: of as Query['of'] })}
            />
            <ChoiceInput
              id="first"
              label="First layer"
              value={q.first}
              options={LABELS}
              onCommit={(first) => set({ first: first as BedMediumName })}
            />
            {ask('kg', towers ? 'Mass in each tower' : 'Mass', 'mass')}
            <ChoiceInput
              id="second"
              label="Second layer"
              value={q.second}
              options={{ none: 'none', ...LABELS }}
              onCommit={(second) => set({ second: second as Query['second'] })}
            />
            {q.second !== 'none' && ask('secondkg', 'Mass of the second layer', 'mass')}
            {ask('bore', 'Bore', 'size')}
            {ask('flow', 'Air', 'volumeFlow', 'Standard: {1 bar} abs, {20 °C}, dry.')}
            {ask('c', 'Inlet air temperature', 'temperature')}
            {ask('pa', 'Pressure', 'pressure')}
            {ask('rh', 'Humidity in the line', 'share')}
            {ask('want', 'Dew point wanted', 'temperature')}
            {towers ? (
              <>
                {ask('cycle', 'Whole cycle', 'duration')}
                {ask('purge', 'Purge, of what enters', 'share')}
              </>
            ) : (
              <>
                {ask('hours', 'Air flows for', 'time')}
                <ChoiceInput
                  id="dried"
                  label="The beads are"
                  value={q.dried}
                  options={{ maker: 'new, from a sealed bag', oven: 'dried in an oven' }}
                  onCommit={(dried) => set({ dried: dried as Query['dried'] })}
                />
                {q.dried === 'oven' && ask('oven', 'Oven at', 'temperature')}
              </>
            )}
          </form>
          <div className="grid min-w-0 gap-4">
            <OfBefore />
            {progress !== undefined && (
              <div className="flex items-center gap-3" role="status">
                <progress value={progress} max={1} className="h-2 w-48 accent-(--water)" />
                <span className="text-quiet">{Math.round(progress * 100)} %</span>
                <button type="button" className="button" onClick={stop}>
                  Stop
                </button>
              </div>
            )}
            {problem && (
              <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
                {problem}
              </p>
            )}
            {!problem && shown && <BedFilmView key={`${q.of}`} ran={shown} q={q} />}
            {!problem && !shown && progress === undefined && (
              <button type="button" className="button justify-self-start" onClick={start}>
                Calculate
              </button>
            )}
            <p className="text-[0.85rem] text-quiet">
              Linear driving force with heat, cell by cell. Isotherms:{' '}
              {[q.first, ...(q.second === 'none' ? [] : [q.second as BedMediumName])]
                .map((m) => `${BED_MEDIA[m].label}, ${BED_MEDIA[m].source}`)
                .join('; ')}
              . The adsorption rate is an estimate. The bed loses no heat to the room, is evenly packed and gets steady
              air without drops or oil: practice uses about a third of that capacity.
            </p>
          </div>
        </div>
      </div>
    </AtmosphereProvider>
  );
}
