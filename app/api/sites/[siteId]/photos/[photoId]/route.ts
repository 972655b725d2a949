import { respond, respondAs } from '@/server/respond';
import { keepSitePhoto, readSitePhoto, removeSitePhoto } from '@/server/sites/site-photos';

interface Context {
  params: Promise<{ siteId: string; photoId: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respondAs('image/jpeg', async (who) => {
    const { siteId, photoId } = await params;
    return readSitePhoto(who, siteId, photoId);
  });
}

export function PUT(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, photoId } = await params;
    return keepSitePhoto(who, siteId, photoId, request);
  }, 201);
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, photoId } = await params;
    return removeSitePhoto(who, siteId, photoId);
  });
}
