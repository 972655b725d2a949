'use client';

import { usePathname } from 'next/navigation';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';

/** The drains, and all the rest of the log. */
export function LogTabs() {
  const { planId } = usePlan();
  const path = usePathname();
  const base = `/lines/${planId}/logbook`;
  return (
    <nav aria-label="Logbook" className="flex gap-1.5">
      {(
        [
          [base, 'Drains'],
          [`${base}/all`, 'Everything'],
          [`${base}/trial`, 'Trial'],
        ] as const
      ).map(([href, name]) => (
        <Link
          key={href}
          href={href}
          aria-current={path === href ? 'page' : undefined}
          className={`button ${path === href ? 'border-ink bg-ink text-paper' : ''}`}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
