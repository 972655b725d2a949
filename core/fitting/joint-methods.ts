import { END_FAMILIES, type End } from '../piping/ends';

/** How a joint is made: in words, and with what. */
export interface JointMethod {
  readonly does: string;
  /** What one looks up while doing it: turns and marks. */
  readonly short: string;
  readonly tools: readonly string[];
}

/** Turns past hand-tight of a taper thread. Common practice, no source. */
const TURNS: Readonly<Record<string, string>> = {
  '1/8': '1½ to 2½',
  '1/4': '1½ to 2½',
  '3/8': '2 to 3',
  '1/2': '2 to 3',
  '3/4': '2 to 2½',
  '1': '2 to 2½',
};
const TURNS_OF_LARGER = '1½ to 2';
/** Flats of the nut past finger-tight of a 37° flare. Common practice, no source. */
const FLATS: Readonly<Record<string, string>> = { '-4': '2 flats', '-5': '2 flats', '-6': '1¼ flats' };
const FLATS_OF_LARGER = '1 flat';
const SMALL_TUBES = ['1/4', '6 mm'];

const turnsOf = (size: string): string => TURNS[size] ?? TURNS_OF_LARGER;
const nutOf = (size: string): string => (SMALL_TUBES.includes(size) ? '¾ turn' : '1 to 1¼ turns');

/**
 * How an end is made into a joint, with turns and tools.
 * @example methodOf(end('npt', '1/2', 'male')).does.includes('2 to 3 turns') // true
 */
export function methodOf({ family, size }: End): JointMethod {
  switch (family) {
    case 'npt':
    case 'bspt':
      return {
        does: `tape clockwise, 2–3 wraps, beginning one thread back; hand-tight, then ${turnsOf(size)} turns; never back off`,
        short: `sealed, ${turnsOf(size)} turns`,
        tools: ['two wrenches', 'sealing tape'],
      };
    case 'bspp':
      return {
        does: 'washer or O-ring at the shoulder, no tape; to the stop and firm',
        short: 'washer, no tape',
        tools: ['two wrenches'],
      };
    case 'compression':
      return {
        does: `tube square and deburred, to the stop; hand-tight, mark nut and body, then ${nutOf(size)}`,
        short: `marked, ${nutOf(size)}`,
        tools: ['two wrenches', 'tube cutter', 'deburrer', 'marker'],
      };
    case 'flare-37':
      return {
        does: `seats clean and dry; finger-tight, then ${FLATS[size] ?? FLATS_OF_LARGER}`,
        short: FLATS[size] ?? FLATS_OF_LARGER,
        tools: ['two wrenches'],
      };
    case 'flare-45':
      return {
        does: 'seats clean; firm by its maker’s table; never onto a 37° seat',
        short: 'firm',
        tools: ['two wrenches'],
      };
    case 'o-ring-boss':
      return {
        does: 'oil the O-ring, lock nut back, screw to the stop, then the lock nut',
        short: 'O-ring oiled',
        tools: ['two wrenches'],
      };
    case 'push-in':
      return {
        does: 'tube square and chamfered; mark the depth, push to the mark, tug',
        short: 'to the mark, tug',
        tools: ['tube cutter', 'chamfer tool', 'marker'],
      };
    case 'grip':
      return {
        does: 'pipe square and chamfered; mark the depth, push to the mark, nut by its maker’s sheet',
        short: 'to the mark',
        tools: ['pipe cutter', 'chamfer tool', 'marker'],
      };
    case 'solder':
      return {
        does: 'braze or press, never soft solder where the air is hot',
        short: 'brazed or pressed',
        tools: ['torch or press tool', 'tube cutter', 'deburrer'],
      };
    case 'barb':
    case 'hose':
      return {
        does: 'hose cut square, over the whole barb; clamp behind the last ridge',
        short: 'clamped',
        tools: ['hose knife', 'screwdriver'],
      };
    case 'flange':
      return {
        does: 'gasket centred; bolts crosswise in three rounds',
        short: 'crosswise, three rounds',
        tools: ['torque wrench'],
      };
    case 'tube':
      return { does: 'by what takes it', short: '', tools: [] };
    default:
      return {
        does: `push together until it latches (${END_FAMILIES[family].label}); pull to prove it`,
        short: 'latched',
        tools: [],
      };
  }
}
