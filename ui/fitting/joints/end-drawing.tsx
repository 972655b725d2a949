import { type End, familyOf, threadOf, tubeOutsideM } from '@/core/piping/ends';

/** Heights of the drawing by diameter, px: small and large things stay tell-apart. */
const LEAST = 12;
const MOST = 40;
const heightOf = (end: End): number => {
  const m = threadOf(end)?.outsideM ?? tubeOutsideM(end) ?? 0.02;
  return Math.min(MOST, Math.max(LEAST, m * 900));
};

/**
 * One end as a small side view, looking to the right: a male thread with its crests, a female with its bore open, a nut, a
 * plain tube, a flange. Not to scale between parts; wider is wider.
 */
export function EndDrawing({ end, flipped = false }: { end: End; flipped?: boolean }) {
  const h = heightOf(end);
  const top = 24 - h / 2;
  const crests = Array.from({ length: 6 }, (_, i) => 6 + i * 5);
  const { threads, tubes } = familyOf(end.family);
  const isMaleThread = threads !== undefined && end.gender === 'male';
  const isFemale = end.gender === 'female';
  return (
    <svg width="40" height="48" viewBox="0 0 40 48" aria-hidden className={flipped ? '-scale-x-100' : ''}>
      <g fill="none" stroke="var(--ink)" strokeWidth="1.4" strokeLinejoin="round">
        {isMaleThread && (
          <>
            <path d={`M0 ${top}H36l4 3V${top + h - 3}l-4 3H0`} fill="var(--card)" />
            {crests.map((x) => (
              <path key={x} d={`M${x} ${top}l3 ${h}`} strokeWidth="0.9" />
            ))}
          </>
        )}
        {isFemale && threads !== undefined && (
          <>
            <path d={`M0 ${top - 4}H36V${top + h + 4}H0`} fill="var(--card)" />
            <path d={`M14 ${top + 3}H36M14 ${top + h - 3}H36M14 ${top + 3}V${top + h - 3}`} strokeDasharray="3 2" />
          </>
        )}
        {isFemale && tubes !== undefined && (
          <>
            <path d={`M0 ${top - 3}H20V${top + h + 3}H0`} fill="var(--card)" />
            <path d={`M20 ${top - 5}H36V${top + h + 5}H20z`} fill="var(--sunk)" />
            <path d={`M20 ${top + h / 3}H36M20 ${top + (2 * h) / 3}H36`} strokeWidth="0.8" />
          </>
        )}
        {end.family === 'tube' && (
          <path d={`M0 ${top}H36V${top + h}H0M36 ${top}l-2 2V${top + h - 2}l2 2`} fill="var(--sand)" />
        )}
        {end.family === 'flange' && (
          <path d={`M0 ${top + 4}H26V${top - 6}H36V${top + h + 6}H26V${top + h - 4}H0`} fill="var(--card)" />
        )}
        {end.family === 'hose' && <path d={`M0 ${top}H36V${top + h}H0`} fill="var(--quiet)" fillOpacity="0.35" />}
        {end.family === 'barb' && (
          <path
            d={`M0 ${top + 4}H8l4-3 4 3 4-3 4 3 4-3 8 3V${top + h - 4}l-8 3-4-3-4 3-4-3-4 3-4-3H0`}
            fill="var(--card)"
          />
        )}
        {end.family.includes('coupler') && (
          <path
            d={
              isFemale
                ? `M0 ${top - 3}H28l8 4V${top + h - 1}l-8 4H0M22 ${top - 3}V${top + h + 3}`
                : `M0 ${top + 3}H18l4 3H36V${top + h - 6}H22l-4 3H0`
            }
            fill="var(--card)"
          />
        )}
      </g>
    </svg>
  );
}
