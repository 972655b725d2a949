import { readFileSync, writeFileSync } from 'node:fs';
import { z } from 'zod';
import { RULES } from '../../core/advice/judge-line';
import { KINDS, type KindName, kindOf } from '../../core/equipment/index';
import { parameterRows } from '../../core/equipment/parameter-rows';
import { WALL_UNITS } from '../../core/equipment/serving/wall-unit';
import { DRAIN_IDS } from '../../core/equipment/shared/drain-fields';
import { FAMILIES } from '../../core/equipment/shared/kind';
import { newStage } from '../../core/plan/edit';
import { currentPlanSchema, planSchema } from '../../core/plan/plan';
import { adviceByAnswer } from '../../core/test/advice-by-answer';
import { adviceExamples } from '../../core/test/advice-examples';
import { maintenanceExamples } from '../../core/test/maintenance-examples';

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

/** The ids of the trade handbook; those without a kind are still to come. */
const HANDBOOK_IDS =
  'intake recip1 recip2 screw_oil oilfree ac_air ac_belt ac_fluid ac_water coolrun coolhose sep_cyclone rcv_wet rcv_dry flt_sep3 flt_gp flt_he flt_part5 flt_bowl flt_carbon flt_dust ref_noncyc ref_cyc ref_hit des_cart heatless heated_purge blower_purge hoc deliq membrane reg lub drn_man drn_float drn_timer drn_zero drn_unl drn_spit ows relief check iso hose/coupler'.split(
    ' ',
  );

function section(kind: KindName): string[] {
  const { label, does, equation, alsoCalled, ids, needs, cautions } = kindOf(kind);
  const rows = parameterRows(kind).map(
    (r) => `| ${r.label} | \`${r.field}\` | ${r.usual} | ${r.range} | ${r.source} |`,
  );
  return [
    '',
    `### ${label} (\`${kind}\`)`,
    '',
    does,
    ...(needs ? ['', `Upstream: ${needs.before}. Downstream: ${needs.after}.`] : []),
    '',
    `Model: ${equation}.`,
    ...(alsoCalled ? ['', `Also called: ${alsoCalled.join(', ')}.`] : []),
    '',
    ...(ids
      ? [`Trade handbook: ${ids.join(', ')}. Cautions: ${cautions.join(', ')}.`]
      : [`Cautions: ${cautions.join(', ')}.`]),
    '',
    '| Parameter | Key | Default | Range | Where the default comes from |',
    '|---|---|---|---|---|',
    ...rows,
  ];
}

function catalogue(): string {
  const kindFor = (id: string): string => {
    const own = kinds.filter((k) => kindOf(k).ids?.includes(id)).map((k) => `\`${k}\``);
    if (own.length > 0) return own.join(', ');
    return DRAIN_IDS[id] ? `drain “${DRAIN_IDS[id]}” of any stage that collects` : '– (to come)';
  };
  const lines = [
    '# Catalogue of kinds',
    '',
    'Made from the declarations in `core/equipment/` by `bin/lib/make-docs.ts`. The app shows the same under Catalogue, in your own units.',
    ...Object.entries(FAMILIES).flatMap(([family, label]) => [
      '',
      `## ${label}`,
      ...kinds.filter((k) => kindOf(k).family === family).flatMap(section),
    ]),
    '',
    '## Wall units',
    '',
    'Composites: in the line they are their stages, closed to one card or opened.',
    '',
    '| Unit | Stages, in the order of flow |',
    '|---|---|',
    ...Object.values(WALL_UNITS).map((u) => `| ${u.label} | ${u.stages.map((s) => s.name).join(' → ')} |`),
    '',
    '## By id of the trade handbook',
    '',
    '| Id | Kind |',
    '|---|---|',
    ...HANDBOOK_IDS.map((id) => `| ${id} | ${kindFor(id)} |`),
  ];
  return `${lines.join('\n')}\n`;
}

/** What the handbook calls a fault of the data is refused where it is typed, not judged. */
const REFUSED_AT_THE_FIELD = {
  O49: 'a cooler colder than the air that cools it: at its outlet temperature',
  O50: 'a dew point that is not possible there: on the Dew point page, where a reading is entered',
  O51: 'a flow without its reference state, or a dew point without its pressure: no field takes one without the other',
  O58: 'a rating on another basis: each kind of dryer has a field for its own basis, and says which',
} as const;

function advice(): string {
  const lines = [
    '# Advice',
    '',
    'Made from the rules in `core/advice/` by `bin/lib/make-docs.ts`. S and O are the ids of the trade handbook, A those beyond it; a b stands for the lesser grade of the same. *Stop* cannot be set aside, and no line on which one stands is ready. Each rule has a test on which it speaks, and one on a line that differs only by the fault.',
    '',
    '| Id | Grade | Speaks of | What to do | Source |',
    '|---|---|---|---|---|',
    ...RULES.toSorted((a, b) => a.id.localeCompare(b.id)).map(
      (r) => `| ${r.id} | ${r.grade}${r.stop ? ', stop' : ''} | ${r.when} | ${r.fix} | ${r.source} |`,
    ),
    '',
    '## Refused at the field instead',
    '',
    '| Id | What |',
    '|---|---|',
    ...Object.entries(REFUSED_AT_THE_FIELD).map(([id, what]) => `| ${id} | ${what} |`),
  ];
  return `${lines.join('\n')}\n`;
}

/** Without the braces that mark figures for the reader’s units. */
const plain = (text: string): string => text.replaceAll(/\{([−-]?[\d.]+ [^\s{}"]+)\}/g, '$1');
const files: Record<string, string> = {
  'docs/advice.md': plain(advice()),
  'docs/advice-examples.md': adviceExamples(),
  'docs/advice-by-answer.md': adviceByAnswer(),
  'docs/maintenance-examples.md': maintenanceExamples(),
  'docs/plan.schema.json': plain(
    `${JSON.stringify(z.toJSONSchema(currentPlanSchema, { io: 'input', reused: 'ref' }), null, 2)}\n`,
  ),
  'docs/catalogue.md': plain(catalogue()),
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
