'use client';

import { Drag } from '@/ui/forms/drag';

const ROWS = 10;

/** How far up the beads are spent: dragged to the edge of the colour, or of the wet front. Word and pattern go with the colour. */
export function BeadSwatches({ share, onShare }: { share: number; onShare: (share: number) => void }) {
  return (
    <div className="grid grid-cols-[8rem_1fr] items-center gap-4">
      <svg
        viewBox="0 0 120 180"
        className="block w-full"
        role="img"
        aria-label={`Exhausted up to ${Math.round(share * 100)} % of the height`}
      >
        <defs>
          <pattern id="spent-beads" width="8" height="8" patternUnits="userSpaceOnUse">
            <circle cx="4" cy="4" r="3.2" className="fill-quiet" />
            <path d="M1 1l6 6" className="stroke-card" strokeWidth="1.4" />
          </pattern>
        </defs>
        <path d="M40 8h40v12H40z" className="fill-sunk stroke-ink" strokeWidth="2" />
        <rect x="20" y="20" width="80" height="150" rx="6" className="fill-card stroke-ink" strokeWidth="2.500" />
        {Array.from({ length: ROWS }, (_, r) => {
          const spent = (r + 0.5) / ROWS < share;
          return Array.from({ length: 5 }, (_, c) => (
            <circle
              // biome-ignore lint/suspicious/noArrayIndexKey: beads have no other name than their place
              key={`${r}.${c}`}
              cx={30 + c * 15}
              cy={28 + r * 14.5}
              r="6"
              className={spent ? '' : 'fill-sand stroke-copper'}
              fill={spent ? 'url(#spent-beads)' : undefined}
            />
          ));
        })}
        <path d={`M10 ${20 + 150 * share}h100`} className="stroke-copper" strokeWidth="3" />
      </svg>
      <div className="grid gap-2">
        <p className="text-[2.4rem] leading-none font-semibold">{Math.round(share * 100)} %</p>
        <ul className="text-[0.9rem]">
          <li>striped: turned, or darker and wet</li>
          <li>plain: as a dry charge</li>
        </ul>
        <Drag label="Exhausted, of its height" value={share} min={0} max={1} step={0.05} onChange={onShare} />
        <p className="text-[0.85rem] text-quiet">
          Colour proves dryness only down to the humidity at which it turns; it does not prove −40.
        </p>
      </div>
    </div>
  );
}
