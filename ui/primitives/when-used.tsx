'use client';

import { cloneElement, type MouseEventHandler, type ReactElement, type ReactNode, Suspense, useState } from 'react';

type Button = ReactElement<{ onPointerEnter?: () => void; onFocus?: () => void; onClick?: MouseEventHandler }>;

/**
 * A button whose menu is fetched when somebody comes near it, and drawn when it is first pressed.
 * @param opened the same button with its menu, open at first
 */
export function WhenUsed({
  load,
  button,
  opened,
}: {
  load: () => Promise<unknown>;
  button: Button;
  opened: ReactNode;
}) {
  const [used, setUsed] = useState(false);
  if (used) return <Suspense fallback={button}>{opened}</Suspense>;
  const near = (): void => void load().catch(() => undefined);
  return cloneElement(button, { onPointerEnter: near, onFocus: near, onClick: () => setUsed(true) });
}
