import type { FaultyLine } from '@/core/practice/faulty-line';
import { COUNTS, gradeSearch, type Step } from '@/core/practice/grade';
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
  const grade = gradeSearch(line, steps, suspected);
  const reference = line.reference();
  const weeks = (kg: readonly number[]): string => kg.map((w) => say(w / WATER_KG_PER_M3, 'drained')).join(', ');
  const yes = (is: boolean): string => (is ? 'yes' : 'no');
  const loaded = (repaired: boolean): string => say(line.loadedShare(repaired), 'share');
  const rows: readonly (readonly [what: string, says: string, part?: keyof typeof COUNTS])[] = [
    [
      'Your first suspicion',
      `${causeSays(suspected ?? '')}${suspected === line.causeId ? ', and it was' : ', and it was not'}`,
      'suspected',
    ],
    ['The cause', causeSays(line.causeId)],
    ['Found and repaired', yes(grade.found), 'found'],
    ['Proven by reading again', yes(grade.proven), 'proven'],
    ['Minutes', `${grade.minutes}; the shortest known way takes ${grade.referenceMin}`, 'quick'],
    ['The shortest known way', reference.checkIds.map(nameOf).join(', then ') || 'no reading'],
    ['Spent on parts', `${grade.spent}`, 'thrifty'],
    ['Water at the tools in the weeks after', weeks(grade.weeksKg), 'dry'],
    ...(grade.found ? ([['… had it been left', weeks(line.weeksKg())]] as const) : []),
    ['Compressor loaded after that', loaded(grade.found)],
    ...(grade.found ? ([['… had the fault been left', loaded(false)]] as const) : []),
  ];
  const points = (part: keyof typeof COUNTS): string => {
    const most = 100 * COUNTS[part];
    return `${Math.round(grade.found ? most * grade.parts[part] : 0)} of ${Math.round(most)} points`;
  };
  return (
    <>
      {grade.unsafe && (
        <p role="alert" className="text-brick">
          It ended there: something was opened under pressure or power. Isolate, vent, prove zero pressure and lock out
          power first. In a shop somebody is hurt by this.
        </p>
      )}
      <dl className="text-[0.94rem]">
        {rows.map(([what, says, part]) => (
          <div
            key={what}
            className="grid grid-cols-[1fr_auto] gap-x-3 border-b border-hairline py-1 sm:grid-cols-[14rem_1fr_6rem]"
          >
            <dt className="text-quiet">{what}</dt>
            <dd className="max-sm:order-last max-sm:col-span-2">{says}</dd>
            {part && <dd className="text-right text-quiet tabular-nums">{points(part)}</dd>}
          </div>
        ))}
      </dl>
    </>
  );
}
