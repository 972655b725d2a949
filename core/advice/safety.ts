import { orificeKgPerS } from '../flow/orifice';
import type { Stage } from '../line/plan';
import type { LineFacts, StageOf } from './line-facts';
import { answer, at, ofLine, put, set, takeOut } from './mend';
import type { Finding, Rule } from './rule';

// Limits: common practice of the trade unless a standard is named.
const PSI = 6894.757;
const MOST_PLANNED_PA = 200 * PSI;
const FIRE_C = 204.4; // 400 °F
const HOT_C = 176.7; // 350 °F
const BLOW_GUN_PA = 30 * PSI; // OSHA 1910.242(b), recalled
const SOFT_SOLDER_C = 93; // 200 °F
const LIGHT_PIPE_C = 60; // aluminium connectors and plastic tube rated for air, 140 °F
const RELIEF_OVER = 1.1; // a relief valve passes its stamped flow at 110 % of its setting

/** A part that bursts, and what it is rated for, as a gauge pressure. */
function ratingOf(line: LineFacts, s: Stage): number | undefined {
  if (s.kind === 'hose') return line.gauge(s.parameters.ratedPa);
  if (s.kind === 'home-made-housing') return line.gauge(s.parameters.markedPa);
  const rated = (s.parameters as { ratedGaugePa?: number }).ratedGaugePa ?? 0;
  return rated > 0 ? rated : undefined;
}

const COOL_FIRST = [['aftercooler'], ['separator', { drain: 'float' }]] as const;
/** A cooler and a separator right behind the pump. */
export const coolAtPump = (line: LineFacts, stage: Stage) => {
  const pump = line.pumpOf(stage);
  return pump && put('Put a cooler and a separator behind the pump', 'behind', pump, ...COOL_FIRST);
};

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

const tooHot = (line: LineFacts, kinds: typeof BURSTS | typeof SUFFERS, why: string): Finding[] =>
  line.of(...kinds).flatMap((s) => {
    const arrives = line.inlet(s)?.temperatureC;
    const limit = s.parameters.ratedC;
    if (arrives === undefined || arrives <= limit) return [];
    return [
      at(
        s,
        (say) => `Air reaches ${s.name} at ${say(arrives, 'temperature')}; its limit is ${say(limit, 'temperature')}.`,
        why,
        coolAtPump(line, s),
      ),
    ];
  });

const CLAIMS = /breath|medical|dental|scuba|respirator/i;

/** What is dangerous, or outside what this program plans. */
export const SAFETY: readonly Rule[] = [
  {
    id: 'S01',
    grade: 'must',
    stop: true,
    when: 'a plastic pipe or housing that no maker lists for compressed air',
    mend: 'Take it out of service. Replace it with metal, or with what its maker lists for compressed air.',
    source: 'OSHA hazard bulletin of 1988 and pipe makers’ instructions, recalled',
    finds: (line) => [
      ...line
        .of('pipe')
        .filter((s) => s.parameters.material === 'pvc' || s.parameters.material === 'water-pex')
        .map((s) =>
          at(
            s,
            `${s.name} is plastic that is not rated for compressed air.`,
            s.parameters.material === 'pvc'
              ? 'It shatters without warning and throws its pieces. Years without a leak prove nothing: age, oil and cold make it brittle.'
              : 'It is made for water. Air stores far more energy, and neither heat nor oil agrees with it.',
            set('Lay copper instead', s, { material: 'copper' }),
          ),
        ),
      ...line
        .of('home-made-housing')
        .map((s) =>
          at(
            s,
            `${s.name} is a housing made for water.`,
            'Tests with water say nothing of air, oil or age: what bursts under air throws its pieces.',
            takeOut('Take it out', s),
          ),
        ),
    ],
  },
  {
    id: 'S02',
    grade: 'must',
    stop: true,
    when: 'a receiver without a relief valve',
    mend: 'Fit a stamped relief valve on the tank, with no valve between.',
    source: 'OSHA 1910.169(b)(3), recalled',
    finds: (line) =>
      line
        .of('receiver')
        .filter((s) => s.parameters.relief === 'none' && !line.reliefOf(s))
        .map((s) =>
          at(
            s,
            `${s.name} has no relief valve.`,
            'If the pressure switch sticks, nothing stops the pump before the tank bursts.',
            put('Put a relief valve on it', 'before', s, [
              'relief-valve',
              {
                setPressurePa:
                  line.around.atmosphericPa +
                  (s.parameters.ratedGaugePa || RELIEF_OVER * line.gauge(line.pumpOf(s)?.parameters.cutOutPa ?? 0)),
              },
            ]),
          ),
        ),
  },
  {
    id: 'S03',
    grade: 'must',
    stop: true,
    when: 'a relief valve set above the rating of a tank beside it, or of a part ahead of it',
    mend: 'Fit a valve with a lower setting, or protect the weaker part by a valve of its own.',
    source: 'pressure-vessel codes; common practice',
    finds: (line) =>
      [...line.of('relief-valve'), ...line.of('receiver')].flatMap((s) => {
        const setPa =
          s.kind === 'relief-valve'
            ? line.gauge(s.parameters.setPressurePa)
            : s.parameters.relief === 'own'
              ? s.parameters.reliefSetGaugePa
              : 0;
        const beside = [
          s,
          ...line.upstream(s),
          ...(s.kind === 'relief-valve' ? [line.next(s)].filter((n) => n?.kind === 'receiver') : []),
        ] as Stage[];
        const weak = beside
          .filter((p) => (ratingOf(line, p) ?? Infinity) < setPa)
          .sort((a, b) => (ratingOf(line, a) as number) - (ratingOf(line, b) as number))[0];
        const bears = weak && (ratingOf(line, weak) as number);
        if (!weak || bears === undefined) return [];
        return [
          at(
            [s, weak],
            (say) =>
              `${s.kind === 'relief-valve' ? s.name : `The relief valve of ${s.name}`} opens at ${say(setPa, 'pressureDifference')}; ${weak.name} bears ${say(bears, 'pressureDifference')}.`,
            'It would let go only after the weaker part has been overloaded.',
            set(
              'Fit a valve that opens where it should',
              s,
              s.kind === 'relief-valve'
                ? { setPressurePa: line.around.atmosphericPa + bears }
                : { reliefSetGaugePa: bears },
            ),
          ),
        ];
      }),
  },
  {
    id: 'S04',
    grade: 'must',
    stop: true,
    when: 'a relief valve that passes less than all connected pumps deliver',
    mend: 'Fit a valve whose stamped capacity is at least what all pumps deliver together.',
    source: 'ASME VIII-1 (capacity at 110 % of the setting), recalled; flow through its bore computed',
    finds: (line) =>
      line.of('relief-valve').flatMap((s) => {
        const { atmosphericPa } = line.around;
        const at110 = atmosphericPa + RELIEF_OVER * line.gauge(s.parameters.setPressurePa);
        const passes = orificeKgPerS(s.parameters.boreM, at110, atmosphericPa, 20);
        const makes = line.section.dryAirKgPerS;
        if (passes >= makes) return [];
        return [
          at(
            s,
            (say) => `${s.name} passes ${say(passes, 'massFlow')}; the pumps make ${say(makes, 'massFlow')}.`,
            'With the valve wide open the pressure would still rise.',
            set('Fit a wider valve', s, { boreM: s.parameters.boreM * Math.sqrt((1.1 * makes) / passes) }),
          ),
        ];
      }),
  },
  {
    id: 'S05',
    grade: 'must',
    stop: true,
    when: 'a part rated for less than the relief valve before it lets through',
    mend: 'Fit a part of a higher rating, or a regulator with a relief valve of its own before it.',
    source: 'common practice: a regulator may fail open',
    finds: (line) =>
      line.stages.flatMap((s) => {
        const rated = s.kind === 'receiver' ? undefined : ratingOf(line, s);
        const most = rated === undefined ? 0 : line.mostGaugePa(s);
        if (rated === undefined || most <= rated) return [];
        return [
          at(
            s,
            (say) =>
              `${s.name} is rated for ${say(rated, 'pressureDifference')}; it can come to see ${say(most, 'pressureDifference')}.`,
            'That is where the relief valve before it opens. A regulator between them does not count: it can fail open.',
            s.kind === 'hose'
              ? set('Take a hose that is rated for it', s, { ratedPa: line.around.atmosphericPa + 1.25 * most })
              : 'ratedGaugePa' in s.parameters
                ? set('Take one that is rated for it', s, { ratedGaugePa: 1.25 * most })
                : takeOut('Take it out', s),
          ),
        ];
      }),
  },
  {
    id: 'S06',
    grade: 'must',
    stop: true,
    when: 'a bowl, hose or vessel that hotter air reaches than it bears',
    mend: 'Cool the air before it.',
    source: 'limits on the parts; typical ones are common practice',
    finds: (line) => tooHot(line, BURSTS, 'Heat softens and cracks it: it may burst.'),
  },
  {
    id: 'S06b',
    grade: 'must',
    when: 'another part that hotter air reaches than it bears',
    mend: 'Cool the air before it.',
    source: 'limits on the parts; typical ones are common practice',
    finds: (line) => tooHot(line, SUFFERS, 'Heat spoils what is in it, and it lets through what it should hold.'),
  },
  {
    id: 'S07',
    grade: 'must',
    stop: true,
    when: 'somebody breathes from the line, or a name claims that the air is fit for it',
    mend: 'Use a certified breathing-air system. This program plans no air to breathe.',
    source: 'OSHA 1910.134, EN 12021 and the like, recalled',
    finds: (line) => {
      const { breathed } = line.plan.survey.site;
      const why = 'No filter here takes out carbon monoxide, and nothing here tells that it is there.';
      const outlets = line
        .of('outlet')
        .filter((s) => s.parameters.use === 'breathing')
        .map((s) => at(s, `${s.name} gives air to breathe.`, why, takeOut('Take this outlet off the line', s)));
      const claims =
        breathed === 'no'
          ? []
          : line.stages
              .filter((s) => CLAIMS.test(s.name) && !(s.kind === 'outlet' && s.parameters.use === 'breathing'))
              .map((s) =>
                at(
                  s,
                  `“${s.name}” sounds like air to breathe.`,
                  why,
                  answer('Nobody breathes from this line', { breathed: 'no' }),
                ),
              );
      return breathed === 'yes'
        ? [ofLine('Somebody breathes from this line.', why), ...outlets, ...claims]
        : [...outlets, ...claims];
    },
  },
  {
    id: 'S08',
    grade: 'must',
    stop: true,
    when: 'a valve that can be shut between a pump and its first relief valve',
    mend: 'Take the valve out, or fit a relief valve before it.',
    source: 'OSHA 1910.169 and pressure-vessel codes, recalled',
    finds: (line) =>
      line.pumps.flatMap((pump) => {
        const path = line.downstream(pump);
        const relief = path.findIndex((s) => s.kind === 'relief-valve' || s.kind === 'receiver');
        return path
          .slice(0, Math.max(relief, 0))
          .filter((s) => s.kind === 'isolating-valve')
          .map((s) =>
            at(
              s,
              `${s.name} can shut the pump off from its relief valve.`,
              'Shut by mistake, it leaves the pump pushing into a dead end.',
              takeOut('Take the valve out', s),
            ),
          );
      }),
  },
  {
    id: 'S09',
    grade: 'must',
    stop: true,
    when: 'a tank without a legible nameplate for air, made for another gas, or mended by nobody knows whom',
    mend: 'Have it looked at by an inspector, or scrap it. A test with water at home makes it neither legal nor safe.',
    source: 'ASME VIII and the like, recalled; common practice',
    finds: (line) =>
      line
        .of('receiver')
        .filter((s) => s.parameters.nameplate === 'none' || s.parameters.nameplate === 'other')
        .map((s) =>
          at(
            s,
            `Nobody can tell what ${s.name} may hold.`,
            s.parameters.nameplate === 'none'
              ? 'It has no legible nameplate.'
              : 'It was made for another gas, or mended by nobody knows whom.',
            set('Put in a tank with a nameplate', s, { nameplate: 'legible' }),
          ),
        ),
  },
  {
    id: 'S10',
    grade: 'must',
    stop: true,
    when: 'an intake near solvent, fuel gas or oxygen',
    mend: 'Move the intake to clean air.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('intake')
        .filter((s) => s.parameters.near === 'explosive')
        .map((s) =>
          at(
            s,
            `${s.name} may draw what burns or explodes.`,
            'Compressed and hot, it can go off in the pump or the tank.',
            set('Move it to clean air', s, { near: 'clean' }),
          ),
        ),
  },
  {
    id: 'S11',
    grade: 'must',
    stop: true,
    when: 'an oil-lubricated piston pump whose air leaves at 400 °F (204 °C) or more',
    mend: 'Shut it down and have valves, carbon and oil seen to. Cooling alone is no cure.',
    source: 'common practice',
    finds: (line) =>
      hotPumps(line, FIRE_C, Infinity).map(([s, c]) =>
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
    mend: 'See to valves, cooling fins and oil before it grows hotter.',
    source: 'common practice',
    finds: (line) =>
      hotPumps(line, HOT_C, FIRE_C).map(([s, c]) =>
        at(
          s,
          (say) => `Air leaves ${s.name} at ${say(c, 'temperature')}.`,
          (say) => `Carbon grows there, and from ${say(FIRE_C, 'temperature')} on it can burn.`,
        ),
      ),
  },
  {
    id: 'S12',
    grade: 'must',
    stop: true,
    when: 'oily beads that are dried by heat',
    mend: 'Discard them, and find where the oil comes from.',
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
            set('Put in a new charge', s, { oily: 'no', charge: 'new', spentShare: 0 }),
          ),
        ),
  },
  {
    id: 'S13',
    grade: 'must',
    stop: true,
    when: 'another gas than air in the line',
    mend: 'Ask a specialist for that gas.',
    source: 'outside the range of the program',
    finds: (line) =>
      line.plan.survey.site.gas === 'other'
        ? [
            ofLine(
              'There is another gas than air in this line.',
              'Its hazards are others, and none of the figures here holds for it.',
            ),
          ]
        : [],
  },
  {
    id: 'S14',
    grade: 'must',
    stop: true,
    when: 'any part above 200 psi (13.8 bar)',
    mend: 'Ask a pressure engineer.',
    source: 'outside the range of the program',
    finds: (line) =>
      line.pumps
        .filter((s) => line.gauge(s.parameters.cutOutPa) > MOST_PLANNED_PA)
        .map((s) =>
          at(
            s,
            (say) => `${s.name} runs up to ${say(s.parameters.cutOutPa, 'pressure')}.`,
            (say) => `This program plans up to ${say(MOST_PLANNED_PA, 'pressureDifference')}.`,
          ),
        ),
  },
  {
    id: 'S15',
    grade: 'must',
    stop: true,
    when: 'electrics of unknown rating where the air may explode',
    mend: 'Have the area classified, and fit what is rated for it.',
    source: 'NEC 500, ATEX, recalled',
    finds: (line) =>
      line.plan.survey.site.area === 'unrated'
        ? [
            ofLine(
              'Nobody has looked whether what is electric here may spark.',
              'Ordinary solenoids, fans and meters ignite what is in the air.',
            ),
          ]
        : [],
  },
  {
    id: 'O43',
    grade: 'must',
    stop: true,
    when: 'soft solder, aluminium or plastic tube where the air is hotter than it bears',
    mend: 'Copper brazed, steel or rated stainless flex until the air is cool enough.',
    source: 'common practice',
    finds: (line) =>
      line.of('pipe', 'cooling-run').flatMap((s) => {
        const soft = s.parameters.joints === 'soft';
        const light =
          s.kind === 'pipe' && (s.parameters.material === 'aluminium' || s.parameters.material === 'rated-plastic');
        const limit = light ? LIGHT_PIPE_C : soft ? SOFT_SOLDER_C : Infinity;
        const arrives = line.inlet(s)?.temperatureC ?? 0;
        if (arrives <= limit) return [];
        return [
          at(
            s,
            (say) => `${s.name} meets air of ${say(arrives, 'temperature')}; it bears ${say(limit, 'temperature')}.`,
            light ? 'Such pipe softens or loses its hold near a hot pump.' : 'Soft solder creeps and lets go.',
            s.kind === 'pipe' && light
              ? set('Lay brazed copper', s, { material: 'copper', joints: 'metal' })
              : set('Braze the joints', s, { joints: 'metal' }),
          ),
        ];
      }),
  },
  {
    id: 'O61',
    grade: 'must',
    stop: true,
    when: 'a regulator set above what the tool bears',
    mend: 'Set it lower and lock it.',
    source: 'the tool’s own rating',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const most = s.parameters.mostGaugePa;
        const { pa, regulator } = line.restGaugePa(s);
        if (most === 0 || pa <= most || !regulator) return [];
        return [
          at(
            [regulator, s],
            (say) =>
              `${s.name} is rated for ${say(most, 'pressureDifference')}; ${regulator.name} is set to ${say(pa, 'pressureDifference')}.`,
            'A tool above its rating runs away or bursts.',
            set('Set the regulator down, and lock it', regulator, {
              setPressurePa: line.around.atmosphericPa + most,
              lock: 'locked',
            }),
          ),
        ];
      }),
  },
  {
    id: 'A01',
    grade: 'must',
    stop: true,
    when: 'tank pressure on a tool that is rated for less',
    mend: 'Put a regulator before it.',
    source: 'the tool’s own rating',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const most = s.parameters.mostGaugePa;
        const { pa, regulator } = line.restGaugePa(s);
        if (most === 0 || pa <= most || regulator) return [];
        return [
          at(
            s,
            (say) =>
              `${s.name} is rated for ${say(most, 'pressureDifference')} and sees the tank’s ${say(pa, 'pressureDifference')}.`,
            'Nothing sets the pressure down before it.',
            put('Put a regulator before it', 'before', s, [
              'regulator',
              { setPressurePa: line.around.atmosphericPa + most, lock: 'locked' },
            ]),
          ),
        ];
      }),
  },
  {
    id: 'O62',
    grade: 'must',
    stop: true,
    when: 'a plain blow-gun on 30 psi (2.1 bar) or more',
    mend: 'A nozzle that relieves when blocked, chip guard, eye protection.',
    source: 'OSHA 1910.242(b), recalled',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const { pa } = line.restGaugePa(s);
        if (s.parameters.use !== 'blow-gun' || s.parameters.nozzle === 'relieving' || pa < BLOW_GUN_PA) return [];
        return [
          at(
            s,
            (say) => `The blow-gun at ${s.name} has ${say(pa, 'pressureDifference')} behind a plain nozzle.`,
            (say) => `Blocked against skin it must stay below ${say(BLOW_GUN_PA, 'pressureDifference')}.`,
            set('Fit a relieving nozzle', s, { nozzle: 'relieving' }),
          ),
        ];
      }),
  },
  {
    id: 'A02',
    grade: 'must',
    stop: true,
    when: 'a tube, fluid cooler or hose without a rating for compressed air',
    mend: 'Ask its maker for a rating in writing. None means: take it out.',
    source: 'common practice',
    finds: (line) => {
      const why = 'Fuel line, plumbing tube and household hose are not made for hot, pulsing air.';
      return [
        ...line
          .of('cooling-run')
          .filter((s) => s.parameters.tube === 'none')
          .map((s) =>
            at(s, `${s.name} has no rating for air.`, why, set('Use tube that is rated', s, { tube: 'rated' })),
          ),
        ...line
          .of('fluid-cooler')
          .filter((s) => s.parameters.rating === 'none')
          .map((s) =>
            at(
              s,
              `The maker of ${s.name} says nothing of air.`,
              'It needs a stated burst pressure of four to five times the working pressure.',
              put('Put in an aftercooler made for air', 'before', s, ['aftercooler']),
              takeOut('Take it out', s),
            ),
          ),
        ...line
          .of('hose')
          .filter((s) => s.parameters.print === 'no')
          .map((s) =>
            at(
              s,
              `${s.name} has no rating on it.`,
              why,
              set('Use a hose with its rating printed on it', s, { print: 'yes' }),
            ),
          ),
      ];
    },
  },
  {
    id: 'A03',
    grade: 'note',
    when: 'nobody has said whether anyone breathes from the line',
    mend: 'Ask, and say so in the Survey.',
    source: 'common practice',
    finds: (line) =>
      line.plan.survey.site.breathed === 'not-said'
        ? [
            ofLine(
              'Does anyone breathe from this line?',
              'A hood, a mask or a bottle changes everything.',
              answer('Nobody does', { breathed: 'no' }),
              answer('Somebody does', { breathed: 'yes' }),
            ),
          ]
        : [],
  },
  {
    id: 'A04',
    grade: 'should',
    when: 'a tank of which nobody has said whether it has a relief valve or a nameplate',
    mend: 'Look at the tank, and enter what is there.',
    source: 'common practice',
    finds: (line) =>
      line.of('receiver').flatMap((s) => {
        const relief = s.parameters.relief === 'not-said' && !line.reliefOf(s);
        const plate = s.parameters.nameplate === 'not-said';
        if (!relief && !plate) return [];
        return [
          at(
            s,
            `Look at ${s.name}: ${[relief && 'has it a relief valve', plate && 'is its nameplate legible'].filter(Boolean).join(', and ')}?`,
            'A tank that bursts can kill. Its valve and its plate are what stands before that.',
            set('It has both, I looked', s, {
              ...(relief && { relief: 'own' }),
              ...(plate && { nameplate: 'legible' }),
            }),
          ),
        ];
      }),
  },
];

function hotPumps(line: LineFacts, from: number, to: number): [StageOf<'compressor'>, number][] {
  return line.pumps.flatMap((s): [StageOf<'compressor'>, number][] => {
    const { dischargeTemperatureFrom, dischargeTemperatureC } = s.parameters;
    // Beyond what the equations reach the walk stops; a reading counts all the same.
    const c = dischargeTemperatureFrom === 'measured' ? dischargeTemperatureC : (line.at(s)?.temperatureC ?? 0);
    const oiled = s.parameters.type === 'piston1' || s.parameters.type === 'piston2';
    return oiled && c >= from && c < to ? [[s, c]] : [];
  });
}
