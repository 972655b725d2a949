import type { Fault } from '../../fault/fault';
import type { SiteTime } from '../../log/site-clock';
import type { Stage } from '../../plan/plan';
import type { Reason } from './reasons';

/** A cause that may be true: a fault of a stage, or nothing in the line. */
export interface Cause {
  readonly id: string;
  readonly says: string;
  /** What repairs it; nothing where it is not the air. */
  readonly repair: string | undefined;
  readonly stageId: string | undefined;
  readonly fault: Fault | undefined;
  /** What this line says for and against it. */
  readonly reasons: readonly Reason[];
  /** Two at once, where no single one explains what was read. */
  readonly pair?: readonly [Cause, Cause];
}

/** What was read. */
export interface Reading {
  readonly checkId: string;
  /** SI. */
  readonly value: number;
  /** When, where the log has it; left out, just now. */
  readonly at?: SiteTime;
}

export interface Believed {
  readonly cause: Cause;
  /** 0…1; all together 1. */
  readonly probability: number;
}

/** So sure one is, that the cause is taken as found (trade practice of the handbook; an estimate). */
export const SURE = 0.9;

/**
 * Whether a cause is found: one is sure enough, or those that together are sure enough have one repair at one stage.
 * @param believed the likeliest first
 * @example isFound([{ cause: NOTHING, probability: 0.95 }]) // true
 */
export function isFound(believed: readonly Believed[]): boolean {
  const [top] = believed;
  if (!top) return false;
  const alike = believed.filter(
    ({ cause }) => cause.repair === top.cause.repair && cause.stageId === top.cause.stageId,
  );
  return alike.reduce((sum, b) => sum + b.probability, 0) >= SURE;
}

/** Before anything is read: how often a complaint has no cause in the line (estimate). */
export const NOT_THE_AIR = 0.1;
export const NOTHING: Cause = {
  id: 'nothing',
  says: 'Nothing in the line: surface, room, the tool, or a gauge',
  repair: undefined,
  stageId: undefined,
  fault: undefined,
  reasons: [],
};

const lower = (text: string): string => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** A fault of a stage as a cause. */
export function causeOf(stage: Stage, fault: Fault, reasons: readonly Reason[]): Cause {
  return {
    id: `${fault.id} ${stage.id}`,
    says: `${stage.name}: ${lower(fault.says)}`,
    repair: fault.repair,
    stageId: stage.id,
    fault,
    reasons,
  };
}

/** Two causes at once. */
export const pairOf = (a: Cause, b: Cause): Cause => ({
  id: `${a.id} + ${b.id}`,
  says: `${a.says}; and ${b.says}`,
  repair: `${a.repair}. ${b.repair}`,
  stageId: a.stageId,
  fault: undefined,
  reasons: [...a.reasons, ...b.reasons],
  pair: [a, b],
});
