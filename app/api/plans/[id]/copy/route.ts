import { Readable } from 'node:stream';
import { linesOf, recordsOf } from '@/server/line-copy/write-line-copy';
import { readPlan } from '@/server/read-plan';
import { respond } from '@/server/respond';

interface Context {
  params: Promise<{ id: string }>;
}

/** Everything that is kept of a line, to be kept elsewhere or taken in again: lines of JSON. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { id } = await params;
  const found = await respond(() => readPlan(id));
  if (!found.ok) return found;
  return new Response(Readable.toWeb(Readable.from(linesOf(recordsOf(id)))) as ReadableStream, {
    headers: {
      'content-type': 'application/x-ndjson',
      'content-disposition': 'attachment; filename="line.cool-dram.jsonl"',
    },
  });
}
