import { databaseAnswers } from '@/server/database-answers';
import { respond } from '@/server/respond';

export const dynamic = 'force-dynamic';

export function GET(): Promise<Response> {
  return respond(databaseAnswers);
}
