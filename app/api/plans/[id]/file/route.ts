import { readPlan } from '@/server/read-plan';
import { respond } from '@/server/respond';

/** The line as a plan file, to keep, send or walk from a terminal. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const answer = await respond(async () => (await readPlan((await params).id)).plan);
  if (answer.ok) answer.headers.set('content-disposition', 'attachment; filename="line.cool-dram.json"');
  return answer;
}
