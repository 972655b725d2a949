import { applyFix, applyFixes } from '../advice/apply-fixes';
import { RULES } from '../advice/judge-line';
import { sayIn } from '../advice/rule';
import { changes } from '../plan/changes';
import { say as inUnits } from '../quantity/format';
import { METRIC, type QuantityName } from '../quantity/units';
import { all, behind, but, type Edit, goodShop, without } from './good-lines';
import { stageOf } from './plan-of';
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

/** Lines with much against them, which fixes one after another put right. */
const BARE: Readonly<Record<string, readonly Edit[]>> = {
  'tools on compressor and tank': [but('outlet', { need: 'no-liquid' })],
  'a spray gun on compressor and tank': [but('outlet', { use: 'spray', oilClass: '1', particleClass: '1' })],
  'instruments on compressor and tank': [but('outlet', { use: 'instruments', dewPointC: -40, particleClass: '2' })],
  'carbon without its filters': [
    behind('receiver', stageOf('carbon-filter', { counted: 'yes' })),
    but('outlet', { oilClass: '1' }),
  ],
  'beads that are exhausted in hot air': [behind('compressor', stageOf('bead-cartridge', { spentShare: 1 }))],
  'filters in the wrong order': [
    behind(
      'receiver',
      stageOf('coalescing-filter', { grade: 'fine' }, 'fine'),
      stageOf('coalescing-filter', {}, 'coarse'),
    ),
  ],
  'a membrane and a lubricator': [behind('receiver', stageOf('membrane'), stageOf('lubricator'))],
};

function allFixed(edits: readonly Edit[]): string[] {
  let n = 0;
  const bare = all(
    goodShop(),
    without('aftercooler', 'separator', 'coalescing-filter', 'refrigerated-dryer', 'fine'),
    ...edits,
  );
  const { plan, left } = applyFixes(bare, () => `new-${++n}`);
  return [
    '',
    ...changes(bare, plan).map((c) => `- ${c.says(say)}`),
    '',
    `Order: ${plan.stages.map((s) => s.name).join(', ')}. ${left.length === 0 ? 'Nothing is left.' : `Left: ${left.map((a) => `${a.rule.id}, ${sayIn(a.finding.what, say)}`).join(' ')}`}`,
  ];
}

/** The page of docs/ with an example of every rule. */
export const adviceExamples = (): string =>
  `${['# Examples of advice', '', 'What each rule of [advice.md](advice.md) says on the smallest line with its fault, and what each of its fixes changes there, in metric units. Made from the code.', ...RULES.flatMap((r) => ofRule(r.id)), ...Object.entries(BARE).flatMap(([name, edits]) => ['', `## ${name}`, ...allFixed(edits)])].join('\n')}\n`;
