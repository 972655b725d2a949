import { is, TREATMENT } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import { GAUGE_TELLS_PA } from '../line/outlet-criteria';
import type { Stage } from '../plan/plan';
import { PSI } from '../quantity/constants';
import { at, carry, put, refit, set } from './fix';
import type { LineFacts, StageOf } from './line-facts';
import type { Rule } from './rule';

// Limits: common practice of the trade.
export const TREATMENT_MOST_PA = 68_948; // 10 psi

export const TREATMENT_MOST_SHARE = 0.1;

const BENCH_M = 15; // 50 ft (common practice, no source)

const RANGE = { least: 0.25, most: 0.75 }; // of a gauge’s scale (common practice, no source)

const MOST_SIZES_UP = 3; // more than that is another line (estimate)

const NO_FIX = ' Nothing that this program can try here cures it: use less at once, or a larger compressor.';

const lengthOf = (s: Stage): number =>
  s.kind === 'pipe' || s.kind === 'hose' || s.kind === 'hose-reel' ? s.parameters.lengthM : 0;

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

/** A regulator set up by what is missing downstream of it, where the compressor makes that much and the tool bears it. */
function setUp(line: LineFacts, o: StageOf<'outlet'>, regulator: StageOf<'regulator'>, missingPa: number) {
  const setPressurePa = regulator.parameters.setPressurePa + missingPa + 2e4;
  const { mostGaugePa } = o.parameters;
  const most = Math.min(
    line.compressorOf(o)?.parameters.cutInPa ?? 0,
    mostGaugePa > 0 ? mostGaugePa + line.around.atmosphericPa : Infinity,
  );
  return setPressurePa <= most
    ? set(`Set ${regulator.name} up by its droop in flow`, regulator, { setPressurePa })
    : undefined;
}

/** The pressure that is left at a job, and who sees it. */
export const PRESSURE_LEFT: readonly Rule[] = [
  {
    id: 'O30',
    grade: 'should',
    when: 'more than 10 psi (0.7 bar), or 10 % of the supply, lost in treatment',
    fix: 'New or larger elements, fewer duplicates.',
    source: 'common practice: about ½ % of the power for each psi',
    finds: (line) =>
      line
        .of('outlet')
        .map((o) => {
          const losses = line.losses(o).filter((l) => is(TREATMENT, line.stage(l.stageId)?.kind ?? 'outlet'));
          return { o, losses, sum: losses.reduce((all, l) => all + l.lossPa, 0) };
        })
        .toSorted((a, b) => b.sum - a.sum)
        .slice(0, 1)
        .flatMap(({ o, losses, sum }) => {
          const supply = line.gauge(line.compressorOf(o)?.parameters.cutInPa ?? 0);
          const worst = line.stage(losses[0]?.stageId);
          if (!worst || (sum <= TREATMENT_MOST_PA && sum <= TREATMENT_MOST_SHARE * supply)) return [];
          const wider = kindOf(worst.kind).wider?.(worst.parameters);
          return [
            at(
              [worst, o],
              (say) => `Coolers, filters and dryers lose ${say(sum, 'pressureDifference')} on the way to ${o.name}.`,
              (say) =>
                `${worst.name} takes the most: ${say(losses[0]?.lossPa ?? 0, 'pressureDifference')}. It costs some ${Math.round((sum / PSI) * 0.5)} % of the power.`,
              wider
                ? refit(`Fit ${wider.says}`, worst, wider.parameters)
                : set('Use one with half the loss', worst, {
                    pressureLossPa: (worst.parameters as { pressureLossPa: number }).pressureLossPa / 2,
                  }),
            ),
          ];
        }),
  },
  {
    id: 'O31',
    grade: 'must',
    when: 'less pressure at a tool than it needs at peak demand',
    fix: 'Look at the step with the greatest loss: hose, coupler and pipe first, the pressure switch last.',
    source: 'computed from this line at its worst moment',
    finds: (line) =>
      line.of('outlet').flatMap((o) => {
        const gets = arrives(line, o);
        const needs = o.parameters.leastPressurePa;
        if (gets === undefined || gets >= needs - GAUGE_TELLS_PA) return [];
        const moment = line.moments.get(o.id);
        const losses = line.losses(o);
        const regulator = line.upstream(o).find((s) => s.kind === 'regulator') as StageOf<'regulator'> | undefined;
        const low = regulator && regulator.parameters.setPressurePa < needs ? regulator : undefined;
        const worst = line.stage(losses[0]?.stageId);
        const wider =
          worst && moment && wideEnough(worst, (p) => (moment.with(worst.id, p).at(o.id)?.pressurePa ?? 0) >= needs);
        const fixes = [
          low && set(`Set ${low.name} up`, low, { setPressurePa: needs + 2e4 }),
          low || !worst || !wider ? undefined : refit(`Use ${wider.says}`, worst, wider.parameters),
          !low && regulator ? setUp(line, o, regulator, needs - gets) : undefined,
        ];
        const noFix = fixes.some((r) => r) ? '' : NO_FIX;
        return [
          at(
            worst ? [o, worst] : [o],
            (say) => `${o.name} gets ${say(gets, 'pressure')} and needs ${say(needs, 'pressure')}.`,
            (say) =>
              low
                ? `${low.name} is set to ${say(low.parameters.setPressurePa, 'pressure')}.`
                : worst
                  ? `${worst.name} loses the most: ${say(losses[0]?.lossPa ?? 0, 'pressureDifference')}.${noFix}`
                  : `The compressor itself does not reach it.${noFix}`,
            ...fixes,
          ),
        ];
      }),
  },
  {
    id: 'A20',
    grade: 'should',
    when: 'a gauge whose range is far from twice the working pressure',
    fix: 'A range of about twice what it shows.',
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
            set('Use one of about twice the pressure', s, {
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
    fix: 'Regulate close to the bench.',
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
            'What is lost on the way is lost after the regulator: the tool sees every fluctuation.',
            line.runOf(regulator) === line.runOf(o) ? carry(`Move it to ${o.name}`, regulator, 'before', o) : undefined,
          ),
        ];
      }),
  },
  {
    id: 'A22',
    grade: 'should',
    when: 'a coupler at tank pressure beside one that is regulated',
    fix: 'Regulate both, or make the couplers differ.',
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
            put('Add a regulator upstream of it', 'before', o, [
              'regulator',
              { setPressurePa: Math.max(o.parameters.leastPressurePa, 7.2e5) },
            ]),
          ),
        ];
      });
    },
  },
];
