'use client';

import { Check, Download } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactElement } from 'react';
import type { PlanSummary } from '@/core/plan/plan';
import { Link } from '@/ui/primitives/link';

const item = 'flex items-center gap-2 rounded-sm px-2 py-1.5 outline-none data-[highlighted]:bg-sunk';

/** The other lines, and the files of this one, below their button. */
export function LineMenu({
  planId,
  lines,
  button,
}: {
  planId: string;
  lines: readonly PlanSummary[] | undefined;
  button: ReactElement;
}) {
  return (
    <DropdownMenu.Root defaultOpen>
      <DropdownMenu.Trigger asChild>{button}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={6}
          className="floating z-50 max-h-[70vh] w-80 max-w-[92vw] overflow-auto p-1"
        >
          <div className="max-h-[45vh] overflow-auto">
            {!lines && <p className="px-2 py-1.5 text-quiet">Looking for the other lines …</p>}
            {lines?.map((line) => (
              <DropdownMenu.Item key={line.id} asChild>
                <Link href={`/lines/${line.id}/today`} className={item}>
                  <span className="w-4 shrink-0">{line.id === planId && <Check size={14} aria-hidden />}</span>
                  <span className="min-w-0 truncate">
                    {line.shop} · {line.name}
                  </span>
                </Link>
              </DropdownMenu.Item>
            ))}
          </div>
          <DropdownMenu.Separator className="my-1 border-t border-hairline" />
          <DropdownMenu.Item asChild>
            <a className={item} href={`/api/plans/${planId}/file`} download>
              <Download size={14} aria-hidden className="w-4" /> Download this line as a plan file
            </a>
          </DropdownMenu.Item>
          <DropdownMenu.Item asChild>
            <a className={item} href={`/api/plans/${planId}/copy`} download>
              <Download size={14} aria-hidden className="w-4" /> Download it with its whole log
            </a>
          </DropdownMenu.Item>
          <DropdownMenu.Item asChild>
            <Link href="/" className={item}>
              <span className="w-4" /> All lines, or another one…
            </Link>
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
