'use client';

import { Popover } from 'radix-ui';
import type { ReactElement } from 'react';
import { UnitsForm } from '@/ui/units/units-form';

/** The units beside their button. */
export function UnitsPopover({ button }: { button: ReactElement }) {
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger asChild>{button}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Units"
          className="floating z-50 max-h-[85vh] w-80 overflow-auto p-4"
          align="end"
          sideOffset={6}
        >
          <UnitsForm />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
