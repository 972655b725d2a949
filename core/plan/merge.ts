import type { Plan } from './plan';
import { relinked } from './relink';

type Json = Record<string, unknown>;
const isObject = (v: unknown): v is Json => typeof v === 'object' && v !== null && !Array.isArray(v);
const hasIds = (v: unknown): v is (Json & { id: string })[] =>
  Array.isArray(v) && v.every((x) => isObject(x) && typeof x.id === 'string');
const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** Two plans that were made of one, as one. */
export interface Merged {
  readonly plan: Plan;
  /** Where both had changed the same in different ways: mine was taken. Paths into the plan. */
  readonly clashes: readonly string[];
}

/**
 * Joins what two people did to the same plan: each change that only one of them made is kept.
 * @param base what both began with
 * @returns `undefined` where the two do not make one plan
 * @source three-way merge, by the ids of stages, branches, units and places
 * @example merge(plan, renameStage(plan, 'gauge', 'Dial'), renameStage(plan, 'fine', 'Last filter')).clashes // []
 */
export function merge(base: Plan, mine: Plan, theirs: Plan): Merged | undefined {
  const clashes: string[] = [];
  const merged = relinked(join(base, mine, theirs, '', clashes), base);
  return merged.success ? { plan: merged.data, clashes } : undefined;
}

function join(base: unknown, mine: unknown, theirs: unknown, path: string, clashes: string[]): unknown {
  if (same(mine, theirs) || same(base, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (hasIds(mine) && hasIds(theirs)) return joinLists(hasIds(base) ? base : [], mine, theirs, path, clashes);
  if (isObject(mine) && isObject(theirs)) {
    const from = isObject(base) ? base : {};
    const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
    return Object.fromEntries(
      [...keys].flatMap((k) => {
        const value = join(from[k], mine[k], theirs[k], path ? `${path}.${k}` : k, clashes);
        return value === undefined ? [] : [[k, value]];
      }),
    );
  }
  clashes.push(path);
  return mine ?? theirs; // what one took away and the other changed stays
}

/** Things with ids: taken out where one took them out, put in downstream of the same neighbour, in the order of who moved them. */
function joinLists(
  base: readonly Json[],
  mine: readonly (Json & { id: string })[],
  theirs: readonly (Json & { id: string })[],
  path: string,
  clashes: string[],
): Json[] {
  const by = (list: readonly Json[]) => new Map(list.map((x) => [x.id as string, x]));
  const [b, m, t] = [by(base), by(mine), by(theirs)];
  const order = (list: readonly Json[]): string =>
    list
      .map((x) => x.id)
      .filter((id) => b.has(id as string) && m.has(id as string) && t.has(id as string))
      .join(' ');
  const [inMine, inTheirs] = [order(mine), order(theirs)];
  const iMoved = inMine !== order(base);
  if (iMoved && inTheirs !== order(base) && inMine !== inTheirs) clashes.push(`${path}: order`);
  const [lead, other] = iMoved ? [mine, theirs] : [theirs, mine];
  const ids = lead.map((x) => x.id);
  other.forEach((x, i) => {
    if (ids.includes(x.id)) return;
    const before = other.slice(0, i).findLast((o) => ids.includes(o.id));
    ids.splice(before ? ids.indexOf(before.id) + 1 : 0, 0, x.id);
  });
  return ids.flatMap((id) => {
    const [was, my, their] = [b.get(id), m.get(id), t.get(id)];
    if (my && their) return [join(was, my, their, `${path}.${id}`, clashes) as Json];
    const left = (my ?? their) as Json;
    if (!was) return [left];
    if (same(was, left)) return []; // one took it out, the other let it be
    clashes.push(`${path}.${id}`);
    return [left];
  });
}
