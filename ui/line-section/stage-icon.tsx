import type { ReactNode } from 'react';
import type { KindName } from '@/core/equipment/index';

// Drawn in one stroke on a 32 × 32 field; the pipe enters and leaves at half height.
const DRAWINGS: Record<KindName | 'unit', ReactNode> = {
  unit: (
    <>
      <path d="M4 7h24v4H4z" />
      <path d="M6 11v8l2.500 4L11 19v-8M13.500 11v8l2.500 4 2.500-4v-8M21 11v8l2.500 4 2.500-4v-8" />
    </>
  ),
  intake: (
    <>
      <path d="M6 7h11l8 9-8 9H6z" />
      <path d="M10 12h6M10 16h9M10 20h6" />
    </>
  ),
  compressor: (
    <>
      <circle cx="16" cy="16" r="10.500" />
      <path d="M11.500 10.500 23 16l-11.500 5.500z" />
    </>
  ),
  aftercooler: (
    <>
      <path d="M6 10h20v12H6z" />
      <path d="M10 7v18M14 7v18M18 7v18M22 7v18" />
    </>
  ),
  separator: (
    <>
      <path d="M9 6h14v10l-5 8h-4l-5-8z" />
      <path d="M12 11c3-2 6-2 8 0-2 2-5 2-6 4" />
    </>
  ),
  receiver: (
    <>
      <path d="M10 9c0-4 12-4 12 0v14c0 4-12 4-12 0z" />
      <path d="M10 21.500h12" className="stroke-water" strokeWidth="2.500" />
    </>
  ),
  'check-valve': (
    <>
      <path d="M8 8v16l15-8z" />
      <path d="M23 8v16" />
    </>
  ),
  unloader: (
    <>
      <path d="M10 18h12v7H10z" />
      <path d="M16 18V9M16 9l-5-3M16 9l5-3M16 9V4" />
    </>
  ),
  'relief-valve': (
    <>
      <path d="M10 16h12v9H10z" />
      <path d="M16 16v-4l-4-2 8-2-8-2 4-2V3M22 19h5l-2-2M27 19l-2 2" />
    </>
  ),
  'isolating-valve': (
    <>
      <path d="M7 10v12l9-6zM25 10v12l-9-6z" />
      <path d="M16 16V7M12 7h8" />
    </>
  ),
  'particulate-filter': (
    <>
      <path d="M9 7h14v18H9z" />
      <path d="M12 11h1M16 11h1M19.500 11h1M12 16h1M16 16h1M19.500 16h1M12 21h1M16 21h1M19.500 21h1" />
    </>
  ),
  'carbon-filter': (
    <>
      <path d="M9 7h14v18H9z" />
      <path d="M12 14l2-3 2 3-2 3zM16 20l2-3 2 3-2 3z" className="fill-ink" />
    </>
  ),
  'home-made-housing': (
    <>
      <path d="M8 6h16v5H8z" />
      <path d="M10 11v15h12V11" />
      <circle cx="13.500" cy="21" r="1.500" />
      <circle cx="17.500" cy="23" r="1.500" />
      <circle cx="18.500" cy="19" r="1.500" />
      <circle cx="14" cy="16" r="1.500" />
    </>
  ),
  gauge: (
    <>
      <circle cx="16" cy="14" r="9" />
      <path d="M16 14l4-5M16 23v5M10 14h1M21 14h1M16 8v1" />
    </>
  ),
  lubricator: (
    <>
      <path d="M9 6h14v4H9z" />
      <path d="M11 10v12c0 3 10 3 10 0V10" />
      <path d="M16 13c-3 4-2 5 0 5s3-1 0-5z" className="fill-ink" />
    </>
  ),
  'sight-glass': (
    <>
      <path d="M7 9h18v14H7z" />
      <circle cx="16" cy="16" r="4.500" />
      <path d="M14 15.500l1.500-1.500" />
    </>
  ),
  'test-point': (
    <>
      <path d="M6 20h20" />
      <path d="M16 20v-6M12 14h8M16 14V9M13 9h6V5h-6z" />
    </>
  ),
  'water-cooler': (
    <>
      <path d="M6 9h20v14H6z" />
      <path d="M9 13h14M9 16h14M9 19h14M11 5c2 2-2 2 0 4M19 5c2 2-2 2 0 4" />
    </>
  ),
  intercooler: (
    <>
      <circle cx="7" cy="16" r="3.500" />
      <circle cx="25" cy="16" r="3.500" />
      <path d="M10.500 13l2 6 2-6 2 6 2-6 2 6 1-3" />
    </>
  ),
  'auxiliary-fan': (
    <>
      <circle cx="16" cy="14" r="9" />
      <path d="M16 14c-1-5 3-7 4-5s-1 4-4 5c5-1 7 3 5 4s-4-1-5-4c1 5-3 7-4 5s1-4 4-5c-5 1-7-3-5-4s4 1 5 4M12 27h8M16 23v4" />
    </>
  ),
  'cycling-dryer': (
    <>
      <path d="M6 6h20v20H6z" />
      <path d="M16 10v12M11 13l10 6M21 13l-10 6M9 9h3M20 23h3" />
    </>
  ),
  'high-inlet-dryer': (
    <>
      <path d="M6 12h20v14H6z" />
      <path d="M16 14v10M12 16.500l8 5M20 16.500l-8 5M10 9c2-2-2-2 0-5M16 9c2-2-2-2 0-5M22 9c2-2-2-2 0-5" />
    </>
  ),
  'heated-purge-tower': (
    <>
      <path d="M7 7h7v18H7zM18 7h7v18h-7z" />
      <path d="M20 21l1.500-3 1.500 3 1-2M21.500 3v4" />
    </>
  ),
  'blower-purge-tower': (
    <>
      <path d="M7 7h7v14H7zM18 7h7v14h-7z" />
      <circle cx="21.500" cy="25.500" r="3.500" />
      <path d="M21.500 22v3.500h3" />
    </>
  ),
  'split-flow-tower': (
    <>
      <path d="M7 7h7v18H7zM18 7h7v18h-7z" />
      <path d="M10.500 7V4h11v3M10.500 25v3h11v-3" />
    </>
  ),
  'heat-of-compression-tower': (
    <>
      <path d="M7 10h7v16H7zM18 10h7v16h-7z" />
      <path d="M9 7c2-2-2-2 0-4M12 7c2-2-2-2 0-4M18 7h7" />
    </>
  ),
  'flow-controller': (
    <>
      <path d="M5 12l8 4-8 4zM27 12l-8 4 8 4z" />
      <path d="M16 16V7M11 7h10M13 22h6" />
    </>
  ),
  'oil-water-separator': (
    <>
      <path d="M7 8h18v17H7z" />
      <path d="M7 14h18M16 14v7M11 18c1-2 2-2 2 0s-2 2-2 0M21 18v4" />
    </>
  ),
  pipe: (
    <>
      <path d="M3 13h12v6H3zM15 11h4v10h-4zM19 13h10v6H19z" />
    </>
  ),
  coupler: (
    <>
      <path d="M6 11h9v10H6zM15 13h6v6h-6z" />
      <path d="M21 16h5M10 11v10" />
    </>
  ),
  hose: (
    <>
      <path d="M4 16c4-9 7 9 12 0s8 9 12 0" />
      <path d="M4 13v6M28 13v6" />
    </>
  ),
  'hose-reel': (
    <>
      <circle cx="16" cy="16" r="10" />
      <circle cx="16" cy="16" r="6.500" />
      <circle cx="16" cy="16" r="3" />
    </>
  ),
  'tool-filter': (
    <>
      <path d="M10 10h12v8l-3 5h-6l-3-5z" />
      <path d="M13 13v3M16 13v4M19 13v3M22 13h5" />
    </>
  ),
  'bowl-filter': (
    <>
      <path d="M9 7h14v4H9z" />
      <path d="M11 11v9c0 4 10 4 10 0v-9" />
      <path d="M14 11v7h4v-7" />
    </>
  ),
  'coalescing-filter': (
    <>
      <path d="M9 6h14v4H9z" />
      <path d="M11 10v11l5 5 5-5V10" />
      <path d="M14 13v6M16 13v8M18 13v6" />
    </>
  ),
  'refrigerated-dryer': (
    <>
      <path d="M6 7h20v18H6z" />
      <path d="M16 10v12M10.800 13l10.400 6M21.200 13l-10.400 6" />
    </>
  ),
  'fluid-cooler': (
    <>
      <path d="M5 8h22v16H5z" />
      <path d="M8 12h16v4H8v4h16" />
    </>
  ),
  'cooling-run': (
    <>
      <path d="M4 16h4V8h5v16h5V8h5v8h5" />
    </>
  ),
  'drip-leg': (
    <>
      <path d="M4 12h24" />
      <path d="M13 12v13h6V12" />
      <path d="M13 21.500h6" className="stroke-water" strokeWidth="2.500" />
    </>
  ),
  'droplet-separator': (
    <>
      <path d="M16 6c5 6 7 9 7 12a7 7 0 0 1-14 0c0-3 2-6 7-12z" />
      <path d="M12 22 22 11" />
    </>
  ),
  'bead-cartridge': (
    <>
      <path d="M10 5h12v22H10z" />
      <circle cx="14" cy="22" r="2" />
      <circle cx="18.500" cy="20" r="2" />
      <circle cx="14" cy="16.500" r="2" />
      <circle cx="18.500" cy="14.500" r="2" />
    </>
  ),
  'pellet-tower': (
    <>
      <path d="M11 6h10l2 4v14l-3 3h-8l-3-3V10z" />
      <path d="M9 20h14M12 13h3v3h-3zM17 15h3v3h-3z" />
    </>
  ),
  'twin-tower': (
    <>
      <path d="M7 9c0-3 7-3 7 0v14c0 3-7 3-7 0zM18 9c0-3 7-3 7 0v14c0 3-7 3-7 0z" />
      <path d="M14 12h4M18 20h-4" />
    </>
  ),
  membrane: (
    <>
      <path d="M5 11h22v10H5z" />
      <path d="M5 14.300h22M5 17.700h22M12 21v5M20 11V6" />
    </>
  ),
  'measured-stage': (
    <>
      <path d="M6 9h20v14H6z" />
      <path d="M10 9v5M14 9v3M18 9v5M22 9v3" />
    </>
  ),
  regulator: (
    <>
      <path d="M6 19h20M16 19v-4M9 11c2-5 12-5 14 0l-7 4z" />
      <path d="M11 23h10" />
    </>
  ),
  outlet: (
    <>
      <path d="M16 5v11" />
      <path d="M11 16h10v5H11zM13 21v4h6v-4" />
    </>
  ),
};

export function StageIcon({ kind, size = 32 }: { kind: KindName | 'unit'; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 32 32"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.700"
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden
    >
      {DRAWINGS[kind]}
    </svg>
  );
}
