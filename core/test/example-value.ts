import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { type DrainDuty, dutyOf } from '../drains/duty';
import { walk } from '../line/walk';
import { newDrain, newEntry } from '../log/new-entry';
import { maintenanceFacts } from '../maintenance/facts';
import { type Plan, planSchema, type Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { surroundingsOf } from '../plan/surroundings';
import { askedOf } from '../planner/base-line';
import type { Proposal } from '../planner/judged-front';
import { question } from '../planner/question';
import { type Found, searched } from '../planner/search';
import { stepsOfBuying } from '../planner/staged';
import type { DryerDuty } from '../sizing/dryer-duty';
import { AirStream } from '../stream/air-stream';
import { runWeather, type WeatherRun } from '../year/run-weather';
import { steady } from './synthetic-year';

// What an example in a docstring may name: the exports of its own file, those of all core/, and what is below.

const ROOT = path.join(__dirname, '../..');

const plan: Plan = planSchema.parse(JSON.parse(readFileSync(path.join(ROOT, 'docs/workshop.json'), 'utf8')));
const section = walk(plan);
const stage = (id: string): Stage => stageById(plan, id) as Stage;
let year: WeatherRun | undefined;
const yearOfLine = (): WeatherRun | undefined => {
  year ??= runWeather(plan, steady(25, 0.6), { year: 2026 });
  return year;
};

let found: Found | undefined;
/** What the planner finds for a spray gun, of a few kinds of dryer. */
const proposals = (): Found => {
  found ??= searched(question({ refused: ['membrane', 'twin-tower', 'cooling-run'] }));
  return found;
};

const NOW = '2026-11-25T09:00';
const DRAINED = { stageId: 'receiver', sinceAt: '2026-11-24T09:00' };
const DRYER_DUTY: DryerDuty = {
  ...{ dryAirKgPerS: 0.01, load: 0.5, inletC: 30, inletPa: 8e5, atmosphericPa: 101325, relativeHumidity: 1 },
  ...{ roomC: 25, hottestRoomC: 35, coldestRoomC: 15, coldestAfterC: 15, hotOilFree: false, wantedC: 3 },
  ...{ hoursPerYear: 2000, perKWh: 0.2, perHour: 30 },
};

const NAMES: Readonly<Record<string, () => unknown>> = {
  plan: () => plan,
  section: () => section,
  stage: () => stage,
  around: () => surroundingsOf(plan),
  air: () => new AirStream('real', 0.01, 0.0001, 30, 8e5),
  facts: () => maintenanceFacts(plan, section),
  duty: () => dutyOf(plan, section, stage('receiver') as DrainDuty['stage']),
  /** 25 °C and 60 % in every hour. */
  weather: () => steady(25, 0.6),
  run: yearOfLine,
  newId: () => {
    let n = 0;
    return () => `n${++n}`;
  },
  now: () => NOW,
  /** What a person wrote of a drain, with what the line expected; and of a filter. */
  drain: () => ({
    ...newDrain(plan, { id: 'd', at: NOW }, { ...DRAINED, amountM3: 0.0002, appearance: 'clear', who: 'A' }),
    ...{ expectedKg: 0.17, lowKg: 0.12, highKg: 0.22, countedHours: 3.6, stageName: 'Receiver', struck: false },
  }),
  entry: () => ({
    ...newEntry(plan, { id: 'e', at: NOW }, { kind: 'observation', stageId: 'fine', who: 'A' }),
    ...{ stageName: 'Fine', enteredAt: NOW, expected: [] },
  }),
  dryerDuty: () => DRYER_DUTY,
  asked: () => askedOf(question({})),
  found: proposals,
  steps: () => stepsOfBuying(proposals().front[0] as Proposal),
};

/** The files of core/ without its tests. */
export const CORE_FILES = execFileSync('git', ['ls-files', 'core/*.ts'], { cwd: ROOT, encoding: 'utf8' })
  .split('\n')
  .filter((f) => f.endsWith('.ts') && !/\.test\.ts$|core\/test\/|\.d\.ts$/.test(f));

/** Where each exported name of core/ is. */
const HOMES = new Map(
  CORE_FILES.flatMap((file) =>
    [
      ...readFileSync(path.join(ROOT, file), 'utf8').matchAll(/^export (?:async )?(?:function|const|class) (\w+)/gm),
    ].map(([, name]) => [name as string, file] as const),
  ),
);

/** What a name of an example stands for: an export of its own file, one of another, or a name that all examples may use. */
function meant(name: string, own: Record<string, unknown>): unknown {
  if (name in own) return own[name];
  if (name in NAMES) return NAMES[name]?.();
  const home = HOMES.get(name);
  return home && (require(path.join(ROOT, home)) as Record<string, unknown>)[name];
}

/** The value of an expression as an example in a file of core/ would have it. */
export function evaluate(file: string, expression: string): unknown {
  const own = require(path.join(ROOT, file)) as Record<string, unknown>;
  const words = [...new Set(expression.replace(/'[^']*'/g, '').match(/(?<!\w|(?<!\.\.)\.)[A-Za-z_]\w*/g))];
  const named = words.map((name) => [name, meant(name, own)] as const).filter(([, value]) => value !== undefined);
  return new Function(...named.map(([name]) => name), `return ${expression}`)(...named.map(([, value]) => value));
}
