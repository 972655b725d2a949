'use client';

import { Pause, Play } from 'lucide-react';
import { useEffect, useState } from 'react';
import { dryAirDensityKgPerM3 } from '@/core/quantity/flow-basis';
import { spell } from '@/core/quantity/spell';
import { liftsAtMPerS } from '@/core/sizing/bed-shape';
import { Drag } from '@/ui/forms/drag';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures, Headline } from '@/ui/primitives/figures';
import { Amount, useUnits } from '@/ui/units/units';
import type { BedRan } from '@/workers/bed.worker';
import { BedDrawing } from './bed-drawing';
import { OutletChart } from './outlet-chart';
import { dutyOf, type Query } from './query';

const FRAME_MS = 90;

/** A run, played or scrubbed: the bed as it stands, and what leaves it. */
export function BedFilmView({ ran, q }: { ran: BedRan; q: Query }) {
  const { say } = useUnits();
  const { film, towers } = ran;
  const frames = film.at.length;
  const lost = film.outC.findIndex((c, i) => i > 2 && c > q.want);
  const [at, setAt] = useState(lost > 0 && !towers ? lost : frames - 1);
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    if (!playing) return;
    const tick = setInterval(() => setAt((f) => (f + 1) % frames), FRAME_MS);
    return () => clearInterval(tick);
  }, [playing, frames]);
  const frame = Math.min(at, frames - 1);
  const seconds = film.at[frame] ?? 0;
  const ends = film.at.at(-1) ?? 0;
  const duty = dutyOf(q);
  const rises =
    duty.dryAirKgPerS / dryAirDensityKgPerM3(duty.inletPa, duty.inletC, 0) / ((Math.PI / 4) * duty.boreM ** 2);
  const lifts = liftsAtMPerS(dryAirDensityKgPerM3(duty.inletPa, duty.inletC, 0));
  const other = (frame + Math.floor(frames / 2)) % frames;
  const drying = seconds <= ends / 2 + 1;
  const sayS = (s: number): string => spell(Math.round(s / 60) * 60);
  const reached = towers?.reachedC.at(-1) ?? 0;
  return (
    <section aria-label="The bed" className="grid gap-4">
      {towers ? (
        <Headline then={towers.repeats ? `cycle after cycle, found after ${towers.cycles}` : 'and still changing'}>
          <span className={reached > q.want ? 'text-brick' : ''}>
            {reached > q.want && '▲ '}Dries to {say(reached, 'temperature')}
          </span>
        </Headline>
      ) : lost < 0 ? (
        <Headline then={`through all of ${sayS(ends)}`}>Stays under {say(q.want, 'temperature')}</Headline>
      ) : (
        <Headline then={`then wetter than ${say(q.want, 'temperature')}`}>
          {film.at[lost] === film.at[3]
            ? 'Never reaches the wanted dew point'
            : `${sayS(film.at[lost] ?? 0)} of dry air`}
        </Headline>
      )}
      {rises >= lifts && (
        <p className="text-brick">
          ▲ {say(rises, 'speed')} upward lifts these beads ({say(lifts, 'speed')}): they grind to dust. A wider bed, or
          less air.
        </p>
      )}
      {towers && reached > q.want && (
        <p>
          The purge must bring at least the feed’s own volume at the pressure of the room: in theory{' '}
          {say(Math.min(1, q.atm / duty.inletPa), 'share')} here, in practice a sixth more. Or: more beads, a shorter
          cycle.
        </p>
      )}
      <div className="grid gap-4 sm:grid-cols-2">
        <div className="flex gap-2">
          <BedDrawing
            film={film}
            frame={frame}
            name={towers ? (drying ? 'Tower 1: dries' : 'Tower 1: purged') : 'The bed'}
            purged={towers !== undefined && !drying}
          />
          {towers && (
            <BedDrawing
              film={film}
              frame={other}
              name={drying ? 'Tower 2: purged' : 'Tower 2: dries'}
              purged={drying}
            />
          )}
        </div>
        <div className="grid content-start gap-3">
          <div className="flex items-center gap-3">
            <button type="button" className="button min-w-24" onClick={() => setPlaying(!playing)}>
              {playing ? <Pause size={15} aria-hidden /> : <Play size={15} aria-hidden />} {playing ? 'Pause' : 'Play'}
            </button>
            <div className="flex-1">
              <Drag
                label="Time"
                value={frame}
                min={0}
                max={frames - 1}
                step={1}
                onChange={(f) => setAt(Math.round(f))}
              />
            </div>
          </div>
          <Figures
            rows={[
              [towers ? 'In the cycle' : 'Air flow time', towers ? `${Math.round(seconds)} s` : sayS(seconds)],
              ['Outlet dew point', <Amount key="o" si={film.outC[frame] ?? 0} quantity="temperature" />],
              [
                'Highest bed temperature',
                <Amount
                  key="w"
                  si={Math.max(...film.temperatureC.subarray(frame * film.cells, (frame + 1) * film.cells))}
                  quantity="temperature"
                />,
              ],
              ['Water in, total', <Amount key="c" si={film.water.came} quantity="mass" />],
              ...(towers ? [] : [['Adsorbed', <Amount key="s" si={film.water.stayed} quantity="mass" />] as const]),
              ['Bed height', <Amount key="h" si={film.cellM * film.cells} quantity="size" />],
            ]}
          />
        </div>
      </div>
      {towers ? (
        <OutletChart
          x={Array.from(towers.reachedC, (_, i) => i + 1)}
          outC={towers.reachedC}
          label="Dew point of the dried air, cycle after cycle"
          sayX={(n) => `cycle ${n}`}
          wantC={q.want}
        />
      ) : (
        <OutletChart x={film.at} outC={film.outC} label="Outlet dew point" sayX={sayS} wantC={q.want} at={seconds} />
      )}
      <Cautions ids={['C07', 'C24']} />
    </section>
  );
}
