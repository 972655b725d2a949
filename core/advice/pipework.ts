import { kindOf } from '../equipment/index';
import { lossesTo } from '../flow/waterfall';
import type { Stage } from '../line/plan';
import { stageById } from '../line/runs';
import { DESICCANT, is, TOWERS, TREATMENT } from './groups';
import type { LineFacts, StageOf } from './line-facts';
import { at, carry, put, refit, set } from './mend';
import type { Rule } from './rule';

// Limits: common practice of the trade.
const TREATMENT_MOST_PA = 68_948; // 10 psi
const TREATMENT_MOST_SHARE = 0.1;
const FALL_LEAST = 0.01;
const SHORT_M = 6;
const BENCH_M = 15;
const RANGE = { least: 0.25, most: 0.75 };
const COLD_JACKET_C = -10;
const JACKET_C = { rubber: 70, pvc: 50, polyurethane: 60, nitrile: 100 } as const;
const DRY_BY_K = 10;
const MOST_SIZES_UP = 6;

const lengthOf = (s: Stage): number =>
  s.kind === 'pipe' || s.kind === 'hose' || s.kind === 'hose-reel' ? s.parameters.lengthM : 0;
/** Water lies in it: the air comes with drops, or drops some here. */
const wet = (line: LineFacts, s: Stage): boolean =>
  (line.at(s)?.liquidKgPerS ?? 0) > 0 || (line.at(s)?.caughtKgPerS ?? 0) > 0 || (line.inlet(s)?.liquidKgPerS ?? 0) > 0;
const dry = (line: LineFacts, s: Stage): boolean => (line.inlet(s)?.pressureDewPointC ?? 99) < line.roomC(s) - DRY_BY_K;
const arrives = (line: LineFacts, o: Stage): number | undefined => line.moments.get(o.id)?.section.at(o.id)?.pressurePa;

/** A stage as many sizes up as it takes; where no size is enough alone, one size up, and said so. */
function wideEnough(stage: Stage, isEnough: (parameters: Stage['parameters']) => boolean) {
  const first = kindOf(stage.kind).wider?.(stage.parameters);
  let wider = first;
  for (let i = 0; i < MOST_SIZES_UP && wider; i++) {
    if (isEnough(wider.parameters as Stage['parameters'])) return wider;
    wider = kindOf(stage.kind).wider?.(wider.parameters);
  }
  return first && { ...first, says: `${first.says}: not enough alone` };
}

/** Pipe, hose and fittings, and the pressure that they leave. */
export const PIPEWORK: readonly Rule[] = [
  {
    id: 'O30',
    grade: 'should',
    when: 'more than 10 psi (0.7 bar), or 10 % of the supply, lost in treatment',
    mend: 'New or larger elements, fewer duplicates.',
    source: 'common practice: about ½ % of the power for each psi',
    finds: (line) =>
      line
        .of('outlet')
        .map((o) => {
          const moment = line.moments.get(o.id);
          const losses = moment
            ? lossesTo(line.plan, o.id, moment).filter((l) =>
                is(TREATMENT, stageById(line.plan, l.stageId)?.kind ?? 'outlet'),
              )
            : [];
          return { o, losses, sum: losses.reduce((all, l) => all + l.lossPa, 0) };
        })
        .toSorted((a, b) => b.sum - a.sum)
        .slice(0, 1)
        .flatMap(({ o, losses, sum }) => {
          const supply = line.gauge(line.pumpOf(o)?.parameters.cutInPa ?? 0);
          const worst = stageById(line.plan, losses[0]?.stageId);
          if (!worst || (sum <= TREATMENT_MOST_PA && sum <= TREATMENT_MOST_SHARE * supply)) return [];
          const wider = kindOf(worst.kind).wider?.(worst.parameters);
          return [
            at(
              [worst, o],
              (say) => `Coolers, filters and dryers eat ${say(sum, 'pressureDifference')} on the way to ${o.name}.`,
              (say) =>
                `${worst.name} takes the most: ${say(losses[0]?.lossPa ?? 0, 'pressureDifference')}. It costs some ${Math.round((sum / 6894.757) * 0.5)} % of the power.`,
              wider
                ? refit(`Fit ${wider.says}`, worst, wider.parameters)
                : set('Take one with half the loss', worst, {
                    pressureLossPa: (worst.parameters as { pressureLossPa: number }).pressureLossPa / 2,
                  }),
            ),
          ];
        }),
  },
  {
    id: 'O31',
    grade: 'must',
    when: 'less pressure at a tool than it needs while all blows that can',
    mend: 'Look at the step with the greatest loss: hose, coupler and pipe first, the pressure switch last.',
    source: 'computed from this line at its worst moment',
    finds: (line) =>
      line.of('outlet').flatMap((o) => {
        const gets = arrives(line, o);
        const needs = o.parameters.leastPressurePa;
        if (gets === undefined || gets >= needs) return [];
        const moment = line.moments.get(o.id);
        const losses = moment ? lossesTo(line.plan, o.id, moment) : [];
        const regulator = line.upstream(o).find((s) => s.kind === 'regulator') as StageOf<'regulator'> | undefined;
        const low = regulator && regulator.parameters.setPressurePa < needs ? regulator : undefined;
        const worst = stageById(line.plan, losses[0]?.stageId);
        const wider =
          worst && moment && wideEnough(worst, (p) => (moment.with(worst.id, p).at(o.id)?.pressurePa ?? 0) >= needs);
        return [
          at(
            worst ? [o, worst] : [o],
            (say) => `${o.name} gets ${say(gets, 'pressure')} and needs ${say(needs, 'pressure')}.`,
            (say) =>
              low
                ? `${low.name} is set to ${say(low.parameters.setPressurePa, 'pressure')}.`
                : worst
                  ? `${worst.name} loses the most: ${say(losses[0]?.lossPa ?? 0, 'pressureDifference')}.`
                  : 'The pump itself does not reach it.',
            low && set(`Set ${low.name} up`, low, { setPressurePa: needs + 2e4 }),
            low || !worst || !wider ? undefined : refit(`Take ${wider.says}`, worst, wider.parameters),
          ),
        ];
      }),
  },
  {
    id: 'O32',
    grade: 'should',
    when: 'a take-off from the side or bottom of the main',
    mend: 'Take it off the top, with a gooseneck.',
    source: 'common practice: water runs on the bottom',
    finds: (line) =>
      line
        .of('pipe')
        .filter((s) => s.parameters.takeOff === 'side' && s.parameters.use !== 'main' && !dry(line, s))
        .map((s) =>
          at(
            s,
            `${s.name} leaves the main at its side or bottom.`,
            (say) =>
              `Water runs along the bottom, and goes down it first; the air there is ${say(line.inlet(s) ? line.humidity(line.inlet(s) as never) : 1, 'share')} humid.`,
            set('Take it off the top', s, { takeOff: 'top' }),
          ),
        ),
  },
  {
    id: 'O33',
    grade: 'should',
    when: 'pipe in which water gathers, without a drip leg and drain',
    mend: 'A leg with a drain at the low point.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('pipe')
        .filter(
          (s) =>
            s.parameters.lengthM > SHORT_M &&
            wet(line, s) &&
            (s.parameters.legs === 0 || s.parameters.drain === 'none'),
        )
        .map((s) =>
          at(
            s,
            `Water gathers in ${s.name}.`,
            (say) =>
              `${say(line.at(s)?.liquidKgPerS ?? 0, 'waterFlow')} of drops runs through it, and no drip leg catches it.`,
            set('Fit a drip leg with a drain', s, { legs: 1, drain: 'manual' }),
          ),
        ),
  },
  {
    id: 'O34',
    grade: 'should',
    when: 'a main that falls less than 1 %, in air that is not dry',
    mend: '1 to 2 % of fall to a leg that is drained.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('pipe')
        .filter(
          (s) =>
            s.parameters.use === 'main' &&
            s.parameters.lengthM > SHORT_M &&
            s.parameters.fall < FALL_LEAST &&
            !dry(line, s),
        )
        .map((s) =>
          at(
            s,
            `${s.name} lies flat: water sits in it.`,
            (say) => `It falls ${say(s.parameters.fall, 'fall')}; water runs from about ${say(FALL_LEAST, 'fall')} on.`,
            set('Hang it with a fall', s, { fall: 0.015 }),
          ),
        ),
  },
  {
    id: 'O44',
    grade: 'should',
    when: 'galvanised or black steel behind desiccant, before a use of particle class 1 or 2',
    mend: 'Aluminium, copper or stainless.',
    source: 'common practice: it sheds flakes',
    finds: (line) =>
      line.of('pipe').flatMap((s) => {
        const steel = s.parameters.material === 'black' || s.parameters.material === 'galvanised';
        const clean = line
          .downstream(s)
          .find(
            (d) => d.kind === 'outlet' && (d.parameters.particleClass === '1' || d.parameters.particleClass === '2'),
          );
        if (!steel || !clean || !line.upstream(s).some((u) => is([...DESICCANT, ...TOWERS], u.kind))) return [];
        return [
          at(
            [s, clean],
            `${s.name} sheds into clean air.`,
            `${s.parameters.material === 'black' ? 'Black' : 'Galvanised'} steel lets go of flakes; ${clean.name} asks for particle class ${clean.kind === 'outlet' ? clean.parameters.particleClass : ''}.`,
            set('Lay stainless instead', s, { material: 'stainless' }),
          ),
        ];
      }),
  },
  {
    id: 'O45',
    grade: 'should',
    when: 'rigid pipe straight off a pump that shakes',
    mend: 'A flexible joint rated for that heat and pressure.',
    source: 'common practice: it fatigues and cracks',
    finds: (line) =>
      line.pumps.flatMap((pump) => {
        const next = line.next(pump);
        const stiff =
          pump.parameters.joint === 'rigid' ||
          (pump.parameters.joint === 'not-said' && (next?.kind === 'pipe' || next?.kind === 'cooling-run'));
        if (!stiff || next?.kind === 'hose') return [];
        return [
          at(
            next ? [pump, next] : [pump],
            'Rigid pipe straight on a pump that shakes will crack.',
            `Nothing flexible stands between ${pump.name} and ${next?.name ?? 'the pipe'}.`,
            set('Make the first joint flexible', pump, { joint: 'flexible' }),
          ),
        ];
      }),
  },
  {
    id: 'A17',
    grade: 'note',
    when: 'no valve right at the tank’s outlet',
    mend: 'A valve there: the pump can be served without emptying the shop’s air.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('receiver')
        .filter((s) => line.of('receiver')[0] === s)
        .flatMap((s) => {
          const near = line
            .downstream(s)
            .filter((d) => !['gauge', 'relief-valve', 'sight-glass', 'hose', 'check-valve'].includes(d.kind));
          return near[0]?.kind === 'isolating-valve'
            ? []
            : [
                at(
                  s,
                  `No valve shuts ${s.name} off from the line.`,
                  `Each service of what stands before ${near[0]?.name ?? 'the line'} empties the whole shop.`,
                  put('Put a valve at its outlet', 'behind', s, ['isolating-valve']),
                ),
              ];
        }),
  },
  {
    id: 'A18',
    grade: 'must',
    when: 'two halves of a coupling that do not mate',
    mend: 'Keep one pattern of plug, one flare, one thread.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('coupler')
        .filter((s) => !['match', 'not-said'].includes(s.parameters.halves))
        .map((s) =>
          at(
            s,
            `The halves of ${s.name} do not mate.`,
            {
              patterns: 'They are of two plug patterns: they do not lock, or lock and leak.',
              flares: 'A 37° flare does not seal on a 45° one.',
              threads: 'Two sorts of thread strip or leak, however much tape there is.',
            }[s.parameters.halves as 'patterns'],
            set('Make both halves of one sort', s, { halves: 'match' }),
          ),
        ),
  },
  {
    id: 'A19',
    grade: 'should',
    when: 'a hose whose jacket does not bear the oil, heat or cold that it meets',
    mend: 'A jacket of nitrile rubber, or what its maker names for it.',
    source: 'common practice; limits typical',
    finds: (line) =>
      line.of('hose').flatMap((s) => {
        const { jacket } = s.parameters;
        if (jacket === 'not-said') return [];
        const oil =
          jacket !== 'nitrile' && jacket !== 'polyurethane' && line.upstream(s).some((u) => u.kind === 'lubricator');
        const airC = line.inlet(s)?.temperatureC ?? 20;
        const heat = airC > JACKET_C[jacket];
        const cold = jacket === 'pvc' && line.roomC(s) < COLD_JACKET_C;
        if (!oil && !heat && !cold) return [];
        return [
          at(
            s,
            `The jacket of ${s.name} is wrong for what it meets.`,
            (say) =>
              oil
                ? 'The lubricator’s oil stiffens it until it cracks.'
                : heat
                  ? `It bears ${say(JACKET_C[jacket], 'temperature')}; the air comes at ${say(airC, 'temperature')}.`
                  : `At ${say(line.roomC(s), 'temperature')} it grows stiff and cracks.`,
            set('Take one that bears it', s, { jacket: 'nitrile' }),
          ),
        ];
      }),
  },
  {
    id: 'A20',
    grade: 'should',
    when: 'a gauge whose range is far from twice the working pressure',
    mend: 'A range of about twice what it shows.',
    source: 'common practice',
    finds: (line) =>
      line.of('gauge').flatMap((s) => {
        const reads = line.gauge(line.at(s)?.pressurePa ?? line.around.atmosphericPa);
        const share = reads / s.parameters.rangePa;
        if (share === 0 || (share <= RANGE.most && share >= RANGE.least)) return [];
        return [
          at(
            s,
            share > RANGE.most ? `${s.name} is near the end of its scale.` : `${s.name} hardly moves.`,
            (say) =>
              `It goes to ${say(s.parameters.rangePa, 'pressureDifference')} and reads ${say(reads, 'pressureDifference')}.`,
            set('Take one of about twice the pressure', s, {
              rangePa: Math.max(1e5, Math.round((2 * reads) / 1e5) * 1e5),
            }),
          ),
        ];
      }),
  },
  {
    id: 'A21',
    grade: 'note',
    when: 'a regulator far from the bench that it serves',
    mend: 'Regulate close to the bench.',
    source: 'common practice',
    finds: (line) =>
      line.of('outlet').flatMap((o) => {
        const before = line.upstream(o);
        const i = before.findIndex((s) => s.kind === 'regulator');
        const far = before.slice(0, Math.max(i, 0)).reduce((sum, s) => sum + lengthOf(s), 0);
        const regulator = before[i];
        if (!regulator || far <= BENCH_M) return [];
        return [
          at(
            [regulator, o],
            (say) => `${regulator.name} is ${say(far, 'length')} of pipe and hose away from ${o.name}.`,
            'What is lost on the way is lost after the regulator: the tool feels every swing.',
            line.runOf(regulator) === line.runOf(o) ? carry(`Move it to ${o.name}`, regulator, 'before', o) : undefined,
          ),
        ];
      }),
  },
  {
    id: 'A22',
    grade: 'should',
    when: 'a coupler at tank pressure beside one that is regulated',
    mend: 'Regulate both, or make the couplers differ.',
    source: 'common practice: a tool for 90 psi meets 150',
    finds: (line) => {
      const outlets = line.of('outlet').map((o) => ({
        o,
        held: line.restGaugePa(o).regulator !== undefined,
        tee: line.runOf(o).from ?? line.before(o)?.id,
      }));
      return outlets.flatMap(({ o, held, tee }) => {
        const other = held ? undefined : outlets.find((x) => x.held && x.tee === tee);
        if (!other) return [];
        return [
          at(
            [o, other.o],
            `${o.name} has the tank’s pressure, ${other.o.name} beside it is regulated.`,
            (say) => `A tool taken from one to the other meets ${say(line.restGaugePa(o).pa, 'pressureDifference')}.`,
            put('Put a regulator before it', 'before', o, [
              'regulator',
              { setPressurePa: Math.max(o.parameters.leastPressurePa, 7.2e5) },
            ]),
          ),
        ];
      });
    },
  },
  {
    id: 'A23',
    grade: 'must',
    when: 'a portable unit that stands in two places at once',
    mend: 'Name the second one, if there are two; else take it out of one place.',
    source: 'computed from this line',
    finds: (line) =>
      line.plan.units
        .filter((u) => u.form === 'portable')
        .flatMap((u, i, all) => {
          const own = line.stages.filter((s) => s.unit === u.id);
          const twin = all.slice(0, i).find((o) => o.name.trim().toLowerCase() === u.name.trim().toLowerCase());
          const [first] = own;
          const apart = new Set(own.map((s) => line.runOf(s).id)).size > 1;
          if (!first || (!twin && !apart)) return [];
          return [
            at(
              first,
              `${u.name} stands in two places at once.`,
              'It can dry or clean only where it is: the other place has none.',
              {
                does: 'Say that it is away here',
                edit: (plan) => ({
                  ...plan,
                  units: plan.units.map((o) => (o.id === u.id ? { ...o, is: 'away' as const } : o)),
                }),
              },
            ),
          ];
        }),
  },
];
