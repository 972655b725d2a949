import { changePerson, leaveDevice } from '@/server/people/devices';
import { readJson, respondToAnybody } from '@/server/respond';

/** Says with a PIN who is at work on the shared device that asks. */
export function PUT(request: Request): Promise<Response> {
  return respondToAnybody(async () => changePerson(request.headers, await readJson(request)));
}

export function DELETE(request: Request): Promise<Response> {
  return respondToAnybody(() => leaveDevice(request.headers));
}
