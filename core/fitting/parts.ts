import { boreOfEndM, END_FAMILIES, type End, end, endInWords, type FamilyName, sizeInWords } from '../piping/ends';
import { type Dash, PIPE_THREADS } from '../piping/threads';

/** A part that stands between two ends. */
export interface Part {
  readonly id: string;
  readonly label: string;
  /** What it is, for the aisle of the shop. */
  readonly type: PartType;
  readonly ends: readonly [End, End];
  /** Narrowest bore, m. */
  readonly boreM: number;
  /** What it bears: air temperature, °C, and gauge pressure, Pa. */
  readonly mostC: number;
  readonly mostGaugePa: number;
  /** Length that it adds, m. */
  readonly lengthM: number;
  /** Placeholder, in the currency of the line. */
  readonly price: number;
}
export type PartType = 'nipple' | 'coupling' | 'bushing' | 'adapter' | 'valve';

const BAR = 1e5;
/** What the seal of a family bears. Typical of makers' sheets, common practice, no source: the print on the part decides. */
export const RATINGS: Readonly<Record<FamilyName, { readonly mostC: number; readonly mostGaugePa: number }>> = {
  npt: { mostC: 230, mostGaugePa: 50 * BAR },
  bspt: { mostC: 230, mostGaugePa: 50 * BAR },
  bspp: { mostC: 100, mostGaugePa: 40 * BAR }, // its washer
  'flare-37': { mostC: 230, mostGaugePa: 100 * BAR },
  'flare-45': { mostC: 230, mostGaugePa: 50 * BAR },
  'o-ring-boss': { mostC: 100, mostGaugePa: 100 * BAR }, // nitrile ring
  compression: { mostC: 230, mostGaugePa: 20 * BAR },
  'push-in': { mostC: 60, mostGaugePa: 10 * BAR },
  solder: { mostC: 230, mostGaugePa: 20 * BAR }, // brazed; soft solder melts at 183–230 °C and is never used on the discharge
  grip: { mostC: 60, mostGaugePa: 12.5 * BAR },
  tube: { mostC: 230, mostGaugePa: 40 * BAR },
  barb: { mostC: 230, mostGaugePa: 20 * BAR },
  hose: { mostC: 70, mostGaugePa: 20 * BAR },
  flange: { mostC: 150, mostGaugePa: 16 * BAR },
  'coupler-a': { mostC: 70, mostGaugePa: 16 * BAR },
  'coupler-b': { mostC: 70, mostGaugePa: 16 * BAR },
  'coupler-c': { mostC: 70, mostGaugePa: 16 * BAR },
  'coupler-7.2': { mostC: 70, mostGaugePa: 16 * BAR },
  'coupler-full': { mostC: 70, mostGaugePa: 16 * BAR },
};

/** Placeholder price of a brass fitting, by its larger bore: 3 at ¼ in, 8 at ¾ in, 40 at 2 in (estimate). */
const priceOf = (boreM: number, times: number): number => {
  const mm = boreM * 1e3;
  return Math.round(100 * times * (2 + 0.12 * mm + 0.0125 * mm * mm)) / 100;
};

function part(type: PartType, label: string, a: End, b: End, times = 1): Part {
  const [boreA, boreB] = [boreOfEndM(a), boreOfEndM(b)];
  const [one, other] = [RATINGS[a.family], RATINGS[b.family]];
  return {
    id: `${type}:${[a, b].map((e) => `${e.family} ${e.size} ${e.gender}`).join(' × ')}`,
    label,
    type,
    ends: [a, b],
    boreM: Math.min(boreA, boreB),
    mostC: Math.min(one.mostC, other.mostC),
    mostGaugePa: Math.min(one.mostGaugePa, other.mostGaugePa),
    lengthM: 0.02 + 1.2 * Math.max(boreA, boreB), // estimate: a hex nipple of ½ in is some 40 mm
    price: priceOf(Math.max(boreA, boreB), times),
  };
}

const adapter = (a: End, b: End, times = 1.3): Part =>
  part('adapter', `Adapter ${endInWords(a)} × ${endInWords(b)}`, a, b, times);

/** Nipples, couplings, bushings and valves of one pipe thread. */
function screwed(family: 'npt' | 'bspt'): Part[] {
  const { label } = END_FAMILIES[family];
  const male = (size: string): End => end(family, size, 'male');
  const female = (size: string): End => end(family, size, 'female');
  return PIPE_THREADS.flatMap((size, i) => {
    const inch = sizeInWords(size);
    const smaller = PIPE_THREADS.slice(Math.max(0, i - 2), i);
    return [
      part('nipple', `Hex nipple ${inch} ${label}`, male(size), male(size)),
      part('coupling', `Coupling ${inch} ${label}`, female(size), female(size)),
      part('coupling', `Union ${inch} ${label}`, female(size), female(size), 4),
      part('valve', `Ball valve, full port, ${inch} ${label}, female × female`, female(size), female(size), 4),
      part('valve', `Ball valve, full port, ${inch} ${label}, male × female`, male(size), female(size), 4.5),
      ...smaller.flatMap((less) => [
        part('bushing', `Bushing ${inch} male × ${sizeInWords(less)} female ${label}`, male(size), female(less), 0.8),
        part('nipple', `Reducing nipple ${inch} × ${sizeInWords(less)} ${label}`, male(size), male(less), 1.2),
        part('coupling', `Reducing coupling ${inch} × ${sizeInWords(less)} ${label}`, female(size), female(less), 1.3),
      ]),
    ];
  }).map((p) => (p.label.startsWith('Union') ? { ...p, id: `union:${p.id}` } : p));
}

/** Which pipe threads a tube, flare or hose of a size is commonly made with (common practice, no source). */
const FLARE_ON: Readonly<Record<Dash, readonly string[]>> = {
  '-4': ['1/8', '1/4'],
  '-5': ['1/8', '1/4'],
  '-6': ['1/4', '3/8'],
  '-8': ['3/8', '1/2'],
  '-10': ['1/2', '3/4'],
  '-12': ['1/2', '3/4'],
  '-16': ['3/4', '1'],
};
const TUBE_ON: Readonly<Record<string, readonly string[]>> = {
  '1/4': ['1/8', '1/4'],
  '5/16': ['1/8', '1/4'],
  '3/8': ['1/4', '3/8', '1/2'],
  '1/2': ['3/8', '1/2'],
  '5/8': ['1/2', '3/4'],
  '3/4': ['1/2', '3/4'],
  '7/8': ['3/4'],
  '1-1/8': ['1'],
  '4 mm': ['1/8'],
  '6 mm': ['1/8', '1/4'],
  '8 mm': ['1/8', '1/4'],
  '10 mm': ['1/4', '3/8'],
  '12 mm': ['3/8', '1/2'],
  '15 mm': ['3/8', '1/2'],
  '16 mm': ['1/2'],
  '18 mm': ['1/2', '3/4'],
  '20 mm': ['1/2', '3/4'],
  '22 mm': ['3/4'],
  '25 mm': ['3/4', '1'],
  '28 mm': ['3/4', '1'],
  '32 mm': ['1', '1-1/4'],
  '40 mm': ['1-1/4', '1-1/2'],
  '50 mm': ['1-1/2', '2'],
};

const isMetric = (size: string): boolean => size.endsWith('mm');

/** What goes from one pipe thread to everything else. */
function adaptersOf(family: 'npt' | 'bspt'): Part[] {
  const ends = (sizes: readonly string[]): End[] =>
    sizes.flatMap((size) => [end(family, size, 'male'), end(family, size, 'female')]);
  const onTube = (['compression', 'push-in', 'solder', 'grip'] as const).flatMap((taking) =>
    END_FAMILIES[taking].sizes
      .filter((size) => taking === 'grip' || isMetric(size) === (family === 'bspt') || taking === 'push-in')
      .flatMap((size) =>
        ends(TUBE_ON[size] ?? []).map((e) => adapter(end(taking, size), e, taking === 'grip' ? 2 : 1.3)),
      ),
  );
  const flared = (Object.keys(FLARE_ON) as Dash[]).flatMap((dash) => [
    ...(FLARE_ON[dash] as string[]).map((size) =>
      adapter(end('flare-37', dash, 'female'), end(family, size, 'male'), 1.8),
    ),
    ...ends(FLARE_ON[dash]).map((e) => adapter(end('flare-37', dash, 'male'), e)),
  ]);
  const softFlared = END_FAMILIES['flare-45'].sizes.flatMap((size) =>
    ends(TUBE_ON[size] as string[]).map((e) => adapter(end('flare-45', size, 'male'), e, 1.2)),
  );
  const onHose = END_FAMILIES.barb.sizes.flatMap((size) =>
    ends(size === '5/16' ? ['1/4'] : [size]).map((e) => adapter(end('barb', size), e, 1.1)),
  );
  const couplers = (['coupler-a', 'coupler-b', 'coupler-c', 'coupler-7.2', 'coupler-full'] as const).flatMap(
    (profile) =>
      END_FAMILIES[profile].sizes.flatMap((size) =>
        ends([size]).flatMap((e) => [
          adapter(end(profile, size, 'female'), e, 3),
          adapter(end(profile, size, 'male'), e, 0.9),
        ]),
      ),
  );
  const flanges = Object.entries({ 'DN 50': ['1-1/2', '2'], 'DN 65': ['2'] }).flatMap(([size, threads]) =>
    ends(threads).map((e) => adapter(end('flange', size), e, 1.5)),
  );
  const straight = PIPE_THREADS.flatMap((size) =>
    ends([size]).flatMap((e) => [adapter(end('bspp', size, 'male'), e), adapter(end('bspp', size, 'female'), e)]),
  );
  const bosses = END_FAMILIES['o-ring-boss'].sizes.flatMap((dash) =>
    (FLARE_ON[dash as Dash] as string[]).map((s) =>
      adapter(end('o-ring-boss', dash, 'male'), end(family, s, 'female')),
    ),
  );
  return [...onTube, ...flared, ...softFlared, ...onHose, ...couplers, ...flanges, ...straight, ...bosses];
}

/** Parts as any shop has them, of no maker: what they are, what they bear, and a placeholder price. */
export const PARTS: readonly Part[] = [
  ...screwed('npt'),
  ...screwed('bspt'),
  ...PIPE_THREADS.flatMap((size) => [
    adapter(end('npt', size, 'male'), end('bspt', size, 'female')),
    adapter(end('npt', size, 'female'), end('bspt', size, 'male')),
  ]),
  ...adaptersOf('npt'),
  ...adaptersOf('bspt'),
  ...END_FAMILIES.flange.sizes.flatMap((size, i, sizes) =>
    sizes
      .slice(Math.max(0, i - 2), i)
      .map((less) =>
        part('coupling', `Reducer ${size} × ${less}, flanged`, end('flange', size), end('flange', less), 1),
      ),
  ),
  ...END_FAMILIES['o-ring-boss'].sizes.map((dash) =>
    adapter(end('o-ring-boss', dash, 'male'), end('flare-37', dash, 'male')),
  ),
];
