import { sayIn } from '../advice/rule';
import { collectingStages, dutyOf, kgPerDay } from '../drains/duty';
import { judgeSetting } from '../drains/judge-setting';
import { oilyWater } from '../drains/oily-water';
import { pointYear } from '../drains/point-year';
import { waysToDrain } from '../drains/ways';
import { winterList } from '../drains/winter';
import { walk } from '../line/walk';
import { maintenanceFacts } from '../maintenance/facts';
import { sayInterval } from '../maintenance/interval';
import { tasksOfLine } from '../maintenance/line-tasks';
import { LEVELS } from '../plan/maintenance-settings';
import type { Plan } from '../plan/plan';
import { say as inUnits } from '../quantity/format';
import { METRIC, type QuantityName } from '../quantity/units';
import { runWeather } from '../year/run-weather';
import type { WeatherHours } from '../year/weather';
import { damp, GOOD, yard } from './good-lines';

const say = (si: number, quantity: QuantityName): string => inUnits(si, quantity, METRIC);
const row = (...cells: readonly string[]): string => `| ${cells.join(' | ')} |`;
const table = (head: readonly string[], rows: readonly (readonly string[])[]): string[] =>
  rows.length === 0 ? [] : ['', row(...head), row(...head.map(() => '---')), ...rows.map((r) => row(...r))];

/** A year with a winter and a humid summer, by hand: its means and swings are a curve, not a place. */
const YEAR: WeatherHours = {
  temperatureC: Float64Array.from(
    { length: 8760 },
    (_, h) => 9 - 17 * Math.cos((2 * Math.PI * (h / 24 - 20)) / 365) - 5 * Math.cos((2 * Math.PI * (h - 4)) / 24),
  ),
  relativeHumidity: Float64Array.from({ length: 8760 }, (_, h) => 0.65 + 0.15 * Math.cos((2 * Math.PI * (h - 4)) / 24)),
};

function tasks(plan: Plan): string[] {
  const at = (level: keyof typeof LEVELS) => {
    const line: Plan = { ...plan, routine: { ...plan.routine, level } };
    return new Map(
      tasksOfLine(maintenanceFacts(line, walk(line))).map((t) => [`${t.stage.id} ${t.task.id}`, t] as const),
    );
  };
  const levels = (Object.keys(LEVELS) as (keyof typeof LEVELS)[]).map(at);
  const keys = new Map(levels.flatMap((l) => [...l].map(([key, t]) => [key, t] as const)));
  return table(
    ['stage', 'task', ...Object.keys(LEVELS), 'why'],
    [...keys].map(([key, { stage, task, interval }]) => [
      stage.name,
      `${task.id} ${task.does}`,
      ...levels.map((l) => (l.has(key) ? sayInterval(l.get(key)?.interval.days ?? 0) : '–')),
      interval.why.map((w) => sayIn(w, say)).join(' '),
    ]),
  );
}

function drains(plan: Plan): string[] {
  const section = walk(plan);
  const run = runWeather(plan, YEAR, { year: 2026 });
  return table(
    ['drain', 'water a day', 'in the year', 'as it is set', 'better', 'ways, the best first', 'air lost'],
    collectingStages(plan).flatMap((stage) => {
      const year = run && pointYear(run, stage.id);
      const duty = dutyOf(plan, section, stage, year && { peakKgPerS: year.design.value, coldestC: year.coldestC });
      if (!duty) return [];
      const set = judgeSetting(duty, year, 200);
      const ways = waysToDrain(duty);
      return [
        [
          `${stage.name}: ${stage.parameters.drain}`,
          say(kgPerDay(duty), 'mass'),
          year ? `${say(year.yearKg, 'mass')}; wettest day ${say(year.wettestDay.kg, 'mass')}` : '–',
          `${set.mark}: ${sayIn(set.atSetting, say)}`,
          set.better ? sayIn(set.better, say) : '–',
          ways.map((w) => `${w.drain} (${w.suits}): ${sayIn(w.setting, say)}`).join('; '),
          ways.map((w) => say(w.lostKgPerDay, 'mass')).join('; '),
        ],
      ];
    }),
  );
}

function winter(plan: Plan): string[] {
  const run = runWeather(plan, YEAR, { year: 2026 });
  if (!run) return [];
  const oily = oilyWater(plan, walk(plan), run);
  return [
    ...table(
      ['in the cold', 'hours', 'what happens', 'what to do', 'how'],
      winterList(plan, run).map((w) => [w.stage.name, String(w.hours), sayIn(w.what, say), w.does, sayIn(w.how, say)]),
    ),
    ...(oily
      ? [
          '',
          `Oily water: ${say(oily.yearKg, 'mass')} a year, ${say(oily.wettestDayKg, 'mass')} on the wettest day, ${say(oily.oilKgPerYear, 'mass')} of oil in it; chambers of ${say(oily.chamberM3, 'drained')}${oily.carbonLastsS === undefined ? '' : `; its carbon lasts ${say(oily.carbonLastsS, 'time')}`}.`,
        ]
      : []),
  ];
}

const { goodShop: shop, goodDry: dry, goodPlant: plant } = GOOD;
const LINES: Readonly<Record<string, () => Plan>> = { shop, dry, plant, yard, damp };

/** The page of docs/ with what maintenance and drains ask for on some lines. */
export const maintenanceExamples = (): string =>
  `${[
    '# Examples of maintenance and drains',
    '',
    'Tasks and how often they come at each level, drains as they are set and as they would be better, and what may freeze, on the lines that the tests use, in metric units. The weather is a curve with a winter of −13 °C and a summer of 31 °C. Made from the code.',
    ...Object.entries(LINES).flatMap(([name, line]) => {
      const plan = line();
      return ['', `## ${name}`, ...tasks(plan), ...drains(plan), ...winter(plan)];
    }),
  ].join('\n')}\n`;
