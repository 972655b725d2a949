import { randomInt } from 'node:crypto';
import { and, eq, gt, isNull } from 'drizzle-orm';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { z } from 'zod';
import { database } from '../../db/client';
import {
  credentials,
  invitations,
  members,
  passkeys,
  people,
  pins,
  ROLES,
  type Role,
  signIns,
  sites,
} from '../../db/people';
import { checked, RequestRefused } from '../errors';
import { checkedId } from '../plan-id';
import { inTransaction, type Transaction } from '../transaction';
import { note } from './audit';
import { auth, PASSWORD_LEAST, PASSWORD_MOST } from './auth';
import { onlyWhereShared } from './is-shared';
import { canMail, linkTo, sendMail } from './mail';
import { ALONE, permittedSite, sitesOf, type Who } from './may';
import { hashOf } from './secret';

const CODE_LENGTH = 10;
/** Without those that are read for each other: 0 and O, 1 and I. 32 letters in 10 places are 2^50 codes. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const LASTS_MS = 7 * 86_400_000;
const TRIES_A_MINUTE = 10;
const tries = new RateLimiterMemory({ keyPrefix: 'join', points: TRIES_A_MINUTE, duration: 60 });

/** A code as it was typed or read: without dashes and spaces, in capitals. */
const plainCode = (code: string): string => code.replace(/[\s-]/g, '').toUpperCase();
const hashOfCode = (code: string): string => hashOf(plainCode(code));
const newCode = (): string =>
  Array.from({ length: CODE_LENGTH }, () => LETTERS[randomInt(LETTERS.length)])
    .join('')
    .replace(/^.{5}/, '$&-');

/** Makes a code for a site without asking who wants it: for the first owner, whom the terminal lets in. */
export async function codeFor(siteId: string, role: Role, personId: string | null = null): Promise<string> {
  const code = newCode();
  const expiresAt = new Date(Date.now() + LASTS_MS);
  await database()
    .insert(invitations)
    .values({ hash: hashOfCode(code), siteId, role, personId, expiresAt });
  return code;
}

const emailSchema = z.email('Type an e-mail address, for example ada@example.com.').max(254).toLowerCase();
const inviteSchema = z.strictObject({
  role: z.enum(ROLES, 'Choose a role.'),
  /** Where the link is sent to, where this server may send mails. */
  email: emailSchema.optional(),
});

/**
 * A code with which somebody makes an account of their own, with a role on a site. It is told this once, and works once.
 * @returns whether it was sent to the address as well
 */
export async function invite(who: Who, siteId: string, input: unknown): Promise<{ code: string; mailed: boolean }> {
  const site = await permittedSite(who, 'people', siteId);
  const { role, email } = checked(inviteSchema, input);
  const code = await codeFor(site, role);
  await note(database(), who, { siteId: site, about: 'Invitation', says: [`For a new ${role}.`] });
  const mailed =
    email !== undefined &&
    (await sendMail(
      email,
      'Your account of Cool Dram',
      `${who === ALONE ? 'Somebody' : who.name} invites you as ${role}. Make your account here within seven days:\n\n${linkTo(`/join?code=${code}`)}\n`,
    ));
  return { code, mailed };
}

/** A code with which somebody of a site sets a new password, having lost the old one. */
export async function recover(who: Who, siteId: string, personId: string): Promise<{ code: string }> {
  const site = await permittedSite(who, 'people', siteId);
  const [member] = await database()
    .select({ role: members.role, name: people.name })
    .from(members)
    .innerJoin(people, eq(people.id, members.personId))
    .where(and(eq(members.siteId, site), eq(members.personId, checkedId('personId', personId))));
  if (!member) throw noSuchPerson();
  // Who renews a password may take the account over, and with it all that it may do elsewhere.
  const led = sitesOf(who, 'people');
  const theirs = await database()
    .select({ siteId: members.siteId })
    .from(members)
    .where(eq(members.personId, personId));
  if (led && theirs.some((m) => !led.includes(m.siteId)))
    throw new RequestRefused(403, 'forbidden', `${member.name} is also on a site of another owner, who has to do it.`);
  const code = await codeFor(site, member.role, personId);
  await note(database(), who, { siteId: site, about: member.name, says: ['Code for a new password.'] });
  return { code };
}

export function noSuchPerson(): RequestRefused {
  return new RequestRefused(404, 'not-found', 'There is nobody with this id on the site.', [
    { field: 'personId', message: 'Unknown.' },
  ]);
}

/** What a code is for; nothing where it does not work (any more). */
export async function invitationOf(code: string) {
  const [found] = await database()
    .select({ role: invitations.role, site: sites.name, name: people.name, email: people.email })
    .from(invitations)
    .innerJoin(sites, eq(sites.id, invitations.siteId))
    .leftJoin(people, eq(people.id, invitations.personId))
    .where(works(code));
  return found;
}

const works = (code: string) =>
  and(eq(invitations.hash, hashOfCode(code)), isNull(invitations.usedAt), gt(invitations.expiresAt, new Date()));

const password = z
  .string()
  .min(PASSWORD_LEAST, `At least ${PASSWORD_LEAST} characters.`)
  .max(PASSWORD_MOST, `At most ${PASSWORD_MOST} characters.`);
const joinSchema = z.strictObject({
  code: z.string().min(1, 'Type the code.').max(40),
  name: z.string().trim().min(1, 'Type your name.').max(60, 'At most 60 characters.'),
  email: emailSchema,
  password,
});
const renewSchema = z.strictObject({ code: z.string().min(1).max(40), password });

const FORGOTTEN_AN_HOUR = 5;
const forgotten = new RateLimiterMemory({ keyPrefix: 'forgotten', points: FORGOTTEN_AN_HOUR, duration: 3600 });

/**
 * Sends somebody who has lost their password a link to a new one. It answers the same whether there is such an account or not.
 * @param caller where it is asked from, to count by
 */
export async function mailNewPassword(input: unknown, caller: string): Promise<{ asked: true }> {
  onlyWhereShared();
  if (!canMail()) throw new RequestRefused(404, 'not-found', 'This server sends no mails. Ask the owner of the site.');
  const { email } = checked(z.strictObject({ email: emailSchema }), input);
  await Promise.all(
    [`of ${email}`, ...(caller === '' ? [] : [`from ${caller}`])].map((k) => forgotten.consume(k)),
  ).catch(() => {
    throw new RequestRefused(429, 'too-often', 'That was asked too often. Try again in an hour.');
  });
  const [person] = await database()
    .select({ id: people.id, siteId: members.siteId, role: members.role })
    .from(people)
    .innerJoin(members, eq(members.personId, people.id))
    .where(eq(people.email, email))
    .limit(1);
  if (person) {
    const code = await codeFor(person.siteId, person.role, person.id);
    const text = `With this link you set a new password, once and within seven days:\n\n${linkTo(`/join?code=${code}`)}\n\nYou did not ask for it? Then do nothing.\n`;
    void sendMail(email, 'A new password for Cool Dram', text); // not waited for: how long it takes would tell of the account
  }
  return { asked: true };
}

/** Counts tries, so that codes cannot be guessed. */
export async function countTry(caller: string): Promise<void> {
  await tries.consume(caller).catch(() => {
    throw new RequestRefused(429, 'too-often', 'Too many codes were tried. Try again in a minute.');
  });
}

function wrongCode(): RequestRefused {
  const message = 'This code does not work, or not any more. Ask the owner for another.';
  return new RequestRefused(422, 'invalid', message, [{ field: 'code', message }]);
}

/** Takes a code, and does with it what it is for: whoever comes second with it gets nothing. */
const withCode = <T>(
  code: string,
  use: (tx: Transaction, taken: typeof invitations.$inferSelect) => Promise<T>,
): Promise<T> =>
  inTransaction(async (tx) => {
    const [taken] = await tx.select().from(invitations).where(works(code)).for('update');
    if (!taken) throw wrongCode();
    await tx.update(invitations).set({ usedAt: new Date() }).where(eq(invitations.hash, taken.hash));
    return use(tx, taken);
  });

const hashed = async (password: string): Promise<string> => (await auth().$context).password.hash(password);

/**
 * Makes an account with a code, and gives it the role of the code.
 * @returns what to sign in with
 * @throws RequestRefused 422 where the code does not work or the address has an account already
 */
export async function join(input: unknown): Promise<{ email: string; password: string }> {
  onlyWhereShared();
  const { code, name, email, password } = checked(joinSchema, input);
  const hash = await hashed(password);
  return withCode(code, async (tx, { siteId, role, personId }) => {
    if (personId) throw wrongCode();
    const [there] = await tx.select({ id: people.id }).from(people).where(eq(people.email, email));
    if (there) {
      const message = 'This address has an account already. Sign in, and ask the owner to add you.';
      throw new RequestRefused(422, 'invalid', message, [{ field: 'email', message }]);
    }
    const id = crypto.randomUUID();
    await tx.insert(people).values({ id, name, email });
    await tx
      .insert(credentials)
      .values({ id: crypto.randomUUID(), accountId: id, providerId: 'credential', userId: id, password: hash });
    await tx.insert(members).values({ siteId, personId: id, role });
    const own: Who = { id, name, email, roles: new Map([[siteId, role]]) };
    await note(tx, own, { siteId, about: name, says: [`Joined as ${role}.`] });
    return { email, password };
  });
}

/** Sets a new password with a code, signs them out wherever they were signed in, and removes their passkeys and PIN. */
export async function renew(input: unknown): Promise<{ email: string; password: string }> {
  onlyWhereShared();
  const { code, password } = checked(renewSchema, input);
  const hash = await hashed(password);
  return withCode(code, async (tx, { personId }) => {
    const [person] = await tx
      .select({ email: people.email })
      .from(people)
      .where(eq(people.id, personId ?? ''));
    if (!personId || !person) throw wrongCode();
    await tx
      .update(credentials)
      .set({ password: hash, updatedAt: new Date() })
      .where(and(eq(credentials.userId, personId), eq(credentials.providerId, 'credential')));
    // Whoever had taken the account over is out of it.
    for (const table of [passkeys, pins]) await tx.delete(table).where(eq(table.personId, personId));
    await tx.delete(signIns).where(eq(signIns.userId, personId));
    return { email: person.email, password };
  });
}
