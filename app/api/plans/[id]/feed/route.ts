import { feedOf, revokeFeed } from '@/server/calendar';
import { respond } from '@/server/respond';

interface Context {
  params: Promise<{ id: string }>;
}

export function POST(_request: Request, { params }: Context): Promise<Response> {
  return respond(async () => feedOf((await params).id), 201);
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async () => revokeFeed((await params).id));
}
