import { sql } from 'drizzle-orm';
import { database } from '@/db/client';
import { respond } from '@/server/respond';

export const dynamic = 'force-dynamic';

export function GET(): Promise<Response> {
  return respond(async () => {
    await database().execute(sql`select 1`);
    return { database: 'up' };
  });
}
