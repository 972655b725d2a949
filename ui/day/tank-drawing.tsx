import { receiverHeelM } from '@/core/equipment/supply/receiver';
import { useUnits } from '@/ui/units/units';

const FULL_M = 0.25; // a heel of this height fills the lower half of the drawing

/** The receiver as it is at a moment: how full of air between empty and cut-out, how much water stands in it. */
export function TankDrawing({
  volumeM3,
  heelKg,
  filled,
  delivers,
}: {
  volumeM3: number;
  heelKg: number;
  /** Of the way from the atmosphere to cut-out, 0…1. */
  filled: number;
  delivers: boolean;
}) {
  const { say } = useUnits();
  const heelM = receiverHeelM(volumeM3, heelKg / 1000);
  const level = 148 - Math.min(1, heelM / FULL_M) * 66;
  const turn = -120 + 240 * Math.min(1.1, Math.max(0, filled));
  return (
    <svg
      viewBox="0 0 150 170"
      className="mx-auto block w-full max-w-40"
      role="img"
      aria-label={`Receiver, ${say(heelM, 'size')} of water in it`}
    >
      <clipPath id="tank-shape">
        <path d="M38 40c0-26 74-26 74 0v92c0 26-74 26-74 0z" />
      </clipPath>
      <g clipPath="url(#tank-shape)">
        <rect x="30" y="10" width="90" height="150" className="fill-card" />
        {heelKg > 0 && <rect x="30" y={level} width="90" height="60" className="fill-water" />}
      </g>
      <path d="M38 40c0-26 74-26 74 0v92c0 26-74 26-74 0z" fill="none" className="stroke-ink" strokeWidth="2" />
      <path d="M52 152v10M98 152v10" className="stroke-ink" strokeWidth="2" />
      <path d="M75 152v9" className="stroke-water" strokeWidth="2.500" />
      <circle cx="75" cy="68" r="21" className="fill-paper stroke-ink" strokeWidth="1.500" />
      {[-120, -60, 0, 60, 120].map((a) => (
        <path key={a} d="M75 50v4" transform={`rotate(${a} 75 68)`} className="stroke-quiet" />
      ))}
      <path d="M75 71V53" transform={`rotate(${turn} 75 68)`} className="stroke-copper" strokeWidth="2" />
      <circle cx="75" cy="68" r="2" className="fill-ink" />
      <path d="M8 52h30" className={delivers ? 'stroke-copper' : 'stroke-hairline'} strokeWidth="3" />
      <path d="M112 52h30" className="stroke-hairline" strokeWidth="3" />
      {delivers && <path d="M18 46l8 6-8 6z" className="fill-copper" />}
    </svg>
  );
}
