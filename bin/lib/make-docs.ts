import { readFileSync, writeFileSync } from 'node:fs';
import { z } from 'zod';
import { fieldsOf, KINDS, type KindName, kindOf } from '../../core/equipment/index';
import { newStage } from '../../core/line/edit';
import { currentPlanSchema, planSchema } from '../../core/line/plan';
import { formatQuantity } from '../../core/quantity/format';
import { rangeText } from '../../core/quantity/parse';
import { unitOf } from '../../core/quantity/units';

// Writes the parts of docs/ that follow from the declarations: the plan file's JSON Schema, an example of each kind, and
// the catalogue. With --check it only says whether they are up to date.
const kinds = Object.keys(KINDS) as KindName[];

function example(kind: KindName): object {
  const two = [newStage('intake', 'intake'), newStage('compressor', 'compressor')];
  const stages = kind === 'intake' || kind === 'compressor' ? two : [...two, newStage(kind, kind)];
  return planSchema.parse({
    format: 'cool-dram-plan',
    version: 1,
    name: `Example: ${kindOf(kind).label.toLowerCase()}`,
    survey: {
      shop: 'Example shop',
      places: [{ id: 'here', name: 'At the intake', temperatureC: 27, relativeHumidity: 0.6 }],
      intakePlaceId: 'here',
      roomPlaceId: 'here',
      working: {},
    },
    stages,
  });
}

function catalogue(): string {
  const lines = [
    '# Catalogue of kinds',
    '',
    'Made from the declarations in `core/equipment/` by `bin/lib/make-docs.ts`.',
  ];
  for (const kind of kinds) {
    const { label, does, alsoCalled } = kindOf(kind);
    const defaults = kindOf(kind).parameters.parse({}) as Record<string, unknown>;
    lines.push(
      '',
      `## ${label} (\`${kind}\`)`,
      '',
      does,
      ...(alsoCalled ? ['', `Also called: ${alsoCalled.join(', ')}.`] : []),
      '',
      '| Parameter | Key | Default | Range | Where the default comes from |',
      '|---|---|---|---|---|',
    );
    for (const [field, meta] of fieldsOf(kind)) {
      const value = defaults[field];
      const unit = meta.quantity && unitOf(meta.quantity, undefined);
      const shown =
        meta.options?.[String(value)] ??
        (meta.quantity && typeof value === 'number'
          ? Object.values(formatQuantity(value, meta.quantity)).join(' ')
          : String(value));
      const range = meta.options
        ? Object.values(meta.options).join('; ')
        : meta.quantity && unit
          ? rangeText(meta.quantity, unit, meta.least, meta.most)
          : `${meta.least} to ${meta.most}`;
      lines.push(`| ${meta.label} | \`${field}\` | ${shown} | ${range} | ${meta.source ?? ''} |`);
    }
  }
  return `${lines.join('\n')}\n`;
}

const files: Record<string, string> = {
  'docs/plan.schema.json': `${JSON.stringify(z.toJSONSchema(currentPlanSchema, { io: 'input' }), null, 2)}\n`,
  'docs/catalogue.md': catalogue(),
  ...Object.fromEntries(kinds.map((k) => [`docs/examples/${k}.json`, `${JSON.stringify(example(k), null, 2)}\n`])),
};
const root = new URL('../../', import.meta.url);
const stale = Object.entries(files).filter(([file, text]) => {
  try {
    return readFileSync(new URL(file, root), 'utf8') !== text;
  } catch {
    return true;
  }
});
if (process.argv.includes('--check')) {
  for (const [file] of stale) console.error(`${file} is out of date: run node_modules/.bin/tsx bin/lib/make-docs.ts`);
  process.exit(stale.length === 0 ? 0 : 1);
}
for (const [file, text] of stale) writeFileSync(new URL(file, root), text);
