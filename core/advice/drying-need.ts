import { CHILLED, DRYERS, is } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import { setPlace } from '../plan/edit';
import type { Stage } from '../plan/plan';
import { abilityC, both, CHILLED_LEAST_C, chilled, dryersBefore, neededDewPointC, tower } from './dryers';
import { at, put, refit } from './fix';
import type { LineFacts } from './line-facts';
import type { Rule } from './rule';

/** A place that is by so much colder than that of the main is a cold one (common practice, no source). */
export const COLDER_BY_K = 5;

// Limits: common practice of the trade unless a standard is named.
const ROOM_LEAST_C = 4.44; // 40 °F

const ROOM_MOST_C = 43.3; // 110 °F

const PELLETS_ROOM_MOST_C = 37.8; // 100 °F

const SPARE_K = 10; // 18 °F below the coldest pipe (ISA-7.0.01 for instrument air, recalled)

const TOWER = 'a twin tower with its filters';

const MEETS_COLD = ['pipe', 'hose', 'hose-reel', 'outlet'] as const;

const roomMostC = (s: Stage): number => (s.kind === 'pellet-tower' ? PELLETS_ROOM_MOST_C : ROOM_MOST_C);

/** Whether a dryer stands in a room in which its kind does not work: that comes first, before another dryer is thought of. */
const standsWrong = (line: LineFacts, s: Stage): boolean =>
  is([...CHILLED, 'high-inlet-dryer', 'pellet-tower'], s.kind) &&
  (line.roomC(s) < ROOM_LEAST_C || line.roomC(s) > roomMostC(s));

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

/** Whether the dryers on the way can make what a job or a cold place asks for. */
export const DRYING_NEED: readonly Rule[] = [
  {
    id: 'O18',
    grade: 'must',
    when: 'a refrigerated dryer in a room below 40 °F (4.4 °C) or above 110 °F (43.3 °C), a pellet tower below 40 °F or above 100 °F (37.8 °C)',
    fix: 'Move it, ventilate or warm the room, or take another type.',
    source: 'common practice',
    finds: (line) =>
      line
        .of(...CHILLED, 'high-inlet-dryer', 'pellet-tower')
        .filter((s) => standsWrong(line, s))
        .map((s) => {
          const cold = line.roomC(s) < ROOM_LEAST_C;
          const elsewhere = line.plan.survey.places.find(
            (p) => p.temperatureC >= ROOM_LEAST_C + 3 && p.temperatureC <= roomMostC(s) - 3,
          );
          return at(
            s,
            (say) => `${s.name} stands in ${say(line.roomC(s), 'temperature')}.`,
            (say) =>
              s.kind === 'pellet-tower'
                ? cold
                  ? `Below ${say(ROOM_LEAST_C, 'temperature')} its brine and drain freeze up.`
                  : `Above ${say(roomMostC(s), 'temperature')} the pellets fuse.`
                : cold
                  ? `Below ${say(ROOM_LEAST_C, 'temperature')} it freezes up.`
                  : `Above ${say(roomMostC(s), 'temperature')} it trips.`,
            elsewhere && { does: `Move it to ${elsewhere.name}`, edit: (plan) => setPlace(plan, s.id, elsewhere.id) },
          );
        }),
  },
  {
    id: 'O16',
    grade: 'must',
    when: 'a need that the dryers before it cannot meet, whatever their size',
    fix: 'Desiccant or a membrane; ask first on which basis the humidity is meant.',
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
            put(`Add ${TOWER} upstream of it`, 'before', s, ...tower(line, s)),
            put(
              'Add a bead cartridge with its coalescers upstream of it',
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
    fix: 'A dryer that can make what the job needs.',
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
              ? chilled(line, s, needs)
              : put(`Add ${TOWER} upstream of it`, 'before', s, ...tower(line, s)),
          ),
        ];
      }),
  },
  {
    id: 'O17',
    grade: 'must',
    when: 'dried air that still meets pipe colder than its dew point',
    fix: 'A lower dew point, or insulate and trace that pipe.',
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
              ? 'Water condenses and freezes.'
              : dewC >= placeC
                ? 'Water condenses.'
                : (say) => `Instrument air needs ${say(SPARE_K, 'temperatureDifference')} to spare.`,
            dryersBefore(line, s).some((d) => standsWrong(line, d))
              ? undefined
              : put(`Add ${TOWER} upstream of it`, 'before', s, ...tower(line, s)),
          ),
        ),
  },
  {
    id: 'O17b',
    grade: 'should',
    when: 'dried air less than 18 °F (10 K) above its dew point on the coldest pipe',
    fix: 'Watch that pipe on the coldest day; insulate it.',
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
            (say) => `A cold morning can use that up: the air has ${say(dewC, 'temperature')} dew point.`,
          ),
        ),
  },
  {
    id: 'O21',
    grade: 'must',
    when: 'a pellet tower whose dew point is above the coldest place downstream of it',
    fix: 'Another dryer, or insulate what is cold.',
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
              `Downstream of ${s.name} the dew point is ${say(dewC, 'temperature')}; ${cold.name} stands at ${say(line.roomC(cold), 'temperature')}.`,
            'Water condenses there.',
            refit('Take pellets that lower it further', s, {
              ...s.parameters,
              suppressionK: Math.min(36, s.parameters.suppressionK + (dewC - line.roomC(cold)) + 2),
            }),
          ),
        ];
      }),
  },
  {
    id: 'O52',
    grade: 'should',
    when: 'a branch through a place colder than that of the main, below its dew point',
    fix: 'A small dryer on that branch only.',
    source: 'common practice',
    finds: (line) =>
      line.of('pipe', 'cooling-run').flatMap((s) => {
        const run = line.runOf(s);
        const tee = line.stages.find((t) => t.id === run.from);
        const dewC = line.inlet(s)?.pressureDewPointC ?? -Infinity;
        if (!tee || line.roomC(s) > line.roomC(tee) - COLDER_BY_K || dewC <= line.roomC(s)) return [];
        const first = run.stages[0] as Stage;
        return [
          at(
            s,
            `${run.name} needs a dew point of its own.`,
            (say) =>
              `${s.name} crosses ${say(line.roomC(s), 'temperature')}; the main stands at ${say(line.roomC(tee), 'temperature')}. Drying all the air for it would cost far more.`,
            put('Add a small twin tower on this branch', 'before', first, ...tower(line, s)),
          ),
        ];
      }),
  },
];
