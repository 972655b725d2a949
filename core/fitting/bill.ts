import { FILTERS, is } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import type { Section } from '../line/section';
import { walk } from '../line/walk';
import { type End, sizeInWords } from '../piping/ends';
import { priceOfStage } from '../plan/money';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { assemblyOf } from './assembly';
import { addConduits } from './bill-conduits';
import { type BillItem, cents, Rows } from './bill-rows';
import { type Joint, jointsOf } from './joints';
import { GAUGE_PORT, gaugePortsOf, isHung, portsOf } from './ports';
import { leftToBuy } from './ticked';

export interface Bill {
  readonly items: readonly BillItem[];
  /** What is still to be bought costs: neither bought, nor on the shelf, nor fitted. */
  readonly toBuy: number;
  readonly total: number;
  /** Joints for which there is no chain: what they need is not in the bill. */
  readonly open: readonly Joint[];
}

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

/** Kinds that are bought by length. */
const BY_LENGTH = ['pipe', 'hose', 'cooling-run'] as const;

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

/** Tube of a drain to where its water is collected, m (estimate), and its outside diameter, m (common practice, no source). */
const DRAIN_TUBE_M = 2;
const DRAIN_TUBE_OUTSIDE_M = 0.008;

/** From each drain port to the collecting vessel. */
function addDrains(rows: Rows, line: Plan, section: Section): void {
  for (const s of allStages(line)) {
    const { drain } = portsOf(line, section, s);
    if (!drain) continue;
    const mm = DRAIN_TUBE_OUTSIDE_M * 1e3;
    const half = drain.gender === 'male' ? 'female' : 'male';
    rows.add(
      'fittings',
      `Push-in, {${mm} mm} tube × ${sizeInWords(drain.size)} ${drain.family.toUpperCase()} ${half}, for a drain`,
      4,
      s.name,
    );
    rows.add('tube', `Drain tube, {${mm} mm} outside, {${DRAIN_TUBE_M} m}`, DRAIN_TUBE_M * 1.5, s.name);
  }
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
  addDrains(rows, line, section);
  const nuts = rows.items.filter((i) => i.key.startsWith('sealing:nut '));
  rows.add(
    'sealing',
    `Sealing tape, roll of {${ROLL_M} m}`,
    2.5,
    'taper threads',
    Math.ceil((taperJoints(joints) * TAPE_M) / ROLL_M),
  );
  addSpares(rows, line, nuts);
  for (const tool of new Set(assemblyOf(plan, section).flatMap((step) => step.tools)))
    rows.add('tools', `${tool.charAt(0).toUpperCase()}${tool.slice(1)}`, 0, 'to put it together');
  const items = rows.items.map((i) => {
    const price = plan.fitting.prices[i.key];
    return price === undefined || i.aisle === 'equipment' ? i : { ...i, price, own: true };
  });
  const sum = (of: readonly BillItem[]): number => cents(of.reduce((total, i) => total + i.price * i.count, 0));
  return {
    items,
    total: sum(items),
    toBuy: cents(items.reduce((rest, i) => rest + i.price * leftToBuy(i, plan.fitting.ticks), 0)),
    open: joints.filter((j) => !j.chosen),
  };
}
