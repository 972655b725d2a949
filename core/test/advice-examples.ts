import { applyFix } from '../advice/apply-fixes';
import { RULES } from '../advice/judge-line';
import { sayIn } from '../advice/rule';
import { changes } from '../plan/changes';
import { say as inUnits } from '../quantity/format';
import { METRIC, type QuantityName } from '../quantity/units';
import { all } from './good-lines';
import { CASES, type Case, dayOf, speaks } from './rule-cases';

const say = (si: number, quantity: QuantityName): string => inUnits(si, quantity, METRIC);

/** What a rule says on the smallest line with its fault, and what each of its fixes changes there. */
function ofRule(id: string): string[] {
  const [line, ...fault] = CASES[id] as Case;
  const faulty = all(line(), ...fault);
  const [advice] = speaks(faulty, id);
  if (!advice) return [];
  const { key, finding } = advice;
  const fixes = (finding.fixes ?? []).flatMap((fix, i) => {
    let n = 0;
    const fixed = applyFix(faulty, key, i, () => `new-${++n}`, dayOf(faulty, id));
    return [
      `- ${fix.does}:`,
      ...('plan' in fixed ? changes(faulty, fixed.plan).map((c) => `  - ${c.says(say)}`) : [`  - ${fixed.refused}`]),
    ];
  });
  return [
    '',
    `## ${id}`,
    '',
    `${sayIn(finding.what, say)} ${sayIn(finding.why, say)}`,
    ...(fixes.length > 0 ? ['', ...fixes] : []),
  ];
}

/** The page of docs/ with an example of every rule. */
export const adviceExamples = (): string =>
  `${['# Examples of advice', '', 'What each rule of [advice.md](advice.md) says on the smallest line with its fault, and what each of its fixes changes there, in metric units. Made from the code.', ...RULES.flatMap((r) => ofRule(r.id))].join('\n')}\n`;
