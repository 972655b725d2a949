'use client';

import { SALT_PER_WATER } from '@/core/desiccant/salt';
import { waterLoadKgPerS } from '@/core/desiccant/size-cartridge';
import { DAY_S, FREE_AIR_KG_PER_M3 } from '@/core/quantity/constants';
import type { DryerDuty } from '@/core/sizing/dryer-duty';
import { MEMBRANE, PELLETS } from '@/core/sizing/families';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures, Headline } from '@/ui/primitives/figures';
import { InUnits } from '@/ui/units/in-units';
import { Amount, useUnits } from '@/ui/units/units';

/** Pellets of salt that dissolve: suppression, use, level, drain, end. */
export function PelletSheet({ duty }: { duty: DryerDuty }) {
  const { say } = useUnits();
  const dewPointC = duty.inletC - PELLETS.suppressionK;
  const water = waterLoadKgPerS(duty, dewPointC) * duty.load;
  const perDayS = Math.min(DAY_S, (duty.hoursPerYear / 365) * 3600);
  return (
    <section aria-label="Pellet tower" className="grid gap-3">
      <h2>Pellet tower</h2>
      <Headline then="below the air that comes in, whatever that is">
        {say(PELLETS.suppressionK, 'temperatureDifference')}
      </Headline>
      {duty.coldestAfterC < dewPointC && (
        <p className="text-amber">
          ◆ The pipe after it gets colder than its dew point: water condenses there again. Cool the air upstream, or
          choose another type.
        </p>
      )}
      <Figures
        rows={[
          ['Pressure dew point downstream of it', <Amount key="d" si={dewPointC} quantity="temperature" />],
          ['Water it takes out, a day', <Amount key="w" si={water * perDayS} quantity="mass" />],
          ['Pellets it uses, a day', <Amount key="p" si={water * perDayS * SALT_PER_WATER} quantity="mass" />],
          [
            'Pellets it uses, a year',
            <Amount key="y" si={water * duty.hoursPerYear * 3600 * SALT_PER_WATER} quantity="mass" />,
          ],
          ['Brine to drain, a day', <Amount key="b" si={water * perDayS * (1 + SALT_PER_WATER)} quantity="mass" />],
        ]}
      />
      <ul className="list-disc pl-5">
        <li>Upright, air in at the side below, drops caught upstream of it.</li>
        <li>Level once a month: top up under half to three quarters, to its mark, never tamped.</li>
        <li>Drain each day; every hour in a humid summer, also on days of little use.</li>
        <li>
          Signs of the end: crystals in what drains, the dew point follows the inlet, or far less salt used than water
          says: it bridges.
        </li>
      </ul>
      <p className="text-[0.85rem] text-quiet">
        Suppression of usual salt; other salts reach more. Salt used: 0.3 to 1 for each kilogram of water (estimate).
        Over {say(PELLETS.hottestC, 'temperature')} pellets fuse.
      </p>
      <Cautions ids={['C25', 'C36', 'C07']} />
    </section>
  );
}

/** Fibres and a sweep: what a small branch pays for having no moving parts. */
export function MembraneSheet({ duty }: { duty: DryerDuty }) {
  const { say } = useUnits();
  const sweep = duty.dryAirKgPerS * MEMBRANE.sweep;
  return (
    <section aria-label="Membrane" className="grid gap-3">
      <h2>Membrane</h2>
      <Headline
        then={`of the rated flow; ${say(Math.min(1, MEMBRANE.sweep / duty.load), 'share')} of what passes on average`}
      >
        Sweeps {say(MEMBRANE.sweep, 'share')}
      </Headline>
      {duty.load < 0.3 && (
        <p className="text-amber">
          ◆ Under 30 % of its rating most of a fixed sweep is wasted: a smaller one, or a valve that stops the sweep.
        </p>
      )}
      <Figures
        rows={[
          [
            'Dew point downstream of it, by a usual one',
            <Amount key="d" si={duty.inletC - MEMBRANE.suppressionK} quantity="temperature" />,
          ],
          ['Left for the tools at full flow', say(1 - MEMBRANE.sweep, 'share')],
          [
            'Air lost in a year',
            `${Math.round((sweep / FREE_AIR_KG_PER_M3) * duty.hoursPerYear * 3600).toLocaleString('en')} m³`,
          ],
        ]}
      />
      <ul className="list-disc pl-5">
        <li>Upstream: 1 µm, then 0.01 µm with working drains. Oil ruins the fibres permanently.</li>
        <li>More flow, or less pressure, and the dew point rises: keep it under its plate.</li>
        <li>Every half year: dew point at flow, pressure drop, and whether the sweep’s hole is open.</li>
      </ul>
      <p className="text-[0.85rem] text-quiet">
        There is no generic table: its maker’s, of dew point against flow, decides. Sweep 10–25 %, suppression{' '}
        <InUnits text="{19.4 K} to {55.6 K}, here the middle." />
      </p>
      <Cautions ids={['C31', 'C07']} />
    </section>
  );
}
