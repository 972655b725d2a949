import { readFeed } from '@/server/feeds';
import { respondAs } from '@/server/respond';

interface Context {
  params: Promise<{ token: string }>;
}

export function GET(request: Request, { params }: Context): Promise<Response> {
  const caller = request.headers.get('x-forwarded-for')?.split(',')[0] ?? '';
  return respondAs('text/calendar; charset=utf-8', async () =>
    readFeed((await params).token.replace(/\.ics$/, ''), caller),
  );
}
