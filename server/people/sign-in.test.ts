import { eq } from 'drizzle-orm';
import type { Pool } from 'mysql2/promise';
import { database } from '../../db/client';
import { FIRST_SITE_ID, invitations, members, people, type Role, signIns, sites } from '../../db/people';
import { closeDatabase, freshDatabase } from '../test/database';
import { codeFor, invitationOf, invite, join, recover, renew } from './join';
import { ALONE, type Person } from './may';
import { changeRole, readSites, removeMember } from './members';
import { endSignIns, readSignIns, signIn, signOut } from './sign-in';

let pool: Pool;
beforeAll(async () => {
  process.env.COOL_DRAM_SHARE = '1';
  process.env.COOL_DRAM_SECRET = 'only of this test, and long enough for it';
  pool = await freshDatabase('sign_in');
});
afterAll(async () => {
  delete process.env.COOL_DRAM_SHARE;
  await closeDatabase(pool);
});

const PASSWORD = 'tank drain filter';
const nobody = new Headers();
let n = 0;
const account = (change: object = {}) => ({
  name: 'Noor Diaz',
  email: `noor${++n}@example.com`,
  password: PASSWORD,
  ...change,
});
const joined = async (role: Role) => {
  const { email, password } = await join({ code: await codeFor(FIRST_SITE_ID, role), ...account() });
  const [found] = await database().select().from(people).where(eq(people.email, email));
  const person: Person = { id: found?.id ?? '', name: 'Noor Diaz', email, roles: new Map([[FIRST_SITE_ID, role]]) };
  return { email, password, person };
};
const cookiesOf = (cookies: readonly string[]) =>
  new Headers({ cookie: cookies.map((c) => c.split(';')[0]).join('; ') });
const refused = (work: Promise<unknown>) =>
  work.then(
    () => 'not refused',
    (e: unknown) => e,
  );

test('a code makes one account, however it is typed; the same code a second time, or at the same time, makes none', async () => {
  const code = await codeFor(FIRST_SITE_ID, 'technician');
  expect(code).toMatch(/^[A-HJ-NP-Z2-9]{5}-[A-HJ-NP-Z2-9]{5}$/);
  expect(await invitationOf(code)).toMatchObject({ role: 'technician', site: 'My site' });
  const typed = ` ${code.toLowerCase().replace('-', ' ')} `;
  const both = await Promise.all([1, 2].map(() => refused(join({ code: typed, ...account() }))));
  expect(both.filter((b) => b === 'not refused')).toHaveLength(1);
  expect(await refused(join({ code, ...account() }))).toMatchObject({ status: 422, issues: [{ field: 'code' }] });
  expect(await invitationOf(code)).toBeUndefined();
});

test('a code that was kept too long does not work', async () => {
  const code = await codeFor(FIRST_SITE_ID, 'viewer');
  await database()
    .update(invitations)
    .set({ expiresAt: new Date(Date.now() + 60_000) });
  expect(await invitationOf(code)).toBeDefined();
  await database()
    .update(invitations)
    .set({ expiresAt: new Date(Date.now() - 1000) });
  expect(await refused(join({ code, ...account() }))).toMatchObject({ status: 422, issues: [{ field: 'code' }] });
});

test.each([
  [{ name: ' ' }, 'name'],
  [{ email: 'noor' }, 'email'],
  [{ password: 'nine char' }, 'password'],
  [{ password: 'x'.repeat(129) }, 'password'],
])('%j is said at its field, the code still works, and no password is said back', async (change, field) => {
  const code = await codeFor(FIRST_SITE_ID, 'viewer');
  const error = await refused(join({ code, ...account(change) }));
  expect(error).toMatchObject({ status: 422, issues: [{ field }] });
  expect(JSON.stringify([error, String(error)])).not.toMatch(/nine char|xxxx/);
  expect(await refused(join({ code, ...account({ password: 'ten chars!' }) }))).toBe('not refused');
});

test('one address has one account, whatever its capitals', async () => {
  const { email } = await joined('viewer');
  const again = join({ code: await codeFor(FIRST_SITE_ID, 'owner'), ...account({ email: email.toUpperCase() }) });
  expect(await refused(again)).toMatchObject({ status: 422, issues: [{ field: 'email' }] });
});

test('the password alone lets one in, by a cookie that no script reads and no other page sends', async () => {
  const { email, password } = await joined('technician');
  expect(await refused(signIn({ email, password: 'not this one' }, nobody, 'a'))).toMatchObject({ status: 422 });
  const { cookies } = await signIn({ email, password }, nobody, 'a');
  expect(cookies.join()).toMatch(/HttpOnly/i);
  expect(cookies.join()).toMatch(/SameSite=Lax/i);
  expect(await readSignIns(cookiesOf(cookies))).toMatchObject([{ isThis: true }]);
  await signOut(cookiesOf(cookies));
  expect(await refused(readSignIns(cookiesOf(cookies)))).toMatchObject({ status: 401 });
  const [kept] = await pool.query<never[]>('SELECT password FROM credentials');
  expect(JSON.stringify(kept)).not.toContain(PASSWORD);
});

test('eight wrong passwords are answered, the ninth is not even looked at, nor is then the right one', async () => {
  const { email, password } = await joined('technician');
  for (let i = 0; i < 8; i++)
    expect(await refused(signIn({ email, password: 'wrong' }, nobody, `from ${i}`))).toMatchObject({ status: 422 });
  expect(await refused(signIn({ email, password }, nobody, 'elsewhere'))).toMatchObject({ status: 429 });
});

test('seven wrong passwords and then the right one: the count begins again', async () => {
  const { email, password } = await joined('technician');
  for (const time of [1, 2]) {
    for (let i = 0; i < 7; i++) await refused(signIn({ email, password: 'wrong' }, nobody, `at ${time} from ${i}`));
    expect((await signIn({ email, password }, nobody, `at ${time}`)).body).toEqual({ email });
  }
});

test('one sees where one is signed in, and ends it: one, or all others, never somebody else’s', async () => {
  const { email, password } = await joined('planner');
  const [here, there] = await Promise.all([
    signIn({ email, password }, nobody, 'b'),
    signIn({ email, password }, nobody, 'b'),
  ]);
  const foreign = await joined('viewer').then((f) => signIn({ email: f.email, password }, nobody, 'b'));
  const [theirs] = await readSignIns(cookiesOf(foreign.cookies));
  expect(await readSignIns(cookiesOf(here.cookies))).toHaveLength(2);
  expect(await endSignIns(cookiesOf(here.cookies), theirs?.id ?? '')).toEqual({ ended: 0 });
  expect(await endSignIns(cookiesOf(here.cookies), 'others')).toEqual({ ended: 1 });
  expect(await refused(readSignIns(cookiesOf(there.cookies)))).toMatchObject({ status: 401 });
  expect(await readSignIns(cookiesOf(foreign.cookies))).toHaveLength(1);
});

test('with the code of an owner a lost password is renewed, and ends every sign-in; it makes no account', async () => {
  const owner = await joined('owner');
  const lost = await joined('technician');
  const before = await signIn({ email: lost.email, password: PASSWORD }, nobody, 'c');
  const { code } = await recover(owner.person, FIRST_SITE_ID, lost.person.id);
  expect(await refused(join({ code, ...account() }))).toMatchObject({ status: 422, issues: [{ field: 'code' }] });
  expect(await invitationOf(code)).toMatchObject({ email: lost.email });
  await renew({ code, password: 'another good one' });
  expect(await refused(readSignIns(cookiesOf(before.cookies)))).toMatchObject({ status: 401 });
  expect(await refused(signIn({ email: lost.email, password: PASSWORD }, nobody, 'c'))).toMatchObject({ status: 422 });
  expect((await signIn({ email: lost.email, password: 'another good one' }, nobody, 'c')).body).toEqual({
    email: lost.email,
  });
  const invitation = await invite(owner.person, FIRST_SITE_ID, { role: 'viewer' });
  expect(await refused(renew({ ...invitation, password: PASSWORD }))).toMatchObject({ status: 422 });
});

test('an owner renews no password of somebody who is also on a site of another owner', async () => {
  const owner = await joined('owner');
  const other = await joined('planner');
  const siteId = crypto.randomUUID();
  await database().insert(sites).values({ id: siteId, name: 'Elsewhere' });
  await database().insert(members).values({ siteId, personId: other.person.id, role: 'viewer' });
  expect(await refused(recover(owner.person, FIRST_SITE_ID, other.person.id))).toMatchObject({ status: 403 });
  const both: Person = { ...owner.person, roles: new Map([...owner.person.roles, [siteId, 'owner']]) };
  expect(await recover(both, FIRST_SITE_ID, other.person.id)).toHaveProperty('code');
});

test('the last owner of a site stays one, and cannot be taken off it', async () => {
  const site = (await readSites(ALONE, FIRST_SITE_ID)).sites[0];
  const owners = site?.members?.filter((m) => m.role === 'owner') ?? [];
  const [last, ...others] = owners as [(typeof owners)[0], ...typeof owners];
  const who: Person = { ...last, roles: new Map([[FIRST_SITE_ID, 'owner']]) };
  for (const other of others) await changeRole(who, FIRST_SITE_ID, other.id, { role: 'planner' });
  expect(await refused(changeRole(who, FIRST_SITE_ID, last.id, { role: 'planner' }))).toMatchObject({ status: 409 });
  expect(await refused(removeMember(who, FIRST_SITE_ID, last.id))).toMatchObject({ status: 409 });
  await removeMember(who, FIRST_SITE_ID, others[0]?.id ?? (await joined('viewer')).person.id);
  expect((await readSites(who, FIRST_SITE_ID)).sites[0]?.members?.filter((m) => m.role === 'owner')).toHaveLength(1);
});

test('where nothing is shared nobody signs in or joins', async () => {
  process.env.COOL_DRAM_SHARE = '';
  expect(await refused(signIn({ email: 'a@b.com', password: 'x' }, nobody, ''))).toMatchObject({ status: 404 });
  expect(await refused(join({ code: 'x', ...account() }))).toMatchObject({ status: 404 });
  process.env.COOL_DRAM_SHARE = '1';
  expect(await database().$count(signIns)).toBeGreaterThan(0);
});
