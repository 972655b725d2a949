import { Droplets, Grape, MessageCircleQuestionMark, Ruler, Sparkles, Waypoints, Wind } from 'lucide-react';
import type { PlanList } from '@/core/plan/plan';
import type { Climate } from '@/core/plan/survey';
import { AnswerLinks } from '@/ui/answers/answer-links';
import { Link } from '@/ui/primitives/link';
import { OpenFile } from './open-file';
import { OwnLine } from './own-line';
import { type TemplateName, Templates } from './templates';

const A_PLANT = 30; // stages
const SOME = 12; // lines that are found by looking

/** The first page: demos to look at, or a line of one's own from a few answers. */
export function StartView({
  list,
  words,
  sees,
  siteId,
  climate,
  templates,
}: {
  list: PlanList;
  words: string;
  /** Whether one may begin lines, may only see them, or is on no site. */
  sees: 'plans' | 'reads' | 'nothing';
  /** The site on which a new line is to stand, where one was chosen. */
  siteId: string | undefined;
  /** The weather that lines of this site begin with. */
  climate: Climate | null;
  templates: readonly TemplateName[];
}) {
  const { lines } = list;
  const demos = lines.filter((l) => l.isDemo).sort((a, b) => a.stages - b.stages);
  const own = lines.filter((l) => !l.isDemo);
  return (
    <div className="mx-auto grid max-w-[1120px] items-start gap-x-8 gap-y-6 p-4 sm:p-6 lg:grid-cols-[1fr_25rem]">
      <div className="lg:col-span-2">
        <h1 className="text-[1.7rem]">Plan and maintain dry compressed air, from the intake to the tool.</h1>
        <p className="mt-1 max-w-[70ch] text-[1.05rem] text-quiet">
          Enter the intake air and the stages of your line. See how much water condenses at each stage, log what you
          drain, and compare it with the expected amount.
        </p>
      </div>
      {sees === 'plans' ? <OwnLine siteId={siteId} climate={climate} /> : <NoOwnLine isOnNoSite={sees === 'nothing'} />}
      <div className="grid gap-4">
        <Link href="/planner" className="block rounded-md border border-copper bg-card p-4 hover:border-edge">
          <span className="flex items-center gap-2 font-semibold">
            <Sparkles size={18} aria-hidden className="text-copper" /> What do I need for my jobs?
          </span>
          <span className="mt-1 block text-quiet">
            From compressor, weather and jobs to the few lines worth building, priced and in order of buying.
          </span>
        </Link>
        <section aria-labelledby="short-answers" className="rounded-md border border-hairline bg-card p-4">
          <h2 id="short-answers" className="flex items-center gap-2 text-[1rem]">
            <MessageCircleQuestionMark size={18} aria-hidden className="text-water" /> Short answers
          </h2>
          <AnswerLinks short />
        </section>
        {demos.map((demo) => (
          <Link
            key={demo.id}
            href={`/lines/${demo.id}/line`}
            className="block rounded-md border border-hairline bg-card p-4 hover:border-edge"
          >
            <span className="flex items-center gap-2 font-semibold">
              <Waypoints size={18} aria-hidden className="shrink-0 text-copper" /> Look at {demo.shop}
            </span>
            <span className="mt-1 block text-quiet">
              Made up, {demo.stages} stages:{' '}
              {demo.stages < A_PLANT
                ? 'a workshop, with six weeks of drains of which one went wrong.'
                : 'a plant with two screws, a dry side-stream, a ring main, and a tool that is too weak.'}
            </span>
          </Link>
        ))}
        <Link href="/dew-point" className="block rounded-md border border-hairline bg-card p-4 hover:border-edge">
          <span className="flex items-center gap-2 font-semibold">
            <Droplets size={18} aria-hidden className="text-water" /> Dew point
          </span>
          <span className="mt-1 block text-quiet">
            Turn a humidity, dew point or water content into all the others, at any pressure.
          </span>
        </Link>
        <Link href="/beads" className="block rounded-md border border-hairline bg-card p-4 hover:border-edge">
          <span className="flex items-center gap-2 font-semibold">
            <Grape size={18} aria-hidden className="text-water" /> Desiccant charge
          </span>
          <span className="mt-1 block text-quiet">
            Size a cartridge in a minute, and see what an oven does for an exhausted charge.
          </span>
        </Link>
        <Link href="/dryers" className="block rounded-md border border-hairline bg-card p-4 hover:border-edge">
          <span className="flex items-center gap-2 font-semibold">
            <Wind size={18} aria-hidden className="text-water" /> Dryer selection
          </span>
          <span className="mt-1 block text-quiet">
            Every type of dryer for the same air: dew point, air lost, power, cost, tasks.
          </span>
        </Link>
        <Link href="/sizes" className="block rounded-md border border-hairline bg-card p-4 hover:border-edge">
          <span className="flex items-center gap-2 font-semibold">
            <Ruler size={18} aria-hidden className="text-water" /> Sizes
          </span>
          <span className="mt-1 block text-quiet">
            Compressor, receiver, cooler, separator, pipe, regulator and hose, and what one size more or less changes.
          </span>
        </Link>
        {(own.length > 0 || words !== '') && (
          <section>
            <h2 className="mb-1">Your lines</h2>
            {(list.of > SOME || words !== '') && (
              <search>
                <form className="mb-2 flex gap-2">
                  <input
                    name="q"
                    type="search"
                    aria-label="Find a line by its names"
                    defaultValue={words}
                    className="control min-w-0 flex-1"
                  />
                  <button type="submit" className="button">
                    Find
                  </button>
                </form>
              </search>
            )}
            {own.length === 0 && <p className="text-quiet">No line has that in its names.</p>}
            <ul className="border-t border-hairline">
              {own.map((l) => (
                <li key={l.id} className="border-b border-hairline">
                  <Link
                    href={`/lines/${l.id}/today`}
                    className="flex min-h-11 items-center justify-between gap-3 px-1 hover:bg-sunk"
                  >
                    <span className="min-w-0 truncate">
                      <strong>{l.shop}</strong> · {l.name}
                    </span>
                    <span className="shrink-0 text-quiet">{l.stages} stages</span>
                  </Link>
                </li>
              ))}
            </ul>
            {list.of > own.length && (
              <p className="mt-1 text-quiet">
                The {own.length} last worked on, of {list.of}.
              </p>
            )}
          </section>
        )}
        {sees === 'plans' && templates.length > 0 && (
          <Templates templates={templates} siteId={siteId} climate={climate} />
        )}
        {sees === 'plans' && <OpenFile />}
      </div>
    </div>
  );
}

/** In place of a new line, for those who may not begin one. */
function NoOwnLine({ isOnNoSite }: { isOnNoSite: boolean }) {
  return (
    <section className="rounded-md border border-hairline bg-card p-4">
      <h2>{isOnNoSite ? 'You are on no site' : 'Choose a line'}</h2>
      <p className="mt-1 text-quiet">
        {isOnNoSite
          ? 'Ask the owner of a site to invite you. The calculators work without it.'
          : 'Open it for what is due today, its rounds and its logbook. New lines are built by planners and owners.'}
      </p>
    </section>
  );
}
