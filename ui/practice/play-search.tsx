import { useMemo, useState } from 'react';
import { checkKind } from '@/core/diagnosis/finding/checks';
import type { Complaint } from '@/core/diagnosis/finding/complaint';
import { symptomById } from '@/core/diagnosis/symptoms';
import { stageById } from '@/core/plan/runs';
import type { PracticeCase } from '@/core/practice/case';
import { FaultyLine } from '@/core/practice/faulty-line';
import { BUYS, clockOf, gradeSearch, type Step } from '@/core/practice/grade';
import { Field, tied } from '@/ui/forms/field';
import { useSayCheck } from '@/ui/units/say-check';
import { Debrief } from './debrief';
import { SearchDebrief } from './search-debrief';
import { SearchDecide } from './search-decide';
import { SearchMeasure } from './search-measure';

/** A search on a line with a fault: a suspicion first, then readings that cost minutes, a repair, and its proof. */
export function PlaySearch({
  of,
  complaint,
  onDone,
}: {
  of: PracticeCase;
  complaint: Complaint;
  onDone: (score: number) => void;
}) {
  const { plan } = of;
  const say = useSayCheck();
  const line = useMemo(() => new FaultyLine(of), [of]);
  const causes = useMemo(
    () =>
      line.finding
        .believe([])
        .toSorted((a, b) => a.cause.says.localeCompare(b.cause.says))
        .map((b) => b.cause),
    [line],
  );
  const [first, setFirst] = useState('');
  const [suspects, setSuspects] = useState<string>();
  const [steps, setSteps] = useState<readonly Step[]>([]);
  const [problem, setProblem] = useState<string>();
  const [over, setOver] = useState(false);
  const repaired = steps.some((s) => s.does === 'repair' && line.actOn(s.causeId).isRight);
  const { minutes, spent } = clockOf(line, steps);
  const nameOf = (checkId: string): string => {
    const check = line.finding.checks.find((c) => c.id === checkId);
    return check ? `${stageById(plan, check.stageId)?.name}: ${checkKind(check.of).label.toLowerCase()}` : '';
  };
  const end = (all: readonly Step[]): void => {
    setOver(true);
    onDone(gradeSearch(line, all, suspects).score);
  };
  const read = (checkId: string): void => {
    const check = line.finding.checks.find((c) => c.id === checkId);
    const value = check && line.reads(check, repaired);
    if (value !== undefined) setSteps([...steps, { does: 'read', checkId, value }]);
  };
  const act = (step: Step): void => {
    const all = [...steps, step];
    setSteps(all);
    // What is opened under pressure ends the case.
    if (step.does === 'repair' && !step.safe && line.actOn(step.causeId).act.opens) end(all);
  };
  const at = stageById(plan, complaint.stageId ?? '')?.name;
  const repairSays = (id: string): string => {
    const cause = causes.find((c) => c.id === id);
    return `${stageById(plan, cause?.stageId ?? '')?.name}: ${cause?.repair}`;
  };
  const causeSays = (id: string): string => causes.find((c) => c.id === id)?.says ?? '';
  if (over)
    return (
      <Debrief of={of} score={gradeSearch(line, steps, suspects).score}>
        <SearchDebrief {...{ line, steps, nameOf, causeSays }} suspected={suspects} />
      </Debrief>
    );
  const complains = (
    <p className="text-[1.05rem]">
      <strong>“{symptomById(complaint.symptom)?.says}”</strong>
      {at && <span className="text-quiet"> · {at}</span>}
    </p>
  );
  if (suspects === undefined)
    return (
      <form
        className="grid gap-3"
        aria-label="Your suspicion"
        onSubmit={(e) => {
          e.preventDefault();
          if (first === '') setProblem('Say what you think it is; it costs nothing.');
          else setSuspects(first);
        }}
      >
        {complains}
        <div className="max-w-xl">
          <Field id="cause" label="Before anything is measured: what do you think it is?" error={problem}>
            <select
              {...tied('cause', problem)}
              className="control min-h-12"
              value={first}
              onChange={(e) => {
                setFirst(e.target.value);
                setProblem(undefined);
              }}
            >
              <option value="">choose</option>
              {causes.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.says}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <button type="submit" className="button button-strong min-h-12 justify-self-start">
          Begin to measure
        </button>
      </form>
    );
  return (
    <>
      {complains}
      <p role="status" aria-label="Clock" data-clock className="sticky top-12 z-10 bg-paper py-1 font-semibold">
        {minutes} min · {spent} spent on parts
      </p>
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <SearchMeasure {...{ line, nameOf }} onRead={read} />
        <div className="grid gap-4">
          <section aria-label="Read so far" className="grid gap-1">
            <h2>So far</h2>
            {steps.length === 0 && <p className="text-quiet">Nothing yet.</p>}
            <ol>
              {steps.map((s, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: steps are only added
                <li key={i} className="flex justify-between gap-3 border-b border-hairline py-1">
                  <span className="min-w-0 break-words">
                    {s.does === 'read'
                      ? nameOf(s.checkId)
                      : s.does === 'buy'
                        ? `Bought: ${BUYS[s.what].says}`
                        : `Done: ${repairSays(s.causeId)}`}
                  </span>
                  {s.does === 'read' && (
                    <strong className="shrink-0">
                      {say(s.value, line.finding.checks.find((c) => c.id === s.checkId)?.of ?? 'drop')}
                    </strong>
                  )}
                </li>
              ))}
            </ol>
          </section>
          <SearchDecide {...{ plan, causes }} onStep={act} onClose={() => end(steps)} />
        </div>
      </div>
    </>
  );
}
