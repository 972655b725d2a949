import type { Plan } from '../core/plan/plan';
import { runWeather, type WeatherRun } from '../core/year/run-weather';
import type { WeatherHours } from '../core/year/weather';

/** A line to be walked through weather: laid on a year, or from a time on. */
export interface RunQuestion {
  readonly number: number;
  readonly plan: Plan;
  readonly weather: WeatherHours;
  readonly when: { readonly year: number } | { readonly startMs: number };
}

export interface RunAnswer {
  readonly number: number;
  readonly run: WeatherRun | undefined;
}

const scope = globalThis as unknown as {
  onmessage: ((event: MessageEvent<RunQuestion>) => void) | null;
  postMessage(answer: RunAnswer, transfer: Transferable[]): void;
};

scope.onmessage = ({ data: { number, plan, weather, when } }) => {
  const run = runWeather(plan, weather, when);
  const buffers = run
    ? Object.values(run).flatMap((v) => (v instanceof Float32Array ? [v.buffer as ArrayBuffer] : []))
    : [];
  scope.postMessage({ number, run }, buffers);
};
