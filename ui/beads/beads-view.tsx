'use client';

import { asker, bounded } from '@/ui/forms/ask';
import { OfBefore } from '@/ui/forms/of-before';
import { useQuestion } from '@/ui/forms/use-question';
import { AtmosphereProvider } from '@/ui/units/units';
import { BatchSheet } from './batch-sheet';
import { CartridgeSheet } from './cartridge-sheet';
import { ColourSheet } from './colour-sheet';
import { HousingSheet } from './housing-sheet';
import { BOUNDS, STATE } from './query';
import { RechargeSheet } from './recharge-sheet';
import { WeighSheet } from './weigh-sheet';

const PARTS = [
  ['size', 'How long a charge lasts'],
  ['housing', 'Housing'],
  ['dry', 'Drying it'],
  ['scales', 'By weight'],
  ['colour', 'Indicator colour'],
  ['recharge', 'Installing it'],
] as const;

/** How long beads last, whether that is a good idea, and what an oven does for a spent charge. */
export function BeadsView() {
  const [typed, set] = useQuestion(STATE);
  const q = bounded(typed, BOUNDS);
  const ask = asker(q, BOUNDS, set);
  return (
    <AtmosphereProvider atmosphericPa={q.atm}>
      <div className="mx-auto grid max-w-[1080px] gap-8 p-4">
        <div>
          <h1>Desiccant charge</h1>
          <p className="text-quiet">
            How long a desiccant charge lasts at a given air flow, and how to dry it in an oven.
          </p>
          <nav aria-label="On this page" className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
            {PARTS.map(([id, part]) => (
              <a key={id} href={`#${id}`} className="min-h-8 text-water underline underline-offset-4">
                {part}
              </a>
            ))}
          </nav>
        </div>
        <div className="sticky top-14 z-10 empty:hidden">
          <OfBefore />
        </div>
        <CartridgeSheet q={q} set={set} ask={ask} />
        <HousingSheet q={q} set={set} ask={ask} />
        <BatchSheet q={q} set={set} ask={ask} />
        <WeighSheet q={q} set={set} ask={ask} />
        <ColourSheet q={q} set={set} />
        <RechargeSheet q={q} set={set} />
      </div>
    </AtmosphereProvider>
  );
}
