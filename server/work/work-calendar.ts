import { eq } from 'drizzle-orm';
import { lineMinutes } from '../../core/maintenance/rounds';
import { database } from '../../db/client';
import { members } from '../../db/people';
import { calendarText } from '../calendar/calendar-text';
import { isShared } from '../people/is-shared';
import { ALONE, type Who } from '../people/may';
import { readWorkList, type WorkSite } from './work-list';

const AHEAD = 31;

/** The work of a month as a calendar: what is due at a site on a day is one event, what is overdue is today’s. */
export async function workCalendar(personId: string): Promise<string> {
  const { sites, today } = await readWorkList(await whoIs(personId), { ahead: AHEAD, order: 'date' });
  return calendarText(
    'Cool Dram work list',
    sites.flatMap((site) => eventsAt(site, today)),
  );
}

function eventsAt(site: WorkSite, today: string) {
  const dayOf = (dueAt: string): string => (dueAt.slice(0, 10) < today ? today : dueAt.slice(0, 10));
  const days = new Set(site.lines.flatMap((l) => l.tasks.map((t) => dayOf(t.dueAt))));
  return [...days].toSorted().map((day) => {
    const lines = site.lines.map((l) => ({ ...l, tasks: l.tasks.filter((t) => dayOf(t.dueAt) === day) }));
    const due = lines.filter((l) => l.tasks.length > 0);
    const tasks = due.flatMap((l) => l.tasks);
    const times = tasks.filter((t) => t.dueAt.startsWith(day)).map((t) => t.dueAt);
    return {
      uid: `${site.id}-${day}`,
      title: `${site.name}: ${tasks.length} ${tasks.length === 1 ? 'task' : 'tasks'}`,
      text: [
        site.address,
        site.contacts,
        ...due.flatMap((l) => [`${l.shop}, ${l.name}`, ...l.tasks.map((t) => `- ${t.stage}: ${t.does}`)]),
      ]
        .filter(Boolean)
        .join('\n'),
      starts: times.toSorted()[0] ?? `${day}T08:00`,
      minutes: due.reduce((sum, l) => sum + lineMinutes(l.tasks), 0),
    };
  });
}

/** Whose list it is, with the sites that they may see today. */
async function whoIs(personId: string): Promise<Who> {
  if (!isShared()) return ALONE;
  const rows = await database().select().from(members).where(eq(members.personId, personId));
  return { id: personId, name: '', email: '', roles: new Map(rows.map((r) => [r.siteId, r.role])) };
}
