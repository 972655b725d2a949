import { DESICCANT, DRYERS, is } from '../equipment/groups';
import { isAsClean, isCleanEnough } from '../line/grade-line';
import { inAll } from '../line/judge-outlet';
import { CLOSED_K, isWet, outletCriteria } from '../line/outlet-criteria';
import { walk } from '../line/walk';
import type { Stage } from '../plan/plan';
import { coolAtCompressor } from './cool-first';
import { abilityC, both, chilled, dryersBefore, neededDewPointC, tower } from './dryers';
import { at, put, refit, set, type Values } from './fix';
import { LineFacts, type StageOf } from './line-facts';
import { type Finding, type Fix, type Rule, type Sentence, sayIn } from './rule';

type Outlet = StageOf<'outlet'>;
type Fails = (line: LineFacts, outlet: Outlet) => boolean;

/** Whether drops arrive, or the air is wetter than a job asks for: at the value, whatever its uncertainty, with some kelvin to spare. */
export function isTooWet(line: LineFacts, s: Outlet, spareK = 0): boolean {
  const station = line.at(s);
  if (!station) return false;
  const around = { ...line.around, roomTemperatureC: line.roomC(s) };
  const wetter = { ...station, pressureDewPointC: station.pressureDewPointC + spareK };
  if (s.parameters.need !== 'no-liquid' && isWet(wetter, around)) return true;
  const [asked, other] = outletCriteria(s);
  const closed = s.parameters.need === 'no-liquid' && spareK === 0 ? CLOSED_K : 0;
  const over = (c: typeof asked): boolean => c.read(wetter, around) > c.limit + closed;
  return station.liquidKgPerS > 0 || (over(asked) && (!other || over(other)));
}

/** Whether a job that needs a dew point gets a higher one. */
function missesDewPoint(line: LineFacts, s: Outlet): boolean {
  const needs = neededDewPointC(line, s);
  return needs !== undefined && (line.at(s)?.pressureDewPointC ?? -Infinity) > needs;
}

export const isDirty: Fails = (line, s) => {
  const grade = line.grades.get(s.id);
  return !!grade && !isCleanEnough(grade, s.parameters);
};

/** Of some fixes those after which a job gets what it failed on, tried on the line. */
function curing(line: LineFacts, s: Outlet, fails: Fails, fixes: readonly (Fix | undefined)[]): Fix[] {
  let made = 0;
  return fixes.filter((r): r is Fix => {
    if (!r) return false;
    const plan = r.edit(line.entered, () => `tried-${made++}`);
    const after = new LineFacts(plan, walk(plan));
    const there = after.stage(s.id);
    return there?.kind === 'outlet' && after.at(there) !== undefined && !fails(after, there);
  });
}

/** Within the uncertainty of a dew point from a plate, 5 °F: the verdict decides, where it has been worked out. */
const UNSURE_K = 2.8;

const NO_FIX = ' No fix of this program solves it: ask the makers of the tool and of the treatment.';

/**
 * A finding whose fixes are tried only when somebody looks at them: each takes a walk of the line.
 * @param why with what is added where none cures
 */
function tried(
  stages: Stage | readonly Stage[],
  what: Sentence,
  why: (noFix: string) => Sentence,
  cures: () => readonly Fix[],
): Finding {
  let known: readonly Fix[] | undefined;
  const fixes = (): readonly Fix[] => {
    known ??= cures();
    return known;
  };
  return {
    ...at(stages, what, (inUnits) => sayIn(why(fixes().length === 0 ? NO_FIX : ''), inUnits)),
    get fixes() {
      return fixes();
    },
  };
}

/** What the dryers before a job can be set or made to do, the least change first. */
function betterDryers(line: LineFacts, s: Outlet, needsC: number): (Fix | undefined)[] {
  return [...dryersBefore(line, s), ...line.upstream(s).filter((u) => u.kind === 'home-made-housing')].flatMap((d) => {
    const load = line.load(d) ?? 1;
    const p = d.parameters as { ratedFlowM3PerS?: number };
    const larger = Math.min(2, (p.ratedFlowM3PerS ?? 0) * Math.max(1.1 * load, 1.5));
    if (d.kind === 'refrigerated-dryer' || d.kind === 'cycling-dryer' || d.kind === 'high-inlet-dryer') {
      const pressureDewPointC = Math.min(d.parameters.pressureDewPointC, Math.max(abilityC(d), needsC - 4));
      const values: Values = d.kind === 'refrigerated-dryer' ? { method: 'rated' } : {};
      return [
        set(`Use a larger one for ${d.name}`, d, { ...values, ratedFlowM3PerS: larger }),
        set(`Take one of a lower dew point for ${d.name}`, d, {
          ...values,
          ratedFlowM3PerS: larger,
          pressureDewPointC,
        }),
      ];
    }
    if (d.kind === 'bead-cartridge')
      return [
        set(`Use a new charge in ${d.name}`, d, { spentShare: 0, charge: 'new' }),
        set(`Use a larger one for ${d.name}, newly charged`, d, {
          spentShare: 0,
          charge: 'new',
          massKg: Math.min(500, 3 * d.parameters.massKg),
          ratedFlowM3PerS: larger,
        }),
      ];
    if (d.kind === 'home-made-housing') return [];
    return p.ratedFlowM3PerS === undefined
      ? []
      : [
          refit(`Use a larger one for ${d.name}`, d, {
            ...d.parameters,
            ratedFlowM3PerS: larger,
            ...('purgeM3PerS' in d.parameters && {
              purgeM3PerS: (d.parameters.purgeM3PerS * larger) / p.ratedFlowM3PerS,
            }),
          }),
        ];
  });
}

const WET: Rule = {
  id: 'A28',
  grade: 'must',
  when: 'drops at a job, or a dew point above the room where its hose and tool are',
  fix: 'Cool and drain first; then a dryer, or a last trap at the tool.',
  source: 'computed from this line',
  finds: (line) =>
    line.of('outlet').flatMap((s) => {
      const station = line.at(s);
      // A dew point that is missed is told by the rules on dryers, and what the uncertainty leaves open by its own.
      if (!station || !isTooWet(line, s) || missesDewPoint(line, s)) return [];
      const verdict = line.verdicts.get(s.id)?.verdict;
      if (verdict === undefined ? !isTooWet(line, s, -UNSURE_K) : verdict === 'open') return [];
      const drops = station.liquidKgPerS > 0;
      const roomC = line.roomC(s);
      const cures = () =>
        curing(line, s, isTooWet, [
          put('Add a droplet separator directly upstream of it', 'before', s, [
            'droplet-separator',
            { drain: 'manual' },
          ]),
          line.of('aftercooler', 'water-cooler', 'fluid-cooler', 'cooling-run').length === 0
            ? coolAtCompressor(line, s)
            : undefined,
          ...betterDryers(line, s, roomC - 1),
          chilled(line, s, roomC - 4),
          put('Add a twin tower with its filters upstream of it', 'before', s, ...tower(line, s)),
        ]);
      return [
        tried(
          s,
          drops
            ? (sayIn) => `Drops reach ${s.name}: ${sayIn(station.liquidKgPerS, 'waterFlow')}.`
            : (sayIn) => `Water forms in the hose and the tool of ${s.name}, at ${sayIn(roomC, 'temperature')}.`,
          (noFix) => (sayIn) =>
            `${drops ? 'The air comes saturated: separation upstream is not sufficient.' : `The dew point there is ${sayIn(station.pressureDewPointC, 'temperature')}, above the room.`}${noFix}`,
          cures,
        ),
      ];
    }),
};

/** A verdict that the uncertainty of the inputs leaves open. */
const OPEN: Rule = {
  id: 'A30',
  grade: 'should',
  when: 'a job of which the uncertain inputs leave open whether it gets what it asks for',
  fix: 'Take the reading that decides it, and enter it as measured.',
  source: 'computed: the figure over the range of its inputs',
  finds: (line) =>
    line.of('outlet').flatMap((s) => {
      const verdict = line.verdicts.get(s.id);
      if (!verdict || inAll(verdict) !== 'open' || missesDewPoint(line, s) || isDirty(line, s)) return [];
      const { low, high, limit, quantity, note } = verdict;
      return [
        at(
          s,
          `It is borderline whether ${s.name} gets what it needs: ${note ?? 'read its dew point.'}`,
          (sayIn) =>
            `It gets ${sayIn(low, quantity)} to ${sayIn(high, quantity)}, and may get ${sayIn(limit, quantity)} at most.`,
        ),
      ];
    }),
};

/** The rules that the verdicts on the outlets change. */
export const BY_VERDICT: readonly Rule[] = [WET, OPEN];

/** That every job gets what it asks for, whatever the other rules say of the way to it. */
export const AT_THE_JOB: readonly Rule[] = [
  WET,
  {
    id: 'A29',
    grade: 'must',
    when: 'a dew point that the dryers on the way could make, and do not',
    fix: 'A dryer that is large enough, a new charge, or a lower setting.',
    source: 'computed from this line',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const needs = neededDewPointC(line, s);
        const gets = line.at(s)?.pressureDewPointC;
        if (needs === undefined || gets === undefined || gets <= needs || !isTooWet(line, s)) return [];
        const dryers = line
          .upstream(s)
          .filter((u) => is(DRYERS, u.kind) || u.kind === 'home-made-housing' || u.kind === 'measured-stage');
        const [best] = dryers.toSorted((a, b) => abilityC(a) - abilityC(b));
        if (!best || abilityC(best) > needs) return [];
        const load = line.load(best);
        const cures = () =>
          curing(line, s, isTooWet, [
            ...betterDryers(line, s, needs),
            needs >= abilityC({ kind: 'refrigerated-dryer' }) ? chilled(line, s, needs) : undefined,
            put('Add a twin tower with its filters upstream of it', 'before', s, ...tower(line, s)),
          ]);
        return [
          tried(
            [s, best],
            (sayIn) =>
              `${s.name} gets ${sayIn(gets, 'temperature')} and needs ${sayIn(needs, 'temperature')}: ${best.name} could make that, and does not.`,
            (noFix) => (sayIn) =>
              `${load !== undefined && load > 1 ? `Its load is ${sayIn(load, 'share')} of its capacity here.` : is(DESICCANT, best.kind) ? 'It is exhausted, too small, or its inlet air is too warm or too wet.' : 'It is too small for this air, or set too high.'}${noFix}`,
            cures,
          ),
        ];
      }),
  },
  {
    id: 'A32',
    grade: 'must',
    when: 'oil or particles above the class that a job asks for',
    fix: 'Coalescers of 1 µm and 0.01 µm; carbon for oil vapour; a dust filter downstream of carbon and beads.',
    source: 'ISO 8573-1 classes, recalled; what filters pass is typical of makers’ sheets',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const grade = line.grades.get(s.id);
        if (!grade || !isDirty(line, s)) return [];
        const { particleClass, oilClass } = s.parameters;
        const oil = !isAsClean(grade.oil, oilClass);
        const dust = ['particulate-filter', { element: '0.01' }] as const;
        const last = ['carbon-filter', 'particulate-filter', 'coalescing-filter'].includes(line.before(s)?.kind ?? '');
        const cures = () =>
          curing(line, s, isDirty, [
            put('Add a dust filter upstream of it', 'before', s, ['particulate-filter']),
            put('Add a 0.01 µm dust filter upstream of it', 'before', s, dust),
            last
              ? undefined
              : put('Add a 0.01 µm coalescer upstream of it', 'before', s, ['coalescing-filter', { grade: 'fine' }]),
            put('Add 1 µm and 0.01 µm coalescers upstream of it', 'before', s, ...both),
            put('Add carbon and a dust filter upstream of it', 'before', s, ['carbon-filter'], dust),
            put(
              'Add coalescers, carbon and a dust filter upstream of it',
              'before',
              s,
              ...both,
              ['carbon-filter'],
              dust,
            ),
          ]).slice(0, 2);
        return [
          tried(
            s,
            oil
              ? `${s.name} asks for oil class ${oilClass}, and gets ${grade.oil}.`
              : `${s.name} asks for particle class ${particleClass}, and gets ${grade.particle}.`,
            (noFix) =>
              `${oil ? grade.dirt.oilWhy : grade.dirt.particleWhy}.${noFix}`.replace(/^./, (first) =>
                first.toUpperCase(),
              ),
            cures,
          ),
        ];
      }),
  },
  {
    id: 'A33',
    grade: 'must',
    when: 'a job that gets no air at peak demand',
    fix: 'A larger part at the restriction, or fewer jobs at once.',
    source: 'computed from this line at its worst moment',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const moment = line.moments.get(s.id);
        if (!moment || moment.section.problems.length === 0) return [];
        const problem = moment.section.at(s.id) ? undefined : moment.section.problem;
        return line.at(s) && problem ? [at(s, `No air reaches ${s.name} at peak demand.`, problem.message)] : [];
      }),
  },
  OPEN,
];
