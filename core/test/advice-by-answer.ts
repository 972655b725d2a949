import { judgeLine } from '../advice/judge-line';
import { fieldsOf, isRelevant } from '../equipment/index';
import type { FieldMeta } from '../equipment/shared/kind';
import { walk } from '../line/walk';
import { type Plan, planSchema } from '../plan/plan';
import { allStages } from '../plan/runs';
import { siteSchema } from '../plan/survey';
import { but, damp, GOOD, site, yard } from './good-lines';

// One answer of a line is changed at a time, a choice to each of its options and a number to both ends of its range: which rules
// speak then, and which fall silent.

const rulesOf = (plan: Plan): string[] =>
  judgeLine(plan, walk(plan)).advice.map((a) => `${a.rule.id} ${a.finding.stageIds}`);
const idOf = (key: string): string => key.split(' ', 1)[0] as string;

function difference(was: readonly string[], plan: Plan): string {
  const parsed = planSchema.safeParse(plan);
  if (!parsed.success) return '';
  const is = rulesOf(parsed.data);
  const more = is.filter((r) => !was.includes(r)).map(idOf);
  const less = was.filter((r) => !is.includes(r)).map(idOf);
  return [...new Set(more.map((r) => `+${r}`)), ...new Set(less.map((r) => `−${r}`))].join(' ');
}

const answersTo = (meta: FieldMeta, is: unknown): (string | number)[] =>
  (meta.options ? Object.keys(meta.options) : [meta.least, meta.most]).filter(
    (v): v is string | number => v !== undefined && v !== is,
  );

function rowsOf(line: Plan): string[] {
  const was = rulesOf(line);
  const row = (of: string, field: string, value: unknown, plan: Plan): string[] => {
    const rules = difference(was, plan);
    return rules === '' ? [] : [`| ${of} | ${field} | ${value} | ${rules} |`];
  };
  return [
    ...Object.entries(siteSchema.shape).flatMap(([field, schema]) => {
      const meta = (schema as { meta(): unknown }).meta() as FieldMeta;
      const is = line.survey.site[field as keyof typeof line.survey.site];
      return answersTo(meta, is).flatMap((v) => row('site', field, v, site({ [field]: v })(line)));
    }),
    ...allStages(line).flatMap((s) =>
      fieldsOf(s.kind)
        .filter(([, meta]) => isRelevant(meta, s.parameters))
        .flatMap(([field, meta]) =>
          answersTo(meta, (s.parameters as Record<string, unknown>)[field]).flatMap((v) =>
            row(s.id, field, v, but(s.id, { [field]: v })(line)),
          ),
        ),
    ),
  ];
}

const LINES = { plant: GOOD.goodPlant, yard, damp };

/** The page of docs/ with the rules by what is answered. */
export const adviceByAnswer = (): string =>
  `${[
    '# Advice by answer',
    '',
    'One answer of a line is changed at a time: a choice to each of its options, a number to both ends of its range, in SI units. + is a rule of [advice.md](advice.md) that speaks then, − one that falls silent. Made from the code.',
    ...Object.entries(LINES).flatMap(([name, line]) => [
      '',
      `## ${name}`,
      '',
      '| of | answer | is | rules |',
      '| --- | --- | --- | --- |',
      ...rowsOf(line()),
    ]),
  ].join('\n')}\n`;
