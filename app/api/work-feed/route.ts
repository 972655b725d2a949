import { newWorkFeed, revokeWorkFeeds } from '@/server/feeds';
import { respond } from '@/server/respond';

export function POST(): Promise<Response> {
  return respond(newWorkFeed, 201);
}

export function DELETE(): Promise<Response> {
  return respond(revokeWorkFeeds);
}
