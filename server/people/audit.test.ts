import type { Pool } from 'mysql2/promise';
import Papa from 'papaparse';
import { say } from '../../core/quantity/format';
import { sayKept } from '../../core/quantity/kept-figure';
import { US_CUSTOMARY } from '../../core/quantity/units';
import { all, but, goodShop } from '../../core/test/good-lines';
import { database } from '../../db/client';
import { audit, FIRST_SITE_ID, members, people } from '../../db/people';
import { createPlan, savePlan } from '../save-plan';
import { closeDatabase, freshDatabase } from '../test/database';
import { auditTable, readAudit } from './audit';
import { ALONE, type Person } from './may';
import { changeRole } from './members';

const uuid = (): string => crypto.randomUUID();
const [planId, id, otherId] = [uuid(), uuid(), uuid()];
const owner: Person = { id, name: 'Ines', email: 'ines@example.com', roles: new Map([[FIRST_SITE_ID, 'owner']]) };
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('audit');
  await database()
    .insert(people)
    .values(
      [id, otherId].map((own, i) => ({ id: own, name: i === 0 ? 'Ines' : '=Noor', email: `${own}@example.com` })),
    );
  await database()
    .insert(members)
    .values([
      { siteId: FIRST_SITE_ID, personId: id, role: 'owner' },
      { siteId: FIRST_SITE_ID, personId: otherId, role: 'viewer' },
    ]);
});
afterAll(() => closeDatabase(pool));
const told = async (): Promise<string[]> =>
  (await readAudit(owner, FIRST_SITE_ID)).entries.flatMap((e) =>
    e.says.map((text) => `${e.who}, ${e.about}: ${sayKept(text, (si, of) => say(si, of, US_CUSTOMARY))}`),
  );

test('each change once, with what was before and after in the units of its reader; a repeated or refused one is none', async () => {
  const plan = goodShop();
  await createPlan(owner, { id: planId, plan });
  const write = { writeId: uuid(), rowVersion: 1, plan: all(plan, but('aftercooler', { approachK: 12 })) };
  await savePlan(owner, planId, write);
  await savePlan(owner, planId, write);
  await expect(savePlan(owner, planId, { ...write, writeId: uuid() })).rejects.toMatchObject({ status: 409 });
  await changeRole(owner, FIRST_SITE_ID, otherId, { role: 'technician' });
  await changeRole(owner, FIRST_SITE_ID, otherId, { role: 'technician' });
  await expect(changeRole(owner, FIRST_SITE_ID, id, { role: 'viewer' })).rejects.toMatchObject({ status: 409 });
  expect(await told()).toEqual([
    'Ines, =Noor: Role: viewer → technician.',
    expect.stringMatching(/^Ines, .*: .*approach.*: 1[48]\.\d* °F.* → 21\.6 °F/i),
    `Ines, ${plan.name}: New line.`,
  ]);
});

test('a person alone keeps no list', async () => {
  const before = await told();
  await createPlan(ALONE, { id: uuid(), plan: goodShop() });
  expect(await told()).toEqual(before);
});

test('page by page, and as a table, nothing is left out or told twice, also of one moment', async () => {
  const at = new Date('2026-11-20T08:00:00.123Z');
  const rows = Array.from({ length: 130 }, (_, i) => ({
    id: uuid(),
    siteId: FIRST_SITE_ID,
    at,
    personId: id,
    who: 'Ines',
    about: `n${i}`,
    says: ['x'],
  }));
  await database().insert(audit).values(rows);
  const seen: string[] = [];
  let before: string | undefined;
  do {
    const page = await readAudit(owner, FIRST_SITE_ID, before);
    seen.push(...page.entries.map((e) => e.id));
    before = page.next;
  } while (before);
  const total = await database().$count(audit);
  expect([seen.length, new Set(seen).size]).toEqual([total, total]);
  let text = '';
  for await (const part of auditTable(FIRST_SITE_ID)) text += part;
  const table = Papa.parse<string[]>(text.slice(1).trim()).data;
  expect(table).toHaveLength(total + 1);
  expect(table[1]?.[2]).toBe("'=Noor"); // no formula for a spreadsheet
});

test('a wrong key is the first page', async () => {
  for (const key of ['x', '9999-99-99T99:99:99.999Z_00000000-0000-4000-8000-000000000000'])
    expect(await readAudit(owner, FIRST_SITE_ID, key)).toEqual(await readAudit(owner, FIRST_SITE_ID));
});
