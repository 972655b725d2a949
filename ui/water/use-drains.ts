'use client';

import { useMemo } from 'react';
import { collectingStages, type DrainDuty, dutyOf } from '@/core/drains/duty';
import { type JudgedSetting, judgeSetting } from '@/core/drains/judge-setting';
import type { PointYear } from '@/core/drains/point-year';
import { usePlan } from '@/ui/plan/plan-provider';
import { useWater } from './water-provider';

/** A drain of the line: what it has to do, how it is set, and what the year brings to it. */
export interface DrainRow {
  readonly duty: DrainDuty;
  readonly judged: JudgedSetting;
  readonly year: PointYear | undefined;
}

/** All drains of the line as they are today, judged; with the year where there is one. */
export function useDrains(): readonly DrainRow[] {
  const { plan, section } = usePlan();
  const { ran, today } = useWater();
  return useMemo(
    () =>
      collectingStages(plan).flatMap((stage): DrainRow[] => {
        const year = ran?.drains.get(stage.id);
        const duty = dutyOf(plan, section, stage, year && { peakKgPerS: year.design.value, coldestC: year.coldestC });
        return duty ? [{ duty, judged: judgeSetting(duty, year, today.day), year }] : [];
      }),
    [plan, section, ran, today.day],
  );
}
