'use client';

import { ZoomIn, ZoomOut } from 'lucide-react';
import { useState } from 'react';
import type { KeptFile } from '@/core/plan/file-fields';
import { addressOfFile } from '@/ui/files/kept-files';
import { usePlan } from '@/ui/plan/plan-provider';
import { Scrolls } from '@/ui/primitives/scrolls';

/** A picture of the plate, large enough to read while one types. */
export function Plate({ file, of }: { file: KeptFile; of: string }) {
  const { planId } = usePlan();
  const [near, setNear] = useState(false);
  return (
    <figure className="grid gap-1">
      <Scrolls label={`Plate of ${of}`}>
        <div className="h-64 sm:h-80">
          <img
            src={addressOfFile(planId, file)}
            alt={`Plate of ${of}`}
            className={`rounded-sm border border-hairline ${near ? 'w-[250%] max-w-none' : 'h-full w-full object-contain'}`}
          />
        </div>
      </Scrolls>
      <figcaption>
        <button type="button" className="button no-print" onClick={() => setNear(!near)}>
          {near ? <ZoomOut size={15} aria-hidden /> : <ZoomIn size={15} aria-hidden />} {near ? 'Smaller' : 'Larger'}
        </button>
      </figcaption>
    </figure>
  );
}
