import { peopleOfDevice } from '@/server/people/devices';
import { respondToAnybody } from '@/server/respond';

/** Who may be at work on the shared device that asks. */
export function GET(request: Request): Promise<Response> {
  return respondToAnybody(() => peopleOfDevice(request.headers));
}
