import { useMemo, useState } from 'react';
import { ON_THE_WAY_MIN } from '@/core/diagnosis/finding/belief';
import { NOTHING } from '@/core/diagnosis/finding/cause';
import { checkKind, costMin } from '@/core/diagnosis/finding/checks';
import type { Complaint } from '@/core/diagnosis/finding/shows';
import { symptomById } from '@/core/diagnosis/symptoms';
import { stageById } from '@/core/plan/runs';
import type { PracticeCase } from '@/core/practice/case';
import { FaultyLine, REPAIR_MIN } from '@/core/practice/faulty-line';
import { gradeSearch, PART_PRICE, type Step } from '@/core/practice/grade';
import { Field, tied } from '@/ui/forms/field';
import { Cautions } from '@/ui/primitives/cautions';
import { useSayCheck } from '@/ui/units/say-check';
import { Debrief } from './debrief';
import { SearchDebrief } from './search-debrief';

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
  const [repair, setRepair] = useState('');
  const [isolated, setIsolated] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [over, setOver] = useState(false);
  const repaired = steps.some((s) => s.does === 'repair' && s.causeId === line.causeId);
  const reads = steps.flatMap((s) => (s.does === 'read' ? [s] : []));
  const repairs = steps.filter((s) => s.does === 'repair').length;
  const bought = steps.filter((s) => s.does === 'buy').length;
  const minutes = line.minutesOf(reads.map((r) => r.checkId)) + REPAIR_MIN * repairs;
  const nameOf = (checkId: string): string => {
    const check = line.finding.checks.find((c) => c.id === checkId);
    return check ? `${stageById(plan, check.stageId)?.name}: ${checkKind(check.of).label.toLowerCase()}` : '';
  };
  const end = (all: readonly Step[]): void => {
    setOver(true);
    onDone(gradeSearch(line, all).score);
  };
  const read = (checkId: string): void => {
    const check = line.finding.checks.find((c) => c.id === checkId);
    const value = check && line.reads(check, repaired);
    if (value !== undefined) setSteps([...steps, { does: 'read', checkId, value }]);
  };
  const repairIt = (): void => {
    if (repair === '') {
      setProblem('Say what is repaired.');
      return;
    }
    const all: Step[] = [...steps, { does: 'repair', causeId: repair, safe: isolated }];
    setSteps(all);
    setIsolated(false);
    if (!isolated) end(all);
  };
  const at = stageById(plan, complaint.stageId ?? '')?.name;
  const causeSays = (id: string): string => causes.find((c) => c.id === id)?.says ?? '';
  if (over)
    return (
      <Debrief of={of} score={gradeSearch(line, steps).score}>
        <SearchDebrief {...{ line, steps, nameOf, causeSays }} suspected={suspects} />
      </Debrief>
    );
  const complains = (
    <p className="text-[1.05rem]">
      <strong>“{symptomById(complaint.symptom)?.says}”</strong>
      {at && <span className="text-quiet"> · {at}</span>}
    </p>
  );
  const chooser = (label: string, value: string, onChange: (id: string) => void) => (
    <div className="max-w-xl">
      <Field id="cause" label={label} error={problem}>
        <select
          {...tied('cause', problem)}
          className="control min-h-12"
          value={value}
          onChange={(e) => {
            onChange(e.target.value);
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
        {chooser('Before anything is measured: what do you think it is?', first, setFirst)}
        <button type="submit" className="button button-strong min-h-12 justify-self-start">
          Begin to measure
        </button>
      </form>
    );
  return (
    <>
      {complains}
      <p role="status" aria-label="Clock" className="sticky top-0 z-10 bg-paper py-1 font-semibold">
        {minutes} min · {PART_PRICE * (repairs + bought)} spent on parts
      </p>
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <section aria-label="Measure" className="grid gap-2">
          <h2>Measure</h2>
          <ul>
            {line.finding.checks.map((c) => {
              const kind = checkKind(c.of);
              const usual = line.finding.expected(NOTHING.id, c.id)[0];
              return (
                <li key={c.id} className="flex flex-wrap items-center gap-x-3 border-b border-hairline py-1">
                  <span className="min-w-48 flex-1">
                    {nameOf(c.id)}
                    <span className="block text-[0.82rem] text-quiet">
                      {ON_THE_WAY_MIN + costMin(c.of)} min
                      {kind.standsMin > 0 && ', the line stands'}
                      {usual !== undefined && `; usual by the log ${say(usual, c.of)}`}
                    </span>
                  </span>
                  <button type="button" className="button min-h-11" onClick={() => read(c.id)}>
                    Read<span className="sr-only">: {nameOf(c.id)}</span>
                  </button>
                </li>
              );
            })}
          </ul>
        </section>
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
                        ? `Bought: ${s.what}`
                        : `Repaired: ${causeSays(s.causeId)}`}
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
          <section aria-label="Decide" className="grid gap-3">
            <h2>Decide</h2>
            {chooser(`Repair, ${REPAIR_MIN} min`, repair, setRepair)}
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5"
                checked={isolated}
                onChange={(e) => setIsolated(e.target.checked)}
              />
              Isolated, vented, and proven without pressure; power locked out
            </label>
            <Cautions ids={['C07']} />
            <div className="flex flex-wrap gap-2">
              <button type="button" className="button button-strong min-h-12" onClick={repairIt}>
                Repair it
              </button>
              {['a filter', 'a dryer', 'a larger compressor'].map((what) => (
                <button
                  key={what}
                  type="button"
                  className="button min-h-12"
                  onClick={() => setSteps([...steps, { does: 'buy', what }])}
                >
                  Buy {what}
                </button>
              ))}
              <button type="button" className="button min-h-12" onClick={() => end(steps)}>
                Close the case
              </button>
            </div>
            <p className="text-quiet">
              After a repair, read again what showed the fault: that is the proof. Then close it.
            </p>
          </section>
        </div>
      </div>
    </>
  );
}
