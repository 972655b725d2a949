import { readPlan } from '@/server/read-plan';
import { readJson, respond } from '@/server/respond';
import { savePlan } from '@/server/save-plan';
import { removeLine } from '@/server/sites/remove-line';

interface Context {
  params: Promise<{ id: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => readPlan(who, (await params).id));
}

/** Removes it; for thirty days it can be restored. */
export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => removeLine(who, (await params).id));
}

export function PUT(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => savePlan(who, (await params).id, await readJson(request)));
}
