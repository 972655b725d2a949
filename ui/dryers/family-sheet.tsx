'use client';

import type { DryerDuty } from '@/core/sizing/dryer-duty';
import { HEATED, type Heated } from '@/core/sizing/size-heated';
import { Link } from '@/ui/primitives/link';
import { HeatedSheet } from './heated-sheet';
import { HeatlessSheet } from './heatless-sheet';
import { MembraneSheet, PelletSheet } from './no-power-sheets';
import type { Ask, Query } from './query';
import { RefrigeratedSheet } from './refrigerated-sheet';

/** The sizing sheet of the family that is looked at. */
export function FamilySheet({
  q,
  set,
  ask,
  duty,
}: {
  q: Query;
  set: (change: Partial<Query>) => void;
  ask: Ask;
  duty: DryerDuty;
}) {
  if (q.look in HEATED) return <HeatedSheet kind={q.look as Heated} duty={duty} />;
  switch (q.look) {
    case 'twin-tower':
      return <HeatlessSheet q={q} set={set} ask={ask} duty={duty} />;
    case 'pellet-tower':
      return <PelletSheet duty={duty} />;
    case 'membrane':
      return <MembraneSheet duty={duty} />;
    case 'bead-cartridge':
      return (
        <section aria-label="Bead cartridge">
          <h2>Bead cartridge</h2>
          <p>
            <Link
              href={`/beads?${new URLSearchParams({ flow: String(q.flow * q.load), c: String(q.c), pa: String(q.pa), rh: String(q.rh), atm: String(q.atm) })}`}
              className="text-water underline underline-offset-4"
            >
              Size a cartridge for this air
            </Link>
            , and see how to dry its charge.
          </p>
        </section>
      );
    default:
      return <RefrigeratedSheet duty={duty} cycling={q.look === 'cycling-dryer'} />;
  }
}
