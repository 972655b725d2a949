import { z } from 'zod';
import { checked } from '@/server/errors';
import { readJson, respond } from '@/server/respond';

const faultSchema = z.strictObject({ ruleId: z.string().max(20), message: z.string().max(2000) });

/** A rule of the advice that broke in a browser: into the log of the server. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const { ruleId, message } = checked(faultSchema, await readJson(request));
    // Quoted, so that a line of it cannot look like one of the log’s own.
    console.error(`A rule broke: ${JSON.stringify({ ruleId, message })}`);
    return {};
  });
}
