import { gaugeOffPa } from '../equipment/measuring/gauge';
import type { Plan, Stage } from '../plan/plan';
import { pathTo, stageById, standing } from '../plan/runs';
import { type WorstMoment, worstMoments } from './peak-pressure';

/** Two gauges one downstream of the other: what is lost between them by their readings, and by the numbers. */
export interface GaugeStretch {
  readonly fromId: string;
  readonly toId: string;
  readonly from: string;
  readonly to: string;
  /** Fall of the readings when air flows, less what they differ by when nothing does. */
  readonly measuredPa: number;
  /** How far that may be off: four readings by two gauges. */
  readonly offPa: number;
  readonly computedPa: number;
  /** `more` is lost than the numbers say, `less`, or they agree within the gauges. */
  readonly verdict: 'agrees' | 'more' | 'less';
  /** What in between loses most by the numbers: where to look. */
  readonly largest?: string;
}

type GaugeStage = Extract<Stage, { kind: 'gauge' }>;

/**
 * Holds gauges along the way to an outlet, read at rest and while all blows that can blow at once, against the walk: where the
 * measured loss parts from the computed one, something is in the pipe that is not in the plan.
 *
 * A gauge that is off reads the same amount off in both states: the difference between flowing and at rest is free of it. Over
 * a regulator nothing can be said so: it does not pass the pressure at rest on.
 *
 * @returns from gauge to gauge in the order of the air; empty with fewer than two gauges that were read
 * @source static against flowing reading, common practice
 * @example stretchesTo(plan, 'outlet').length // 0
 */
export function stretchesTo(plan: Plan, outletId: string): GaugeStretch[] {
  const moment = worstMoments(plan).get(outletId);
  return moment ? between(standing(plan), outletId, moment) : [];
}

function between(line: Plan, outletId: string, { section }: WorstMoment): GaugeStretch[] {
  const path = pathTo(line, outletId);
  const gauges = path.filter((s): s is GaugeStage => s.kind === 'gauge' && s.parameters.read === 'yes');
  return gauges.slice(1).flatMap((to, i): GaugeStretch[] => {
    const from = gauges[i] as GaugeStage;
    const steps = path.slice(path.indexOf(from) + 1, path.indexOf(to));
    const pressure = (id: string): number | undefined => section.at(id)?.pressurePa;
    const [high, low] = [pressure(from.id), pressure(to.id)];
    if (high === undefined || low === undefined || steps.some((s) => s.kind === 'regulator')) return [];
    const fell = (s: GaugeStage): number => s.parameters.readStaticPa - s.parameters.readFlowingPa;
    const measuredPa = fell(to) - fell(from);
    // Repeatability, not accuracy: what is left of a gauge's error in a difference is about a third of its class (estimate).
    const offPa = (Math.hypot(gaugeOffPa(from.parameters), gaugeOffPa(to.parameters)) * Math.SQRT2) / 3;
    const computedPa = high - low;
    const losses = steps.map((s, k) => {
      const before = pressure(steps[k - 1]?.id ?? from.id) ?? high;
      return { id: s.id, loss: before - (pressure(s.id) ?? before) };
    });
    const largest = losses.sort((a, b) => b.loss - a.loss)[0];
    return [
      {
        fromId: from.id,
        toId: to.id,
        from: from.name,
        to: to.name,
        measuredPa,
        offPa,
        computedPa,
        verdict: Math.abs(measuredPa - computedPa) <= offPa ? 'agrees' : measuredPa > computedPa ? 'more' : 'less',
        ...(largest && { largest: stageById(line, largest.id)?.name ?? '' }),
      },
    ];
  });
}
