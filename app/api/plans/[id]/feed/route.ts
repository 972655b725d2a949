import { newFeed, revokeFeeds } from '@/server/feeds';
import { respond } from '@/server/respond';

interface Context {
  params: Promise<{ id: string }>;
}

export function POST(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => newFeed(who, (await params).id), 201);
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => revokeFeeds(who, (await params).id));
}
