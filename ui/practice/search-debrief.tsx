import type { FaultyLine } from '@/core/practice/faulty-line';
import { gradeSearch, type Step } from '@/core/practice/grade';
import { WATER_KG_PER_M3 } from '@/core/quantity/constants';
import { useUnits } from '@/ui/units/units';

/** How a search went: the cause, the clock against the way of the engine, the proof, and the weeks after. */
export function SearchDebrief({
  line,
  steps,
  nameOf,
  causeSays,
  suspected,
}: {
  line: FaultyLine;
  steps: readonly Step[];
  nameOf: (checkId: string) => string;
  causeSays: (causeId: string) => string;
  suspected: string | undefined;
}) {
  const { say } = useUnits();
  const grade = gradeSearch(line, steps);
  const reference = line.reference();
  const weeks = (kg: readonly number[]): string => kg.map((w) => say(w / WATER_KG_PER_M3, 'drained')).join(', ');
  const rows: readonly (readonly [string, string])[] = [
    [
      'Your first suspicion',
      `${causeSays(suspected ?? '')}${suspected === line.causeId ? ', and it was' : ', and it was not'}`,
    ],
    ['The cause', causeSays(line.causeId)],
    ['Found and repaired', grade.found ? 'yes' : 'no'],
    ['Proven by reading again', grade.proven ? 'yes' : 'no'],
    ['Minutes', `${grade.minutes}; the shortest known way takes ${grade.referenceMin}`],
    ['Spent on parts', `${grade.spent}`],
    ['The shortest known way', reference.checkIds.map(nameOf).join(', then ') || 'no reading'],
    ['Water at the tools in the weeks after', weeks(grade.weeksKg)],
    ...(grade.found ? ([['… had it been left', weeks(line.weeksKg(false))]] as const) : []),
  ];
  return (
    <>
      {grade.unsafe && (
        <p role="alert" className="text-brick">
          It ended there: something was opened under pressure or power. Isolate, vent, prove zero pressure and lock out
          power first. In a shop somebody is hurt by this.
        </p>
      )}
      <dl className="text-[0.94rem]">
        {rows.map(([what, says]) => (
          <div key={what} className="grid gap-x-3 border-b border-hairline py-1 sm:grid-cols-[14rem_1fr]">
            <dt className="text-quiet">{what}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
