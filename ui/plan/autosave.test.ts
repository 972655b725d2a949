import { merge } from '@/core/plan/merge';
import type { Plan } from '@/core/plan/plan';
import { planOf, stageOf } from '@/core/test/plan-of';
import { type Autosave, draftOf, startAutosave } from './autosave';
import { createPlanStore, type PlanStore } from './plan-store';

const ID = 'line';
const base: Plan = planOf({}, stageOf('receiver'));
const named = (name: string): Plan => ({ ...base, name });

/** What the server was sent, and what it answers next. */
let sent: { writeId: string; rowVersion: number; plan: Plan }[];
let answers: (() => Promise<Response>)[];
const ok = (rowVersion: number) => () => Promise.resolve(Response.json({ rowVersion }));
const nobody = () => Promise.reject(new Error('no network'));
const newer = (rowVersion: number, plan: Plan) => () =>
  Promise.resolve(Response.json({ error: { code: 'conflict', newer: { rowVersion, plan } } }, { status: 409 }));

let store: PlanStore;
let autosave: Autosave | undefined;
const open = (stored: { plan: Plan; rowVersion: number }): void => {
  store = createPlanStore(stored.plan);
  autosave = startAutosave(store, ID, stored);
};
const phase = () => store.getState().saving.phase;
const type = (name: string): void => store.getState().edit((p) => ({ ...p, name }), 'name');
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => {
  jest.useFakeTimers();
  sent = [];
  answers = [];
  const kept = new Map<string, string>();
  Object.assign(globalThis, {
    window: { addEventListener: () => {}, removeEventListener: () => {} },
    localStorage: {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => kept.set(k, v),
      removeItem: (k: string) => kept.delete(k),
    },
    fetch: (_url: string, init: RequestInit) => {
      sent.push(JSON.parse(String(init.body)));
      return (answers.shift() ?? nobody)();
    },
  });
});
afterEach(() => {
  autosave?.stop();
  jest.useRealTimers();
});

test('a burst of typing is one write, within a second, and “saved” comes after the answer', async () => {
  open({ plan: base, rowVersion: 4 });
  answers = [ok(5)];
  for (const name of ['N', 'Ne', 'New']) type(name);
  expect(phase()).toBe('unsaved');
  await pass(1000);
  expect(sent).toMatchObject([{ rowVersion: 4, plan: { name: 'New' } }]);
  expect(phase()).toBe('saved');
  expect(draftOf(ID)).toBeUndefined();
});

test('while nobody answers the edit is kept, and sent again under the same id until it is acknowledged', async () => {
  open({ plan: base, rowVersion: 1 });
  answers = [nobody, nobody, ok(2)];
  type('Kept');
  await pass(500);
  expect(phase()).toBe('waiting');
  expect(draftOf(ID)?.plan.name).toBe('Kept');
  await pass(6000);
  expect(sent).toHaveLength(3);
  expect(new Set(sent.map((s) => s.writeId)).size).toBe(1);
  expect(phase()).toBe('saved');
});

test('what is typed while a write is under way goes out after it, from its version', async () => {
  open({ plan: base, rowVersion: 1 });
  let answer = (_: Response): void => {};
  answers = [() => new Promise((done) => (answer = done)), ok(3)];
  type('First');
  await pass(500);
  type('Second');
  answer(Response.json({ rowVersion: 2 }));
  await pass(1000);
  expect(sent.map((s) => [s.rowVersion, s.plan.name])).toEqual([
    [1, 'First'],
    [2, 'Second'],
  ]);
});

test('a reload takes up what was not yet acknowledged', async () => {
  open({ plan: base, rowVersion: 1 });
  type('Unsent');
  await pass(500); // nobody answers
  autosave?.stop();
  answers = [ok(2)];
  open({ plan: base, rowVersion: 1 });
  expect(store.getState().plan.name).toBe('Unsent');
  await pass(1000);
  expect(phase()).toBe('saved');
});

test('a newer version that is one’s own lost answer is no conflict', async () => {
  open({ plan: base, rowVersion: 1 });
  type('Sent');
  await pass(500); // arrived, but the answer was lost
  type('Typed after');
  autosave?.stop();
  answers = [ok(3)];
  open({ plan: named('Sent'), rowVersion: 2 });
  await pass(1000);
  expect(sent.at(-1)).toMatchObject({ rowVersion: 2, plan: { name: 'Typed after' } });
  expect(phase()).toBe('saved');
});

test('nor is it one while the page stays open', async () => {
  open({ plan: base, rowVersion: 1 });
  answers = [nobody, newer(2, named('Sent')), ok(3)];
  type('Sent');
  await pass(500); // arrived, but the answer was lost
  type('Typed after');
  await pass(5000);
  expect(sent.at(-1)).toMatchObject({ rowVersion: 2, plan: { name: 'Typed after' } });
  expect(phase()).toBe('saved');
});

test('undone to what was saved, but with an unanswered write, is not yet “saved”', async () => {
  open({ plan: base, rowVersion: 1 });
  answers = [nobody, newer(2, named('Sent')), ok(3)];
  type('Sent');
  await pass(500);
  store.temporal.getState().undo();
  await pass(5000);
  expect(sent.at(-1)).toMatchObject({ rowVersion: 2, plan: { name: 'test' } });
  expect(phase()).toBe('saved');
});

test.each(['keepMine', 'takeTheirs'] as const)(
  'somebody else’s newer version waits for a choice: %s',
  async (choice) => {
    open({ plan: base, rowVersion: 1 });
    answers = [newer(7, named('Theirs')), ok(8)];
    type('Mine');
    await pass(1000);
    expect(phase()).toBe('conflict');
    type('Mine, more');
    await pass(3000);
    expect(sent).toHaveLength(1); // nothing goes out before the choice
    autosave?.[choice]();
    await pass(1000);
    if (choice === 'keepMine') {
      expect(sent.at(-1)).toMatchObject({ rowVersion: 7, plan: { name: 'Mine, more' } });
    } else {
      expect(sent).toHaveLength(1);
      expect(store.getState().plan.name).toBe('Theirs');
      store.temporal.getState().undo();
      expect(store.getState().plan.name).toBe('Mine, more');
    }
  },
);

test('of two who edited, both are joined on the base that both began with, also after a reload', async () => {
  open({ plan: base, rowVersion: 1 });
  const theirs: Plan = { ...base, survey: { ...base.survey, shop: 'Theirs' } };
  answers = [newer(2, theirs)];
  type('Mine');
  await pass(1000);
  const { saving } = store.getState();
  if (saving.phase !== 'conflict' || !saving.base) throw new Error(`no base: ${saving.phase}`);
  const merged = merge(saving.base, store.getState().plan, saving.newer.plan);
  expect(merged?.clashes).toEqual([]);
  answers = [ok(3)];
  autosave?.merge(merged?.plan as Plan);
  await pass(1000);
  expect(sent.at(-1)).toMatchObject({ rowVersion: 2, plan: { name: 'Mine', survey: { shop: 'Theirs' } } });
  expect(phase()).toBe('saved');

  // The page closes before the choice: the draft keeps the base.
  answers = [newer(4, { ...base, name: 'Other' }), nobody];
  type('Mine again');
  await pass(1000);
  autosave?.stop();
  open({ plan: { ...base, name: 'Other' }, rowVersion: 4 });
  const again = store.getState().saving;
  expect(again.phase === 'conflict' && again.base?.name).toBe('Mine');
});
