import { auditTable } from '@/server/people/audit';
import { permittedSite } from '@/server/people/may';
import { respondAs, streamOf } from '@/server/respond';

/** The same, all of it: CSV. */
export function GET(_request: Request, { params }: { params: Promise<{ siteId: string }> }): Promise<Response> {
  return respondAs(
    'text/csv; charset=utf-8',
    async (who) => streamOf(auditTable(await permittedSite(who, 'people', (await params).siteId))),
    'changes.csv',
  );
}
