import type { LineFacts } from '../advice/line-facts';
import type { Plan } from '../line/plan';

/** Work that a line asks of somebody. */
export interface Chore {
  readonly says: string;
  readonly points: number;
  readonly minutesPerYear: number;
}

// Minutes each time and times a year: common practice, estimates.
const WEEKS = 50;
const AUTOMATIC = ['float', 'timer', 'unloader', 'unloader-start', 'pressure-loss', 'level'] as const;

/** What has to be done by hand on a line, and how long it takes in a year. Common practice, estimates. */
export function choresOf(plan: Plan, line: LineFacts): Chore[] {
  const days = plan.survey.working.days.length * WEEKS;
  const drains = (of: (drain: string) => boolean): number =>
    line.stages.filter((s) => 'drain' in s.parameters && of(s.parameters.drain)).length;
  const chore = (says: string, points: number, minutes: number, times: number): Chore[] =>
    points === 0 ? [] : [{ says, points, minutesPerYear: points * minutes * times }];
  return [
    ...chore(
      'Open a drain by hand, each day',
      drains((d) => d === 'manual'),
      1,
      days,
    ),
    ...chore(
      'Try an automatic drain, each week',
      drains((d) => (AUTOMATIC as readonly string[]).includes(d)),
      1,
      WEEKS,
    ),
    ...chore(
      'Change a filter element, twice a year',
      line.of('coalescing-filter', 'particulate-filter', 'carbon-filter').length,
      20,
      2,
    ),
    ...chore(
      'Wash a bowl and its element, four times a year',
      line.of('bowl-filter', 'tool-filter', 'droplet-separator').length,
      10,
      4,
    ),
    ...chore('Change or dry a charge of beads, each week', line.of('bead-cartridge').length, 15, WEEKS),
    ...chore('Look after pellets, each week', line.of('pellet-tower').length, 10, WEEKS),
    ...chore(
      'Clean the fins of a cooler or dryer, each month',
      line.of('aftercooler', 'fluid-cooler', 'refrigerated-dryer', 'cycling-dryer', 'high-inlet-dryer').length,
      10,
      12,
    ),
    ...chore(
      'See to a twin tower, each quarter',
      line.of('twin-tower', 'heated-purge-tower', 'blower-purge-tower', 'split-flow-tower', 'heat-of-compression-tower')
        .length,
      60,
      4,
    ),
  ];
}
