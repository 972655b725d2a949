'use client';

import { useEffect, useMemo, useState } from 'react';
import { collectingStages } from '@/core/drains/duty';
import { type PointYear, pointYear } from '@/core/drains/point-year';
import { type PlaceLife, spentTimes } from '@/core/maintenance/charge-lives';
import { type DueTask, dueTasks } from '@/core/maintenance/due';
import { type MaintenanceFacts, maintenanceFacts } from '@/core/maintenance/facts';
import type { LogSummary } from '@/core/maintenance/log-summary';
import { useLives } from '@/ui/due/use-lives';
import { usePlan } from '@/ui/plan/plan-provider';
import { nowOnTheWall } from '@/ui/units/when';
import { useClimateWeather } from '@/ui/water/use-climate-weather';
import { useWeatherRun } from '@/ui/water/use-weather-run';

/** Now on the shop’s wall; it goes on while the page is open. */
export function useNow(): string {
  const [now, setNow] = useState(nowOnTheWall);
  useEffect(() => {
    const each = setInterval(() => setNow(nowOnTheWall()), 60_000);
    return () => clearInterval(each);
  }, []);
  return now;
}

const NONE: readonly PlaceLife[] = [];

/** What is due on the line, by its log, its use and the weather of its year. */
export function useDue({ last, postponed, events, signals, beads, charges }: LogSummary): {
  facts: MaintenanceFacts;
  tasks: readonly DueTask[];
  lives: readonly PlaceLife[];
  now: string;
  /** Whether the weather of its year and its charges are in it already: they come a moment later. */
  ready: boolean;
} {
  const { plan, section } = usePlan();
  const now = useNow();
  const { weather, fetching } = useClimateWeather(plan);
  const { ran, answered } = useWeatherRun(plan, weather, { year: Number(now.slice(0, 4)) });
  const { lives = NONE, busy } = useLives(charges, beads, now);
  const years = useMemo(() => {
    const all = new Map<string, PointYear>();
    for (const s of ran ? collectingStages(ran.plan) : []) {
      const year = ran && pointYear(ran.run, s.id);
      if (year) all.set(s.id, year);
    }
    return all;
  }, [ran]);
  const facts = useMemo(
    () => maintenanceFacts(plan, section, years, spentTimes(lives, now)),
    [plan, section, years, lives, now],
  );
  const tasks = useMemo(
    () => dueTasks(facts, last, postponed, now, events, signals),
    [facts, last, postponed, now, events, signals],
  );
  return { facts, tasks, lives, now, ready: !fetching && !busy && (!weather || answered) };
}
