import ical, { ICalEventRepeatingFreq, ICalWeekday } from 'ical-generator';
import type { CalendarEvent } from '../../core/maintenance/calendar';

/** What comes again, or happens once. */
type Shown = Omit<CalendarEvent, 'repeats'> & Partial<Pick<CalendarEvent, 'repeats'>>;

const WEEKDAYS = [
  ICalWeekday.MO,
  ICalWeekday.TU,
  ICalWeekday.WE,
  ICalWeekday.TH,
  ICalWeekday.FR,
  ICalWeekday.SA,
  ICalWeekday.SU,
];

/** Events as iCalendar text. Times float: they are those of the wall clock wherever it is read. */
export function calendarText(name: string, events: readonly Shown[]): string {
  const calendar = ical({ name, prodId: { company: 'Cool Dram', product: 'Routine' } });
  for (const e of events) {
    const [y, m, d, h, min] = e.starts.split(/[-T:]/).map(Number) as [number, number, number, number, number];
    // A floating time is written from the UTC parts of a date.
    const start = new Date(Date.UTC(y, m - 1, d, h, min));
    calendar.createEvent({
      id: `${e.uid}@cool-dram`,
      summary: e.title,
      description: e.text,
      start,
      end: new Date(start.getTime() + e.minutes * 60_000),
      floating: true,
      repeating:
        e.repeats === undefined
          ? null
          : 'weekdays' in e.repeats
            ? {
                freq: ICalEventRepeatingFreq.WEEKLY,
                byDay: e.repeats.weekdays.map((w) => WEEKDAYS[w - 1] as ICalWeekday),
              }
            : { freq: ICalEventRepeatingFreq.DAILY, interval: e.repeats.everyDays },
    });
  }
  return calendar.toString();
}
