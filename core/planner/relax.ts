import { JOBS } from '../plan/jobs';
import { WATER_CLASS_DEW_POINT_C } from '../purity/iso-8573';
import { askedOf } from './base-line';
import { dutyOf } from './loaded-line';
import { compressorsFor } from './open-compressor';
import type { Question, QuestionJob } from './question';
import { search } from './search';

/** A change of what is asked that makes a line possible. */
export interface Relaxation {
  /** A text with its figures in braces, for the units of its reader. */
  readonly says: string;
  readonly question: Question;
}

/** Steps in which each wish is given up, the smallest first (estimates: what somebody would think about). */
const LARGER = [1.1, 1.25, 1.4, 1.6, 2, 3];
const LESS_PA = [2e4, 4e4, 7e4, 1e5, 1.5e5];
const TIMES_AS_HUMID = [1.5, 2, 4, 8];
const FROST_FREE_C = 5;
const ANY = 1e9;
const MOST_MINUTES = 3000;

const compressorOf = (q: Question, times: number): Question => ({
  ...q,
  compressor: { ...q.compressor, freeAirDeliveryM3PerS: q.compressor.freeAirDeliveryM3PerS * times },
});

const sayClass = (of: string, c: string, at: string): string =>
  c === 'any' ? `No class of ${of} at ${at}` : `Class ${c} of ${of} at ${at}`;

/** Each thing that a job asks of its air, as less and less of it; the next class, or the dew point of the next class. */
function weakerNeeds(job: QuestionJob): readonly (readonly { says: string; change: Partial<QuestionJob> }[])[] {
  const at = JOBS[job.job].label;
  const dewPoints = Object.values(WATER_CLASS_DEW_POINT_C).filter((c) => job.need === 'dew-point' && c > job.dewPointC);
  const humid = TIMES_AS_HUMID.map((times) => times * job.relativeHumidity).filter(
    (share) => job.need.startsWith('humidity') && share <= 1,
  );
  const wetter = (['2', '3', '4', '5', '6'] as const).filter((c) => job.need === 'iso-class' && c > job.waterClass);
  const oily = (['2', '3', '4', 'any'] as const).filter((c) => c > job.oilClass); // letters are after digits
  const dusty = (['2', '3', '4', '5', '6', '7', 'any'] as const).filter((c) => c > job.particleClass);
  return [
    dewPoints.map((dewPointC) => ({ says: `A dew point of {${dewPointC} °C} at ${at}`, change: { dewPointC } })),
    humid.map((relativeHumidity) => ({
      says: `Air of ${Number((100 * relativeHumidity).toPrecision(2))} % relative humidity at ${at}`,
      change: { relativeHumidity },
    })),
    wetter.map((waterClass) => ({ says: sayClass('water', waterClass, at), change: { waterClass } })),
    oily.map((oilClass) => ({ says: sayClass('oil', oilClass, at), change: { oilClass } })),
    dusty.map((particleClass) => ({ says: sayClass('particles', particleClass, at), change: { particleClass } })),
  ];
}

/** Wishes that could be given up, each as its steps. */
interface Wishes {
  readonly each: readonly (readonly Relaxation[])[];
  /** With all of them given up, where each step makes the next one easier: without a line here, none of them has one. */
  readonly all?: Question;
}

function wishes(q: Question): readonly Wishes[] {
  const withJob = (i: number, change: Partial<QuestionJob>): Question => ({
    ...q,
    jobs: q.jobs.with(i, { ...(q.jobs[i] as QuestionJob), ...change }),
  });
  const larger = LARGER.map((times) => ({
    says: `A compressor that delivers ${Math.round((times - 1) * 100)} % more`,
    question: compressorOf(q, times),
  }));
  const lower = q.jobs.map((job, i): Wishes => {
    const steps = LESS_PA.filter((pa) => job.leastGaugePa - pa > 0.3 * job.leastGaugePa).map(
      (pa): Relaxation => ({
        says: `{${(pa / 1e5).toFixed(1)} bar} less at ${JOBS[job.job].label}`,
        question: withJob(i, { leastGaugePa: job.leastGaugePa - pa }),
      }),
    );
    const last = steps.at(-1);
    return { each: [steps], ...(last && { all: last.question }) };
  });
  const weaker = q.jobs.map((job, i): Wishes => {
    const needs = weakerNeeds(job);
    return {
      each: needs.map((steps) => steps.map(({ says, change }) => ({ says, question: withJob(i, change) }))),
      all: withJob(i, Object.assign({}, ...needs.map((steps) => steps.at(-1)?.change))),
    };
  });
  const others = [
    ...(q.refused.length > 0 ? [[{ says: 'Allow what is not wanted', question: { ...q, refused: [] } }]] : []),
    ...(q.hasPower === 'no'
      ? [[{ says: 'Mains power at the line', question: { ...q, hasPower: 'yes' as const } }]]
      : []),
    ...(q.noise === 'quiet'
      ? [
          [
            {
              says: 'A dryer that blows off, where people do not work beside it',
              question: { ...q, noise: 'any' as const },
            },
          ],
        ]
      : []),
    ...(q.coldestRoomC < FROST_FREE_C
      ? [[{ says: 'A compressor room kept free of frost', question: { ...q, coldestRoomC: FROST_FREE_C } }]]
      : []),
  ];
  return [{ each: others }, ...weaker, ...lower, { each: q.compressor.sized === 'given' ? [larger] : [] }];
}

/** Whether any line serves a question. */
function isServed(question: Question): boolean {
  for (const { front } of search(question)) if (front.length > 0) return true;
  return false;
}

/**
 * What the jobs take of what the compressor may give, 1 at its duty limit.
 * @example dutyOver(question({})) // 0.68
 */
export function dutyOver(question: Question): number {
  const sized = compressorsFor(question).at(-1) ?? question;
  const { share, limit } = dutyOf(askedOf(sized));
  return share / limit;
}

/**
 * The smallest changes of a question, each alone, that make a line possible: money and minutes first, then each wish by the
 * first of its steps that is enough.
 * @returns a generator, for each may take as long as a search
 * @example [...relaxations(question({ breathed: 'yes' }))].filter((r) => r).length // 0
 */
export function* relaxations(question: Question): Generator<Relaxation | undefined> {
  const free = { ...question, budget: ANY, minutesPerWeek: MOST_MINUTES };
  if (dutyOver(question) <= 1) {
    let last: ReturnType<ReturnType<typeof search>['next']>;
    const run = search(free);
    do {
      last = run.next();
      yield undefined;
    } while (!last.done);
    const { front } = last.value;
    const purchases = front
      .filter((p) => p.merits.minutesPerWeek <= question.minutesPerWeek)
      .map((p) => p.merits.purchase);
    const minutes = front.filter((p) => p.merits.purchase <= question.budget).map((p) => p.merits.minutesPerWeek);
    // The figures of the front are whole steps, rounded down: one step more is enough.
    if (purchases.length > 0) {
      const budget = Math.min(...purchases) + 10;
      yield { says: `${budget} ${question.money.currency} to buy it with`, question: { ...question, budget } };
    }
    if (minutes.length > 0) {
      const minutesPerWeek = Math.ceil(Math.min(...minutes)) + 1;
      yield { says: `${minutesPerWeek} minutes a week`, question: { ...question, minutesPerWeek } };
    }
    if (front.length > 0 && purchases.length === 0 && minutes.length === 0) {
      const [least] = front.toSorted((a, b) => a.merits.purchase - b.merits.purchase);
      if (least) {
        const [budget, minutesPerWeek] = [least.merits.purchase + 10, Math.ceil(least.merits.minutesPerWeek) + 1];
        yield {
          says: `${budget} ${question.money.currency} to buy it with, and ${minutesPerWeek} minutes a week`,
          question: { ...question, budget, minutesPerWeek },
        };
      }
    }
    if (front.length > 0) return;
  }
  const helps = (changed: Question): boolean => dutyOver(changed) <= 1 && isServed(changed);
  for (const { each, all } of wishes(question)) {
    yield undefined;
    if (all && !helps(all)) continue;
    for (const steps of each) {
      const last = steps.at(-1);
      if (all && (!last || !helps(last.question))) continue;
      for (const step of steps) {
        yield undefined;
        if (!helps(step.question)) continue;
        yield step;
        break;
      }
    }
  }
}
