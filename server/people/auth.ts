import { readFileSync } from 'node:fs';
import path from 'node:path';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { database } from '../../db/client';
import { attempts, credentials, people, signIns, verifications } from '../../db/people';

/** Whether several people use this server, each with an account; otherwise it is one person's, and nobody signs in. */
export const isShared = (): boolean => process.env.COOL_DRAM_SHARE === '1';

export const PASSWORD_LEAST = 10;
export const PASSWORD_MOST = 128;
const DAY_S = 86_400;

function secretOf(): string {
  const own = process.env.COOL_DRAM_SECRET;
  if (own) return own;
  return readFileSync(path.join(process.env.COOL_DRAM_DATA ?? '.data', 'secret'), 'utf8').trim();
}

const make = () =>
  betterAuth({
    appName: 'Cool Dram',
    secret: secretOf(),
    // Whether a request comes from a page of ours is judged before, for every route alike (server/who-may-call.ts).
    trustedOrigins: (request) => [request?.headers.get('origin') ?? ''].filter(Boolean),
    database: drizzleAdapter(database(), {
      provider: 'mysql',
      schema: { user: people, session: signIns, account: credentials, verification: verifications, rateLimit: attempts },
    }),
    emailAndPassword: { enabled: true, minPasswordLength: PASSWORD_LEAST, maxPasswordLength: PASSWORD_MOST },
    // An account is made with an invitation alone (join.ts); an address has no way to be confirmed without a mail server.
    disabledPaths: ['/sign-up/email', '/update-user', '/change-email', '/delete-user'],
    session: { expiresIn: 30 * DAY_S, updateAge: DAY_S },
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 200,
      customRules: { '/sign-in/email': { window: 60, max: 10 } },
    },
    advanced: {
      cookiePrefix: 'cool-dram',
      database: { generateId: () => crypto.randomUUID() },
      // Behind --share every page comes over TLS.
      useSecureCookies: process.env.COOL_DRAM_TLS === '1',
    },
    telemetry: { enabled: false },
  });

const kept = globalThis as typeof globalThis & { coolDramAuth?: ReturnType<typeof make> };
export function auth(): ReturnType<typeof make> {
  kept.coolDramAuth ??= make();
  return kept.coolDramAuth;
}
