import { readFeed } from '@/server/calendar';
import { respondAs } from '@/server/respond';

interface Context {
  params: Promise<{ token: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respondAs('text/calendar; charset=utf-8', async () => readFeed((await params).token.replace(/\.ics$/, '')));
}
