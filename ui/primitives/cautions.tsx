import { CAUTIONS } from '@/core/equipment/shared/cautions';
import { InUnits } from '@/ui/units/in-units';

/** The usual cautions of a piece of work, at the place where it is done. */
export function Cautions({ ids, columns = false }: { ids: readonly string[]; columns?: boolean }) {
  return (
    <div
      role="note"
      aria-label="Cautions"
      className="rounded-md border border-brick/60 bg-brick-wash px-3 py-2 text-[0.85rem]"
    >
      <ul className={`grid gap-1.5 ${columns ? 'gap-x-6 md:grid-cols-2 print:grid-cols-2' : ''}`}>
        {ids.map((id) => (
          <li key={id}>
            <span className="font-medium text-brick">
              <InUnits text={CAUTIONS[id]?.text ?? ''} />
            </span>{' '}
            <span className="text-quiet">Ask: {CAUTIONS[id]?.deferTo}.</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
