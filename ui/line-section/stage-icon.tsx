import type { ReactNode } from 'react';
import type { KindName } from '@/core/equipment/index';

// Drawn in one stroke on a 32 × 32 field; the pipe enters and leaves at half height.
const DRAWINGS: Record<KindName, ReactNode> = {
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

export function StageIcon({ kind, size = 32 }: { kind: KindName; size?: number }) {
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
