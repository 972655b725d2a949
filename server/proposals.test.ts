import type { Pool } from 'mysql2/promise';
import { renameStage } from '../core/plan/edit';
import type { Plan } from '../core/plan/plan';
import { goodShop } from '../core/test/good-lines';
import { database } from '../db/client';
import { audit, FIRST_SITE_ID, type Role } from '../db/people';
import type { Person } from './people/may';
import { decide, listProposals, openProposals, propose } from './proposals';
import { readPlan } from './read-plan';
import { createPlan, savePlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';

const uuid = (): string => crypto.randomUUID();
const person = (role: Role): Person => ({
  id: uuid(),
  name: `The ${role}`,
  email: `${role}@example.com`,
  roles: new Map([[FIRST_SITE_ID, role]]),
});
const [owner, technician, other] = [person('owner'), person('technician'), person('technician')];
const base = goodShop();
const [first, second] = base.stages.filter((s) => s.kind !== 'compressor') as [Plan['stages'][0], Plan['stages'][0]];

let pool: Pool;
let line: string;
beforeAll(async () => {
  pool = await freshDatabase('proposals');
});
beforeEach(async () => {
  line = uuid();
  await createPlan(owner, { id: line, plan: base });
});
afterAll(() => closeDatabase(pool));

const proposed = async (plan: Plan) => {
  const id = uuid();
  await propose(technician, line, { id, base, plan, note: 'Easier to find' });
  return id;
};
const save = (rowVersion: number, plan: Plan) => savePlan(owner, line, { writeId: uuid(), rowVersion, plan });
const listed = async (who = owner) => (await listProposals(who, line)).list[0];

test('a proposal waits, says what it would change, and once accepted is joined with what was changed since', async () => {
  const id = await proposed(renameStage(base, first.id, 'Dial'));
  await save(1, renameStage(base, second.id, 'Last one'));
  expect(await openProposals(line)).toBe(1);
  const { rowVersion } = await listProposals(owner, line);
  expect(await listed()).toMatchObject({
    id,
    who: 'The technician',
    state: 'open',
    clashes: 0,
    fits: true,
    isOwn: false,
  });
  expect((await listed())?.says).toEqual([expect.stringContaining('Dial')]);
  await decide(owner, line, id, { state: 'accepted', rowVersion });
  await decide(owner, line, id, { state: 'accepted', rowVersion }); // as when the answer was lost
  const { plan, rowVersion: now } = await readPlan(owner, line);
  expect([plan.stages.find((s) => s.id === first.id)?.name, plan.stages.find((s) => s.id === second.id)?.name]).toEqual(
    ['Dial', 'Last one'],
  );
  expect([rowVersion, now, await openProposals(line)]).toEqual([2, 3, 0]);
  const noted = (await database().select().from(audit)).flatMap((a) => a.says);
  expect(noted).toContain('Proposal of The technician accepted: Easier to find');
});

test('where both changed the same, it is said before it is decided', async () => {
  await proposed(renameStage(base, first.id, 'Dial'));
  await save(1, renameStage(base, first.id, 'Clock'));
  expect(await listed()).toMatchObject({ clashes: 1, fits: true });
});

test('it is not accepted over a line that was changed after it was looked at', async () => {
  const id = await proposed(renameStage(base, first.id, 'Dial'));
  await save(1, renameStage(base, second.id, 'Last one'));
  await expect(decide(owner, line, id, { state: 'accepted', rowVersion: 1 })).rejects.toMatchObject({ status: 409 });
  expect((await readPlan(owner, line)).rowVersion).toBe(2);
});

test('its maker withdraws it, and decides nothing; a colleague does neither', async () => {
  const id = await proposed(renameStage(base, first.id, 'Dial'));
  const by = (who: Person, state: string) => decide(who, line, id, { state, rowVersion: 1 });
  await expect(by(other, 'withdrawn')).rejects.toMatchObject({ status: 404 });
  for (const state of ['accepted', 'declined'])
    await expect(by(technician, state)).rejects.toMatchObject({ status: 403 });
  await by(technician, 'withdrawn');
  await expect(by(owner, 'accepted')).rejects.toMatchObject({ status: 409 });
  expect(await listed(technician)).toMatchObject({ state: 'withdrawn', isOwn: true });
});

test('sent twice it is one; what changes nothing, or has no reason, is none', async () => {
  const body = { id: uuid(), base, plan: renameStage(base, first.id, 'Dial'), note: 'Easier to find' };
  await Promise.all([1, 2].map(() => propose(technician, line, body)));
  await expect(propose(technician, line, { ...body, note: 'Other' })).rejects.toMatchObject({ status: 409 });
  await expect(propose(technician, line, { ...body, id: uuid(), plan: base })).rejects.toMatchObject({ status: 409 });
  await expect(propose(technician, line, { ...body, id: uuid(), note: ' ' })).rejects.toMatchObject({
    status: 422,
    issues: [{ field: 'note' }],
  });
  expect(await openProposals(line)).toBe(1);
});
