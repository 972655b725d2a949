import type { Section } from '../line/section';
import { boreOf, MATERIALS, NOMINAL } from '../pipe-flow/pipes';
import { sizeInWords, tubeOutsideM } from '../piping/ends';
import { type Leg, measuresOf } from '../piping/legs';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import type { Rows } from './bill-rows';
import { cutStock } from './cut-stock';
import { connectionsOf } from './joints';
import { SUPPORTED_AS, supportsOf, tubeSupports } from './supports';

/** What is counted on a pipe besides its elbows; its tees are those of what leaves it, at the joints. */
const BESIDE_ELBOWS = {
  halfElbows: 'Elbow, 45°,',
  gateValves: 'Gate valve',
  ballValves: 'Ball valve',
  globeValves: 'Globe valve',
} as const;

/** Lengths as they are sold, m: where pipe threads are NPT in feet, elsewhere in metres (common practice, no source). */
const STOCK = {
  npt: { copper: 3.05, steel: 6.4, other: 6.1 },
  bspt: { copper: 5, steel: 6, other: 6 },
} as const;
/** Placeholder of a metre of tube or pipe of an outside diameter, m (estimate). */
const perMetre = (outsideM: number): number => 2 + 280 * outsideM;
/** Legs of a pipe, or the pipe in one piece where nobody drew it. */
const piecesOf = (stage: Stage & { parameters: { lengthM: number } }): readonly Leg[] =>
  stage.fit?.legs ?? [{ to: 'east', lengthM: stage.parameters.lengthM, fall: 0 }];

/** Tube and pipe by cut lengths, hose as it is, with their elbows, drip legs and supports. */
export function addConduits(rows: Rows, plan: Plan, line: Plan, section: Section): void {
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
    const to = allStages(line).find((s) => s.id === c.stageId);
    const where = `to ${to?.name ?? c.stageId}`;
    const name = `Copper tube, ${sizeInWords(c.size)} outside`;
    cut(`tube ${c.size}`, name, stock.copper, outsideM, [c.lengthM], where);
    const legs = to?.fit?.legs ?? [{ to: 'east' as const, lengthM: c.lengthM }];
    rows.add(
      'supports',
      `Pipe support, {${Math.round(outsideM * 1e3)} mm}`,
      2.5,
      where,
      tubeSupports(outsideM, legs).length,
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
