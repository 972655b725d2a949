'use client';

import { spell } from '@/core/quantity/spell';
import type { DryerDuty } from '@/core/sizing/dryer-duty';
import { DISCHARGE_C, HEATED, HEATS_TO_C, type Heated, LEAST_KWH_PER_KG, sizeHeated } from '@/core/sizing/size-heated';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures, Headline } from '@/ui/primitives/figures';
import { InUnits } from '@/ui/units/in-units';
import { Amount, useUnits } from '@/ui/units/units';
import { kW } from './query';

const ABOUT: Record<Heated, string> = {
  'heated-purge-tower': 'A small share of dried air, heated, dries the tower at rest.',
  'blower-purge-tower':
    'Room air, blown and heated, dries the tower at rest. Cooled with room air it bumps, worst in a humid room; a sweep of dried air keeps that small.',
  'split-flow-tower':
    'A share of the air takes a side way through heater and resting tower, and joins the rest: no air is lost, some pressure is.',
  'heat-of-compression-tower':
    'All hot air of an oil-free compressor dries the tower at rest before it is cooled. Its dew point floats with discharge and room; at low load it gets too cool to dry well.',
};
const CHECKS = [
  'Valves: a tower that does not come to pressure before the switch, or a hiss at rest, leaks air across.',
  'Silencer: over {0.2 bar} in the tower at rest while it purges is a silencer full of dust.',
  'Exhaust at the end of heating: it should have risen well over {100 °C}; if it never does, the bed stays wet.',
] as const;

/** A pair of towers that heat dries. */
export function HeatedSheet({ kind, duty }: { kind: Heated; duty: DryerDuty }) {
  const { say, number } = useUnits();
  const s = sizeHeated(kind, duty);
  const hot = kind === 'heat-of-compression-tower';
  if (!(s.waterKg > 0))
    return (
      <section aria-label="Heated towers">
        <h2>Twin tower, {HEATED[kind].toLowerCase()}</h2>
        <p>The air is as dry already as these towers leave it: there is no water for them to take.</p>
      </section>
    );
  return (
    <section aria-label="Heated towers" className="grid gap-3">
      <h2>Twin tower, {HEATED[kind].toLowerCase()}</h2>
      <Headline then={`for a kilogram of water; the water alone asks ${number(LEAST_KWH_PER_KG, 2)} kWh`}>
        {number(s.kWhPerKg, undefined, 2)} kWh
      </Headline>
      <p>{ABOUT[kind]}</p>
      <Figures
        rows={[
          ...(hot
            ? ([['Controls and cooling fan, on average', kW(s.averageW, number)]] as const)
            : ([
                ['Heater, while it runs', kW(s.heaterW, number)],
                ['On average over the cycle', kW(s.averageW, number)],
              ] as const)),
          [
            'Air that heats the bed, at about',
            <Amount key="t" si={hot ? DISCHARGE_C : HEATS_TO_C} quantity="temperature" />,
          ],
          ['Air let go, of the rated flow', say(s.purgeShare, 'share')],
          ['Each tower dries for', spell(s.halfH * 3600)],
          ['It is heated for', spell(Math.round(s.heatingH * 60) * 60)],
          ['It is cooled for', spell(Math.round(s.coolingH * 60) * 60)],
          ['It is brought to pressure in', spell(s.switchingH * 3600)],
          ['Water in each turn', <Amount key="w" si={s.waterKg} quantity="mass" />],
          ['Beads in each tower', <Amount key="m" si={s.massKg} quantity="mass" />],
          ['Dew point it reaches', <Amount key="d" si={s.reachesC} quantity="temperature" />],
          [
            'Each tower, bore × bed',
            <span key="b">
              <Amount si={s.boreM} quantity="size" /> × <Amount si={s.heightM} quantity="size" />
            </span>,
          ],
          [
            'Air rises at, and lifts the bed at',
            <span key="v">
              <Amount si={s.velocityMPerS} quantity="speed" />, <Amount si={s.liftsAtMPerS} quantity="speed" />
            </span>,
          ],
          ['Bed takes', <Amount key="p" si={s.lossPa} quantity="pressureDifference" />],
          ['Heat that a bed asks each turn', `${number(s.bedJ / 3.6e6, undefined, 2)} kWh`],
          ['Dew point from the start, after', spell(s.startsInH * 3600)],
        ]}
      />
      <p>
        <strong>After each switch</strong> dew point and temperature rise for 10–20 min: by a few kelvins where the bed
        was cooled first, by much more where it goes over hot. Tools that mind need a tank downstream of it, or the
        cooled kind.
      </p>
      <ul className="list-disc pl-5">
        {CHECKS.map((c) => (
          <li key={c}>
            <InUnits text={c} />
          </li>
        ))}
      </ul>
      <p className="text-[0.85rem] text-quiet">
        Power and purge are those of common practice for the rated flow; a controller that waits for the dew point saves
        most of them at part load. Heat of a bed: water at 2.6 MJ/kg, beads, steel. The maker’s sizing takes precedence.
      </p>
      <Cautions ids={['C09', 'C07', 'C12', 'C26', 'C24']} />
    </section>
  );
}
