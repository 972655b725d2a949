import { boreOfEndM, type End, endInWords } from '../piping/ends';
import { mates } from '../piping/mates';
import type { Part } from './parts';

/** What a chain must bear at its place. */
export interface ChainLimits {
  readonly temperatureC: number;
  readonly gaugePa: number;
  /** No part of it may be narrower. */
  readonly leastBoreM: number;
}

/** Parts in a row between two ends, each turned so that its first end meets what is before it. */
export interface Chain {
  readonly parts: readonly Part[];
  /** Places that can leak: one more than there are parts. */
  readonly joints: number;
  readonly price: number;
  /** Narrowest place, the two ends included, m. */
  readonly boreM: number;
  readonly lengthM: number;
}

/** The best chains, or why there is none and which end blocks. */
export type Chains =
  | { readonly ok: true; readonly best: readonly Chain[] }
  | { readonly ok: false; readonly blocks: 'first' | 'second' | 'between'; readonly why: string };

const MOST_PARTS = 6;
/** More than any price of a chain: a joint fewer counts before it. */
const A_JOINT = 1e6;

const keyOf = ({ family, size, gender }: End): string => `${family} ${size} ${gender}`;

/** A part with one of its ends first. */
interface Turned {
  readonly part: Part;
  readonly enters: End;
  readonly leaves: End;
}

/** A catalogue by what its parts can be put on, found once for each end; and those of them that bear the limits. */
class Shelf {
  private readonly turned: readonly Turned[];
  private readonly onto = new Map<string, readonly Turned[]>();
  /** What was asked for before. */
  readonly found = new Map<string, Chains>();

  constructor(parts: readonly Part[]) {
    this.turned = parts.flatMap((part) => {
      const [a, b] = part.ends;
      const one = { part, enters: a, leaves: b };
      return keyOf(a) === keyOf(b) ? [one] : [one, { part, enters: b, leaves: a }];
    });
  }

  thatFit(end: End, { temperatureC, gaugePa, leastBoreM }: ChainLimits): readonly Turned[] {
    const key = keyOf(end);
    let fitting = this.onto.get(key);
    if (!fitting) {
      fitting = this.turned.filter((t) => mates(end, t.enters).verdict === 'yes');
      this.onto.set(key, fitting);
    }
    return fitting.filter(
      ({ part: p }) => p.mostC >= temperatureC && p.mostGaugePa >= gaugePa && p.boreM >= leastBoreM - 1e-6,
    );
  }
}

const SHELVES = new WeakMap<readonly Part[], Shelf>();
function shelfOf(parts: readonly Part[]): Shelf {
  const shelf = SHELVES.get(parts) ?? new Shelf(parts);
  SHELVES.set(parts, shelf);
  return shelf;
}

/** Least cost from an end to the goal, by the number of joints and then the price. */
function costsTo(
  goal: End,
  shelf: Shelf,
  limits: ChainLimits,
): Map<string, { readonly end: End; readonly cost: number }> {
  const found = new Map<string, { end: End; cost: number }>();
  const open = new Map([[keyOf(goal), { end: goal, cost: 0 }]]);
  // From the goal backwards: what fits the goal has its far end one part away.
  while (open.size > 0) {
    const [key, at] = [...open].reduce((a, b) => (b[1].cost < a[1].cost ? b : a));
    open.delete(key);
    found.set(key, at);
    for (const { part, leaves } of shelf.thatFit(at.end, limits)) {
      const next = keyOf(leaves);
      const cost = at.cost + A_JOINT + part.price;
      if (!found.has(next) && (open.get(next)?.cost ?? Infinity) > cost) open.set(next, { end: leaves, cost });
    }
  }
  return found;
}

interface Partial {
  readonly parts: readonly Part[];
  readonly free: End;
  readonly seen: ReadonlySet<string>;
  readonly cost: number;
  readonly atLeast: number;
}

const chainOf = (parts: readonly Part[], from: End, to: End): Chain => ({
  parts,
  joints: parts.length + 1,
  price: Math.round(parts.reduce((sum, p) => sum + p.price, 0) * 100) / 100,
  boreM: Math.min(boreOfEndM(from), boreOfEndM(to), ...parts.map((p) => p.boreM)),
  lengthM: parts.reduce((sum, p) => sum + p.lengthM, 0),
});

const before = (a: Chain, b: Chain): number => a.joints - b.joints || a.price - b.price || b.boreM - a.boreM;

/** How many chains are wanted: so many of the best, or all with as few parts as the best. */
type Wanted = number | 'shortest';

/** Chains in the order of cost until the last of the wanted ones is certain. */
function enumerate(from: End, to: End, parts: readonly Part[], limits: ChainLimits, wanted: Wanted): Chain[] {
  const shelf = shelfOf(parts);
  const left = costsTo(to, shelf, limits);
  // What remains after an end: the cheapest of what fits it.
  const remaining = (end: End): number => {
    if (mates(end, to).verdict === 'yes') return 0;
    return Math.min(
      Infinity,
      ...[...left.values()].filter((l) => mates(end, l.end).verdict === 'yes').map((l) => l.cost),
    );
  };
  const known = new Map<string, number>();
  const atLeast = (end: End): number => {
    const key = keyOf(end);
    const cost = known.get(key) ?? remaining(end);
    known.set(key, cost);
    return cost;
  };
  const open: Partial[] = [{ parts: [], free: from, seen: new Set([keyOf(from)]), cost: 0, atLeast: atLeast(from) }];
  const found: Chain[] = [];
  while (open.length > 0) {
    const at = open.reduce((a, b) => (b.atLeast < a.atLeast ? b : a));
    open.splice(open.indexOf(at), 1);
    const last = wanted === 'shortest' ? found[0] : found[wanted - 1];
    const spare = wanted === 'shortest' ? A_JOINT - 1 : (last?.price ?? 0) + 1e-6;
    if (at.atLeast === Infinity || (last && at.atLeast > (last.joints - 1) * A_JOINT + spare)) break;
    if (mates(at.free, to).verdict === 'yes') {
      found.push(chainOf(at.parts, from, to));
      found.sort(before);
      continue; // a longer one through here would only be worse
    }
    if (at.parts.length === MOST_PARTS) continue;
    for (const { part, leaves } of shelf.thatFit(at.free, limits)) {
      const key = keyOf(leaves);
      const rest = atLeast(leaves);
      if (at.seen.has(key) || rest === Infinity) continue;
      const cost = at.cost + A_JOINT + part.price;
      open.push({
        parts: [...at.parts, part],
        free: leaves,
        seen: new Set([...at.seen, key]),
        cost,
        atLeast: cost + rest,
      });
    }
  }
  return wanted === 'shortest' ? found : found.slice(0, wanted);
}

/** Which limit leaves nothing. */
function whyNone(from: End, to: End, parts: readonly Part[], limits: ChainLimits): Chains {
  const free: ChainLimits = { temperatureC: -Infinity, gaugePa: 0, leastBoreM: 0 };
  const limit = (
    [
      ['temperatureC', 'no part that would do bears the temperature of the air here'],
      ['gaugePa', 'no part that would do bears the cut-out pressure'],
      ['leastBoreM', 'every part that would do is narrower than wanted'],
    ] as const
  ).find(([name]) => enumerate(from, to, parts, { ...limits, [name]: free[name] }, 1).length > 0);
  const shelf = shelfOf(parts);
  const stuck = (end: End): boolean => shelf.thatFit(end, limits).length === 0;
  const blocks = stuck(from) ? 'first' : stuck(to) ? 'second' : 'between';
  const what = blocks === 'first' ? endInWords(from) : blocks === 'second' ? endInWords(to) : undefined;
  const why = limit?.[1] ?? 'no part of the catalogue goes on it';
  return {
    ok: false,
    blocks,
    why: what
      ? `${what}: ${why}.`
      : `Between the two: ${limit ? why : 'no chain of parts leads from one to the other'}.`,
  };
}

/**
 * The best chains of parts between two ends: fewest joints that can leak, then the least price, then the widest bore.
 * @param parts a catalogue; each part joins two of its ends
 * @param limits what each part of the chain must bear: °C, gauge Pa, m
 * @param wanted how many; or all of as few parts as the best
 * @returns chains, the best first; one of no parts where the ends mate; or which end blocks and why
 * @example chainsBetween(end('flare-37', '-8', 'male'), end('tube', '3/8'), PARTS, { temperatureC: 150, gaugePa: 1e6, leastBoreM: 0.005 }).best[0].joints // 3
 */
export function chainsBetween(
  from: End,
  to: End,
  parts: readonly Part[],
  limits: ChainLimits,
  wanted: Wanted = 3,
): Chains {
  const known = shelfOf(parts).found;
  const key = `${keyOf(from)} | ${keyOf(to)} | ${bearing(parts, limits)} | ${wanted}`;
  let chains = known.get(key);
  if (!chains) {
    chains = search(from, to, parts, limits, wanted);
    if (known.size >= MOST_KEPT) known.clear();
    known.set(key, chains);
  }
  return chains;
}

function search(from: End, to: End, parts: readonly Part[], limits: ChainLimits, wanted: Wanted): Chains {
  if (mates(from, to).verdict === 'yes') return { ok: true, best: [chainOf([], from, to)] };
  const best = enumerate(from, to, parts, limits, wanted);
  return best.length > 0 ? { ok: true, best } : whyNone(from, to, parts, limits);
}

/** Chains that are kept: a plant has some hundred pairs of ends. */
const MOST_KEPT = 2000;

/** How many parts bear each limit: limits of the same counts leave the same parts. */
function bearing(parts: readonly Part[], { temperatureC, gaugePa, leastBoreM }: ChainLimits): string {
  const counts = [0, 0, 0];
  for (const p of parts) {
    if (p.mostC >= temperatureC) counts[0] = (counts[0] as number) + 1;
    if (p.mostGaugePa >= gaugePa) counts[1] = (counts[1] as number) + 1;
    if (p.boreM >= leastBoreM - 1e-6) counts[2] = (counts[2] as number) + 1;
  }
  return counts.join(' ');
}
