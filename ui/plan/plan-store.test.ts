import { planOf } from '@/core/test/plan-of';
import { createPlanStore } from './plan-store';

const open = () => createPlanStore(planOf({}));
type Store = ReturnType<typeof open>;
const rename = (store: Store, name: string, key?: string): void => store.getState().edit((p) => ({ ...p, name }), key);
const undone = (store: Store): string[] => {
  const names = [store.getState().plan.name];
  while (store.temporal.getState().pastStates.length > 0) {
    store.temporal.getState().undo();
    names.push(store.getState().plan.name);
  }
  return names;
};

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('typing in one field is one step; another field, a pause or a keyless edit begins the next', () => {
  const store = open();
  for (const name of ['a', 'ab', 'abc']) rename(store, name, 'name');
  rename(store, 'other', 'shop');
  jest.advanceTimersByTime(2000);
  rename(store, 'later', 'shop');
  rename(store, 'button');
  rename(store, 'button again');
  expect(undone(store)).toEqual(['button again', 'button', 'later', 'other', 'abc', 'test']);
});

test('redo brings back what undo took, until something else is edited', () => {
  const store = open();
  rename(store, 'one');
  store.temporal.getState().undo();
  store.temporal.getState().redo();
  expect(store.getState().plan.name).toBe('one');
  store.temporal.getState().undo();
  rename(store, 'two');
  store.temporal.getState().redo();
  expect(store.getState().plan.name).toBe('two');
});

test('an edit that changes nothing is no step, and saving is not part of history', () => {
  const store = open();
  store.getState().edit((p) => p);
  store.getState().setSaving({ phase: 'saving' });
  expect(store.temporal.getState().pastStates).toHaveLength(0);
});
