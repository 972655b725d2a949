'use client';

import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { Link } from '@/ui/primitives/link';

export function RailLink({
  href,
  icon,
  wideOnly = false,
  below = false,
  children,
}: {
  href: string;
  icon: ReactNode;
  /** Not in the bar of a phone: there is no room for it, and it is reached from elsewhere. */
  wideOnly?: boolean;
  /** Whether pages below it count as it. */
  below?: boolean | undefined;
  children: ReactNode;
}) {
  const path = usePathname();
  const own = href.split('?')[0] as string;
  const here = path === own || (below && path.startsWith(`${own}/`));
  return (
    <li className={`flex-1 ${wideOnly ? 'max-sm:hidden' : ''}`}>
      <Link
        href={href}
        aria-current={here ? 'page' : undefined}
        className={`flex items-center gap-2 px-3 py-2 leading-tight max-sm:min-h-14 max-sm:flex-col max-sm:justify-center max-sm:gap-0.5 max-sm:px-0.5 max-sm:text-[0.75rem] max-sm:whitespace-nowrap sm:border-l-4 ${here ? 'border-copper bg-sunk font-semibold max-sm:shadow-[inset_0_3px_0_var(--copper)]' : 'border-transparent'}`}
      >
        <span aria-hidden className="sm:hidden">
          {icon}
        </span>
        {children}
      </Link>
    </li>
  );
}
