import { recover } from '@/server/people/join';
import { respond } from '@/server/respond';

interface Context {
  params: Promise<{ siteId: string; personId: string }>;
}

export function POST(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, personId } = await params;
    return recover(who, siteId, personId);
  }, 201);
}
