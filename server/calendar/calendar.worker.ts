import { calendarEvents } from '../../core/maintenance/calendar';
import { type DueFrom, dueOn } from '../../core/maintenance/due-on';
import { calendarText } from './calendar-text';

/** The calendar of a line as text. It plays a year of weather: in a thread of its own it keeps no request waiting. */
export default function calendarFrom({ planId, ...from }: DueFrom & { readonly planId: string }): string {
  const { survey, name } = from.plan;
  return calendarText(`${survey.shop} · ${name}`, calendarEvents(planId, from.plan, dueOn(from)));
}
