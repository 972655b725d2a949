import { respond } from '@/server/respond';
import { readTemplate, removeTemplate } from '@/server/sites/templates';

interface Context {
  params: Promise<{ siteId: string; templateId: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, templateId } = await params;
    return readTemplate(who, siteId, templateId);
  });
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { siteId, templateId } = await params;
    return removeTemplate(who, siteId, templateId);
  });
}
