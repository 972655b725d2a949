'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Plan } from '@/core/plan/plan';
import type { Climate } from '@/core/plan/survey';
import { create, type Refused } from './create-line';
import { inClimate } from './in-climate';
import { Refusals } from './refusals';

export interface TemplateName {
  readonly id: string;
  readonly siteId: string;
  readonly name: string;
}

/** Lines that others begin with. */
export function Templates({
  templates,
  siteId,
  climate,
}: {
  templates: readonly TemplateName[];
  siteId: string | undefined;
  climate: Climate | null;
}) {
  const router = useRouter();
  const [refused, setRefused] = useState<Refused>();
  const begin = async (template: TemplateName): Promise<void> => {
    const read = (await fetch(`/api/sites/${template.siteId}/templates/${template.id}`)
      .then((answer) => (answer.ok ? answer.json() : undefined))
      .catch(() => undefined)) as { plan: Plan } | undefined;
    if (!read) return setRefused({ message: 'The template could not be read. Try again in a moment.', issues: [] });
    const answer = await create(inClimate(read.plan, climate), siteId ?? template.siteId);
    if ('id' in answer) router.push(`/lines/${answer.id}/survey`);
    else setRefused(answer);
  };
  return (
    <section aria-label="Templates">
      <h2 className="mb-1">Begin with a template</h2>
      <ul className="border-t border-hairline">
        {templates.map((t) => (
          <li key={t.id} className="flex min-h-11 items-center gap-3 border-b border-hairline">
            <span className="min-w-0 flex-1 truncate">{t.name}</span>
            <button
              type="button"
              className="button"
              aria-label={`Begin a line with ${t.name}`}
              onClick={() => void begin(t)}
            >
              Begin
            </button>
          </li>
        ))}
      </ul>
      {refused && <Refusals of={refused} />}
    </section>
  );
}
