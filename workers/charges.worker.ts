import { expose } from 'comlink';
import type { Charge } from '../core/log/charge';
import type { LifeEntry } from '../core/log/log-entry';
import { livesOf } from '../core/maintenance/charge-lives';
import type { Plan } from '../core/plan/plan';
import type { WeatherHours } from '../core/year/weather';

/** What is asked about the charges of a line. */
export interface ChargesQuestion {
  readonly plan: Plan;
  readonly weather: WeatherHours | undefined;
  readonly charges: readonly Charge[];
  readonly entries: readonly LifeEntry[];
  readonly now: string;
}

expose(({ plan, weather, charges, entries, now }: ChargesQuestion) => livesOf(plan, weather, charges, entries, now));
