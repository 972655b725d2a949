import { respond } from '@/server/respond';
import { archiveLine, unarchiveLine } from '@/server/sites/remove-line';

interface Context {
  params: Promise<{ id: string }>;
}

export function POST(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => archiveLine(who, (await params).id));
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => unarchiveLine(who, (await params).id));
}
