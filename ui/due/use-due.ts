'use client';

import { useEffect, useMemo, useState } from 'react';
import { type DueTask, dueTasks } from '@/core/maintenance/due';
import type { MaintenanceFacts } from '@/core/maintenance/facts';
import { type ChargeEnd, type DueSources, factsOfYear } from '@/core/maintenance/line-year';
import { usePlan } from '@/ui/plan/plan-provider';
import { nowOnTheWall } from '@/ui/units/when';
import { useLineYear } from './use-line-year';

/** Now on the shop’s wall; it goes on while the page is open. */
export function useNow(): string {
  const [now, setNow] = useState(nowOnTheWall);
  useEffect(() => {
    const each = setInterval(() => setNow(nowOnTheWall()), 60_000);
    return () => clearInterval(each);
  }, []);
  return now;
}

/** What is due on the line, by its log, its use and the weather of its year. */
export function useDue(sources: DueSources): {
  facts: MaintenanceFacts;
  tasks: readonly DueTask[];
  lives: readonly ChargeEnd[];
  now: string;
  /** Whether its year is in it already: else it comes a moment later. */
  ready: boolean;
} {
  const { last, postponed, events, signals } = sources.log;
  const { plan, section } = usePlan();
  const now = useNow();
  const { year, ready } = useLineYear(sources, now);
  const facts = useMemo(() => factsOfYear(plan, section, year), [plan, section, year]);
  const tasks = useMemo(
    () => dueTasks(facts, last, postponed, now, events, signals),
    [facts, last, postponed, now, events, signals],
  );
  return { facts, tasks, lives: year?.lives ?? [], now, ready };
}
