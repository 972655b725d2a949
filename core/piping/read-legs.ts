import { editableNumber } from '../quantity/format';
import { parseQuantity } from '../quantity/parse';
import { type UnitChoice, unitOf } from '../quantity/units';
import { type Direction, isUpright, LEAST_LEG_M, type Leg, MOST_FALL, MOST_LEG_M, MOST_LEGS } from './legs';

const COMPASS: readonly Direction[] = ['east', 'south', 'west', 'north']; // each to the right of the one before
const TURNS: Readonly<Record<string, number>> = { along: 0, on: 0, right: 1, back: 2, left: 3 };
const SHORT: Readonly<Record<string, Direction>> = { n: 'north', e: 'east', s: 'south', w: 'west' };
const UPRIGHT = ['up', 'down'];

/** A run as it was typed, or what is wrong with it. */
export type ReadLegs = { readonly ok: true; readonly legs: Leg[] } | { readonly ok: false; readonly message: string };

const wrong = (message: string): ReadLegs => ({ ok: false, message });
const EXAMPLE = 'up 2.1 m, along 6.4, down 1.8';

/** Feet and inches as people write them: 6' 4" as 6.333 ft. */
function inFeet(text: string): string {
  const match = /^(\d+(?:\.\d+)?)\s*(?:'|ft)\s*(\d+(?:\.\d+)?)\s*(?:"|in)$/.exec(text);
  return match ? `${Number(match[1]) + Number(match[2]) / 12} ft` : text;
}

/** A comma between two legs, not one within a number: after it comes a word. */
const PARTS = /[,;\n]\s*(?=[a-z])|\s+then\s+/i;
const PART = /^([a-z]+)\s+(.+?)(?:\s+(falling|rising)\s+(\d+(?:[.,]\d+)?)\s*%)?(\s+(?:to a\s+)?drain)?$/i;

/**
 * A run as people say it: “up 2.1 m, along 6.4, right 3 falling 1 %, down 1.8 drain”. Along, left, right and back go by the
 * way one faces; it begins facing east. A length without a unit is in the person’s own.
 * @returns the legs, or a message that names the part that was not understood
 * @example readLegs('up 2.1 m, along 6.4, left 3').legs.map((l) => l.to) // ["up","east","north"]
 */
export function readLegs(text: string, choice: UnitChoice = {}): ReadLegs {
  const parts = text
    .split(PARTS)
    .map((p) => p.trim())
    .filter(Boolean);
  if (parts.length === 0) return wrong(`Type the run as one paces it out, for example “${EXAMPLE}”.`);
  if (parts.length > MOST_LEGS) return wrong(`At most ${MOST_LEGS} legs; these are ${parts.length}.`);
  let facing = 0;
  const legs: Leg[] = [];
  for (const part of parts) {
    const [, word = '', lengthText = '', slope, percent = '0', drain] = PART.exec(part) ?? [];
    const way = word.toLowerCase();
    const named = UPRIGHT.includes(way) ? (way as Direction) : (SHORT[way] ?? COMPASS.find((d) => d === way));
    if (named === undefined && TURNS[way] === undefined)
      return wrong(
        `“${part.slice(0, 40)}” names no direction. Begin with up, down, along, left, right, back, north, east, south or west.`,
      );
    if (named && !isUpright(named)) facing = COMPASS.indexOf(named);
    else if (named === undefined) facing = (facing + (TURNS[way] as number)) % 4;
    const length = parseQuantity(inFeet(lengthText.trim()), 'length', { choice, min: LEAST_LEG_M, max: MOST_LEG_M });
    if (!length.ok) return wrong(`“${part.slice(0, 40)}”: ${length.message}`);
    const to = named ?? (COMPASS[facing] as Direction);
    const fall = (Number(percent.replace(',', '.')) / 100) * (slope?.toLowerCase() === 'rising' ? -1 : 1);
    if (slope && isUpright(to)) return wrong(`“${part.slice(0, 40)}”: an upright leg has no fall.`);
    if (Math.abs(fall) > MOST_FALL)
      return wrong(`“${part.slice(0, 40)}”: at most ${MOST_FALL * 100} %. Draw a steeper one as two legs.`);
    legs.push({ to, lengthM: length.value, fall: fall || 0, ...(drain && { drain: true as const }) });
  }
  return { ok: true, legs };
}

/**
 * A run as it may be typed again, by the compass, in the person’s own unit.
 * @example writeLegs([{ to: 'up', lengthM: 2.1, fall: 0 }, { to: 'east', lengthM: 6.4, fall: 0.01 }]) // 'up 2.1 m, east 6.4 m falling 1 %'
 */
export function writeLegs(legs: readonly Leg[], choice: UnitChoice = {}): string {
  const { symbol } = unitOf('length', choice.length);
  return legs
    .map(({ to, lengthM, fall, drain }) => {
      const slope =
        fall === 0 ? '' : ` ${fall < 0 ? 'rising' : 'falling'} ${Number((Math.abs(fall) * 100).toFixed(3))} %`;
      return `${to} ${editableNumber(lengthM, 'length', choice, 0)} ${symbol}${slope}${drain ? ' drain' : ''}`;
    })
    .join(', ');
}
