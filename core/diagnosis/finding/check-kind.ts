import type { Section } from '../../line/section';
import type { Plan, Stage } from '../../plan/plan';
import { pathTo } from '../../plan/runs';

/** What is needed for a check. */
export const TOOLS = {
  thermometer: 'thermometer',
  gauge: 'pressure gauge',
  cup: 'measuring cup',
  soap: 'soap water',
  meter: 'dew-point meter',
  watch: 'stopwatch',
} as const;
export type Tool = keyof typeof TOOLS;

/** A kind of check: what it reads, how well, and what it takes. */
export interface CheckKind {
  readonly label: string;
  readonly how: string;
  /** What it is read in; of a look, whether it is so: 1 or 0. */
  readonly quantity:
    | 'temperature'
    | 'pressure'
    | 'pressureDifference'
    | 'waterFlow'
    | 'volumeFlow'
    | 'drained'
    | 'look';
  /** Standard uncertainty of instrument and model together: absolute in SI, and relative. */
  readonly abs: number;
  readonly rel: number;
  readonly minutes: number;
  /** What it is read with; a look needs nothing. */
  readonly tool?: Tool;
  /** For so long the line stands still, minutes: work waits meanwhile. */
  readonly standsMin: number;
  readonly cautions: readonly string[];
  readonly canRead: (stage: Stage) => boolean;
  readonly read: (section: Section, plan: Plan, stageId: string) => number | undefined;
}

/** The stage before another. */
export const beforeOf = (plan: Plan, stageId: string): string | undefined => pathTo(plan, stageId).at(-2)?.id;
