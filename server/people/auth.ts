import { readFileSync } from 'node:fs';
import path from 'node:path';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { z } from 'zod';
import { database } from '../../db/client';
import { credentials, people, signIns, verifications } from '../../db/people';
import { logLine } from './log-line';

export const PASSWORD_LEAST = 10;
export const PASSWORD_MOST = 128;
const DAY_S = 86_400;

/** What cookies are signed with: of the environment, or the file that bin/start makes once. */
const secretOf = (): string =>
  process.env.COOL_DRAM_SECRET ??
  readFileSync(path.join(process.env.COOL_DRAM_DATA ?? '.data', 'secret'), 'utf8').trim();

/** Signs somebody in whom this server knows by another way than a password: a passkey. No route leads here. */
const signInAs = createAuthEndpoint(
  '/sign-in-as',
  { method: 'POST', body: z.object({ userId: z.string() }) },
  async (ctx) => {
    const user = await ctx.context.internalAdapter.findUserById(ctx.body.userId);
    if (!user) throw ctx.error('NOT_FOUND');
    const session = await ctx.context.internalAdapter.createSession(user.id);
    await setSessionCookie(ctx, { session, user });
    return ctx.json({});
  },
);

const make = () =>
  betterAuth({
    appName: 'Cool Dram',
    // No route of its own is reachable: it is asked by sign-in.ts, and by who-asks.ts for every request.
    baseURL: 'http://127.0.0.1',
    secret: secretOf(),
    database: drizzleAdapter(database(), {
      provider: 'mysql',
      schema: { user: people, session: signIns, account: credentials, verification: verifications },
    }),
    emailAndPassword: { enabled: true, minPasswordLength: PASSWORD_LEAST, maxPasswordLength: PASSWORD_MOST },
    session: { expiresIn: 30 * DAY_S, updateAge: DAY_S },
    rateLimit: { enabled: false }, // sign-in.ts and join.ts count
    advanced: {
      cookiePrefix: 'cool-dram',
      database: { generateId: () => crypto.randomUUID() },
      useSecureCookies: process.env.COOL_DRAM_TLS === '1',
    },
    plugins: [{ id: 'sign-in-as', endpoints: { signInAs } }],
    telemetry: { enabled: false },
    // A wrong password is nobody’s fault here.
    logger: { level: 'error', log: (_level, message, error) => console.error(logLine(message, error)) },
  });

const kept = globalThis as typeof globalThis & { coolDramAuth?: ReturnType<typeof make> };
export function auth(): ReturnType<typeof make> {
  kept.coolDramAuth ??= make();
  return kept.coolDramAuth;
}
