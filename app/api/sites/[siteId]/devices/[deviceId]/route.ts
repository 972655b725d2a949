import { removeDevice } from '@/server/people/devices';
import { respond } from '@/server/respond';

interface Context {
  params: Promise<{ siteId: string; deviceId: string }>;
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, deviceId } = await params;
    return removeDevice(who, siteId, deviceId);
  });
}
