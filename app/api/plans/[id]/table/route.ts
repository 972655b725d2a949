import { permitted } from '@/server/people/may';
import { planOf } from '@/server/read-plan';
import { respondAs, streamOf } from '@/server/respond';
import { tableLines } from '@/server/write-log-table';

interface Context {
  params: Promise<{ id: string }>;
}

/** The log as a table, all of it or what is searched for: CSV. */
export function GET(request: Request, { params }: Context): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  const work = async (id: string) => {
    await planOf(id);
    return streamOf(tableLines(id, asked.get('q') ?? '', asked.get('kind') ?? 'all'));
  };
  return respondAs(
    'text/csv; charset=utf-8',
    async (who) => work(await permitted(who, 'export', (await params).id)),
    'log.csv',
  );
}
