import { useEffect, useState } from 'react';
import type { LeakReadings, LeakVerdict } from '@/core/fitting/leak-test';
import { NAMED_TASKS } from '@/core/log/named-tasks';
import { allStages, standing } from '@/core/plan/runs';
import { Field, tied } from '@/ui/forms/field';
import { entryOf } from '@/ui/outbox/entry-of';
import { useSender } from '@/ui/outbox/use-sender';
import { WhoInput } from '@/ui/people/who-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { VERDICTS } from './verdicts';

/** The record opens the log of the line. */
export function Record({ read, judged }: { read: LeakReadings; judged: LeakVerdict }) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const [who, setWho] = useState('');
  const [error, setError] = useState<string>();
  const [told, setTold] = useState(false);
  const { put, left, refused, delayed } = useSender();
  // biome-ignore lint/correctness/useExhaustiveDependencies: other readings are another record
  useEffect(() => setTold(false), [read]);
  const record = async (): Promise<void> => {
    if (who.trim() === '') {
      setError('Say who.');
      return;
    }
    setError(undefined);
    const tank = allStages(standing(plan)).find((s) => s.kind === 'receiver');
    const what = `Leak test of a line ${read.line === 'new' ? 'that is new' : 'in use'}: ${VERDICTS[judged.verdict]}. ${say(read.fromC ?? 0, 'temperature')} at the start, ${say(read.toC ?? 0, 'temperature')} at the end; ${say(read.volumeM3, 'volume')} shut in; leaks ${say(judged.leakM3PerS, 'volumeFlow')}.`;
    await put({
      to: 'entries',
      body: entryOf(plan, {
        kind: 'done',
        task: NAMED_TASKS.timeLeakDown,
        stageId: tank?.id ?? '',
        who: who.trim(),
        result: judged.verdict === 'tight' || judged.verdict === 'acceptable' ? 'ok' : 'not-ok',
        what,
        readings: [
          { of: 'pressure-from', value: read.fromPa },
          { of: 'pressure-to', value: read.toPa },
          { of: 'seconds', value: read.seconds },
        ],
      }),
    });
    setTold(true);
  };
  return (
    <section aria-label="Record" className="grid max-w-sm gap-2">
      <Field id="leak-who" label="Who" error={error}>
        <WhoInput {...tied('leak-who', error)} value={who} onChange={(e) => setWho(e.target.value)} />
      </Field>
      <button type="button" className="button button-strong min-h-12" onClick={() => void record()} disabled={told}>
        Log this test
      </button>
      <p role="status" className="min-h-target">
        {told &&
          (left > 0
            ? `Kept on this device; ${delayed ?? 'it is being sent'}.`
            : refused
              ? ''
              : 'It is in the logbook.')}
        {refused && <span className="text-brick">Refused: {refused.message}</span>}
      </p>
    </section>
  );
}
