import { once } from 'node:events';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import type { Pool } from 'mysql2/promise';
import { database } from '../../db/client';
import { FIRST_SITE_ID, people } from '../../db/people';
import { keepMails } from '../../instruments/mail';
import { closeDatabase, freshDatabase } from '../test/database';
import { hasPin, setPin } from './devices';
import { codeFor, invitationOf, invite, join, mailNewPassword, renew } from './join';
import { sendMail } from './mail';
import { ALONE } from './may';
import { signIn } from './sign-in';

let pool: Pool;
const folder = mkdtempSync(path.join(tmpdir(), 'cool-dram-mails-'));
const server = keepMails(folder, 0);
beforeAll(async () => {
  if (!server.server.listening) await once(server.server, 'listening');
  Object.assign(process.env, {
    COOL_DRAM_SHARE: '1',
    COOL_DRAM_SECRET: 'only of this test, and long enough for it',
    COOL_DRAM_ADDRESS: 'https://workshop.example',
    SMTP_URL: `smtp://127.0.0.1:${(server.server.address() as AddressInfo).port}`,
  });
  pool = await freshDatabase('mail');
});
afterAll(async () => {
  for (const name of ['SHARE', 'SECRET', 'ADDRESS']) delete process.env[`COOL_DRAM_${name}`];
  delete process.env.SMTP_URL;
  await closeDatabase(pool);
  await new Promise<void>((done) => server.close(done));
  rmSync(folder, { recursive: true });
});
const mails = () =>
  readdirSync(folder)
    .toSorted()
    .map((name) => readFileSync(path.join(folder, name), 'utf8').replace(/=\r\n/g, '').replaceAll('=3D', '='));
/** The mails, once so many have come. */
async function mailsOnce(n: number): Promise<string[]> {
  while (mails().length < n) await new Promise((done) => setTimeout(done, 20));
  return mails();
}
const codeIn = (mail: string | undefined) => /\/join\?code=([A-Z0-9-]+)/.exec(mail ?? '')?.[1] ?? '';

test('an invitation is sent to its address, with a link that works', async () => {
  const { mailed } = await invite(ALONE, FIRST_SITE_ID, { role: 'technician', email: 'ben@example.com' });
  const [mail] = await mailsOnce(1);
  expect(mailed).toBe(true);
  expect(mail).toContain('To: ben@example.com');
  expect(await invitationOf(codeIn(mail))).toMatchObject({ role: 'technician' });
});

test('whoever lost their password sets a new one with the link of a mail; an unknown address is answered the same', async () => {
  const code = await codeFor(FIRST_SITE_ID, 'technician');
  await join({ code, name: 'Ada', email: 'ada@example.com', password: 'tank drain filter' });
  const [ada] = await database().select().from(people).where(eq(people.email, 'ada@example.com'));
  await setPin({ id: ada?.id ?? '', name: 'Ada', email: 'ada@example.com', roles: new Map() }, { pin: '4711' });
  const before = mails().length;
  const answers = [
    await mailNewPassword({ email: 'nobody@example.com' }, 'a'),
    await mailNewPassword({ email: 'Ada@example.com' }, 'b'),
  ];
  expect(answers[0]).toEqual(answers[1]);
  const all = await mailsOnce(before + 1);
  expect(all.slice(before).map((m) => /^To: (.*)$/m.exec(m)?.[1]?.trim())).toEqual(['ada@example.com']);
  const account = await renew({ code: codeIn(all.at(-1)), password: 'another good one' });
  expect((await signIn(account, new Headers(), '')).cookies).not.toHaveLength(0);
  expect(await hasPin(ada?.id ?? '')).toBe(false); // whoever had taken the account over is out of it
});

test('five of an hour are sent to one address, and five from one caller', async () => {
  const ask = (email: string, caller: string) => mailNewPassword({ email }, caller);
  for (let i = 0; i < 5; i++) await ask('one@example.com', `caller ${i}`);
  await expect(ask('one@example.com', 'caller 5')).rejects.toMatchObject({ status: 429 });
  for (let i = 0; i < 5; i++) await ask(`${i}@example.com`, 'one caller');
  await expect(ask('5@example.com', 'one caller')).rejects.toMatchObject({ status: 429 });
});

test('a mail server that is not there is no error of the request', async () => {
  const url = process.env.SMTP_URL;
  process.env.SMTP_URL = 'smtp://127.0.0.1:1';
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(await sendMail('ada@example.com', 'x', 'y')).toBe(false);
  expect(said).toHaveBeenCalledWith(expect.stringContaining('ECONNREFUSED'));
  said.mockRestore();
  process.env.SMTP_URL = url;
});
