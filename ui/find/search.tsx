import { useMemo, useState } from 'react';
import { Finding } from '@/core/diagnosis/finding/belief';
import { isFound, type Reading } from '@/core/diagnosis/finding/cause';
import type { Tool } from '@/core/diagnosis/finding/check-kind';
import { type Check, checkKind } from '@/core/diagnosis/finding/checks';
import type { Complaint } from '@/core/diagnosis/finding/complaint';
import { readingsOfLog } from '@/core/diagnosis/finding/from-log';
import { type Reason, reasonsOf } from '@/core/diagnosis/finding/reasons';
import type { LoggedEntry } from '@/core/log/log-entry';
import { driftsOf } from '@/core/maintenance/drifting';
import type { DueSources } from '@/core/maintenance/line-year';
import { stageById } from '@/core/plan/runs';
import { useDue } from '@/ui/due/use-due';
import { usePlan } from '@/ui/plan/plan-provider';
import { useSayCheck } from '@/ui/units/say-check';
import { Beliefs } from './beliefs';
import { DoneReadings } from './done-readings';
import { Found } from './found';
import { KeepBar } from './keep-bar';
import { NextChecks } from './next-checks';
import { ToolsAtHand } from './tools-at-hand';
import { useRecord } from './use-record';
import { WholeTable } from './whole-table';

/** A check that tells less than this is not worth its time (estimate). */
const LEAST_BITS = 0.01;

/** The search with what the log says: overdue tasks, drifts, openings, and what was read lately. */
export function SearchByLog({
  complaint,
  due,
  entry,
}: {
  complaint: Complaint;
  due: DueSources;
  entry: LoggedEntry | undefined;
}) {
  const { plan, section } = usePlan();
  const { tasks, now } = useDue(due);
  const reasons = useMemo(
    () => reasonsOf(plan, { tasks, drifts: driftsOf(plan, due.log.series), events: due.log.events, now }),
    [plan, tasks, due.log, now],
  );
  const [known] = useState(() => readingsOfLog(section, new Finding(plan).checks, due.log, now));
  return <Search {...{ complaint, reasons, known, entry }} />;
}

/** The search: what is believed, what was read, what to check next. */
export function Search({
  complaint,
  reasons,
  known,
  entry,
}: {
  complaint: Complaint;
  reasons: readonly Reason[];
  /** What was read lately, by the log. */
  known: readonly Reading[];
  /** A search that is gone on with. */
  entry: LoggedEntry | undefined;
}) {
  const { plan } = usePlan();
  const say = useSayCheck();
  const single = useMemo(() => new Finding(plan, complaint, reasons), [plan, complaint, reasons]);
  const [readings, setReadings] = useState<readonly Reading[]>(
    () =>
      entry?.finding?.readings.map((r) => ({ checkId: r.check, value: r.value, ...(r.at && { at: r.at }) })) ?? known,
  );
  const [cannot, setCannot] = useState<readonly string[]>(entry?.finding?.cannot ?? []);
  const [without, setWithout] = useState<readonly Tool[]>([]);
  const record = useRecord(complaint, entry?.id);
  const finding = useMemo(() => single.explaining(readings), [single, readings]);
  const believed = useMemo(() => finding.believe(readings), [finding, readings]);
  const next = useMemo(() => {
    const lacks = (tool: Tool | undefined): boolean => tool !== undefined && without.includes(tool);
    const noTool = finding.checks.filter((c) => lacks(checkKind(c.of).tool)).map((c) => c.id);
    return finding.nextChecks(readings, [...cannot, ...noTool]);
  }, [finding, readings, cannot, without]);
  const found = isFound(believed);
  // No check that is left would tell more.
  const isOver = readings.length > 0 && (next[0]?.bits ?? 0) < LEAST_BITS;
  const nameOf = ({ of, stageId }: Check): string =>
    `${stageById(plan, stageId)?.name}, ${checkKind(of).label.toLowerCase()}`;
  const keep = (state: 'open' | 'found' | 'not-found') => async (who: string) => {
    const [top] = believed;
    if (!top) return;
    const read = readings.flatMap((r) => {
      const check = finding.checks.find((c) => c.id === r.checkId);
      return check ? [`${nameOf(check)} ${say(r.value, check.of)}`] : [];
    });
    const cause = `${top.cause.says} (${Math.round(top.probability * 100)} %)`;
    await record.keep(who, top.cause.stageId ?? '', `${cause}. Read: ${read.join('; ') || 'nothing'}.`, {
      state,
      readings: readings.map((r) => ({ check: r.checkId, value: r.value, at: r.at ?? null })),
      cannot: [...cannot],
      cause: top.cause.says.slice(0, 300),
      sure: top.probability,
    });
  };
  return (
    <>
      {finding !== single && (
        <p className="max-w-prose">
          No single cause explains these readings: two at once are looked at too. Or one of the readings is wrong.
        </p>
      )}
      {/* On a phone the next check comes before what was read. */}
      <div className="grid items-start gap-x-6 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] lg:grid-rows-[auto_1fr]">
        <Beliefs believed={believed} />
        <div className="grid gap-4 lg:row-span-2">
          {(found || isOver) && believed[0] && (
            <Found
              believed={believed[0]}
              {...{ found, record }}
              proof={finding.checks.filter((c) => c.id === readings.at(-1)?.checkId).map(nameOf)[0]}
              onClose={keep(found ? 'found' : 'not-found')}
            />
          )}
          <NextChecks
            finding={finding}
            {...{ next, believed }}
            onRead={(reading) => setReadings([...readings, reading])}
            onCannot={(id) => setCannot([...cannot, id])}
          />
          {cannot.length > 0 && (
            <p>
              <button type="button" className="button" onClick={() => setCannot([])}>
                Show again what could not be done
              </button>
            </p>
          )}
          <ToolsAtHand without={without} onWithout={setWithout} />
          {!found && !isOver && (
            <section aria-label="Leave it for now" className="grid gap-2 border-t border-hairline pt-3">
              <h2>Leave it for now</h2>
              <p className="text-quiet">
                What was read is kept in the logbook; you or a colleague go on with it from this page.
              </p>
              <KeepBar record={record} actions={[{ says: 'Keep it open', act: keep('open') }]} />
            </section>
          )}
        </div>
        <DoneReadings
          checks={finding.checks}
          readings={readings}
          onRemove={(id) => setReadings(readings.filter((r) => r.checkId !== id))}
        />
      </div>
      <WholeTable {...{ finding, believed }} />
    </>
  );
}
