import {
  BookOpen,
  Boxes,
  CalendarCheck,
  CircleGauge,
  ClipboardList,
  Clock,
  Columns3,
  Droplet,
  Droplets,
  Footprints,
  Grape,
  House,
  Layers,
  MessageSquareWarning,
  Waypoints,
  Wind,
} from 'lucide-react';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { RailLink } from './rail-link';
import { ThemeToggle } from './theme';
import { UnitsMenu } from './units-menu';

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
          className="mr-1 flex shrink-0 items-center gap-1.5 text-[1.05rem] font-bold [font-stretch:112%]"
          aria-label="Cool Dram, start page"
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
          <span className="max-sm:hidden">
            Cool<span className="text-water">Dram</span>
          </span>
        </Link>
        <div className="flex min-w-0 flex-1 items-center gap-2">{title}</div>
        {actions}
        <UnitsMenu />
        <ThemeToggle />
      </header>
      <div className="flex flex-1 max-sm:flex-col-reverse">
        <nav
          aria-label="Views"
          className="no-print z-20 border-hairline bg-paper max-sm:sticky max-sm:bottom-0 max-sm:border-t sm:w-[136px] sm:shrink-0 sm:border-r"
        >
          <ul className="flex sm:sticky sm:top-12 sm:flex-col sm:py-3">
            {planId ? (
              <>
                <RailHeading>Plan</RailHeading>
                <RailLink href={`/lines/${planId}/survey`} icon={<CircleGauge size={18} />}>
                  Survey
                </RailLink>
                <RailLink href={`/lines/${planId}/line`} icon={<Waypoints size={18} />}>
                  Line
                </RailLink>
                <RailLink href={`/lines/${planId}/water`} below icon={<Droplet size={18} />}>
                  Water
                </RailLink>
                <RailLink href={`/lines/${planId}/advice`} icon={<MessageSquareWarning size={18} />}>
                  Advice
                </RailLink>
                <RailLink href={`/lines/${planId}/compare`} icon={<Columns3 size={18} />} wideOnly>
                  Compare
                </RailLink>
                <RailLink href={`/lines/${planId}/day`} icon={<Clock size={18} />} wideOnly>
                  Compressor cycle
                </RailLink>
                <RailHeading>Maintain</RailHeading>
                <RailLink href={`/lines/${planId}/today`} icon={<CalendarCheck size={18} />}>
                  Today
                </RailLink>
                <RailLink href={`/lines/${planId}/rounds`} below icon={<Footprints size={18} />}>
                  Rounds
                </RailLink>
                <RailLink href={`/lines/${planId}/logbook`} below icon={<ClipboardList size={18} />}>
                  Logbook
                </RailLink>
                <RailLink href={`/lines/${planId}/charges`} icon={<Boxes size={18} />} wideOnly>
                  Desiccant &amp; elements
                </RailLink>
                <RailHeading>Calculators</RailHeading>
              </>
            ) : (
              <RailLink href="/" icon={<House size={18} />}>
                Start
              </RailLink>
            )}
            <RailLink
              href={planId ? `/dew-point?from=${planId}` : '/dew-point'}
              icon={<Droplets size={18} />}
              wideOnly={planId !== undefined}
            >
              Dew point
            </RailLink>
            <RailLink
              href={planId ? `/beads?from=${planId}` : '/beads'}
              icon={<Grape size={18} />}
              wideOnly={planId !== undefined}
            >
              Desiccant charge
            </RailLink>
            <RailLink href={planId ? `/dryers?from=${planId}` : '/dryers'} icon={<Wind size={18} />} wideOnly>
              Dryers
            </RailLink>
            <RailLink href={planId ? `/bed?from=${planId}` : '/bed'} icon={<Layers size={18} />} wideOnly>
              Desiccant bed
            </RailLink>
            <RailLink
              href={planId ? `/catalogue?from=${planId}` : '/catalogue'}
              icon={<BookOpen size={18} />}
              wideOnly={planId !== undefined}
            >
              Catalogue
            </RailLink>
          </ul>
        </nav>
        <main id="main" className="min-w-0 flex-1">
          {children}
        </main>
      </div>
    </div>
  );
}

function RailHeading({ children }: { children: ReactNode }) {
  return <li className="eyebrow px-4 pt-3 pb-1 max-sm:hidden">{children}</li>;
}
