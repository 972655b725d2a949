import { calendarOf } from '@/server/calendar/calendar-of';
import { readPlan } from '@/server/read-plan';
import { respondAs } from '@/server/respond';

interface Context {
  params: Promise<{ id: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respondAs('text/calendar; charset=utf-8', async (who) => {
    const { id } = await params;
    return calendarOf(id, (await readPlan(who, id)).plan);
  });
}
