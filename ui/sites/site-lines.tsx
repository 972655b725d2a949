'use client';

import { Ellipsis } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import { toast } from 'sonner';
import type { Plan } from '@/core/plan/plan';
import { send } from '@/ui/forms/send';
import { copyOf } from '@/ui/primitives/copy-of';
import { Link } from '@/ui/primitives/link';
import type { SiteLine, SitePage } from './site-types';

/** The lines of a site, with what may be done with each; those that are archived, and those that were removed. */
export function SiteLines({ site }: { site: SitePage }) {
  return (
    <>
      <section aria-label="Lines" className="min-w-0">
        <h2 className="mb-1">Lines</h2>
        {site.lines.length === 0 && (
          <p className="mb-2 text-quiet">No line stands here yet. Build one, or move one here from its own site.</p>
        )}
        <ul className="border-t border-hairline">
          {site.lines.map((line) => (
            <Line key={line.id} line={line} site={site} />
          ))}
        </ul>
        {site.plans && (
          <p className="mt-3">
            <Link href={`/?site=${site.id}`} className="button">
              New line here
            </Link>
          </p>
        )}
      </section>
      {site.archived.length > 0 && <ArchivedLines site={site} />}
      {site.removed.length > 0 && <RemovedLines lines={site.removed} />}
      {site.templates.length > 0 && <Templates site={site} />}
    </>
  );
}

function Line({ line, site }: { line: SiteLine; site: SitePage }) {
  return (
    <li className="flex items-center gap-x-3 border-b border-hairline py-1">
      <Link href={`/lines/${line.id}/today`} className="flex min-h-11 min-w-0 flex-1 items-center hover:bg-sunk">
        <span className="min-w-0 truncate">
          <strong>{line.shop}</strong> · {line.name}
        </span>
      </Link>
      <span className="shrink-0 text-quiet max-sm:sr-only">{line.stages} stages</span>
      {site.plans && <LineMenu line={line} site={site} />}
    </li>
  );
}

function LineMenu({ line, site }: { line: SiteLine; site: SitePage }) {
  const router = useRouter();
  const does = async (work: ReturnType<typeof send>, done: string): Promise<void> => {
    const answer = await work;
    toast('refused' in answer ? answer.refused.message : done);
    router.refresh();
  };
  const duplicate = async (): Promise<void> => {
    const read = (await fetch(`/api/plans/${line.id}`)
      .then((answer) => (answer.ok ? answer.json() : undefined))
      .catch(() => undefined)) as { plan: Plan } | undefined;
    if (!read) return void toast('The server does not answer. Nothing was changed; try again in a moment.');
    const plan = copyOf(read.plan);
    await does(
      send('POST', '/api/plans', { id: crypto.randomUUID(), besideId: line.id, plan }),
      `${plan.name} stands beside it, without its log.`,
    );
  };
  const remove = async (): Promise<void> => {
    if (window.confirm(`Remove ${line.name} with its log? You can restore it for 30 days.`))
      await does(send('DELETE', `/api/plans/${line.id}`), `${line.name} is removed.`);
  };
  const move = (to: { id: string; name: string }): Promise<void> =>
    does(send('PUT', `/api/plans/${line.id}/site`, { siteId: to.id }), `${line.name} stands on ${to.name} now.`);
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="button px-2" aria-label={`What to do with ${line.name}`}>
        <Ellipsis size={16} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="floating z-50 w-60 p-1" align="end" sideOffset={4}>
          <Item onSelect={() => void duplicate()}>Duplicate</Item>
          <Item
            onSelect={() =>
              void does(
                send('POST', `/api/sites/${site.id}/templates`, {
                  id: crypto.randomUUID(),
                  name: line.name,
                  planId: line.id,
                }),
                'New lines can begin with it, on the start page.',
              )
            }
          >
            Save as a template
          </Item>
          {site.isOwn && (
            <>
              <Item
                onSelect={() => void does(send('POST', `/api/plans/${line.id}/archive`), `${line.name} is archived.`)}
              >
                Archive
              </Item>
              <Item onSelect={() => void remove()}>Remove</Item>
            </>
          )}
          {site.isOwn && site.others.length > 0 && (
            <DropdownMenu.Group>
              <DropdownMenu.Label className="eyebrow border-t border-hairline px-3 pt-2 pb-1">
                Move to
              </DropdownMenu.Label>
              <div className="max-h-60 overflow-auto">
                {site.others.map((to) => (
                  <Item key={to.id} onSelect={() => void move(to)}>
                    <span className="truncate">{to.name}</span>
                  </Item>
                ))}
              </div>
            </DropdownMenu.Group>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

const Item = (props: DropdownMenu.DropdownMenuItemProps) => (
  <DropdownMenu.Item
    {...props}
    className="flex min-h-9 cursor-pointer items-center rounded-sm px-3 data-highlighted:bg-sunk"
  />
);

function ArchivedLines({ site }: { site: SitePage }) {
  const router = useRouter();
  const unarchive = async (line: SiteLine): Promise<void> => {
    const answer = await send('DELETE', `/api/plans/${line.id}/archive`);
    toast('refused' in answer ? answer.refused.message : `${line.name} is on the lists again.`);
    router.refresh();
  };
  return (
    <section aria-label="Archived lines">
      <h2>Archived lines</h2>
      <p className="mb-1 text-quiet">Kept with their logs, on no other list; nothing is due on them.</p>
      <ul className="border-t border-hairline">
        {site.archived.map((line) => (
          <li key={line.id} className="flex flex-wrap items-center gap-3 border-b border-hairline py-1">
            <Link
              href={`/lines/${line.id}/line`}
              className="flex min-h-11 min-w-0 flex-1 basis-56 items-center hover:bg-sunk"
            >
              <span className="min-w-0 truncate">
                {line.shop} · {line.name}
              </span>
            </Link>
            {site.isOwn && (
              <button type="button" className="button" onClick={() => void unarchive(line)}>
                Take out
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Templates({ site }: { site: SitePage }) {
  const router = useRouter();
  const remove = async (template: { id: string; name: string }): Promise<void> => {
    const answer = await send('DELETE', `/api/sites/${site.id}/templates/${template.id}`);
    toast('refused' in answer ? answer.refused.message : `The template ${template.name} is removed.`);
    router.refresh();
  };
  return (
    <section aria-label="Templates">
      <h2>Templates</h2>
      <p className="mb-1 text-quiet">New lines can begin with them, on the start page.</p>
      <ul className="border-t border-hairline">
        {site.templates.map((t) => (
          <li key={t.id} className="flex min-h-11 items-center gap-3 border-b border-hairline py-1">
            <span className="min-w-0 flex-1 truncate">{t.name}</span>
            <button
              type="button"
              className="button"
              aria-label={`Remove the template ${t.name}`}
              onClick={() => void remove(t)}
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function RemovedLines({ lines }: { lines: SitePage['removed'] }) {
  const router = useRouter();
  const restore = async (line: (typeof lines)[number]): Promise<void> => {
    const answer = await send('POST', `/api/plans/${line.id}/restore`);
    toast('refused' in answer ? answer.refused.message : `${line.name} is back, with its log.`);
    router.refresh();
  };
  return (
    <section aria-label="Removed lines">
      <h2>Removed lines</h2>
      <p className="mb-1 text-quiet">Each is kept for 30 days with its log, then deleted for good.</p>
      <ul className="border-t border-hairline">
        {lines.map((line) => (
          <li key={line.id} className="flex flex-wrap items-center gap-3 border-b border-hairline py-1">
            <span className="min-w-0 flex-1 basis-56 truncate">
              {line.shop} · {line.name}
            </span>
            <span className="text-quiet">{line.removedAt.slice(0, 10)}</span>
            <button type="button" className="button" onClick={() => void restore(line)}>
              Restore
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
