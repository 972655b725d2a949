import { linesOf, recordsOf } from '@/server/line-copy/write-line-copy';
import { permitted } from '@/server/people/may';
import { planOf } from '@/server/read-plan';
import { respondAs, streamOf } from '@/server/respond';

interface Context {
  params: Promise<{ id: string }>;
}

/** Everything that is kept of a line, to be kept elsewhere or taken in again: lines of JSON. */
export function GET(_request: Request, { params }: Context): Promise<Response> {
  const work = async (id: string) => {
    await planOf(id); // nothing is begun that cannot be read
    return streamOf(linesOf(recordsOf(id)));
  };
  return respondAs(
    'application/x-ndjson',
    async (who) => work(await permitted(who, 'export', (await params).id)),
    'line.cool-dram.jsonl',
  );
}
