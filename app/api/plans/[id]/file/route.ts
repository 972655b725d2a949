import { readDocument, readPlan } from '@/server/read-plan';
import { respond } from '@/server/respond';

/** The line as a plan file, to keep, send or walk from a terminal; as it is stored, where `stored` is asked for. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const stored = new URL(request.url).searchParams.has('stored');
  const answer = await respond(async (who) => (stored ? readDocument(who, id) : (await readPlan(who, id)).plan));
  if (answer.ok) answer.headers.set('content-disposition', 'attachment; filename="line.cool-dram.json"');
  return answer;
}
