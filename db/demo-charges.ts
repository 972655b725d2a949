import { leftAfter } from '../core/desiccant/judge-charge';
import { type Charge, chargeSchema } from '../core/log/charge';
import { type LogEntry, logEntrySchema } from '../core/log/log-entry';
import { type SiteTime, siteTimeOf } from '../core/log/site-clock';
import { livesOf } from '../core/maintenance/charge-lives';
import { chargeLoad } from '../core/maintenance/charge-load';
import { loadedClock } from '../core/maintenance/loaded-clock';
import { setParameter } from '../core/plan/edit';
import type { Plan } from '../core/plan/plan';
import { DAY_MS, HOUR_MS } from '../core/quantity/constants';
import { runWeather } from '../core/year/run-weather';
import type { WeatherHours } from '../core/year/weather';
import { DAIRY_BEADS } from './dairy';
import { DEMO_STAGES } from './demo';
import { demoId } from './demo-stage';

const BACK_DAYS = 150;
const PEOPLE = ['Ottilie', 'Bram', 'Yusra'] as const;
/** What each charge truly takes up of the book, one after another; and how far it was spent when somebody changed it. */
const TRUE = [0.76, 0.7, 0.81, 0.74, 0.78] as const;
const CHANGED_AT = [0.9, 1, 0.85, 0.95, 0.9] as const;

/** How a demo follows its beads. */
export interface DemoBeads {
  readonly stageId: string;
  readonly massKg: number;
  /** Charges that were in and are out again. */
  readonly past: number;
  /** How far the one that is in is spent, of what it truly takes up. */
  readonly now: number;
  readonly names: readonly string[];
  readonly firstId: number;
}

export const BEADS: Record<'workshop' | 'dairy', DemoBeads> = {
  workshop: {
    stageId: DEMO_STAGES.beads,
    massKg: 9,
    past: 2,
    now: 0.25,
    names: ['Tin A', 'Tin B', 'Tin C'],
    firstId: 4000,
  },
  dairy: { stageId: DAIRY_BEADS, massKg: 6, past: 4, now: 1.35, names: ['Drum 1', 'Drum 2'], firstId: 5000 },
};

/** Tins of beads that take turns at a place: the log of their changes and dryings, as the place’s water says they came about. */
export function demoCharges(
  plan: Plan,
  weather: WeatherHours,
  beads: DemoBeads,
  nowMs: number,
): { charges: Charge[]; entries: LogEntry[] } {
  const { stageId, massKg, past, now, names, firstId } = beads;
  const fresh = setParameter(plan, stageId, 'spentShare', 0);
  const today = Math.floor(nowMs / DAY_MS) * DAY_MS;
  const fromMs = today - BACK_DAYS * DAY_MS;
  const run = runWeather(fresh, weather, { year: new Date(nowMs).getUTCFullYear() });
  const daily = chargeLoad(fresh, run, stageId, loadedClock(fresh, [], fromMs, BACK_DAYS + 1)).daily(
    siteTimeOf(fromMs),
    BACK_DAYS,
  );
  const charges = names.map((name, i) =>
    chargeSchema.parse({
      id: demoId(firstId + i),
      name,
      medium: 'silica',
      dyed: true,
      massKg,
      batch: i === 0 ? 'lot 24-07' : 'lot 25-02',
      boughtAt: siteTimeOf(fromMs - (10 - i) * DAY_MS),
    }),
  );
  let n = 0;
  const entry = (change: Partial<LogEntry> & Pick<LogEntry, 'kind' | 'stageId'>, at: SiteTime): LogEntry =>
    logEntrySchema.parse({
      id: demoId(firstId + 50 + n),
      measuredAt: at,
      who: PEOPLE[n++ % PEOPLE.length],
      ...change,
    });
  // From today backwards: so much water ago each change was made.
  const handbookKg = (i: number): number =>
    bookOf(fresh, charges, stageId) * leftAfter('silica', Math.floor(i / names.length));
  const changes: number[] = [];
  let day = BACK_DAYS;
  for (let i = past; i >= 0; i--) {
    const share = i === past ? now : (CHANGED_AT[i] as number);
    let left = handbookKg(i) * (TRUE[i] as number) * share;
    while (day > 0 && left > 0) left -= daily[--day] as number;
    changes.unshift(day);
  }
  const at = (index: number, hour: number): SiteTime =>
    siteTimeOf(fromMs + (changes[index] as number) * DAY_MS + hour * HOUR_MS);
  const entries: LogEntry[] = [];
  for (let i = 0; i <= past; i++) {
    const charge = charges[i % charges.length] as Charge;
    entries.push(
      entry(
        {
          kind: 'change',
          stageId,
          chargeId: charge.id,
          what: `${charge.name} goes in`,
          readings: i === 0 ? [] : [{ of: 'spent', value: CHANGED_AT[i - 1] as number }],
        },
        at(i, 7),
      ),
    );
    if (i === 0) continue;
    // What came out is dried on the same day.
    const out = charges[(i - 1) % charges.length] as Charge;
    const drivenOff = handbookKg(i - 1) * (TRUE[i - 1] as number) * (CHANGED_AT[i - 1] as number);
    const dry = Math.round(massKg * 995) / 1000;
    entries.push(
      entry(
        {
          kind: 'regeneration',
          stageId: '',
          chargeId: out.id,
          what: `${out.name}: oven of its own, four hours, in a thin layer`,
          readings: [
            { of: 'weight-wet', value: Math.round((dry + drivenOff) * 1000) / 1000 },
            { of: 'weight', value: dry },
          ],
        },
        at(i, 13),
      ),
    );
  }
  return { charges, entries };
}

/** What a new charge takes up here as published, as the log has it. */
function bookOf(plan: Plan, charges: readonly Charge[], stageId: string): number {
  const change = logEntrySchema.parse({
    id: demoId(1),
    kind: 'change',
    stageId,
    chargeId: charges[0]?.id,
    measuredAt: '2026-01-05T07:00',
    who: 'x',
  });
  const logged = { ...change, stageName: '', enteredAt: '', expected: [] };
  const life = livesOf(plan, undefined, charges, [logged], '2026-01-05T08:00')?.find((l) => l.stageId === stageId);
  return life?.handbookKg ?? 0;
}
