import { and, count, eq, isNull } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/mysql-core';
import { z } from 'zod';
import { database } from '../../db/client';
import { knownNames, people } from '../../db/people';
import { drainEntries, logEntries, plans } from '../../db/schema';
import { checked } from '../errors';
import { idSchema } from '../plan-id';
import { note } from './audit';
import { isShared } from './is-shared';
import { noSuchPerson } from './join';
import { permittedSite, type Who } from './may';
import { membersOf } from './members';

const LISTED = 100;

export interface TypedName {
  readonly name: string;
  readonly entries: number;
  /** Whose it is, where an owner has said so. */
  readonly personId: string | null;
}
export interface TypedNames {
  readonly names: readonly TypedName[];
  readonly people: readonly { readonly id: string; readonly name: string }[];
}

/** The names that were typed into the logs of a site without a sign-in, the most frequent first. */
export async function readTypedNames(who: Who, siteId: string): Promise<TypedNames> {
  const site = await permittedSite(who, 'people', siteId);
  const typedIn = (of: typeof logEntries | typeof drainEntries) =>
    database()
      .select({ name: of.who, entries: count() })
      .from(of)
      .innerJoin(plans, eq(plans.id, of.planId))
      .where(and(eq(plans.siteId, site), isNull(of.personId)))
      .groupBy(of.who);
  const [rows, known, people] = await Promise.all([
    unionAll(typedIn(logEntries), typedIn(drainEntries)),
    database().select().from(knownNames).where(eq(knownNames.siteId, site)),
    membersOf(site),
  ]);
  const entries = new Map<string, number>();
  for (const row of rows) entries.set(row.name, (entries.get(row.name) ?? 0) + row.entries);
  return {
    names: [...entries]
      .filter(([name]) => name !== '')
      .map(([name, n]) => ({ name, entries: n, personId: known.find((k) => k.name === name)?.personId ?? null }))
      .toSorted((a, b) => b.entries - a.entries || a.name.localeCompare(b.name))
      .slice(0, LISTED),
    people: people.map(({ id, name }) => ({ id, name })),
  };
}

const nameSchema = z.strictObject({ name: z.string().min(1).max(60), personId: idSchema.nullable() });

/** Says whose a typed name is, or that nobody knows. What stands in the log stays as it was written. */
export async function assignName(who: Who, siteId: string, input: unknown): Promise<{ name: string }> {
  const site = await permittedSite(who, 'people', siteId);
  const { name, personId } = checked(nameSchema, input);
  const own = and(eq(knownNames.siteId, site), eq(knownNames.name, name));
  if (personId === null) {
    await database().delete(knownNames).where(own);
    await note(database(), who, { siteId: site, about: name, says: ['Name in the log: of nobody in particular.'] });
    return { name };
  }
  const member = (await membersOf(site)).find((m) => m.id === personId);
  if (!member) throw noSuchPerson();
  await database()
    .insert(knownNames)
    .values({ siteId: site, name, personId })
    .onDuplicateKeyUpdate({ set: { personId, at: new Date() } });
  await note(database(), who, { siteId: site, about: name, says: [`Name in the log: of ${member.name}.`] });
  return { name };
}

/** Entries with the account’s name beside one that was typed, where it is known whose it is. */
export async function withKnownNames<T extends { readonly who: string; readonly personId: string | null }>(
  planId: string,
  rows: readonly T[],
): Promise<Omit<T, 'personId'>[]> {
  const known = isShared() && rows.some((r) => r.personId === null) ? await namesOf(planId) : new Map<string, string>();
  return rows.map(({ personId, ...row }) => {
    const name = personId === null ? known.get(row.who) : undefined;
    return name === undefined || name === row.who ? row : { ...row, who: `${row.who} (${name})` };
  });
}

async function namesOf(planId: string): Promise<Map<string, string>> {
  const rows = await database()
    .select({ typed: knownNames.name, name: people.name })
    .from(knownNames)
    .innerJoin(plans, and(eq(plans.siteId, knownNames.siteId), eq(plans.id, planId)))
    .innerJoin(people, eq(people.id, knownNames.personId));
  return new Map(rows.map((r) => [r.typed, r.name]));
}
