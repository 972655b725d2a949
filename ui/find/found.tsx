import { useState } from 'react';
import { type Believed, type Finding, isFound, type NextCheck, type Reading } from '@/core/diagnosis/finding/belief';
import { checkKind } from '@/core/diagnosis/finding/checks';
import type { Complaint } from '@/core/diagnosis/finding/shows';
import { symptomById } from '@/core/diagnosis/symptoms';
import { kindOf } from '@/core/equipment/index';
import { stageById } from '@/core/plan/runs';
import { Field, tied } from '@/ui/forms/field';
import { entryOf } from '@/ui/outbox/entry-of';
import { useSender } from '@/ui/outbox/use-sender';
import { WhoInput } from '@/ui/people/who-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Headline } from '@/ui/primitives/figures';
import { useUnits } from '@/ui/units/units';

/** A check that tells less than this is not worth its time (estimate). */
const LEAST_BITS = 0.01;
/** What an entry of the log holds at most. */
const MOST_TEXT = 480;

/** The end: the cause, its repair, what proves it, and the entry that closes the complaint. */
export function Found({
  finding,
  complaint,
  believed,
  readings,
  next,
}: {
  finding: Finding;
  complaint: Complaint;
  believed: readonly Believed[];
  readings: readonly Reading[];
  next: readonly NextCheck[];
}) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const [who, setWho] = useState('');
  const [error, setError] = useState<string>();
  const [told, setTold] = useState(false);
  const { put, left, refused } = useSender();
  const found = isFound(believed);
  // No check that is left would tell more.
  const isOver = readings.length > 0 && (next[0]?.bits ?? 0) < LEAST_BITS;
  if (!found && !isOver) return null;
  const [top] = believed;
  if (!top) return null;
  const { cause, probability } = top;
  const stage = stageById(plan, cause.stageId ?? '');
  const name = (id: string): string => {
    const check = finding.checks.find((c) => c.id === id);
    return check ? `${stageById(plan, check.stageId)?.name}, ${checkKind(check.of).label.toLowerCase()}` : id;
  };
  const proof = readings.at(-1);
  const log = async (): Promise<void> => {
    if (who.trim() === '') {
      setError('Say who.');
      return;
    }
    setError(undefined);
    const read = readings.map((r) => {
      const check = finding.checks.find((c) => c.id === r.checkId);
      return check ? `${name(r.checkId)} ${say(r.value, checkKind(check.of).quantity)}` : '';
    });
    const what = `${symptomById(complaint.symptom)?.says}: ${cause.says} (${Math.round(probability * 100)} %). Read: ${read.join('; ') || 'nothing'}.`;
    await put({
      to: 'entries',
      body: entryOf(plan, {
        kind: 'observation',
        stageId: cause.stageId ?? '',
        who: who.trim(),
        what: what.slice(0, MOST_TEXT),
      }),
    });
    setTold(true);
  };
  return (
    <section aria-label="Found" aria-live="polite" className="grid gap-2 border-l-4 border-water pl-4">
      <Headline then={`${Math.round(probability * 100)} %`}>
        {found ? '✓' : '◆'} {cause.says}
      </Headline>
      {cause.repair ? (
        <p>
          <strong>{cause.repair}.</strong> Nothing else needs to be bought for it.
        </p>
      ) : (
        <p>
          The line reads as it should. Look at the surface, the room, the tool and the gauge, and buy no filter for it.
        </p>
      )}
      {cause.repair && proof && (
        <p className="text-quiet">Proof after the repair: {name(proof.checkId)}, read again.</p>
      )}
      {cause.repair && <Cautions ids={[...new Set(['C07', ...(stage ? kindOf(stage.kind).cautions : [])])]} />}
      <div className="flex max-w-md flex-wrap items-end gap-2">
        <Field id="find-who" label="Who" error={error}>
          <WhoInput {...tied('find-who', error)} value={who} onChange={(e) => setWho(e.target.value)} />
        </Field>
        <button type="button" className="button min-h-12" disabled={told} onClick={() => void log()}>
          Log what was found
        </button>
      </div>
      <p role="status" className="min-h-6">
        {told && (left > 0 ? 'Kept on this device; it is being sent.' : refused ? '' : 'It is in the logbook.')}
        {refused && <span className="text-brick">Refused: {refused.message}</span>}
      </p>
    </section>
  );
}
