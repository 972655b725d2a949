import { readFileSync } from 'node:fs';
import { imbalance } from '../line/section';
import { walk } from '../line/walk';
import { issuesOf } from '../plan/issues';
import { speakPlainly } from '../plan/plain-messages';
import { planSchema } from '../plan/plan';
import { stageById } from '../plan/runs';
import { say } from '../quantity/format';
import { sayText } from '../quantity/say-text';

const USAGE = `walk [--ideal] PLAN.json
  Prints the walked section of a plan file as JSON; “-” reads standard input.
  --ideal   take the enhancement factor as 1`;

function fail(message: string, issues: unknown = undefined): never {
  console.error(issues ? JSON.stringify({ error: { message, issues } }, null, 2) : message);
  process.exit(2);
}

const args = process.argv.slice(2);
const ideal = args.includes('--ideal');
const files = args.filter((a) => a !== '--ideal');
if (args.includes('--help') || args.includes('-h')) {
  console.log(USAGE);
  process.exit(0);
}
const [file] = files;
if (files.length !== 1 || file === undefined || (file.startsWith('-') && file !== '-')) fail(USAGE);

function read(path: string): unknown {
  let text: string;
  try {
    text = readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch {
    fail(`“${path}” cannot be read.`);
  }
  try {
    return JSON.parse(text);
  } catch {
    fail(`“${path}” is not valid JSON.`);
  }
}

const input = read(file);
speakPlainly();
const parsed = planSchema.safeParse(input);
if (!parsed.success) fail('Not a valid plan file.', issuesOf(parsed.error, input));
const section = walk(parsed.data, ideal ? 'ideal' : 'real');
const named = section.stations.map((s) => ({ name: stageById(parsed.data, s.stageId)?.name, ...s }));
const problems = section.problems.map((p) => ({ ...p, message: sayText(p.message, (si, of) => say(si, of)) }));
console.log(
  JSON.stringify(
    {
      format: 'cool-dram-section',
      version: 1,
      basis: ideal ? 'ideal' : 'real',
      dryAirKgPerS: section.dryAirKgPerS,
      stations: named,
      ledger: section.ledger,
      ledgerImbalance: imbalance(section.ledger),
      problem: problems[0],
      problems,
    },
    null,
    2,
  ),
);
if (section.problem) process.exitCode = 1;
