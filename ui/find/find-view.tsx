'use client';

import { parseAsString, useQueryStates } from 'nuqs';
import type { Complaint } from '@/core/diagnosis/finding/complaint';
import { SHOWS } from '@/core/diagnosis/finding/shows';
import { symptomById } from '@/core/diagnosis/symptoms';
import type { LoggedEntry } from '@/core/log/log-entry';
import type { DueSources } from '@/core/maintenance/line-year';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { ChooseComplaint } from './choose-complaint';
import { ListedSearch } from './listed-search';
import { OpenFindings } from './open-findings';
import { Search, SearchByLog } from './search';

const ASKED = { complaint: parseAsString, at: parseAsString, entry: parseAsString };

interface OfTheLog {
  /** Nothing where the log cannot be read. */
  readonly due: DueSources | undefined;
  /** The newest searches of the line. */
  readonly findings: readonly LoggedEntry[];
}

/** The search that the address asks for; it is read here, so that a page that is kept on a device serves every complaint. */
export function FindView(of: OfTheLog) {
  const [{ complaint, at, entry }] = useQueryStates(ASKED);
  return (
    <FindPage
      key={`${complaint} ${at} ${entry}`}
      complaint={complaint === null ? undefined : { symptom: complaint, stageId: at ?? undefined }}
      entryId={entry ?? undefined}
      {...of}
    />
  );
}

/** From a complaint to its cause: what is believed, and the checks that tell most for their time. */
export function FindPage({
  complaint,
  due,
  findings,
  entryId,
}: OfTheLog & {
  complaint: Complaint | undefined;
  /** A search that is gone on with. */
  entryId: string | undefined;
}) {
  const { plan } = usePlan();
  const symptom = symptomById(complaint?.symptom ?? null);
  const entry = findings.find((e) => e.id === entryId && e.symptom === complaint?.symptom);
  const asked = complaint && { ...complaint, stageId: entry?.finding?.at ?? complaint.stageId };
  const at = stageById(plan, asked?.stageId ?? '');
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 p-4">
      <h1>Find the fault</h1>
      {!asked || !symptom ? (
        <>
          <OpenFindings findings={findings} />
          <ChooseComplaint />
        </>
      ) : (
        <>
          <p className="text-[1.05rem]">
            <strong>{symptom.says}</strong>
            {at && <span className="text-quiet"> · {at.name}</span>}
          </p>
          {!(symptom.id in SHOWS) ? (
            <ListedSearch complaint={asked} {...{ symptom, entry }} />
          ) : due ? (
            <SearchByLog complaint={asked} {...{ due, entry }} />
          ) : (
            <Search complaint={asked} reasons={[]} known={[]} entry={entry} />
          )}
        </>
      )}
    </div>
  );
}
