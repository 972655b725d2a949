import type { Section } from '../line/section';
import { walk } from '../line/walk';
import { tubeOutsideM } from '../piping/ends';
import { isUpright, type Leg, type Point, pointsOf } from '../piping/legs';
import { isDrawable } from '../plan/drawn';
import type { Plan, Stage } from '../plan/plan';
import { allStages, type Run, runsOf, standing } from '../plan/runs';
import { connectionsOf } from './joints';
import { isApart } from './ports';
import { supportedAs, supportPlaces, tubeSupports } from './supports';

/** A straight piece of the drawing, from a point to a point, m. */
export interface Piece {
  readonly stageId: string;
  /** Which leg of its stage, from 0. */
  readonly leg: number;
  readonly from: Point;
  readonly to: Point;
  readonly lengthM: number;
  readonly fall: number;
  /** Whether somebody drew it; otherwise its length goes straight on. */
  readonly drawn: boolean;
  readonly drain: boolean;
}

/** A thing on the drawing. */
export interface Mark {
  readonly stageId: string;
  /** Its number, the same as on the bill. */
  readonly item: number;
  readonly at: Point;
  /** Where the air comes to it, when that is not where it stands. */
  readonly from: Point;
  /** The way in which it comes. */
  readonly along: Leg['to'];
  readonly isJob: boolean;
}

/** A line as its run is drawn: to scale, in metres east, north and up of its compressor. */
export interface Drawing {
  readonly pieces: readonly Piece[];
  readonly marks: readonly Mark[];
  /** Where pipes and tubes are held. */
  readonly supports: readonly { readonly stageId: string; readonly at: Point }[];
  /** Where each run ends, with its height over the beginning. */
  readonly ends: readonly { readonly run: string; readonly at: Point }[];
  /** Where the run goes on past a job that stands beside it. */
  readonly past: readonly (readonly [Point, Point])[];
}

/** Room that a thing takes on the drawing at the least, m; on a long line more, so that one sees it. */
const THING_M = 0.8;
const THINGS_IN_LENGTH = 25;

/**
 * Numbers of the stages of a line in the order of flow: the same on drawing, bill and list of assembly.
 * @example itemNumbers(plan).get('receiver') // 4
 */
export function itemNumbers(plan: Plan): ReadonlyMap<string, number> {
  const stages = runsOf(standing(plan)).flatMap((r) => r.stages.filter((s) => !isApart(s)));
  return new Map(stages.map((s, i) => [s.id, i + 1]));
}

/** Where the nth branch turns off a run: to one side and the other by turns. */
const besides = (along: Leg['to'], nth: number): Leg['to'] => {
  const sides: readonly Leg['to'][] = along === 'east' || along === 'west' ? ['south', 'north'] : ['east', 'west'];
  return sides[nth % 2] as Leg['to'];
};

/** Legs of a stage: as drawn, or straight on by its length. */
function legsOf(stage: Stage, along: Leg['to']): { legs: readonly Leg[]; drawn: boolean } | undefined {
  if (!isDrawable(stage) && stage.kind !== 'hose-reel') return undefined;
  if (stage.fit?.legs) return { legs: stage.fit.legs, drawn: true };
  const { lengthM } = stage.parameters as { lengthM: number };
  return { legs: [{ to: along, lengthM, fall: 0 }], drawn: false };
}

/**
 * What can be drawn of a line: its pipes, hoses and cooling runs, and the stages that a tube leads to.
 * @example drawableOf(plan, section).length // 4
 */
export function drawableOf(plan: Plan, section: Section = walk(plan)): Stage[] {
  const tubes = new Set(connectionsOf(plan, section).map((c) => c.stageId));
  return allStages(standing(plan)).filter((s) => isDrawable(s) || tubes.has(s.id));
}

/**
 * The drawing of a line from its legs: where each piece and each thing is. A branch begins at the stage that it leaves.
 * @example drawingOf(plan, section).marks[0].item // 1
 */
export function drawingOf(plan: Plan, section: Section = walk(plan)): Drawing {
  const line = standing(plan);
  const items = itemNumbers(plan);
  const longest = Math.max(
    ...runsOf(line).map((r) =>
      r.stages.reduce((sum, s) => sum + ((s.parameters as { lengthM?: number }).lengthM ?? 0), 0),
    ),
  );
  const thingM = Math.max(THING_M, longest / THINGS_IN_LENGTH);
  const tubes = new Map(connectionsOf(plan, section).map((c) => [c.stageId, c]));
  const pieces: Piece[] = [];
  const marks: Mark[] = [];
  const ends: Drawing['ends'][number][] = [];
  const past: (readonly [Point, Point])[] = [];
  const supports: Drawing['supports'][number][] = [];
  const leaves = new Map<string, { at: Point; along: Leg['to']; taken: number }>();

  const draw = (run: Run, start: Point, along: Leg['to']): void => {
    let at = start;
    let facing = along;
    const straight = (stageId: string, legs: readonly Leg[], drawn: boolean): void => {
      const points = pointsOf(legs, at);
      legs.forEach(({ lengthM, fall, drain }, leg) => {
        pieces.push({
          ...{ stageId, leg, lengthM, fall, drawn, drain: drain === true },
          ...{ from: points[leg] as Point, to: points[leg + 1] as Point },
        });
      });
      at = points.at(-1) as Point;
      facing = legs.findLast((l) => !isUpright(l.to))?.to ?? facing;
    };
    const on = (to: Leg['to']): Point => pointsOf([{ to, lengthM: thingM, fall: 0 }], at)[1] as Point;
    const stages = run.stages.filter((s) => !isApart(s));
    stages.forEach((stage, i) => {
      const mark = { stageId: stage.id, item: items.get(stage.id) ?? 0, isJob: stage.kind === 'outlet' };
      const tube = tubes.get(stage.id);
      const own = legsOf(stage, facing);
      const from = at;
      if (own) {
        straight(stage.id, own.legs, own.drawn);
        supports.push(...supportPoints(stage, own.legs, from).map((at) => ({ stageId: stage.id, at })));
        const place = middle(from, pointsOf(own.legs, from)[1] as Point);
        marks.push({ ...mark, at: place, from: place, along: facing });
      } else {
        const drawn = isDrawable(stage) ? undefined : stage.fit?.legs;
        if (tube && i > 0) {
          const legs = drawn ?? [{ to: facing, lengthM: tube.lengthM, fall: 0 }];
          straight(stage.id, legs, drawn !== undefined);
          const outsideM = tubeOutsideM({ family: 'tube', size: tube.size, gender: 'male' }) ?? 0;
          supports.push(
            ...placesAlong(tubeSupports(outsideM, legs), legs, from).map((held) => ({ stageId: stage.id, at: held })),
          );
        } else if (i > 0 || run.from !== null) at = on(facing);
        // A job that others come behind hangs below the run, at its tee.
        const isBeside = mark.isJob && i < stages.length - 1;
        marks.push({ ...mark, at: isBeside ? on('down') : at, from: isBeside || tube ? at : from, along: facing });
        if (isBeside) past.push([from, at]);
      }
      leaves.set(stage.id, { at, along: facing, taken: 0 });
    });
    ends.push({ run: run.name, at });
  };

  const waiting = runsOf(line);
  let sources = 0;
  while (waiting.length > 0) {
    const i = waiting.findIndex((r) => r.from === null || leaves.has(r.from));
    const [run] = waiting.splice(Math.max(0, i), 1) as [Run];
    const from = run.from === null ? undefined : leaves.get(run.from);
    // A further compressor stands beside the first; a branch turns off the way its run goes.
    const start: Point = from?.at ?? [0, -4 * sources++, 0];
    draw(run, start, from ? besides(from.along, from.taken++) : 'east');
  }
  return { pieces, marks, supports, ends, past };
}

function supportPoints(stage: Stage, legs: readonly Leg[], from: Point): Point[] {
  const held = supportedAs(stage);
  return held ? placesAlong(supportPlaces(held.as, held.outsideM, legs), legs, from) : [];
}

/** Places along legs as points. */
function placesAlong(
  places: readonly { readonly leg: number; readonly alongM: number }[],
  legs: readonly Leg[],
  from: Point,
): Point[] {
  const points = pointsOf(legs, from);
  return places.map(({ leg, alongM }) => {
    const [a, b] = [points[leg] as Point, points[leg + 1] as Point];
    const part = alongM / (legs[leg]?.lengthM || 1);
    return a.map((x, i) => x + part * ((b[i] as number) - x)) as unknown as Point;
  });
}

const middle = ([a, b, c]: Point, [d, e, f]: Point): Point => [(a + d) / 2, (b + e) / 2, (c + f) / 2];

const COS_30 = Math.sqrt(3) / 2;

/**
 * A point as an isometric drawing shows it: east to the right and down, north to the right and up, both by 30°; up is up.
 * @returns m to the right and m up, on axes of true length
 * @example isometric([1, 0, 0])[0] // 0.866
 */
export const isometric = ([east, north, up]: Point): readonly [right: number, up: number] => [
  (east + north) * COS_30,
  (north - east) / 2 + up,
];
