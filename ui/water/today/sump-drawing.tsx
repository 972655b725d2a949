import type { Stands } from '@/core/equipment/supply/receiver';

/** Where water stands in a vessel, with its mark: both as a share of the height of the drawing. */
export function SumpDrawing({
  shape,
  level,
  mark,
  says,
}: {
  shape: Stands | 'bowl';
  level: number;
  mark: number;
  says: string;
}) {
  const box = {
    upright: { x: 40, y: 8, w: 70, h: 128, path: 'M40 28c0-26 70-26 70 0v88c0 26-70 26-70 0z' },
    lying: { x: 10, y: 42, w: 130, h: 66, path: 'M30 42h90c26 0 26 66 0 66H30c-26 0-26-66 0-66z' },
    bowl: { x: 48, y: 24, w: 54, h: 104, path: 'M48 24h54v78c0 34-54 34-54 0z' },
  }[shape];
  const at = (share: number): number => box.y + box.h * (1 - Math.min(1, Math.max(0, share)));
  return (
    <svg viewBox="0 0 150 150" className="block w-full max-w-36" role="img" aria-label={says}>
      <clipPath id="sump">
        <path d={box.path} />
      </clipPath>
      <path d={box.path} className="fill-card" />
      <g clipPath="url(#sump)">
        <rect x={box.x - 20} y={at(level)} width={box.w + 40} height={150} className="fill-hatch" />
        <path d={`M${box.x - 20} ${at(level)}h${box.w + 40}`} className="stroke-water" strokeWidth="1.5" />
      </g>
      <path d={box.path} fill="none" className="stroke-ink" strokeWidth="1.8" />
      {shape === 'lying' && <path d="M40 109v8M110 109v8" className="stroke-ink" strokeWidth="1.8" />}
      {shape === 'upright' && <path d="M52 131v8M98 131v8" className="stroke-ink" strokeWidth="1.8" />}
      {shape === 'bowl' && <path d="M42 16h66v8H42z" className="fill-sunk stroke-ink" strokeWidth="1.5" />}
      <path
        d={`M${box.x - 8} ${at(mark)}h${box.w + 16}`}
        className="stroke-brick"
        strokeDasharray="4 3"
        strokeWidth="1.4"
      />
      <path d={`M75 ${box.y + box.h}v10`} className="stroke-copper" strokeWidth="3" />
    </svg>
  );
}
