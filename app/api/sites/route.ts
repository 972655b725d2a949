import { readSites } from '@/server/people/members';
import { respond } from '@/server/respond';

/** The sites that one is on; for its owners with the people of each. */
export function GET(): Promise<Response> {
  return respond(readSites);
}
