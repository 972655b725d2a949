import {
  bigint,
  boolean,
  char,
  datetime,
  index,
  json,
  mysqlEnum,
  mysqlTable,
  primaryKey,
  text,
  varchar,
} from 'drizzle-orm/mysql-core';
import type { Climate } from '../core/plan/survey';

const now = () => new Date();
const moment = (name: string) => datetime(name, { mode: 'date', fsp: 3 });

/** What somebody is on a site, from who may do most to who may do least. */
export const ROLES = ['owner', 'planner', 'technician', 'viewer'] as const;
export type Role = (typeof ROLES)[number];

/** The site of every line until there are others. */
export const FIRST_SITE_ID = '5c7e1b0a-0000-4000-8000-000000000001';

/** Where lines stand: a workshop, a plant, a customer. */
export const sites = mysqlTable('sites', {
  id: char('id', { length: 36 }).primaryKey(),
  name: varchar('name', { length: 80 }).notNull(),
  customer: varchar('customer', { length: 120 }).notNull().default(''),
  address: varchar('address', { length: 300 }).notNull().default(''),
  contacts: varchar('contacts', { length: 500 }).notNull().default(''),
  notes: varchar('notes', { length: 2000 }).notNull().default(''),
  /** Of the IANA time zone database; empty: that of the server, and of whoever looks. */
  timeZone: varchar('time_zone', { length: 64 }).notNull().default(''),
  /** The weather of the year that new lines begin with. */
  climate: json('climate').$type<Climate>(),
  at: moment('at').notNull().$defaultFn(now),
});

/** Accounts. The columns of this table and of the three below it are those of better-auth. */
export const people = mysqlTable('people', {
  id: char('id', { length: 36 }).primaryKey(),
  name: varchar('name', { length: 60 }).notNull(),
  email: varchar('email', { length: 254 }).notNull().unique(),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: varchar('image', { length: 255 }),
  createdAt: moment('created_at').notNull().$defaultFn(now),
  updatedAt: moment('updated_at').notNull().$defaultFn(now),
});

const ofPerson = () =>
  char('person_id', { length: 36 })
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' });

/** Where somebody is signed in. */
export const signIns = mysqlTable(
  'sign_ins',
  {
    id: char('id', { length: 36 }).primaryKey(),
    token: varchar('token', { length: 255 }).notNull().unique(),
    userId: ofPerson(),
    expiresAt: moment('expires_at').notNull(),
    ipAddress: varchar('ip_address', { length: 64 }),
    userAgent: varchar('user_agent', { length: 1000 }),
    createdAt: moment('created_at').notNull().$defaultFn(now),
    updatedAt: moment('updated_at').notNull().$defaultFn(now),
  },
  (t) => [index('sign_ins_person').on(t.userId)],
);

/** How somebody signs in: the hash of a password. */
export const credentials = mysqlTable(
  'credentials',
  {
    id: char('id', { length: 36 }).primaryKey(),
    accountId: varchar('account_id', { length: 255 }).notNull(),
    providerId: varchar('provider_id', { length: 60 }).notNull(),
    userId: ofPerson(),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: moment('access_token_expires_at'),
    refreshTokenExpiresAt: moment('refresh_token_expires_at'),
    scope: varchar('scope', { length: 255 }),
    password: varchar('password', { length: 255 }),
    createdAt: moment('created_at').notNull().$defaultFn(now),
    updatedAt: moment('updated_at').notNull().$defaultFn(now),
  },
  (t) => [index('credentials_person').on(t.userId)],
);

/** What waits to be confirmed. */
export const verifications = mysqlTable(
  'verifications',
  {
    id: char('id', { length: 36 }).primaryKey(),
    identifier: varchar('identifier', { length: 255 }).notNull(),
    value: text('value').notNull(),
    expiresAt: moment('expires_at').notNull(),
    createdAt: moment('created_at').notNull().$defaultFn(now),
    updatedAt: moment('updated_at').notNull().$defaultFn(now),
  },
  (t) => [index('verifications_identifier').on(t.identifier)],
);

/** Who is what on which site. Whoever is gone from here sees nothing of the site from the next request on. */
export const members = mysqlTable(
  'members',
  {
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    personId: ofPerson(),
    role: mysqlEnum('role', ROLES).notNull(),
    at: moment('at').notNull().$defaultFn(now),
  },
  (t) => [primaryKey({ columns: [t.siteId, t.personId] }), index('members_person').on(t.personId)],
);

/** Codes that let somebody in once: as a new account with a role on a site, or into the account of `person` with a new password. */
export const invitations = mysqlTable(
  'invitations',
  {
    /** SHA-256 of the code. */
    hash: char('hash', { length: 64 }).primaryKey(),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    role: mysqlEnum('role', ROLES).notNull(),
    personId: char('person_id', { length: 36 }).references(() => people.id, { onDelete: 'cascade' }),
    expiresAt: moment('expires_at').notNull(),
    usedAt: moment('used_at'),
    at: moment('at').notNull().$defaultFn(now),
  },
  (t) => [index('invitations_site').on(t.siteId)],
);

/** Links for whoever only reads, such as a customer: without an account, until a day, and as long as an owner lets them. */
export const guestLinks = mysqlTable(
  'guest_links',
  {
    id: char('id', { length: 36 }).primaryKey(),
    /** SHA-256 of the secret in the link. */
    hash: char('hash', { length: 64 }).notNull().unique(),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** Whom it is for. */
    name: varchar('name', { length: 60 }).notNull(),
    expiresAt: moment('expires_at').notNull(),
    openedAt: moment('opened_at'),
    at: moment('at').notNull().$defaultFn(now),
  },
  (t) => [index('guest_links_site').on(t.siteId)],
);

/** Whose names those are that were typed into the log before their accounts were made, or while nobody signed in. */
export const knownNames = mysqlTable(
  'known_names',
  {
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    /** As it stands in the log. */
    name: varchar('name', { length: 60 }).notNull(),
    personId: ofPerson(),
    at: moment('at').notNull().$defaultFn(now),
  },
  (t) => [primaryKey({ columns: [t.siteId, t.name] })],
);

/** Keys that a browser or phone keeps, with which somebody signs in without a password. */
export const passkeys = mysqlTable(
  'passkeys',
  {
    /** SHA-256 of the id that the browser gave it, which may be long. */
    hash: char('hash', { length: 64 }).primaryKey(),
    credentialId: varchar('credential_id', { length: 1400 }).notNull(),
    personId: ofPerson(),
    publicKey: text('public_key').notNull(),
    /** How often it was used, where the browser counts. */
    counter: bigint('counter', { mode: 'number' }).notNull(),
    transports: json('transports').$type<string[]>().notNull(),
    /** The name of the server that it was made for: browsers offer it for no other. */
    host: varchar('host', { length: 253 }).notNull(),
    userAgent: varchar('user_agent', { length: 1000 }),
    usedAt: moment('used_at'),
    at: moment('at').notNull().$defaultFn(now),
  },
  (t) => [index('passkeys_person').on(t.personId)],
);

/** With which somebody takes over a shared device. */
export const pins = mysqlTable('pins', {
  personId: ofPerson().primaryKey(),
  /** Hashed as a password is. */
  hash: varchar('hash', { length: 255 }).notNull(),
  at: moment('at').notNull().$defaultFn(now),
});

/** Phones and terminals that several people of a site use, one after another. */
export const devices = mysqlTable(
  'devices',
  {
    id: char('id', { length: 36 }).primaryKey(),
    /** SHA-256 of the secret in its cookie. */
    hash: char('hash', { length: 64 }).notNull().unique(),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    name: varchar('name', { length: 60 }).notNull(),
    /** Who is at work on it, as far as they said so and were not away for long. */
    personId: char('person_id', { length: 36 }).references(() => people.id, { onDelete: 'set null' }),
    /** When it asked for something last, to within half a minute. */
    seenAt: moment('seen_at'),
    at: moment('at').notNull().$defaultFn(now),
  },
  (t) => [index('devices_site').on(t.siteId)],
);

/** Who was at work on a shared device, and when last: what they wrote there without a network is sent later. */
export const devicePeople = mysqlTable(
  'device_people',
  {
    deviceId: char('device_id', { length: 36 })
      .notNull()
      .references(() => devices.id, { onDelete: 'cascade' }),
    personId: ofPerson(),
    at: moment('at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.deviceId, t.personId] })],
);

/** What was changed by whom: plans, people, weather. Nothing changes it. */
export const audit = mysqlTable(
  'audit',
  {
    id: char('id', { length: 36 }).primaryKey(),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    at: moment('at').notNull().$defaultFn(now),
    /** Kept when the account is gone, and so is the name. */
    personId: char('person_id', { length: 36 }).notNull(),
    who: varchar('who', { length: 60 }).notNull(),
    planId: char('plan_id', { length: 36 }),
    /** What it was about: the name of a line, a person, a year of weather. */
    about: varchar('about', { length: 160 }).notNull(),
    /** What was done, before and after, with figures as in server/people/audit.ts. */
    says: json('says').$type<string[]>().notNull(),
  },
  (t) => [index('audit_site_at').on(t.siteId, t.at, t.id)],
);
