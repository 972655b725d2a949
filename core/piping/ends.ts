import { z } from 'zod';
import { INCH } from '../quantity/constants';
import { BSPP, BSPT, FLARE_37, FLARE_45, NPT, O_RING_BOSS, PIPE_THREADS, type Thread } from './threads';

const inches = (sizes: readonly string[]): Record<string, number> =>
  Object.fromEntries(sizes.map((s) => [s, inchOf(s) * INCH]));
const millimetres = (sizes: readonly number[]): Record<string, number> =>
  Object.fromEntries(sizes.map((mm) => [`${mm} mm`, mm / 1e3]));

/** “1-1/4” as 1.25. */
function inchOf(size: string): number {
  return size.split('-').reduce((sum, part) => {
    const [over, under = '1'] = part.split('/');
    return sum + Number(over) / Number(under);
  }, 0);
}

const TUBES = {
  ...inches(['1/4', '5/16', '3/8', '1/2', '5/8', '3/4', '7/8', '1-1/8']),
  ...millimetres([4, 6, 8, 10, 12, 15, 16, 18, 20, 22, 25, 28, 32, 40, 50]),
};
const COMPRESSED = ['1/4', '5/16', '3/8', '1/2', '5/8', '3/4', '6 mm', '8 mm', '10 mm', '12 mm', '15 mm', '18 mm'];
const HOSES = ['1/4', '5/16', '3/8', '1/2', '3/4', '1', '1-1/4', '1-1/2', '2'];
const BODIES = ['1/4', '3/8', '1/2'];
const FLANGES = ['DN 50', 'DN 65', 'DN 80', 'DN 100', 'DN 150'];

interface Family {
  readonly label: string;
  /** What makes it tight. */
  readonly seals: string;
  readonly sizes: readonly string[];
  /** What its two halves are called; one alone where it joins with its like. */
  readonly genders: Partial<Record<Gender, string>>;
  readonly threads?: Readonly<Record<string, Thread>>;
  /** Outside diameters of the tube that it is or takes, m. */
  readonly tubes?: Readonly<Record<string, number>>;
  /** Whether what it makes comes apart without turning either side. */
  readonly parts?: true;
  readonly source: string;
}
export type Gender = 'male' | 'female' | 'both';

const SCREWED = { male: 'male', female: 'female' };
const coupler = (label: string, sizes = BODIES): Family => ({
  label,
  seals: 'an O-ring in the socket',
  sizes,
  genders: { male: 'plug', female: 'socket' },
  parts: true,
  source: 'ISO 6150 (recalled); profiles beyond it common practice, no source',
});
const tubeEnd = (sizes: readonly string[]): Record<string, number> =>
  Object.fromEntries(sizes.map((s) => [s, (TUBES as Record<string, number>)[s] as number]));

/** Families of ends: what two things that are joined present to each other. */
export const END_FAMILIES = {
  npt: {
    label: 'NPT',
    seals: 'sealant on the taper thread',
    sizes: PIPE_THREADS,
    genders: SCREWED,
    threads: NPT,
    source: 'ASME B1.20.1',
  },
  bspt: {
    label: 'BSPT',
    seals: 'sealant on the taper thread',
    sizes: PIPE_THREADS,
    genders: { male: 'male (R)', female: 'female (Rc, Rp)' },
    threads: BSPT,
    source: 'ISO 7-1',
  },
  bspp: {
    label: 'BSPP',
    seals: 'a washer or an O-ring at the shoulder',
    sizes: PIPE_THREADS,
    genders: SCREWED,
    threads: BSPP,
    source: 'ISO 228-1',
  },
  'flare-37': {
    label: '37° flare',
    seals: 'metal on metal at the seat',
    sizes: Object.keys(FLARE_37),
    genders: { male: 'male', female: 'swivel nut' },
    threads: FLARE_37,
    parts: true,
    source: 'SAE J514, ISO 8434-2',
  },
  'flare-45': {
    label: '45° flare',
    seals: 'metal on metal at the seat',
    sizes: Object.keys(FLARE_45),
    genders: { male: 'male', female: 'swivel nut' },
    threads: FLARE_45,
    parts: true,
    source: 'SAE J512',
  },
  'o-ring-boss': {
    label: 'O-ring boss',
    seals: 'an O-ring in the boss',
    sizes: Object.keys(O_RING_BOSS),
    genders: { male: 'male', female: 'port' },
    threads: O_RING_BOSS,
    source: 'ISO 11926-1, SAE J1926',
  },
  compression: {
    label: 'compression fitting',
    seals: 'a ferrule, used once',
    sizes: [...COMPRESSED, '22 mm', '28 mm'],
    genders: { female: 'nut and ferrule' },
    tubes: tubeEnd([...COMPRESSED, '22 mm', '28 mm']),
    parts: true,
    source: 'by outside diameter of the tube; SAE J512, ISO 8434-1 (recalled)',
  },
  'push-in': {
    label: 'push-in fitting',
    seals: 'an O-ring on the tube',
    sizes: ['4 mm', '6 mm', '8 mm', '10 mm', '12 mm', '1/4', '3/8', '1/2'],
    genders: { female: 'collar' },
    tubes: tubeEnd(['4 mm', '6 mm', '8 mm', '10 mm', '12 mm', '1/4', '3/8', '1/2']),
    parts: true,
    source: 'by outside diameter of the tube; common practice, no source',
  },
  solder: {
    label: 'brazed or pressed cup',
    seals: 'braze, or the ring of a press fitting',
    sizes: ['3/8', '1/2', '5/8', '7/8', '1-1/8', '15 mm', '18 mm', '22 mm', '28 mm'],
    genders: { female: 'cup' },
    tubes: tubeEnd(['3/8', '1/2', '5/8', '7/8', '1-1/8', '15 mm', '18 mm', '22 mm', '28 mm']),
    source: 'by outside diameter of the tube; ASTM B88, EN 1057 (recalled)',
  },
  grip: {
    label: 'grip fitting',
    seals: 'an O-ring, held by a grip ring',
    sizes: ['16 mm', '20 mm', '25 mm', '32 mm', '40 mm', '50 mm'],
    genders: { female: 'nut and grip ring' },
    tubes: tubeEnd(['16 mm', '20 mm', '25 mm', '32 mm', '40 mm', '50 mm']),
    parts: true,
    source: 'by outside diameter of the pipe; common practice, no source',
  },
  tube: {
    label: 'tube',
    seals: 'by what takes it',
    sizes: Object.keys(TUBES),
    genders: { male: 'end' },
    tubes: TUBES,
    source: 'by outside diameter; ASTM B88, EN 1057 (recalled)',
  },
  barb: {
    label: 'hose barb',
    seals: 'a clamp on the hose',
    sizes: HOSES,
    genders: { male: 'barb' },
    source: 'by bore of the hose; common practice, no source',
  },
  hose: {
    label: 'hose',
    seals: 'a clamp on the hose',
    sizes: HOSES,
    genders: { female: 'end' },
    source: 'by bore of the hose; common practice, no source',
  },
  flange: {
    label: 'flange',
    seals: 'a gasket between the faces',
    sizes: FLANGES,
    genders: { both: 'face' },
    parts: true,
    source: 'one pattern and class (PN or class) on both sides; common practice, no source',
  },
  'coupler-a': coupler('coupler A'),
  'coupler-b': coupler('coupler B'),
  'coupler-c': coupler('coupler C'),
  'coupler-7.2': coupler('coupler 7.2', ['1/4']),
  'coupler-full': coupler('full-flow coupler', ['3/8', '1/2']),
} as const satisfies Record<string, Family>;
export type FamilyName = keyof typeof END_FAMILIES;

/** What one side of a joint presents. */
export interface End {
  readonly family: FamilyName;
  readonly size: string;
  readonly gender: Gender;
}

/**
 * What is true of a family of ends.
 * @example familyOf('flange').genders // {"both":"face"}
 */
export const familyOf = (name: FamilyName): Family => END_FAMILIES[name];

/** An end as a plan keeps it: of a family, a size that the family has, and one of its halves. */
export const endSchema: z.ZodType<End> = z
  .strictObject({
    family: z.enum(Object.keys(END_FAMILIES) as [FamilyName, ...FamilyName[]]),
    size: z.string().max(12),
    gender: z.enum(['male', 'female', 'both']),
  })
  .superRefine(({ family, size, gender }, ctx) => {
    const { sizes, genders, label } = familyOf(family);
    if (!sizes.includes(size))
      ctx.addIssue({ code: 'custom', path: ['size'], message: `${label} is made as ${sizes.join(', ')}.` });
    if (genders[gender] === undefined)
      ctx.addIssue({ code: 'custom', path: ['gender'], message: `${label} has no such half.` });
  });

/**
 * A short way of writing an end.
 * @param gender left out where the family has one half only
 * @returns the end
 * @throws RangeError where the family has no such size or half
 * @example end('npt', '1/2', 'male').gender // 'male'
 */
export function end(family: FamilyName, size: string, gender?: Gender): End {
  const { sizes, genders, label } = familyOf(family);
  const half = gender ?? (Object.keys(genders)[0] as Gender);
  if (!sizes.includes(size)) throw new RangeError(`${label} is not made in ${size}.`);
  if (genders[half] === undefined) throw new RangeError(`${label} has no ${half} half.`);
  return { family, size, gender: half };
}

/**
 * Thread of an end, where it has one.
 * @example threadOf(end('npt', '1/2', 'male'))?.perInch // 14
 */
export const threadOf = ({ family, size }: End): Thread | undefined => familyOf(family).threads?.[size];

/**
 * Outside diameter of the tube that an end is, or takes.
 * @returns m
 * @example tubeOutsideM(end('compression', '3/8')) // 0.009525
 */
export const tubeOutsideM = ({ family, size }: End): number | undefined => familyOf(family).tubes?.[size];

/**
 * An end in words, its size as people say it.
 * @example endInWords(end('npt', '1/2', 'male')) // '1/2 in NPT, male'
 */
export function endInWords({ family, size, gender }: End): string {
  const { label, genders } = familyOf(family);
  // Of a family with one half the name says it all.
  const half = Object.keys(genders).length > 1 ? `, ${genders[gender] ?? gender}` : '';
  return `${sizeInWords(size)} ${label}${half}`;
}

/**
 * A size as people say it: inches with their sign, all else as it is.
 * @example sizeInWords('3/8') // '3/8 in'
 */
export const sizeInWords = (size: string): string =>
  size.startsWith('-') ? `dash ${size.slice(1)}` : /[a-z]/i.test(size) ? size : `${size} in`;

// Bores of screwed fittings, mm: a brass fitting of the size (typical, common practice, no source).
const THREAD_BORE: Record<string, number> = {
  '1/8': 5.5,
  '1/4': 7.5,
  '3/8': 10.5,
  '1/2': 14,
  '3/4': 19,
  '1': 25,
  '1-1/4': 32,
  '1-1/2': 38,
  '2': 50,
};
// Bores of flared fittings, mm: SAE J514, largest drill (recalled).
const DASH_BORE: Record<string, number> = {
  '-4': 4.4,
  '-5': 6,
  '-6': 7.5,
  '-8': 9.9,
  '-10': 12.3,
  '-12': 15.5,
  '-16': 21.5,
};
const FLARE_45_AS: Record<string, string> = {
  '1/4': '-4',
  '5/16': '-5',
  '3/8': '-6',
  '1/2': '-8',
  '5/8': '-10',
  '3/4': '-12',
};
const BODY_BORE: Record<string, number> = { '1/4': 5.5, '3/8': 7.5, '1/2': 10.5 }; // estimate
const FULL_FLOW = 1.3; // over a plain coupler of the body (estimate)

/**
 * Narrowest bore of an end.
 * @returns m; typical of brass fittings and thin tube, not of any maker
 * @example boreOfEndM(end('npt', '1/2', 'male')) // 0.014
 */
export function boreOfEndM(of: End): number {
  const { family, size } = of;
  const outsideM = tubeOutsideM(of);
  if (outsideM !== undefined) return outsideM - 2 * (outsideM < 0.013 ? 0.9e-3 : outsideM < 0.03 ? 1.1e-3 : 1.6e-3); // walls, typical
  if (family.startsWith('coupler'))
    return ((BODY_BORE[size] as number) / 1e3) * (family === 'coupler-full' ? FULL_FLOW : 1);
  // What is clamped into a hose is its narrowest: of ⅜ in hose 7.5 mm of 9.5 (estimate).
  if (family === 'hose' || family === 'barb') return 0.79 * inchOf(size) * INCH;
  if (family === 'flange') return Number(size.slice(3)) / 1e3;
  const mm = THREAD_BORE[size] ?? DASH_BORE[size];
  if (family === 'flare-45') return (DASH_BORE[FLARE_45_AS[size] as string] as number) / 1e3;
  return (mm as number) / 1e3;
}
