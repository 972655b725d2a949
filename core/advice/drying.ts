import { pressureDewPointC } from '../air/dew-point';
import { vapourFractionFromRelativeHumidity } from '../air/humidity';
import { kindOf } from '../equipment/index';
import { loadedHoursPerDay } from '../line/day';
import { setPlace } from '../line/edit';
import type { Stage } from '../line/plan';
import { WATER_CLASS_DEW_POINT_C } from '../purity/iso-8573';
import { CHILLED, DESICCANT, DRYERS, INERT, is, TOWERS } from './groups';
import type { LineFacts, StageOf } from './line-facts';
import { at, carry, inTurn, ofLine, put, refit, set, takeOut } from './mend';
import type { Rule } from './rule';
import { coolAtPump } from './safety';

// Limits: common practice of the trade unless a standard is named.
const CHILLED_LEAST_C = 1.7; // 35 °F
const ROOM_LEAST_C = 4.4; // 40 °F
const ROOM_MOST_C = 43.3; // 110 °F
const PELLETS_MOST_C = 37.8; // 100 °F
const SPARE_K = 10; // 18 °F below the coldest pipe (ISA-7.0.01 for instrument air, recalled)
const PURGE_APART_PA = 68_948; // 10 psi
const DYE_MOST_C = 121.1; // 250 °F
const SWEEP_WASTED_BELOW = 0.3;
const PEAK_OVER_AVERAGE = 2;
const SENSITIVE = ['spray', 'cutting', 'instruments', 'food'] as const;
const SPOILT_BY_OIL = [...SENSITIVE, 'blasting', 'breathing'] as const;
const WORKING_PA = 8e5;

/** The pressure dew point that an outlet asks for; where nobody knows on which basis, the harder of the two. */
export function neededDewPointC(line: LineFacts, s: StageOf<'outlet'>): number | undefined {
  const p = s.parameters;
  const here = line.at(s);
  const pressurePa = here?.pressurePa ?? WORKING_PA;
  const roomC = line.roomC(s);
  const of = (temperatureC: number, pa: number): number =>
    pressureDewPointC(vapourFractionFromRelativeHumidity(p.relativeHumidity, temperatureC, pa), pressurePa);
  switch (p.need) {
    case 'no-liquid':
      return undefined;
    case 'dew-point':
      return p.dewPointC;
    case 'iso-class':
      return WATER_CLASS_DEW_POINT_C[p.waterClass];
    case 'humidity-expanded':
      return of(roomC, line.around.atmosphericPa);
    default:
      return of(here?.temperatureC ?? roomC, pressurePa);
  }
}

/** The driest that a kind of dryer makes air. */
function abilityC(s: Stage): number {
  if (is(CHILLED, s.kind) || s.kind === 'high-inlet-dryer') return CHILLED_LEAST_C;
  return s.kind === 'pellet-tower' ? Infinity : -70;
}

const outletsBehind = (line: LineFacts, s: Stage): StageOf<'outlet'>[] =>
  line.downstream(s).filter((d): d is StageOf<'outlet'> => d.kind === 'outlet');
/** What stands right before a medium, apart from what changes nothing and what only chills. */
const rightBefore = (line: LineFacts, s: Stage): Stage | undefined =>
  line.upstream(s).find((u) => !is(INERT, u.kind) && !is(CHILLED, u.kind));
const dryersBefore = (line: LineFacts, s: Stage): Stage[] => line.upstream(s).filter((u) => is(DRYERS, u.kind));
const TOWER = 'a −40 °C twin tower with its filters';
const PURGE = 0.15; // of the rated flow, heatless (handbook of practice)
const RATED_AT_PA = 801_325;
const ROOM_FOR_MORE = 1.25;
/** A twin tower for what passes a stage, with its filters, set for the pressure that arrives there. */
function tower(line: LineFacts, s: Stage) {
  const comes = line.inlet(s);
  const pressurePa = comes?.pressurePa ?? RATED_AT_PA;
  const most = Math.max(
    peakThrough(line, s).peak,
    s.kind === 'outlet' ? s.parameters.flowM3PerS : 0,
    comes ? line.flow(comes) : 0,
  );
  const rated = Math.max(1e-4, ROOM_FOR_MORE * most * Math.max(1, RATED_AT_PA / pressurePa));
  const values = { ratedFlowM3PerS: rated, purgeM3PerS: PURGE * rated, purgeSetPa: pressurePa, control: 'dew-point' };
  return [...both, ['twin-tower', values], ['particulate-filter']] as const;
}
const both = [
  ['coalescing-filter', { grade: 'general' }],
  ['coalescing-filter', { grade: 'fine' }],
] as const;

/** What flows through a dryer while all behind it blow that can blow at once. */
function peakThrough(line: LineFacts, s: Stage): { peak: number; average: number } {
  const behind = outletsBehind(line, s);
  const worst = behind.map((o) => line.moments.get(o.id)?.peak).find((p) => p !== undefined);
  const sum = (of: (o: StageOf<'outlet'>) => number): number => behind.reduce((all, o) => all + of(o), 0);
  return {
    peak: sum((o) => worst?.get(o.id) ?? 0),
    average: sum((o) => o.parameters.flowM3PerS * o.parameters.usedShare),
  };
}
const dryReceiver = (line: LineFacts, s: Stage): boolean => line.downstream(s).some((d) => d.kind === 'receiver');
const ratedOf = (s: Stage): number => (s.parameters as { ratedFlowM3PerS?: number }).ratedFlowM3PerS ?? 0;

const MEETS_COLD = ['pipe', 'hose', 'hose-reel', 'outlet'] as const;
/** Where a stage and its air are too cold for the dew point of that air. */
function coldSpots(line: LineFacts): { s: Stage; dewC: number; placeC: number }[] {
  return line.of(...MEETS_COLD).flatMap((s) => {
    const dewC = line.inlet(s)?.pressureDewPointC;
    const placeC = line.roomC(s);
    // Along a cold run it is said once, where the air comes into the cold.
    const before = line.before(s);
    const already = before !== undefined && is(MEETS_COLD, before.kind) && line.roomC(before) <= placeC;
    return dewC !== undefined && !already && dryersBefore(line, s).length > 0 ? [{ s, dewC, placeC }] : [];
  });
}

/** Which dryer, in which place, and whether it can do what is asked of it. */
export const DRYING: readonly Rule[] = [
  {
    id: 'O07',
    grade: 'must',
    when: 'desiccant or carbon behind an oiled pump with no coalescer right before it',
    mend: 'Coalescers of 1 µm and 0.01 µm right before it.',
    source: 'common practice: oil spoils it for good',
    finds: (line) =>
      !line.oiled
        ? []
        : [...line.of(...DESICCANT), ...line.of('carbon-filter')].flatMap((s) => {
            const before =
              s.kind === 'carbon-filter'
                ? line.upstream(s).find((u) => u.kind === 'coalescing-filter')
                : rightBefore(line, s);
            if (before?.kind === 'coalescing-filter') return [];
            const oil = line.grades.get(line.before(s)?.id ?? '')?.dirt.oilMg;
            return [
              at(
                s,
                `No coalescer stands right before ${s.name}.`,
                `Oil coats the ${s.kind === 'carbon-filter' ? 'carbon' : 'beads'} for good${oil === undefined ? '' : `: ${oil.toPrecision(2)} mg in each m³ reaches them`}.`,
                put('Put 1 µm and 0.01 µm coalescers before it', 'before', s, ...both),
              ),
            ];
          }),
  },
  {
    id: 'O08',
    grade: 'must',
    when: 'a bead cartridge before a refrigerated dryer',
    mend: 'Swap them.',
    source: 'common practice: four to ten times the load',
    finds: (line) =>
      line.of('bead-cartridge').flatMap((s) => {
        const chilled = line.downstream(s).find((d) => is(CHILLED, d.kind) && line.runOf(d) === line.runOf(s));
        const comes = line.inlet(s);
        if (!chilled) return [];
        return [
          at(
            [s, chilled],
            `${s.name} takes up what ${chilled.name} would have taken out.`,
            (say) =>
              `${say((comes?.vapourKgPerS ?? 0) + (comes?.liquidKgPerS ?? 0), 'waterFlow')} reaches the beads; behind the dryer it would be a small part of that.`,
            carry(`Move it behind ${chilled.name}`, s, 'behind', chilled),
          ),
        ];
      }),
  },
  {
    id: 'O09',
    grade: 'should',
    when: 'a desiccant dryer before a sensitive use with no dust filter behind it',
    mend: 'A dust filter of 1 µm behind it.',
    source: 'common practice: beads shed dust',
    finds: (line) =>
      line.of(...DESICCANT).flatMap((s) => {
        const behind = line.downstream(s);
        const sensitive = outletsBehind(line, s).find(
          (o) =>
            (SENSITIVE as readonly string[]).includes(o.parameters.use) ||
            ['1', '2', '3'].includes(o.parameters.particleClass),
        );
        if (
          !sensitive ||
          behind.some((d) =>
            ['particulate-filter', 'coalescing-filter', 'carbon-filter', 'tool-filter'].includes(d.kind),
          )
        )
          return [];
        return [
          at(
            [s, sensitive],
            `Dust of the beads goes to ${sensitive.name}.`,
            `Beads crumble as they age, most of all when they are wet: nothing behind ${s.name} takes the dust out.`,
            put('Put a 1 µm dust filter behind it', 'behind', s, ['particulate-filter', { element: '1' }]),
          ),
        ];
      }),
  },
  {
    id: 'O10',
    grade: 'should',
    when: 'carbon before a coalescer or before a dryer',
    mend: 'Move it to the end.',
    source: 'common practice',
    finds: (line) =>
      line.of('carbon-filter').flatMap((s) => {
        const later = line
          .downstream(s)
          .filter((d) => (d.kind === 'coalescing-filter' || is(DRYERS, d.kind)) && line.runOf(d) === line.runOf(s))
          .at(-1);
        const comes = line.inlet(s);
        if (!later) return [];
        return [
          at(
            [s, later],
            `${s.name} stands before ${later.name}.`,
            (say) =>
              `Carbon works on dry air without oil mist; here it gets ${say(comes ? line.humidity(comes) : 1, 'share')} humidity.`,
            carry(`Move it behind ${later.name}`, s, 'behind', later),
          ),
        ];
      }),
  },
  {
    id: 'O11',
    grade: 'must',
    when: 'a lubricator before a use or a dryer that oil spoils',
    mend: 'Take the dry line off before the lubricator.',
    source: 'common practice: it oils everything behind it for good',
    finds: (line) =>
      line.of('lubricator').flatMap((s) => {
        const hit = line
          .downstream(s)
          .find(
            (d) =>
              is(DRYERS, d.kind) ||
              (d.kind === 'outlet' && (SPOILT_BY_OIL as readonly string[]).includes(d.parameters.use)),
          );
        return hit
          ? [
              at(
                [s, hit],
                `${s.name} sends oil to ${hit.name}.`,
                'It never comes out of hose and pipe again.',
                takeOut('Take the lubricator out', s),
              ),
            ]
          : [];
      }),
  },
  {
    id: 'O13',
    grade: 'note',
    when: 'use through a dryer in bursts of more than twice the average, and no dry receiver',
    mend: 'A dry receiver of 1 to 3 gallons for each cfm.',
    source: 'common practice',
    finds: (line) =>
      line.of(...CHILLED, ...TOWERS, 'membrane').flatMap((s) => {
        const { peak, average } = peakThrough(line, s);
        if (average <= 0 || peak <= PEAK_OVER_AVERAGE * average || dryReceiver(line, s)) return [];
        return [
          at(
            s,
            'A dry tank behind the dryer would ride your surges.',
            (say) => `Together the jobs draw ${say(peak, 'volumeFlow')}, on average ${say(average, 'volumeFlow')}.`,
            put('Put a dry receiver behind it', 'behind', s, ['receiver', { volumeM3: peak * 60 * 0.3 }]),
          ),
        ];
      }),
  },
  {
    id: 'O14',
    grade: 'should',
    when: 'a peak beyond what the dryer can do, and no dry receiver',
    mend: 'A dry receiver, a flow controller, or a larger dryer.',
    source: 'common practice',
    finds: (line) =>
      line.of(...CHILLED, ...TOWERS).flatMap((s) => {
        const load = line.load(s);
        const comes = line.inlet(s);
        const can = load && comes ? line.flow(comes) / load : Infinity;
        const { peak } = peakThrough(line, s);
        if (peak <= can || dryReceiver(line, s)) return [];
        return [
          at(
            s,
            (say) => `Surges of ${say(peak, 'volumeFlow')} overload ${s.name}.`,
            (say) => `Here it can do ${say(can, 'volumeFlow')}: in each surge the dew point jumps.`,
            put('Put a dry receiver behind it', 'behind', s, ['receiver', { volumeM3: peak * 60 * 0.3 }]),
          ),
        ];
      }),
  },
  {
    id: 'O15',
    grade: 'must',
    when: 'more air than a dryer can dry in these conditions',
    mend: 'Cool the air, cool the room, raise the pressure; else a larger dryer or one more beside it.',
    source: 'generic correction tables, common practice: the maker’s own win',
    finds: (line) =>
      line.of(...CHILLED, ...TOWERS, 'high-inlet-dryer').flatMap((s) => {
        const load = line.load(s);
        const usesRating = s.kind !== 'refrigerated-dryer' || s.parameters.method === 'rated';
        const comes = line.inlet(s);
        if (!load || !comes || load <= 1 || !usesRating) return [];
        const inlet = comes.temperatureC;
        return [
          at(
            s,
            (say) => `${s.name} is asked for ${say(load, 'share')} of what it can do here.`,
            (say) =>
              `The rating on its plate is for other conditions: here the air comes at ${say(inlet, 'temperature')} into a room of ${say(line.roomC(s), 'temperature')}.`,
            set('Take a dryer that is large enough', s, { ratedFlowM3PerS: ratedOf(s) * load * 1.1 }),
          ),
        ];
      }),
  },
  {
    id: 'O16',
    grade: 'must',
    when: 'a need that the dryers before it cannot meet, whatever their size',
    mend: 'Desiccant or a membrane; ask first on which basis the humidity is meant.',
    source: 'what each kind of dryer reaches, common practice',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const needs = neededDewPointC(line, s);
        const gets = line.at(s)?.pressureDewPointC ?? -Infinity;
        const dryers = dryersBefore(line, s);
        const [best] = dryers.toSorted((a, b) => abilityC(a) - abilityC(b));
        if (needs === undefined || gets <= needs || !best || abilityC(best) <= needs) return [];
        return [
          at(
            [s, best],
            (say) =>
              `A ${kindOf(best.kind).label.toLowerCase()} cannot make ${say(needs, 'temperature')} for ${s.name}.`,
            best.kind === 'pellet-tower'
              ? (say) => `It lowers the dew point by a fixed step: here it comes to ${say(gets, 'temperature')}.`
              : (say) =>
                  `Chilled air stops at about ${say(CHILLED_LEAST_C, 'temperature')}; ${s.name} gets ${say(gets, 'temperature')}.`,
            put(`Put ${TOWER} before it`, 'before', s, ...tower(line, s)),
            put(
              'Put a bead cartridge with its coalescers before it',
              'before',
              s,
              ...both,
              ['bead-cartridge', { spentShare: 0 }],
              ['particulate-filter'],
            ),
          ),
        ];
      }),
  },
  {
    id: 'A11',
    grade: 'must',
    when: 'a need of dry air, and no dryer on the way to it',
    mend: 'A dryer that can make what the job needs.',
    source: 'computed from this line',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const needs = neededDewPointC(line, s);
        const gets = line.at(s)?.pressureDewPointC ?? -Infinity;
        const none = !line
          .upstream(s)
          .some((u) => is(DRYERS, u.kind) || u.kind === 'home-made-housing' || u.kind === 'measured-stage');
        if (needs === undefined || gets <= needs || !none) return [];
        return [
          at(
            s,
            (say) => `Nothing dries the air for ${s.name}: it needs ${say(needs, 'temperature')} pressure dew point.`,
            (say) => `It gets ${say(gets, 'temperature')}. Cooling and filters take out drops, not vapour.`,
            needs >= CHILLED_LEAST_C
              ? put('Put a refrigerated dryer before it', 'before', s, [
                  'refrigerated-dryer',
                  { pressureDewPointC: Math.min(3, needs - 1) },
                ])
              : put(`Put ${TOWER} before it`, 'before', s, ...tower(line, s)),
          ),
        ];
      }),
  },
  {
    id: 'O17',
    grade: 'must',
    when: 'dried air that still meets pipe colder than its dew point',
    mend: 'A lower dew point, or insulate and trace that pipe.',
    source: 'ISA-7.0.01 for instrument air, recalled; common practice',
    finds: (line) =>
      coldSpots(line)
        .filter(
          ({ s, dewC, placeC }) =>
            dewC >= placeC || (s.kind === 'outlet' && s.parameters.use === 'instruments' && dewC > placeC - SPARE_K),
        )
        .map(({ s, dewC, placeC }) =>
          at(
            s,
            (say) =>
              `${s.name} gets to ${say(placeC, 'temperature')}; the dew point is ${say(dewC, 'temperature')} there.`,
            placeC < 0
              ? 'Water falls out and freezes.'
              : dewC >= placeC
                ? 'Water falls out.'
                : (say) => `Instrument air wants ${say(SPARE_K, 'temperatureDifference')} to spare.`,
            put(`Put ${TOWER} before it`, 'before', s, ...tower(line, s)),
          ),
        ),
  },
  {
    id: 'O17b',
    grade: 'should',
    when: 'dried air less than 18 °F (10 K) above its dew point on the coldest pipe',
    mend: 'Watch that pipe on the coldest day; insulate it.',
    source: 'common practice, after ISA-7.0.01',
    finds: (line) =>
      coldSpots(line)
        .filter(
          ({ s, dewC, placeC }) =>
            dewC < placeC &&
            dewC > placeC - SPARE_K &&
            !(s.kind === 'outlet' && s.parameters.use === 'instruments') &&
            s.place !== undefined,
        )
        .map(({ s, dewC, placeC }) =>
          at(
            s,
            (say) => `${s.name} is only ${say(placeC - dewC, 'temperatureDifference')} above the dew point.`,
            (say) => `A cold morning takes that away: the air has ${say(dewC, 'temperature')} dew point.`,
          ),
        ),
  },
  {
    id: 'O52',
    grade: 'should',
    when: 'a branch through a place colder than that of the main, below its dew point',
    mend: 'A small dryer on that branch only.',
    source: 'common practice',
    finds: (line) =>
      line.of('pipe', 'cooling-run').flatMap((s) => {
        const run = line.runOf(s);
        const tee = line.stages.find((t) => t.id === run.from);
        const dewC = line.inlet(s)?.pressureDewPointC ?? -Infinity;
        if (!tee || line.roomC(s) > line.roomC(tee) - 5 || dewC <= line.roomC(s)) return [];
        const first = run.stages[0] as Stage;
        return [
          at(
            s,
            `${run.name} needs a dew point of its own.`,
            (say) =>
              `${s.name} crosses ${say(line.roomC(s), 'temperature')}; the main stands at ${say(line.roomC(tee), 'temperature')}. Drying all the air for it would cost far more.`,
            put('Put a small twin tower on this branch', 'before', first, ...tower(line, s)),
          ),
        ];
      }),
  },
  {
    id: 'O18',
    grade: 'must',
    when: 'a refrigerated dryer in a room below 40 °F (4.4 °C) or above 110 °F (43.3 °C)',
    mend: 'Move it, ventilate or warm the room, or take another type.',
    source: 'common practice',
    finds: (line) =>
      line
        .of(...CHILLED, 'high-inlet-dryer')
        .filter((s) => line.roomC(s) < ROOM_LEAST_C || line.roomC(s) > ROOM_MOST_C)
        .map((s) => {
          const cold = line.roomC(s) < ROOM_LEAST_C;
          const elsewhere = line.plan.survey.places.find(
            (p) => p.temperatureC >= ROOM_LEAST_C + 3 && p.temperatureC <= ROOM_MOST_C - 3,
          );
          return at(
            s,
            (say) => `${s.name} stands in ${say(line.roomC(s), 'temperature')}.`,
            (say) =>
              cold
                ? `Below ${say(ROOM_LEAST_C, 'temperature')} it freezes up.`
                : `Above ${say(ROOM_MOST_C, 'temperature')} it trips.`,
            elsewhere && { does: `Move it to ${elsewhere.name}`, edit: (plan) => setPlace(plan, s.id, elsewhere.id) },
          );
        }),
  },
  {
    id: 'O19',
    grade: 'must',
    when: 'air of more than 100 °F (38 °C) on salt pellets',
    mend: 'A better aftercooler.',
    source: 'common practice',
    finds: (line) =>
      line.of('pellet-tower').flatMap((s) => {
        const arrives = line.inlet(s)?.temperatureC ?? 0;
        return arrives <= PELLETS_MOST_C
          ? []
          : [
              at(
                s,
                (say) => `The pellets in ${s.name} get air of ${say(arrives, 'temperature')}.`,
                (say) =>
                  `Above ${say(PELLETS_MOST_C, 'temperature')} they fuse, and the dew point follows the air that comes.`,
                put(
                  'Cool it further before the tower',
                  'before',
                  s,
                  ['aftercooler'],
                  ['separator', { drain: 'float' }],
                ),
              ),
            ];
      }),
  },
  {
    id: 'O20',
    grade: 'must',
    when: 'a pellet tower whose brine has nowhere to go',
    mend: 'A drain, into a container or a sewer that may take it.',
    source: 'local law on discharge; common practice',
    finds: (line) =>
      line
        .of('pellet-tower')
        .filter((s) => s.parameters.brine === 'ground')
        .map((s) =>
          at(
            s,
            `The brine of ${s.name} goes where nobody has allowed it.`,
            'It is salt water with oil in it: it eats steel, and discharge is regulated.',
            set('Lead it where it may go', s, { brine: 'permitted' }),
          ),
        ),
  },
  {
    id: 'O21',
    grade: 'must',
    when: 'a pellet tower whose dew point is above the coldest place behind it',
    mend: 'Another dryer, or insulate what is cold.',
    source: 'suppression counts from the air that comes, common practice',
    finds: (line) =>
      line.of('pellet-tower').flatMap((s) => {
        const dewC = line.at(s)?.pressureDewPointC;
        const cold = line.downstream(s).toSorted((a, b) => line.roomC(a) - line.roomC(b))[0];
        if (dewC === undefined || !cold || dewC <= line.roomC(cold)) return [];
        return [
          at(
            [s, cold],
            (say) =>
              `Behind ${s.name} the dew point is ${say(dewC, 'temperature')}; ${cold.name} stands at ${say(line.roomC(cold), 'temperature')}.`,
            'Water falls out there later.',
            refit('Take pellets that lower it further', s, {
              ...s.parameters,
              suppressionK: Math.min(36, s.parameters.suppressionK + (dewC - line.roomC(cold)) + 2),
            }),
          ),
        ];
      }),
  },
  {
    id: 'O22',
    grade: 'must',
    when: 'a membrane behind an oiled pump with no 0.01 µm coalescer before it',
    mend: 'Coalescers of 1 µm and 0.01 µm before it.',
    source: 'common practice: oil ruins the fibres for good',
    finds: (line) =>
      !line.oiled
        ? []
        : line
            .of('membrane')
            .filter(
              (s) => !line.upstream(s).some((u) => u.kind === 'coalescing-filter' && u.parameters.grade === 'fine'),
            )
            .map((s) =>
              at(
                s,
                `No 0.01 µm coalescer stands before ${s.name}.`,
                'Oil ruins the fibres for good.',
                put('Put 1 µm and 0.01 µm coalescers before it', 'before', s, ...both),
              ),
            ),
  },
  {
    id: 'O23',
    grade: 'note',
    when: 'a membrane that is used to less than 30 %, while its sweep goes on',
    mend: 'A smaller one, or shut the sweep while nobody draws air.',
    source: 'common practice',
    finds: (line) =>
      line.of('membrane').flatMap((s) => {
        const { average } = peakThrough(line, s);
        if (s.parameters.sweepOff === 'yes' || average >= SWEEP_WASTED_BELOW * s.parameters.ratedFlowM3PerS) return [];
        return [
          at(
            s,
            `Most of the sweep of ${s.name} is wasted.`,
            (say) =>
              `It blows ${say(s.parameters.sweepShare * s.parameters.ratedFlowM3PerS, 'volumeFlow')} all day for ${say(average, 'volumeFlow')} of use.`,
            set('Shut the sweep while nobody draws air', s, { sweepOff: 'yes' }),
          ),
        ];
      }),
  },
  {
    id: 'O24',
    grade: 'must',
    when: 'use, leaks and purge together above what the pumps deliver',
    mend: 'More supply, a dryer that purges less, or fix the leaks.',
    source: 'balance of this line',
    finds: (line) => {
      const { leftM3PerS, lostM3PerS, usedM3PerS, deliveredM3PerS, fallsToPa } = line.balance;
      if (fallsToPa === undefined) return [];
      return [
        ofLine(
          (say) => `You run out of air: ${say(-leftM3PerS, 'volumeFlow')} short.`,
          (say) =>
            `Jobs take ${say(usedM3PerS, 'volumeFlow')}, purge, leaks and drains ${say(lostM3PerS, 'volumeFlow')}; the pumps give ${say(deliveredM3PerS, 'volumeFlow')}. The pressure falls to about ${say(fallsToPa, 'pressure')}${line.of(...DRYERS).length > 0 ? ', and the dryer gets worse' : ''}.`,
          ...line
            .of('twin-tower')
            .filter((s) => s.parameters.control === 'fixed')
            .map((s) => set(`Switch the purge of ${s.name} by its dew point`, s, { control: 'dew-point' })),
        ),
      ];
    },
  },
  {
    id: 'O25',
    grade: 'should',
    when: 'purge set for a pressure more than 10 psi (0.7 bar) from the one that arrives',
    mend: 'Reset the nozzle or the valve.',
    source: 'common practice',
    finds: (line) =>
      line.of('twin-tower').flatMap((s) => {
        const arrives = line.inlet(s)?.pressurePa ?? s.parameters.purgeSetPa;
        if (Math.abs(arrives - s.parameters.purgeSetPa) <= PURGE_APART_PA) return [];
        return [
          at(
            s,
            (say) =>
              `The purge of ${s.name} is set for ${say(s.parameters.purgeSetPa, 'pressure')}; you run at ${say(arrives, 'pressure')}.`,
            arrives > s.parameters.purgeSetPa
              ? 'It blows away more air than it needs.'
              : 'It blows too little to dry the beads.',
            set('Set it for this pressure', s, { purgeSetPa: arrives }),
          ),
        ];
      }),
  },
  {
    id: 'O26',
    grade: 'must',
    stop: true,
    when: 'a heat-of-compression dryer behind an oiled pump',
    mend: 'Another type of dryer.',
    source: 'common practice: oil on hot beads burns',
    finds: (line) =>
      line
        .of('heat-of-compression-tower')
        .filter((s) => line.pumpOf(s)?.parameters.type !== 'oilfree')
        .map((s) =>
          at(
            s,
            `${s.name} needs hot air without oil; this pump is oiled.`,
            'Oil fouls the hot bed, and can burn in it.',
            inTurn(
              'Put a heated twin tower in its place',
              put('', 'behind', s, ...both, ['heated-purge-tower', { ratedFlowM3PerS: s.parameters.ratedFlowM3PerS }]),
              takeOut('', s),
            ),
          ),
        ),
  },
  {
    id: 'O27',
    grade: 'should',
    when: 'a regulator before a coalescer or a dryer',
    mend: 'Regulate behind them, unless a bowl is not rated for the tank’s pressure.',
    source: 'common practice: schools differ at bead cartridges',
    finds: (line) =>
      line.of('regulator').flatMap((s) => {
        const hit = line
          .downstream(s)
          .filter(
            (d) =>
              line.runOf(d) === line.runOf(s) &&
              (d.kind === 'coalescing-filter' || is([...CHILLED, ...TOWERS, 'membrane'], d.kind)),
          )
          .at(-1);
        const [a, b] = [line.inlet(s)?.pressurePa, line.at(s)?.pressurePa];
        if (!hit || !a || !b || a - b < 5e4) return [];
        return [
          at(
            [s, hit],
            `${hit.name} works behind ${s.name}, at low pressure.`,
            (say) =>
              `At ${say(b, 'pressure')} the air takes ${(a / b).toFixed(1)} times the room that it takes at ${say(a, 'pressure')}: faster through the filter, and less of it dried.`,
            carry(`Move the regulator behind ${hit.name}`, s, 'behind', hit),
          ),
        ];
      }),
  },
  {
    id: 'O54',
    grade: 'should',
    when: 'beads that last less than a working day',
    mend: 'Dry or cool the air before them; a second cartridge.',
    source: 'computed from this line; the charge is a first model',
    finds: (line) =>
      line.of('bead-cartridge').flatMap((s) => {
        // Beads that take up nothing any more tell no time: they are spent.
        const lasts = line.shown(s, 'Spent after, loaded') ?? (s.parameters.spentShare > 0.5 ? 0 : undefined);
        const day = loadedHoursPerDay(line.plan) * 3600;
        if (lasts === undefined || lasts >= day) return [];
        const chilled = dryersBefore(line, s).some((d) => is(CHILLED, d.kind));
        return [
          at(
            s,
            (say) =>
              lasts === 0
                ? `The beads in ${s.name} are spent.`
                : `The beads in ${s.name} last ${say(lasts, 'time')} of air.`,
            (say) => `A working day is ${say(day, 'time')} with the pump loaded.`,
            chilled
              ? set('Put in a larger, new charge', s, {
                  massKg: Math.min(
                    500,
                    Math.max(2 * s.parameters.massKg, (s.parameters.massKg * day * 5) / Math.max(lasts, 600)),
                  ),
                  spentShare: 0,
                  charge: 'new',
                })
              : put(
                  'Put a refrigerated dryer and its filter before them',
                  'before',
                  rightBefore(line, s)?.kind === 'coalescing-filter' ? (rightBefore(line, s) as Stage) : s,
                  ['refrigerated-dryer'],
                ),
            coolIfWarm(line, s),
          ),
        ];
      }),
  },
  {
    id: 'A24',
    grade: 'must',
    when: 'silica gel with a dye, dried hotter than 250 °F (121 °C)',
    mend: 'Retire that charge and replace it; dry the next at most at 120 °C, until its weight stands.',
    source: 'common practice; reference group 12',
    finds: (line) =>
      line
        .of('bead-cartridge')
        .filter(
          (s) => s.parameters.medium === 'silica' && s.parameters.charge === 'oven' && s.parameters.ovenC > DYE_MOST_C,
        )
        .map((s) =>
          at(
            s,
            (say) => `The gel in ${s.name} was dried at ${say(s.parameters.ovenC, 'temperature')}: it is spoilt.`,
            (say) =>
              `A dye bears ${say(DYE_MOST_C, 'temperature')}. Beyond that its colour tells nothing any more, and the gel takes up less.`,
            set('Put in a new charge', s, { charge: 'new', spentShare: 0, ovenC: 120 }),
          ),
        ),
  },
  {
    id: 'O56',
    grade: 'should',
    when: 'oil class 1 or 2 from an oil-free pump without coalescers and carbon',
    mend: '1 µm, 0.01 µm and carbon.',
    source: 'common practice: the air of the room has oil in it',
    finds: (line) =>
      line.of('outlet').flatMap((s) => {
        const before = line.upstream(s);
        const strict = s.parameters.oilClass === '1' || s.parameters.oilClass === '2';
        if (
          !strict ||
          line.pumpOf(s)?.parameters.type !== 'oilfree' ||
          (before.some((u) => u.kind === 'carbon-filter') && before.some((u) => u.kind === 'coalescing-filter'))
        )
          return [];
        return [
          at(
            s,
            `An oil-free pump is not oil-free air: ${s.name} asks for class ${s.parameters.oilClass}.`,
            `The room’s own oil vapour comes along: class ${line.grades.get(s.id)?.oil ?? 'X'} arrives.`,
            put('Put coalescers and carbon before it', 'before', s, ...both, ['carbon-filter']),
          ),
        ];
      }),
  },
  {
    id: 'O57',
    grade: 'note',
    when: 'a dryer whose valves are moved by air from the wet side',
    mend: 'Feed its valves from dry air.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('twin-tower')
        .filter((s) => s.parameters.pilot === 'wet')
        .map((s) =>
          at(
            s,
            `The valves of ${s.name} are moved by wet air.`,
            'They stick, and the towers stop changing over.',
            set('Feed them from behind the dryer', s, { pilot: 'dry' }),
          ),
        ),
  },
  {
    id: 'O63',
    grade: 'note',
    when: 'carbon whose hours nobody counts',
    mend: 'Count its hours, and try it with a blotter and your nose.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('carbon-filter')
        .filter((s) => s.parameters.counted === 'no')
        .map((s) =>
          at(
            s,
            `Nobody counts the hours of ${s.name}.`,
            (say) =>
              `Spent carbon gives no sign on a gauge; here it lasts about ${say(line.shown(s, 'Lasts about') ?? 0, 'time')}.`,
            set('Count its hours', s, { counted: 'yes' }),
          ),
        ),
  },
];

function coolIfWarm(line: LineFacts, s: Stage): ReturnType<typeof coolAtPump> {
  const warm = (line.inlet(s)?.temperatureC ?? 0) > line.roomC(s) + 8;
  return warm ? coolAtPump(line, s) : undefined;
}
