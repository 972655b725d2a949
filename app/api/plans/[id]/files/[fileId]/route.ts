import { keepFile, readFile } from '@/server/kept-files';
import { respond, respondWithFile } from '@/server/respond';

interface Context {
  params: Promise<{ id: string; fileId: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respondWithFile(async (who) => {
    const { id, fileId } = await params;
    return readFile(who, id, fileId);
  });
}

export function PUT(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { id, fileId } = await params;
    return keepFile(who, id, fileId, request);
  }, 201);
}
