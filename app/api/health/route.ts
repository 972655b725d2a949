import { databaseAnswers } from '@/server/database-answers';
import { respondToAnybody } from '@/server/respond';

export const dynamic = 'force-dynamic';

export function GET(): Promise<Response> {
  return respondToAnybody(databaseAnswers);
}
