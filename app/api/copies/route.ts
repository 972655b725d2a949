import { readLineCopy } from '@/server/line-copy/read-line-copy';
import { respond } from '@/server/respond';

/** Takes in a copy of a line; `as` says whether as a new line, or merged into the one that it was made of. */
export function POST(request: Request): Promise<Response> {
  const as = new URL(request.url).searchParams.get('as');
  return respond((who) => readLineCopy(who, as, request), 201);
}
