import { z } from 'zod';
import { checked } from '@/server/errors';
import { strikeADrain } from '@/server/log-a-drain';
import { readWhy } from '@/server/read-logbook';
import { readJson, respond } from '@/server/respond';

interface Context {
  params: Promise<{ id: string; entryId: string }>;
}

/** Why so much was expected. */
export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { id, entryId } = await params;
    return readWhy(who, id, entryId);
  });
}

export function PATCH(request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => {
    const { id, entryId } = await params;
    const { struck } = checked(z.strictObject({ struck: z.boolean() }), await readJson(request));
    return strikeADrain(who, id, entryId, struck);
  });
}
