import type { DrainEntry } from '@/core/log/drain-entry';
import type { LogEntry } from '@/core/log/log-entry';
import { readStored, store } from '@/ui/browser-store';

/** What somebody has half entered at a point of a round. */
export interface KeptAnswer {
  readonly readings?: LogEntry['readings'];
  readonly looks?: DrainEntry['appearance'] | undefined;
  readonly text?: string;
  readonly unitId?: string | undefined;
  readonly because?: string;
  readonly wrong?: boolean;
}

const keyOf = (planId: string, taskKey: string): string => `cool-dram.half.${planId}.${taskKey}`;

/** What was half entered at a point, on this device; nothing where all was logged. */
export function keptAnswer(planId: string, taskKey: string): KeptAnswer {
  const text = readStored(keyOf(planId, taskKey));
  try {
    return text ? (JSON.parse(text) as KeptAnswer) : {};
  } catch {
    return {};
  }
}

/** Keeps what is half entered, or forgets it. */
export function keepAnswer(planId: string, taskKey: string, answer: KeptAnswer | undefined): void {
  const isEmpty =
    !answer || !Object.values({ ...answer, unitId: undefined, readings: answer.readings?.length }).some(Boolean);
  store(keyOf(planId, taskKey), isEmpty ? undefined : JSON.stringify(answer));
}
