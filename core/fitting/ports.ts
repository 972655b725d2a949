import type { KindName } from '../equipment/index';
import type { Section } from '../line/section';
import { boreOf, type Nominal } from '../pipe-flow/pipes';
import { END_FAMILIES, type End, type FamilyName, type Gender } from '../piping/ends';
import { PIPE_THREADS } from '../piping/threads';
import type { Plan, Stage } from '../plan/plan';
import { runOfStage } from '../plan/runs';
import { freeAirKgPerM3, surroundingsOf } from '../plan/surroundings';
import { CFM } from '../quantity/constants';

/** The ends of a stage, and where each comes from: said by a person, or usual for its kind. */
export interface Ports {
  readonly in: End;
  readonly out: End;
  /** Where its water leaves; nothing where it has no drain. */
  readonly drain?: End;
  /** For gauges, one beside the other. */
  readonly gauges: readonly End[];
  readonly said: { readonly in: boolean; readonly out: boolean; readonly drain: boolean };
}

/** Kinds that are tube, pipe or hose themselves. */
const CONDUITS: readonly KindName[] = ['pipe', 'hose', 'hose-reel', 'cooling-run'];
/**
 * Whether a stage is tube, pipe or hose itself.
 * @example isConduit(stage('receiver')) // false
 */
export const isConduit = ({ kind }: Pick<Stage, 'kind'>): boolean => CONDUITS.includes(kind);

/** Kinds that hang in a tee or a gauge port, and through which no air of the line goes. */
const HUNG: readonly KindName[] = ['gauge', 'test-point', 'relief-valve', 'unloader'];
/** Kinds that no joint of the line leads to: they stand beside it, or inside the compressor. */
const APART: readonly KindName[] = ['intake', 'auxiliary-fan', 'oil-water-separator', 'intercooler'];
export const isHung = ({ kind }: Pick<Stage, 'kind'>): boolean => HUNG.includes(kind);
export const isApart = ({ kind }: Pick<Stage, 'kind'>): boolean => APART.includes(kind);

/** Gauge ports that a kind usually has beside in and out (common practice, no source). */
const GAUGE_PORTS: Partial<Record<KindName, number>> = { regulator: 2, receiver: 1 };
/** Size of a gauge port of a small thing; good gauges have 1/4 in (common practice, no source). */
export const GAUGE_PORT = '1/8';
export const gaugePortsOf = ({ kind }: Pick<Stage, 'kind'>): number => GAUGE_PORTS[kind] ?? 0;

/** Free air that a port of a size is usual for: at some 15 m/s at 7 bar (estimate). */
const PORT_FOR: readonly (readonly [cfm: number, size: string])[] = [
  [10, '3/8'],
  [30, '1/2'],
  [60, '3/4'],
  [110, '1'],
  [180, '1-1/4'],
  [260, '1-1/2'],
  [450, '2'],
];
/** Tube for the discharge of a piston compressor by its free air (common practice, no source). */
const TUBE_FOR = {
  npt: [
    [12, '3/8'],
    [30, '1/2'],
    [60, '3/4'],
    [110, '1-1/8'],
  ],
  bspt: [
    [12, '10 mm'],
    [30, '15 mm'],
    [60, '22 mm'],
    [110, '28 mm'],
  ],
} as const;

const sizeFor = (table: readonly (readonly [cfm: number, size: string])[], m3PerS: number): string | undefined =>
  table.find(([cfm]) => m3PerS <= cfm * CFM * (1 + 1e-9))?.[1];

/**
 * Free air that passes a stage: what its ports are usual for. The largest job of its run counts, whatever the others take.
 * @returns m³/s
 * @example flowAtM3PerS(plan, section, stage('receiver')) // 0.01
 */
export function flowAtM3PerS(plan: Plan, section: Section, stage: Stage): number {
  const run = runOfStage(plan, stage.id);
  const jobs = (run?.stages ?? []).map((s) => (s.kind === 'outlet' ? s.parameters.flowM3PerS : 0));
  const station = section.at(stage.id);
  const passing = station ? station.dryAirKgPerS / freeAirKgPerM3(surroundingsOf(plan)) : 0;
  return Math.max(passing, stage.kind === 'compressor' ? stage.parameters.freeAirDeliveryM3PerS : 0, ...jobs);
}

/**
 * The discharge tube that is usual for a flow; nothing where such a line is piped.
 * @example usualTube(0.00472, 'npt') // '3/8'
 */
export const usualTube = (m3PerS: number, thread: keyof typeof TUBE_FOR): string | undefined =>
  sizeFor(TUBE_FOR[thread], m3PerS);

const NOMINAL_THREAD = (size: string): string | undefined => PIPE_THREADS.find((t) => t === size);

const nearest = (family: FamilyName, outsideM: number): string => {
  const tubes = Object.entries((END_FAMILIES[family] as { tubes?: Record<string, number> }).tubes ?? {});
  return tubes.reduce((a, b) => (Math.abs(b[1] - outsideM) < Math.abs(a[1] - outsideM) ? b : a))[0];
};

const FLANGES = END_FAMILIES.flange.sizes.map((size) => ({ size, dn: Number(size.slice(3)) / 1e3 }));
const flangeFor = (boreM: number): End => ({
  family: 'flange',
  size: FLANGES.reduce((a, b) => (Math.abs(b.dn - boreM) < Math.abs(a.dn - boreM) ? b : a)).size,
  gender: 'both',
});

const HOSE_BORES = [6.35, 7.94, 9.53, 12.7, 19.05, 25.4, 31.75, 38.1, 50.8];
const hoseEnd = (boreM: number): End => {
  const i = HOSE_BORES.reduce(
    (best, mm, at) => (Math.abs(mm - boreM * 1e3) < Math.abs((HOSE_BORES[best] as number) - boreM * 1e3) ? at : best),
    0,
  );
  return { family: 'hose', size: END_FAMILIES.hose.sizes[i] as string, gender: 'female' };
};

/** More than this is flanged: threads of a main end at 2 in (common practice, no source). */
const FLANGED_OVER_M = 0.056;

/** What the end of a conduit is by what it is made of. */
function conduitEnd(stage: Stage, thread: 'npt' | 'bspt'): End {
  if (stage.kind === 'hose' || stage.kind === 'hose-reel') return hoseEnd(stage.parameters.boreM);
  const screwed = (size: string): End => ({ family: thread, size, gender: 'male' });
  const tube = (outsideM: number): End => ({ family: 'tube', size: nearest('tube', outsideM), gender: 'male' });
  if (stage.kind === 'cooling-run') {
    const { material, outsideDiameterM, wallM } = stage.parameters;
    if (material === 'hose') return hoseEnd(outsideDiameterM - 2 * wallM);
    if (material === 'copper') return tube(outsideDiameterM);
    const inch = PIPE_THREADS.reduce((a, b) =>
      Math.abs((boreOf('black', b as Nominal)?.outsideM ?? 1) - outsideDiameterM) <
      Math.abs((boreOf('black', a as Nominal)?.outsideM ?? 1) - outsideDiameterM)
        ? b
        : a,
    );
    return screwed(inch);
  }
  if (stage.kind !== 'pipe') throw new RangeError(`${stage.kind} is no conduit`);
  const { material, size } = stage.parameters;
  const bore = boreOf(material, size);
  if (!bore || bore.boreM > FLANGED_OVER_M) return flangeFor(bore?.boreM ?? 0.05);
  const name = NOMINAL_THREAD(size);
  if (['black', 'galvanised', 'pvc'].includes(material) && name) return screwed(name);
  return tube(bore.outsideM);
}

/** Size of the thread that is usual for a flow, or a flange. */
function portFor(m3PerS: number, thread: 'npt' | 'bspt', gender: Gender): End {
  const size = sizeFor(PORT_FOR, m3PerS);
  return size ? { family: thread, size, gender } : flangeFor(m3PerS > 900 * CFM ? 0.1 : 0.08);
}

/**
 * The ends of a stage: those that somebody looked at, otherwise those usual for its kind, its size and the threads of the site.
 * @returns in, out, drain and gauges, and which of them are said
 * @example portsOf(plan, section, stage('receiver')).in.family // 'npt'
 */
export function portsOf(plan: Plan, section: Section, stage: Stage): Ports {
  const { thread, coupler } = plan.fitting;
  const { in: inlet, out, drain } = stage.fit ?? {};
  const flow = flowAtM3PerS(plan, section, stage);
  const usual = usualEnds(stage, flow, thread, coupler);
  const usualDrain = drainPort(stage, flow, thread);
  const gauge: End = { family: thread, size: GAUGE_PORT, gender: 'female' };
  return {
    in: inlet ?? usual.in,
    out: out ?? usual.out,
    ...(usualDrain && { drain: drain ?? usualDrain }),
    gauges: Array.from({ length: gaugePortsOf(stage) }, () => gauge),
    said: { in: inlet !== undefined, out: out !== undefined, drain: drain !== undefined },
  };
}

/** Up to this flow the drain of a bowl or a trap has the small port (common practice, no source). */
const SMALL_DRAIN_M3_PER_S = 100 * CFM;
/** Up to this volume a receiver has a 1/4 in drain port, above it 1/2 in, m³ (common practice, no source). */
const SMALL_TANK_M3 = 0.3;

/** The drain port that is usual for a thing that catches water; pipe and hose have drip legs instead. */
function drainPort(stage: Stage, flow: number, family: 'npt' | 'bspt'): End | undefined {
  const { drain } = stage.parameters as { drain?: string };
  if (drain === undefined || drain === 'none' || isConduit(stage)) return undefined;
  if (stage.kind === 'receiver')
    return { family, size: stage.parameters.volumeM3 > SMALL_TANK_M3 ? '1/2' : '1/4', gender: 'female' };
  return { family, size: flow > SMALL_DRAIN_M3_PER_S ? '1/4' : '1/8', gender: 'male' };
}

function usualEnds(stage: Stage, flow: number, thread: 'npt' | 'bspt', coupler: FamilyName): Pick<Ports, 'in' | 'out'> {
  const both = (end: End) => ({ in: end, out: end });
  if (isConduit(stage)) return both(conduitEnd(stage, thread));
  if (stage.kind === 'outlet') return both(portFor(stage.parameters.flowM3PerS, thread, 'female'));
  if (isHung(stage)) return both({ family: thread, size: '1/4', gender: 'male' });
  if (stage.kind === 'fluid-cooler') return both({ family: 'flare-37', size: '-8', gender: 'male' }); // as such coolers are made
  if (stage.kind === 'coupler') {
    const body = coupler === 'coupler-7.2' ? '1/4' : flow > 30 * CFM || coupler === 'coupler-full' ? '1/2' : '1/4';
    return both({ family: thread, size: body, gender: 'male' }); // socket and plug have threads on their other ends
  }
  return both(portFor(flow, thread, 'female'));
}
