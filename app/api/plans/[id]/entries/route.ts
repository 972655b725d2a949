import { logAnEntry } from '@/server/log-an-entry';
import { readLogPage } from '@/server/read-log-page';
import { readJson, respond } from '@/server/respond';

interface Context {
  params: Promise<{ id: string }>;
}

/** A page of the log; `before` is the `next` of the page before it. */
export function GET(request: Request, { params }: Context): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  const one = (name: string): string | undefined => asked.get(name) ?? undefined;
  return respond(async (who) =>
    readLogPage(who, (await params).id, {
      ...{ q: one('q'), kind: one('kind') },
      ...{ stage: one('stage'), before: one('before') },
    }),
  );
}

export function POST(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => logAnEntry(who, (await params).id, await readJson(request)), 201);
}
