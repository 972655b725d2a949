import { useState } from 'react';
import type { Complaint } from '@/core/diagnosis/finding/complaint';
import { symptomById } from '@/core/diagnosis/symptoms';
import type { FindingRecord } from '@/core/log/log-entry';
import { entryOf } from '@/ui/outbox/entry-of';
import { useSender } from '@/ui/outbox/use-sender';
import { rememberWho } from '@/ui/people/remembered-who';
import { usePlan } from '@/ui/plan/plan-provider';

/** What an entry of the log holds at most. */
const MOST_TEXT = 480;

/** Keeps a search in the log: one entry with all its steps, however often it is left and gone on with. */
export function useRecord(complaint: Complaint, earlier: string | undefined) {
  const { plan } = usePlan();
  const { put, left, refused } = useSender();
  const [last, setLast] = useState(earlier);
  const [told, setTold] = useState<string>();
  const keep = async (who: string, stageId: string, steps: string, finding: Omit<FindingRecord, 'at'>) => {
    const entry = entryOf(plan, {
      kind: 'finding',
      stageId,
      who,
      what: `${symptomById(complaint.symptom)?.says}: ${steps}`.slice(0, MOST_TEXT),
      symptom: complaint.symptom,
      finding: { ...finding, at: complaint.stageId ?? null },
      amends: last ?? null,
    });
    rememberWho(who);
    await put({ to: 'entries', body: entry });
    setLast(entry.id);
    setTold(finding.state === 'open' ? 'It is in the logbook, to be gone on with.' : 'It is in the logbook.');
  };
  const repaired = async (who: string, stageId: string, what: string): Promise<void> => {
    rememberWho(who);
    await put({ to: 'entries', body: entryOf(plan, { kind: 'repair', stageId, who, what, result: 'ok' }) });
    setTold('The repair is in the logbook.');
  };
  return {
    ...{ keep, repaired, refused },
    says: told && (left > 0 ? 'Kept on this device; it is being sent.' : refused ? undefined : told),
  };
}
export type KeptRecord = ReturnType<typeof useRecord>;
