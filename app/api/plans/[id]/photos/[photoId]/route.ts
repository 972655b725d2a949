import { keepAPhoto, readPhoto } from '@/server/keep-a-photo';
import { respond, respondAs } from '@/server/respond';

interface Context {
  params: Promise<{ id: string; photoId: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respondAs('image/jpeg', async (who) => {
    const { id, photoId } = await params;
    return readPhoto(who, id, photoId);
  });
}

export function PUT(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { id, photoId } = await params;
    return keepAPhoto(who, id, photoId, request);
  }, 201);
}
