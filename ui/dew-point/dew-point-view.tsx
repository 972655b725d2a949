'use client';

import { useQuestion } from '@/ui/forms/use-question';
import { AtmosphereProvider } from '@/ui/units/units';
import { Answer } from './answer';
import { STATE } from './query';
import { Question } from './question';

/** Any one way of telling moisture turned into all the others, at any pressure. The address bar holds the question. */
export function DewPointView() {
  const [q, set] = useQuestion(STATE);
  const air = Math.min(108000, Math.max(55000, q.air));
  return (
    <AtmosphereProvider atmosphericPa={air}>
      <div className="mx-auto grid max-w-[1080px] items-start gap-6 p-4 lg:grid-cols-[22rem_1fr]">
        <div className="lg:col-span-2">
          <h1>Dew point</h1>
          <p className="text-quiet">
            Convert a humidity, dew point or water content to any other form, at any pressure.
          </p>
        </div>
        <Question q={q} set={set} />
        <Answer q={{ ...q, air }} set={set} />
      </div>
    </AtmosphereProvider>
  );
}
