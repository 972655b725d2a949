import { FAULTS } from '../fault/faults';
import { walk } from '../line/walk';
import { maintenanceFacts } from '../maintenance/facts';
import { tasksOfLine } from '../maintenance/line-tasks';
import { bestPick } from './best-pick';
import type { PickOption } from './case';
import { practiceLine, type Shape } from './lines';
import type { Maker } from './maker';

/** Minutes a week that somebody has at most, and of what all tasks would take: so that one has to choose (estimate). */
const MOST_MIN = 20;
const OF_ALL = 0.4;

/** Cases of tasks within the minutes of a week. */
export const askRoutine: Maker = (draws, season) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'dry']), season);
  const options = tasksOfLine(maintenanceFacts(plan, walk(plan))).flatMap(({ stage, task, interval }): PickOption[] => {
    const worth = FAULTS.filter((f) => f.canHave(stage) && f.tasks.includes(task.id)).reduce(
      (s, f) => s + f.perYear,
      0,
    );
    const minutesPerWeek = (task.minutes * 7) / interval.days;
    return worth > 0
      ? [{ id: `${stage.id} ${task.id}`, says: `${stage.name}: ${task.does.toLowerCase()}`, minutesPerWeek, worth }]
      : [];
  });
  const all = options.reduce((sum, o) => sum + o.minutesPerWeek, 0);
  const budgetMin = Math.min(MOST_MIN, Math.max(2, Math.round(OF_ALL * all)));
  const best = bestPick(options, budgetMin);
  return {
    title: 'A few minutes a week',
    plan,
    says: `${plan.survey.shop}. “I have ${budgetMin} minutes a week for the compressor, not more. What do I do with them?”`,
    asks: 'Choose what is done; each comes as often as this line asks for it.',
    asked: { form: 'pick', options, budgetMin, best },
    because: best.flatMap((id) => {
      const o = options.find((x) => x.id === id);
      return o
        ? [
            {
              says: `${o.says}: keeps away ${o.worth.toFixed(1)} faults a year (estimate)`,
              si: o.minutesPerWeek * 60,
              quantity: 'duration' as const,
            },
          ]
        : [];
    }),
  };
};
