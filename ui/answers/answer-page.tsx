'use client';

import { usualLine } from '@/core/answers/usual-line';
import { dryersOf } from '@/core/answers/will-dryer-cope';
import { beadPlaces } from '@/core/maintenance/charge-lives';
import type { Plan } from '@/core/plan/plan';
import { standing } from '@/core/plan/runs';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { AtmosphereProvider } from '@/ui/units/units';
import { AnswerLinks } from './answer-links';
import { ANSWERS, type AnswerName } from './answers';
import { BeadsAnswer } from './beads';
import { FilterPlaceAnswer } from './filter-place';
import { HottestDay } from './hottest-day';
import { SizesAnswer } from './sizes';
import { WaterTodayAnswer } from './water-today';
import { WhichDryerAnswer } from './which-dryer';

/** What a question is about, and what the usual line has of it where this one has none. */
const ABOUT: Readonly<Partial<Record<AnswerName, { what: string; has: (plan: Plan) => boolean }>>> = {
  'hottest-day': { what: 'dryer', has: (plan) => dryersOf(plan).length > 0 },
  beads: { what: 'desiccant', has: (plan) => beadPlaces(standing(plan)).length > 0 },
};

/** One question, answered on one screen: with the numbers of a line, or typical ones. */
export function AnswerPage({ name, line }: { name: AnswerName; line: { id: string; plan: Plan } | undefined }) {
  const about = ABOUT[name];
  const isLacking = line !== undefined && about !== undefined && !about.has(line.plan);
  const own = isLacking ? undefined : line;
  const plan = own?.plan ?? usualLine(name === 'beads' ? 'bead-cartridge' : 'refrigerated-dryer');
  return (
    <AtmosphereProvider atmosphericPa={surveyAtmosphericPa(plan.survey)}>
      <div className="mx-auto grid max-w-[1080px] gap-6 p-4">
        <div>
          <h1>{ANSWERS[name].asks}</h1>
          <p className="max-w-[75ch] text-quiet">
            {own
              ? `With the numbers of ${own.plan.survey.shop}, ${own.plan.name}. Changes here stay out of the line.`
              : isLacking
                ? `${line.plan.name} has no ${about?.what}: these are typical numbers. Change them to yours.`
                : 'Typical numbers: change them to yours, or open a line first and come from its menu.'}
          </p>
        </div>
        <One name={name} plan={plan} from={own?.id} />
        <nav aria-label="Other short answers" className="border-t border-hairline pt-4">
          <AnswerLinks from={line?.id} but={name} />
        </nav>
      </div>
    </AtmosphereProvider>
  );
}

function One({ name, plan, from }: { name: AnswerName; plan: Plan; from: string | undefined }) {
  switch (name) {
    case 'hottest-day':
      return <HottestDay plan={plan} />;
    case 'which-dryer':
      return <WhichDryerAnswer plan={plan} from={from} />;
    case 'filter-place':
      return <FilterPlaceAnswer plan={plan} />;
    case 'sizes':
      return <SizesAnswer plan={plan} from={from} />;
    case 'water-today':
      return <WaterTodayAnswer plan={plan} />;
    case 'beads':
      return <BeadsAnswer plan={plan} from={from} />;
  }
}
