import type { Charge } from '../core/log/charge';
import type { LifeEntry } from '../core/log/log-entry';
import { livesOf, type PlaceLife } from '../core/maintenance/charge-lives';
import type { Plan } from '../core/plan/plan';
import type { WeatherHours } from '../core/year/weather';

/** What is asked about the charges of a line. */
export interface ChargesQuestion {
  readonly number: number;
  readonly plan: Plan;
  readonly weather: WeatherHours | undefined;
  readonly charges: readonly Charge[];
  readonly entries: readonly LifeEntry[];
  readonly now: string;
}

export interface ChargesAnswer {
  readonly number: number;
  readonly lives?: readonly PlaceLife[];
  /** Why there is no answer, in words. */
  readonly problem?: string;
}

const scope = globalThis as unknown as {
  onmessage: ((event: MessageEvent<ChargesQuestion>) => void) | null;
  postMessage(answer: ChargesAnswer): void;
};

scope.onmessage = ({ data: { number, plan, weather, charges, entries, now } }) => {
  try {
    const lives = livesOf(plan, weather, charges, entries, now);
    scope.postMessage({ number, ...(lives && { lives }) });
  } catch (error) {
    scope.postMessage({ number, problem: error instanceof Error ? error.message : 'It could not be reckoned.' });
  }
};
