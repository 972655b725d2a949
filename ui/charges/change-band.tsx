'use client';

import { addDays, format } from 'date-fns';

const LEAST_SPAN = 14;
const MOST_SPAN = 400;

/** The days to come, with the band in which the change falls, and its middle. */
export function ChangeBand({ days, now }: { days: readonly [number, number, number]; now: string }) {
  const span = Math.min(MOST_SPAN, Math.max(LEAST_SPAN, (Number.isFinite(days[2]) ? days[2] : MOST_SPAN) * 1.15));
  const x = (day: number): number => 6 + 308 * Math.min(1, day / span);
  const ticks = [0, 0.25, 0.5, 0.75, 1].map((share) => share * span);
  return (
    <svg viewBox="0 0 320 44" className="block w-full max-w-lg" aria-hidden>
      <path d="M6 20H314" className="stroke-hairline" strokeWidth="2" />
      <rect
        x={x(days[0])}
        y="12"
        width={Math.max(2, x(days[2]) - x(days[0]))}
        height="16"
        rx="2"
        className="fill-sand stroke-copper"
        strokeWidth="0.800"
      />
      <path d={`M${x(days[1])} 9V31`} className="stroke-copper" strokeWidth="3" />
      <path d="M6 12V28" className="stroke-ink" strokeWidth="2" />
      {ticks.map((day, i) => (
        <text
          key={day}
          x={x(day)}
          y="42"
          className="fill-quiet text-[9px]"
          textAnchor={i === 0 ? 'start' : i === ticks.length - 1 ? 'end' : 'middle'}
        >
          {i === 0 ? 'now' : format(addDays(new Date(now), day), 'd MMM')}
        </text>
      ))}
    </svg>
  );
}
