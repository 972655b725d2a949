import { readJson, respond } from '@/server/respond';
import { changeOnShelf, putOnShelf, takeOffShelf } from '@/server/sites/shelf';

interface Context {
  params: Promise<{ siteId: string; itemId: string }>;
}

export function PUT(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, itemId } = await params;
    return putOnShelf(who, siteId, itemId, await readJson(request));
  });
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, itemId } = await params;
    return takeOffShelf(who, siteId, itemId);
  });
}

export function PATCH(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, itemId } = await params;
    return changeOnShelf(who, siteId, itemId, await readJson(request));
  });
}
