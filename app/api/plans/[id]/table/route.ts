import { Readable } from 'node:stream';
import { readPlan } from '@/server/read-plan';
import { respond } from '@/server/respond';
import { tableLines } from '@/server/write-log-table';

interface Context {
  params: Promise<{ id: string }>;
}

/** The log as a table, all of it or what is searched for: CSV. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { id } = await params;
  const asked = new URL(request.url).searchParams;
  const found = await respond(() => readPlan(id));
  if (!found.ok) return found;
  const lines = tableLines(id, asked.get('q') ?? '', asked.get('kind') ?? 'all');
  return new Response(Readable.toWeb(Readable.from(lines)) as ReadableStream, {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': 'attachment; filename="log.csv"' },
  });
}
