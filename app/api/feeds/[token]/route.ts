import { readFeed } from '@/server/feeds';
import { callerOf, respondToAnybodyAs } from '@/server/respond';

interface Context {
  params: Promise<{ token: string }>;
}

export function GET(request: Request, { params }: Context): Promise<Response> {
  return respondToAnybodyAs('text/calendar; charset=utf-8', async () =>
    readFeed((await params).token.replace(/\.ics$/, ''), callerOf(request)),
  );
}
