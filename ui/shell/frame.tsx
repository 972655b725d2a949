import { House, ListTodo, MapPin, Settings as SettingsIcon } from 'lucide-react';
import { Fragment, type ReactNode } from 'react';
import { OutboxChip } from '@/ui/outbox/outbox-chip';
import { Link } from '@/ui/primitives/link';
import { DeviceChip } from './device-chip';
import { hrefOf, PLACES } from './places';
import { RailLink } from './rail-link';
import { ThemeToggle } from './theme';
import { UnitsMenu } from './units-menu';

const GROUPS = ['Plan', 'Maintain', 'Calculators'] as const;

/** The program around a page: the name, what is open, the rail of views (a bar below on a phone). */
export function Frame({
  planId,
  title,
  actions,
  children,
}: {
  planId?: string;
  title?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:m-2 focus:bg-card focus:p-2">
        To the content
      </a>
      <header className="no-print sticky top-0 z-30 flex min-h-12 items-center gap-2 border-b border-hairline bg-card px-3 py-1.5 sm:gap-3">
        <Link
          href="/"
          className="mr-1 flex min-h-target min-w-[24px] shrink-0 items-center gap-1.5 text-[1.05rem] font-bold [font-stretch:112%]"
        >
          <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden>
            <path
              d="M3 3h14l-2.2 13a1.6 1.6 0 0 1-1.6 1.3H6.8A1.6 1.6 0 0 1 5.200 16z"
              fill="none"
              stroke="var(--ink)"
              strokeWidth="1.6"
            />
            <path d="M4.600 10.500h10.800L14.300 16a.8.8 0 0 1-.8.6h-7a.8.8 0 0 1-.8-.6z" fill="var(--water)" />
          </svg>
          <span className="max-sm:sr-only">
            Cool<span className="text-water">Dram</span>
          </span>
          <span className="sr-only">, start page</span>
        </Link>
        <div className="flex min-w-0 flex-1 items-center gap-2">{title}</div>
        {actions}
        <OutboxChip />
        <DeviceChip />
        <UnitsMenu />
        <ThemeToggle />
        <Link
          href={planId ? `/settings?from=${planId}` : '/settings'}
          className="button px-2"
          aria-label="Settings"
          title="Settings"
        >
          <SettingsIcon size={16} aria-hidden />
        </Link>
      </header>
      <div className="flex flex-1 max-sm:flex-col-reverse">
        <nav
          aria-label="Views"
          className="no-print z-20 border-hairline bg-paper max-sm:sticky max-sm:bottom-0 max-sm:border-t sm:w-[136px] sm:shrink-0 sm:border-r"
        >
          <ul className="flex sm:sticky sm:top-12 sm:max-h-[calc(100dvh-3rem)] sm:flex-col sm:overflow-y-auto sm:py-3">
            {!planId && (
              <>
                <RailLink href="/" icon={<House size={18} />}>
                  Start
                </RailLink>
                <RailLink href="/work" icon={<ListTodo size={18} />} below>
                  Work list
                </RailLink>
                <RailLink href="/sites" icon={<MapPin size={18} />} below>
                  Sites
                </RailLink>
              </>
            )}
            {GROUPS.map((group) => (
              <Fragment key={group}>
                {planId && <RailHeading>{group}</RailHeading>}
                {PLACES.map((place) => {
                  const { menu, name, of } = place;
                  if (menu?.group !== group || (of === 'line' && !planId)) return null;
                  return (
                    <RailLink
                      key={name}
                      href={hrefOf(place, planId)}
                      icon={<menu.icon size={18} />}
                      below={menu.below}
                      wideOnly={menu.phone !== 'always' && (menu.phone === undefined || planId !== undefined)}
                    >
                      {name}
                    </RailLink>
                  );
                })}
              </Fragment>
            ))}
          </ul>
        </nav>
        <main id="main" tabIndex={-1} className="min-w-0 flex-1 outline-none">
          {children}
        </main>
      </div>
    </div>
  );
}

function RailHeading({ children }: { children: ReactNode }) {
  return <li className="eyebrow px-4 pt-3 pb-1 max-sm:hidden">{children}</li>;
}
