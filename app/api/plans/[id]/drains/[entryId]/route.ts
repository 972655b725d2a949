import { z } from 'zod';
import { checked } from '@/server/errors';
import { strikeADrain } from '@/server/log-a-drain';
import { readJson, respond } from '@/server/respond';

export function PATCH(
  request: Request,
  { params }: { params: Promise<{ id: string; entryId: string }> },
): Promise<Response> {
  return respond(async () => {
    const { id, entryId } = await params;
    const { struck } = checked(z.strictObject({ struck: z.boolean() }), await readJson(request));
    return strikeADrain(id, entryId, struck);
  });
}
