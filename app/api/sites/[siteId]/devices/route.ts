import { newDevice } from '@/server/people/devices';
import { whoAsks } from '@/server/people/who-asks';
import { readJson, respondSignedIn } from '@/server/respond';

/** Makes the browser that asks a shared device of the site. */
export function POST(request: Request, { params }: { params: Promise<{ siteId: string }> }): Promise<Response> {
  return respondSignedIn(async () => newDevice(await whoAsks(), (await params).siteId, await readJson(request)), 201);
}
