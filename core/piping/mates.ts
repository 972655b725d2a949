import { type End, familyOf, sizeInWords, threadOf, tubeOutsideM } from './ends';
import { isSameThread, startsInto } from './threads';

/** Whether two ends make a joint, and why or why not. */
export interface Mating {
  /** “leaks”: it goes together and does not hold. */
  readonly verdict: 'yes' | 'no' | 'leaks';
  readonly why: string;
}

const yes = (why: string): Mating => ({ verdict: 'yes', why });
const no = (why: string): Mating => ({ verdict: 'no', why });
const leaks = (why: string): Mating => ({ verdict: 'leaks', why });

/** Tubes that one takes for each other: so near, the wrong one goes in and does not hold. 8 mm and 5/16 in are 0.06 mm apart. */
const LOOKS_ALIKE_M = 3e-4;
/** So near, one reaches for the wrong one, and it does not go in or rattles: 10 mm and 3/8 in are 0.5 mm apart. */
const LIKE_AT_A_GLANCE_M = 1.1e-3;
const TAKES_TUBE = ['compression', 'push-in', 'solder', 'grip'];

function tubeInto(tube: End, taking: End): Mating {
  const [own, wanted] = [tubeOutsideM(tube) as number, tubeOutsideM(taking) as number];
  const between = Math.abs(own - wanted);
  if (between < 1e-6) return yes(`Sealed by ${familyOf(taking.family).seals}.`);
  const apart = `${sizeInWords(tube.size)} tube and a fitting for ${sizeInWords(taking.size)} are ${(between * 1e3).toFixed(2)} mm apart`;
  if (between <= LOOKS_ALIKE_M) return leaks(`${apart}: it goes together and does not hold.`);
  if (between <= LIKE_AT_A_GLANCE_M) return no(`${apart}: alike at a glance, and they do not fit.`);
  return no('The tube has another outside diameter than the fitting takes.');
}

/** Two coupler halves of two profiles, or of one. */
function couplers(a: End, b: End): Mating {
  if (a.gender === b.gender) return no('A plug goes into a socket.');
  if (a.size !== b.size) return no('The bodies have two sizes.');
  return leaks('Same body size, two profiles: it does not latch, or it latches and leaks.');
}

const FLARES = { 'flare-37': '37°', 'flare-45': '45°' } as Readonly<Record<string, string>>;
const ON_PIPE = ['npt', 'bspt', 'bspp'];

/** Two threads of two families. */
function threads(a: End, b: End): Mating {
  const [one, other] = [threadOf(a), threadOf(b)];
  if (!one || !other) return no('The two are of different families: a part must come between.');
  const families = [a.family, b.family];
  if (families.includes('bspt') && families.includes('bspp') && a.size === b.size)
    return leaks(
      'A taper thread in a G thread: one seals on its flanks, the other at its shoulder, so neither is tight.',
    );
  if (families.includes('npt') && ON_PIPE.includes(a.family) && ON_PIPE.includes(b.family))
    return startsInto(one, other)
      ? leaks('NPT and BSP have the same pitch in this size and start, but 60° is not 55°: it binds and leaks.')
      : no('NPT and BSP threads of this size have different pitches or diameters: they bind after a turn or two.');
  if (!isSameThread(one, other)) return no('The threads are different.');
  if (FLARES[a.family] && FLARES[b.family])
    return leaks('The same thread, but a 37° seat on a 45° seat: it screws on, leaks, and the seat cracks.');
  return leaks('The same thread without the same seal: a flare has no O-ring, and a boss no seat.');
}

const keyOf = ({ family, size, gender }: End): string => `${family} ${size} ${gender}`;

/**
 * Whether two ends make a joint without a part between. The answer is the same either way round.
 * @returns a verdict and why
 * @example mates(end('flare-37', '-8', 'male'), end('flare-45', '1/2', 'female')).verdict // 'leaks'
 */
export function mates(one: End, other: End): Mating {
  const [a, b] = [one, other].sort((x, y) => (keyOf(x) < keyOf(y) ? -1 : 1)) as [End, End];
  if (a.family === 'tube' && TAKES_TUBE.includes(b.family)) return tubeInto(a, b);
  if (b.family === 'tube' && TAKES_TUBE.includes(a.family)) return tubeInto(b, a);
  const isHose = [a.family, b.family].sort().join() === 'barb,hose';
  if (a.family.startsWith('coupler') && b.family.startsWith('coupler') && a.family !== b.family) return couplers(a, b);
  if (a.family !== b.family && !isHose) {
    if (a.gender === b.gender && threadOf(a) && threadOf(b))
      return no(`Two ${a.gender} threads of two families: a part must come between.`);
    return threads(a, b);
  }
  if (a.size !== b.size) return no(`${sizeInWords(a.size)} does not meet ${sizeInWords(b.size)}.`);
  if (a.gender === b.gender && a.gender !== 'both') {
    const { genders } = familyOf(a.family);
    return no(`Both are “${genders[a.gender] ?? a.gender}”: a part must come between.`);
  }
  return yes(`Sealed by ${familyOf(a.family).seals}.`);
}
