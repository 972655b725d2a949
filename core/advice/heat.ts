import type { Stage } from '../plan/plan';
import { provenanceOf } from '../plan/provenance';
import { coolAtCompressor } from './cool-first';
import { at, set } from './fix';
import type { LineFacts, StageOf } from './line-facts';
import type { Finding, Rule } from './rule';

const FIRE_C = 204.4; // 400 °F

const HOT_C = 176.7; // 350 °F

const SOFT_SOLDER_C = 93; // 200 °F

const LIGHT_PIPE_C = 60; // aluminium connectors and plastic tube rated for air, 140 °F

const BURSTS = [
  'bowl-filter',
  'tool-filter',
  'droplet-separator',
  'lubricator',
  'bead-cartridge',
  'receiver',
  'hose',
] as const;

const SUFFERS = [
  'coalescing-filter',
  'particulate-filter',
  'carbon-filter',
  'separator',
  'membrane',
  'twin-tower',
  'heated-purge-tower',
  'blower-purge-tower',
  'split-flow-tower',
  'pellet-tower',
] as const;

const isLight = (s: StageOf<'pipe' | 'cooling-run'>): boolean =>
  s.kind === 'pipe' && (s.parameters.material === 'aluminium' || s.parameters.material === 'rated-plastic');

/** What pipe and its joints bear. */
const pipeBearsC = (s: StageOf<'pipe' | 'cooling-run'>): number =>
  isLight(s) ? LIGHT_PIPE_C : s.parameters.joints === 'soft' ? SOFT_SOLDER_C : Infinity;

/** Whether the temperature that reaches a stage is calculated from an estimate of what leaves the compressor: nobody has read it. */
function isEstimated(line: LineFacts, s: Stage): boolean {
  for (const u of line.upstream(s)) {
    const p = u.parameters as { method?: string; temperature?: string };
    if (p.method === 'measured' || p.temperature === 'measured') return false;
    if (u.kind === 'compressor') return u.parameters.dischargeTemperatureFrom !== 'measured';
  }
  return false;
}

const tooHot = (
  line: LineFacts,
  kinds: typeof BURSTS | typeof SUFFERS,
  why: string,
  asks: 'read' | 'estimated' | 'either' = 'either',
): Finding[] =>
  line.of(...kinds).flatMap((s) => {
    const arrives = line.inlet(s)?.temperatureC;
    const limit = s.parameters.ratedC;
    if (arrives === undefined || arrives <= limit) return [];
    if (asks !== 'either' && isEstimated(line, s) !== (asks === 'estimated')) return [];
    const typical = provenanceOf(s, 'ratedC') === 'typical';
    return [
      at(
        s,
        (say) =>
          `Air reaches ${s.name} at ${say(arrives, 'temperature')}; its limit is ${typical ? 'typically ' : ''}${say(limit, 'temperature')}.`,
        why,
        coolAtCompressor(line, s),
      ),
    ];
  });

/** Compressors whose air leaves in a range; where it is only estimated, the range has no upper end, and no danger rests on it. */
function hotCompressors(line: LineFacts, from: number, to: number): [StageOf<'compressor'>, number][] {
  return line.compressors.flatMap((s): [StageOf<'compressor'>, number][] => {
    const { dischargeTemperatureFrom, dischargeTemperatureC } = s.parameters;
    const read = dischargeTemperatureFrom === 'measured';
    if (!read && to === Infinity) return [];
    // Beyond what the equations reach the walk stops; a reading counts all the same.
    const c = dischargeTemperatureFrom === 'measured' ? dischargeTemperatureC : (line.at(s)?.temperatureC ?? 0);
    const oiled = s.parameters.type === 'piston1' || s.parameters.type === 'piston2';
    return oiled && c >= from && (c < to || !read) ? [[s, c]] : [];
  });
}

/** What air is too hot for. */
export const HEAT: readonly Rule[] = [
  {
    id: 'S06',
    grade: 'must',
    stop: true,
    when: 'a bowl, hose or vessel that is hotter than its limit',
    fix: 'Cool the air upstream of it.',
    source: 'limits on the parts; typical ones are common practice',
    finds: (line) => tooHot(line, BURSTS, 'Heat softens and cracks it: it may burst.', 'read'),
  },
  {
    id: 'A42',
    grade: 'must',
    when: 'the same by an estimate of what leaves the compressor, which nobody has read',
    fix: 'Read the temperature of the air that leaves the compressor, warm and loaded, and enter it; cool the air first if in doubt.',
    source: 'the estimate is good to some 25 K for pistons',
    finds: (line) => [
      ...tooHot(
        line,
        BURSTS,
        'By an estimate only: read it before you rely on it. Heat softens and cracks it, and it may burst.',
        'estimated',
      ),
      ...line.of('pipe', 'cooling-run').flatMap((s) => {
        const arrives = line.inlet(s)?.temperatureC ?? 0;
        return arrives > pipeBearsC(s) && isEstimated(line, s)
          ? [
              at(
                s,
                (say) =>
                  `Air may reach ${s.name} at ${say(arrives, 'temperature')}; its limit is ${say(pipeBearsC(s), 'temperature')}.`,
                'By an estimate only: read it before you rely on it.',
                coolAtCompressor(line, s),
              ),
            ]
          : [];
      }),
    ],
  },
  {
    id: 'S06b',
    grade: 'must',
    when: 'another part that is hotter than its limit',
    fix: 'Cool the air upstream of it.',
    source: 'limits on the parts; typical ones are common practice',
    finds: (line) => tooHot(line, SUFFERS, 'Heat spoils what is in it, and it passes what it should retain.'),
  },
  {
    id: 'S11',
    grade: 'must',
    stop: true,
    when: 'an oil-lubricated piston compressor whose air leaves at 400 °F (204 °C) or more',
    fix: 'Shut it down and have valves, carbon and oil seen to. Cooling alone does not solve it.',
    source: 'common practice',
    finds: (line) =>
      hotCompressors(line, FIRE_C, Infinity).map(([s, c]) =>
        at(
          s,
          (say) => `Air leaves ${s.name} at ${say(c, 'temperature')}.`,
          'Hot enough to set carbon and oil on fire in the discharge pipe.',
        ),
      ),
  },
  {
    id: 'S11b',
    grade: 'should',
    when: 'the same, from 350 °F (177 °C) on',
    fix: 'See to valves, cooling fins and oil before it grows hotter.',
    source: 'common practice',
    finds: (line) =>
      hotCompressors(line, HOT_C, FIRE_C).map(([s, c]) =>
        at(
          s,
          (say) =>
            s.parameters.dischargeTemperatureFrom === 'measured'
              ? `Air leaves ${s.name} at ${say(c, 'temperature')}.`
              : `Air leaves ${s.name} at ${say(c, 'temperature')} by an estimate: read it.`,
          (say) => `Carbon deposits form there, and from ${say(FIRE_C, 'temperature')} on it can burn.`,
        ),
      ),
  },
  {
    id: 'S12',
    grade: 'must',
    stop: true,
    when: 'oily beads that are dried by heat',
    fix: 'Discard them, and find where the oil comes from.',
    source: 'makers’ instructions; common practice',
    finds: (line) =>
      line
        .of('bead-cartridge')
        .filter((s) => s.parameters.oily === 'yes' && s.parameters.charge === 'oven')
        .map((s) =>
          at(
            s,
            `The beads in ${s.name} are oily, and dried in an oven.`,
            'Oily beads can burn when they are heated.',
            set('Use a new charge', s, { oily: 'no', charge: 'new', spentShare: 0 }),
          ),
        ),
  },
  {
    id: 'O43',
    grade: 'must',
    stop: true,
    when: 'soft solder, aluminium or plastic tube where the air is hotter than its limit',
    fix: 'Copper brazed, steel or rated stainless flex until the air is cool enough.',
    source: 'common practice',
    finds: (line) =>
      line.of('pipe', 'cooling-run').flatMap((s) => {
        const light = isLight(s);
        const limit = pipeBearsC(s);
        const arrives = line.inlet(s)?.temperatureC ?? 0;
        if (arrives <= limit || isEstimated(line, s)) return [];
        return [
          at(
            s,
            (say) =>
              `${s.name} meets air of ${say(arrives, 'temperature')}; its limit is ${say(limit, 'temperature')}.`,
            light ? 'Such pipe softens or loosens near a hot compressor.' : 'Soft solder creeps and fails.',
            s.kind === 'pipe' && light
              ? set('Lay brazed copper', s, { material: 'copper', joints: 'metal' })
              : set('Braze the joints', s, { joints: 'metal' }),
          ),
        ];
      }),
  },
];
