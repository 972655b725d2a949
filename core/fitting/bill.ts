import { FILTERS, is } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import type { Section } from '../line/section';
import { walk } from '../line/walk';
import { boreOf, MATERIALS, NOMINAL } from '../pipe-flow/pipes';
import { type End, sizeInWords, tubeOutsideM } from '../piping/ends';
import type { Leg } from '../piping/legs';
import { measuresOf } from '../piping/legs';
import type { Fitting } from '../plan/fit-fields';
import { priceOfStage } from '../plan/money';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { cutStock } from './cut-stock';
import { connectionsOf, type Joint, jointsOf } from './joints';
import { GAUGE_PORT, gaugePortsOf, isHung } from './ports';
import { SUPPORTED_AS, supportsOf } from './supports';

/** Aisles of the shop, in the order in which one goes through it. */
export const AISLES = {
  equipment: 'Equipment',
  fittings: 'Fittings and valves',
  tube: 'Tube, pipe and hose',
  supports: 'Supports and brackets',
  sealing: 'Nuts, clamps and sealing',
  spares: 'Spares to hold',
} as const;
export type Aisle = keyof typeof AISLES;

/** A row of the bill. */
export interface BillItem {
  /** Unique in a bill, and the same as long as the thing is the same. */
  readonly key: string;
  readonly aisle: Aisle;
  readonly label: string;
  readonly count: number;
  /** What one counts: pieces, or stock lengths of so many metres. */
  readonly stockM?: number;
  /** What is cut from each stock length, m. */
  readonly cutsM?: readonly (readonly number[])[];
  /** Of one, in the currency of the line; a placeholder unless {@link own}. */
  readonly price: number;
  readonly own: boolean;
  /** Where it goes. */
  readonly where: readonly string[];
}

export interface Bill {
  readonly items: readonly BillItem[];
  /** What is still to be bought costs: neither bought, nor on the shelf, nor fitted. */
  readonly toBuy: number;
  readonly total: number;
  /** Joints for which there is no chain: what they need is not in the bill. */
  readonly open: readonly Joint[];
}

/**
 * How many of a row are still to be bought, by what is ticked.
 * @example leftToBuy({ key: 'a', count: 6 }, { a: { as: 'shelf', count: 4 } }) // 2
 */
export const leftToBuy = ({ key, count }: Pick<BillItem, 'key' | 'count'>, ticks: Fitting['ticks']): number =>
  Math.max(0, count - (ticks[key]?.count ?? 0));

/** Of every five nuts and ferrules one is held over (common practice, no source). */
const SPARE_ONE_IN = 5;
/** Tape for a taper joint, m, and on a roll (estimate). */
const TAPE_M = 0.35;
const ROLL_M = 12;
const SCREWS_PER_BRACKET = 2; // common practice, no source
/** Kinds that hang on a wall by a bracket. */
const ON_BRACKET = [
  ...FILTERS,
  'regulator',
  'lubricator',
  'bead-cartridge',
  'separator',
  'membrane',
  'home-made-housing',
] as const;

/** What is counted on a pipe besides its elbows; its tees are those of what leaves it, at the joints. */
const BESIDE_ELBOWS = {
  halfElbows: 'Elbow, 45°,',
  gateValves: 'Gate valve',
  ballValves: 'Ball valve',
  globeValves: 'Globe valve',
} as const;

/** Kinds that are bought by length. */
const BY_LENGTH = ['pipe', 'hose', 'cooling-run'] as const;

/** Lengths as they are sold, m: where pipe threads are NPT in feet, elsewhere in metres (common practice, no source). */
const STOCK = {
  npt: { copper: 3.05, steel: 6.4, other: 6.1 },
  bspt: { copper: 5, steel: 6, other: 6 },
} as const;
/** Placeholder of a metre of tube or pipe of an outside diameter, m (estimate). */
const perMetre = (outsideM: number): number => 2 + 280 * outsideM;
const cents = (x: number): number => Math.round(x * 100) / 100;

/** Collects rows that are the same into one. */
class Rows {
  private readonly rows = new Map<string, BillItem>();

  add(
    aisle: Aisle,
    label: string,
    price: number,
    where: string | readonly string[],
    count = 1,
    more: Partial<BillItem> = {},
  ): void {
    if (count === 0) return;
    const key = `${aisle}:${more.key ?? label}`;
    const known = this.rows.get(key);
    const places = [...(known?.where ?? []), ...(typeof where === 'string' ? [where] : where)];
    this.rows.set(key, {
      aisle,
      label,
      price: cents(price),
      own: false,
      ...more,
      key,
      count: (known?.count ?? 0) + count,
      where: [...new Set(places)],
    });
  }

  get items(): BillItem[] {
    const order = Object.keys(AISLES);
    return [...this.rows.values()].sort((a, b) => order.indexOf(a.aisle) - order.indexOf(b.aisle));
  }
}

const isTaper = ({ family }: End): boolean => family === 'npt' || family === 'bspt';

/** What a chosen chain and its joints need. */
function addJoint(rows: Rows, joint: Joint): void {
  const { chosen, sides, tee } = joint;
  if (!chosen) return;
  const where = `${sides[0].name} to ${sides[1].name}`;
  for (const p of chosen.parts) rows.add('fittings', p.label, p.price, where, 1, { key: p.id });
  const [a, b] = [sides[0].end, sides[1].end];
  const atTee = joint.at === 'out' ? sides[1] : sides[0];
  if (tee) rows.add('fittings', `Tee in the line, branch ${sizeInWords(atTee.end.size)}`, 9, atTee.name);
  const ends = [a, b, ...chosen.parts.flatMap((p) => p.ends)];
  const of = (test: (e: End) => boolean): End[] => ends.filter(test);
  for (const e of of((x) => x.family === 'compression')) {
    rows.add('sealing', `Compression nut and ferrule, ${sizeInWords(e.size)} tube`, 1.5, where, 1, {
      key: `nut ${e.size}`,
    });
  }
  for (const e of of((x) => x.family === 'hose'))
    rows.add('sealing', `Hose clamp, ${sizeInWords(e.size)} hose`, 1.2, where, 1, { key: `clamp ${e.size}` });
  for (const e of of((x) => x.family === 'bspp' && x.gender === 'male'))
    rows.add('sealing', `Bonded washer, G ${sizeInWords(e.size)}`, 0.8, where, 1, { key: `washer ${e.size}` });
  // A gasket lies between two faces of a size.
  const faces = of((x) => x.family === 'flange').map((e) => e.size);
  for (const size of new Set(faces)) {
    const gaskets = Math.floor(faces.filter((f) => f === size).length / 2);
    rows.add('sealing', `Gasket with bolts and nuts, ${size}`, 12, where, gaskets, { key: `gasket ${size}` });
  }
}

/** What a thing is called, and what it is where its name does not say so. */
function nameWithKind(s: Stage): string {
  const kind = kindOf(s.kind).label.toLowerCase();
  return s.name.toLowerCase().includes(kind) ? s.name : `${s.name}, ${kind}`;
}

/** Joints of a line that are sealed on a taper thread: half of the taper ends that meet in them. */
function taperJoints(joints: readonly Joint[]): number {
  const ends = joints.flatMap(({ sides, chosen }) =>
    chosen ? [sides[0].end, sides[1].end, ...chosen.parts.flatMap((p) => p.ends)] : [],
  );
  return Math.ceil(ends.filter(isTaper).length / 2);
}

/** Legs of a pipe, or the pipe in one piece where nobody drew it. */
const piecesOf = (stage: Stage & { parameters: { lengthM: number } }): readonly Leg[] =>
  stage.fit?.legs ?? [{ to: 'east', lengthM: stage.parameters.lengthM, fall: 0 }];

/** Tube and pipe by cut lengths, hose as it is. */
function addConduits(rows: Rows, plan: Plan, line: Plan, section: Section): void {
  const stock = STOCK[plan.fitting.thread];
  const cuts = new Map<string, { label: string; stockM: number; outsideM: number; cuts: number[]; where: string[] }>();
  const cut = (
    key: string,
    label: string,
    stockM: number,
    outsideM: number,
    lengths: readonly number[],
    where: string,
  ): void => {
    const row = cuts.get(key) ?? { label, stockM, outsideM, cuts: [], where: [] };
    cuts.set(key, { ...row, cuts: [...row.cuts, ...lengths], where: [...row.where, where] });
  };
  for (const c of connectionsOf(plan, section)) {
    const outsideM = tubeOutsideM({ family: 'tube', size: c.size, gender: 'male' }) as number;
    const to = allStages(line).find((s) => s.id === c.stageId)?.name ?? c.stageId;
    cut(
      `tube ${c.size}`,
      `Copper tube, ${sizeInWords(c.size)} outside`,
      stock.copper,
      outsideM,
      [c.lengthM],
      `to ${to}`,
    );
  }
  for (const s of allStages(line)) {
    if (s.kind === 'hose')
      rows.add(
        'tube',
        `Hose, {${Math.round(s.parameters.boreM * 1e3)} mm} bore, {${s.parameters.lengthM} m}`,
        4 * s.parameters.lengthM + 8,
        s.name,
      );
    if (s.kind === 'pipe') {
      const { material, size } = s.parameters;
      const outsideM = boreOf(material, size)?.outsideM ?? 0.02;
      const legs = piecesOf(s);
      const as = SUPPORTED_AS[material];
      const stockM = as === 'copper' ? stock.copper : as === 'steel' ? stock.steel : stock.other;
      const name = `${NOMINAL[size]} pipe, ${MATERIALS[material].label}`;
      cut(
        `${material} ${size}`,
        name,
        stockM,
        outsideM,
        legs.map((l) => l.lengthM),
        s.name,
      );
      rows.add(
        'fittings',
        `Elbow for ${name}`,
        3 + 150 * outsideM,
        s.name,
        s.parameters.elbows + s.parameters.longElbows,
      );
      for (const [fitting, one] of Object.entries(BESIDE_ELBOWS))
        rows.add(
          'fittings',
          `${one} for ${name}`,
          6 + 400 * outsideM,
          s.name,
          s.parameters[fitting as keyof typeof BESIDE_ELBOWS],
        );
      rows.add('fittings', `Drip leg for ${name}: tee, nipple, ball valve`, 18, s.name, s.parameters.legs);
      rows.add(
        'supports',
        `Pipe support, {${Math.round(outsideM * 1e3)} mm}`,
        2.5,
        s.name,
        supportsOf(as, outsideM, legs),
      );
    }
    if (s.kind === 'cooling-run' && s.parameters.material !== 'hose') {
      const { outsideDiameterM, material } = s.parameters;
      const as = material === 'copper' ? 'copper' : 'steel';
      const legs = piecesOf(s);
      const mm = Math.round(outsideDiameterM * 1e3);
      cut(
        `run ${material} ${mm}`,
        `${as === 'copper' ? 'Copper tube' : 'Steel pipe'}, {${mm} mm} outside`,
        stock[as],
        outsideDiameterM,
        legs.map((l) => l.lengthM),
        s.name,
      );
      rows.add('supports', `Pipe support, {${mm} mm}`, 2.5, s.name, supportsOf(as, outsideDiameterM, legs));
      rows.add('fittings', `Elbow for {${mm} mm} tube`, 3 + 150 * outsideDiameterM, s.name, measuresOf(legs).bends);
      rows.add('fittings', `Drip leg for {${mm} mm} tube: tee, nipple, ball valve`, 18, s.name, s.parameters.legs);
    }
  }
  for (const [key, { label, stockM, outsideM, cuts: lengths, where }] of cuts) {
    const bars = cutStock(lengths, stockM);
    rows.add('tube', label, perMetre(outsideM) * stockM, where, bars.length, {
      ...{ key, stockM, cutsM: bars.map((b) => b.cutsM) },
    });
  }
}

/** Gauge ports that nothing hangs in: each wants a plug. */
function addPlugs(rows: Rows, line: Plan): void {
  for (const run of [line.stages, ...line.branches.map((b) => b.stages)])
    run.forEach((s, i) => {
      const free = gaugePortsOf(s) - (run[i + 1]?.kind === 'gauge' ? 1 : 0);
      rows.add(
        'sealing',
        `Plug, ${sizeInWords(GAUGE_PORT)} ${line.fitting.thread.toUpperCase()}, for a gauge port`,
        0.9,
        s.name,
        Math.max(0, free),
      );
    });
}

/** What wears out first, and what is used up at every opening. */
function addSpares(rows: Rows, line: Plan, nuts: readonly BillItem[]): void {
  for (const n of nuts)
    rows.add('spares', `Spare: ${n.label}`, n.price, 'one in five over', Math.ceil(n.count / SPARE_ONE_IN));
  const stages = allStages(line);
  for (const s of stages)
    if (is(FILTERS, s.kind)) {
      rows.add('spares', `Element for ${s.name}`, priceOfStage(line.money, s).price.yearly || 15, s.name);
      rows.add('spares', 'O-ring kit for a filter bowl', 4, s.name);
    }
  if (stages.some((s) => (s.parameters as { drain?: string }).drain === 'float'))
    rows.add('spares', 'Float drain', 25, 'any float drain');
  const beads = stages.find((s) => s.kind === 'bead-cartridge');
  if (beads) rows.add('spares', 'Dry charge of beads in a sealed tin', 40, beads.name);
}

/**
 * Everything that a line is built of: equipment, chains of its joints, tube and pipe by cut lengths, supports, nuts, clamps,
 * sealant and spares, with prices.
 * @returns rows by aisle; of what is only planned nothing
 * @example billOf(plan, section).items[0].aisle // 'equipment'
 */
export function billOf(plan: Plan, section: Section = walk(plan)): Bill {
  const line = standing(plan);
  const joints = jointsOf(plan, section);
  const rows = new Rows();
  for (const s of allStages(line)) {
    if (is(BY_LENGTH, s.kind) || s.kind === 'intake' || s.kind === 'outlet') continue;
    const { price, own } = priceOfStage(line.money, s);
    rows.add('equipment', nameWithKind(s), price.first, s.name, 1, {
      key: s.id,
      own,
    });
    if (is(ON_BRACKET, s.kind)) {
      rows.add('supports', 'Wall bracket', 6, s.name);
      rows.add('supports', 'Screw with wall plug, for a bracket', 0.5, s.name, SCREWS_PER_BRACKET);
    }
    if (isHung(s)) rows.add('fittings', `Tee in the line, branch ${sizeInWords('1/4')}`, 9, s.name);
  }
  for (const j of joints) addJoint(rows, j);
  addConduits(rows, plan, line, section);
  addPlugs(rows, line);
  const nuts = rows.items.filter((i) => i.key.startsWith('sealing:nut '));
  rows.add(
    'sealing',
    `Sealing tape, roll of {${ROLL_M} m}`,
    2.5,
    'taper threads',
    Math.ceil((taperJoints(joints) * TAPE_M) / ROLL_M),
  );
  addSpares(rows, line, nuts);
  const { items } = rows;
  const sum = (of: readonly BillItem[]): number => cents(of.reduce((total, i) => total + i.price * i.count, 0));
  return {
    items,
    total: sum(items),
    toBuy: cents(items.reduce((rest, i) => rest + i.price * leftToBuy(i, plan.fitting.ticks), 0)),
    open: joints.filter((j) => !j.chosen),
  };
}
