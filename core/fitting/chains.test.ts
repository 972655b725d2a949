import { type End, end } from '../piping/ends';
import { mates } from '../piping/mates';
import { type Chain, type ChainLimits, chainsBetween } from './chains';
import { PARTS, type Part } from './parts';

const ANY: ChainLimits = { temperatureC: 20, gaugePa: 1e6, leastBoreM: 0 };
const DISCHARGE: ChainLimits = { temperatureC: 150, gaugePa: 1.1e6, leastBoreM: 0.005 };

/** Every chain of up to three parts, by trying all. */
function bruteForce(from: End, to: End, parts: readonly Part[]): { joints: number; price: number; boreM: number }[] {
  const out: Part[][] = [];
  const go = (free: End, used: Part[], seen: string[]): void => {
    if (mates(free, to).verdict === 'yes') {
      out.push(used);
      return;
    }
    if (used.length === 3) return;
    for (const p of parts)
      for (const [a, b] of JSON.stringify(p.ends[0]) === JSON.stringify(p.ends[1])
        ? [p.ends]
        : [p.ends, [p.ends[1], p.ends[0]] as const])
        if (mates(free, a).verdict === 'yes' && !seen.includes(JSON.stringify(b)))
          go(b, [...used, p], [...seen, JSON.stringify(b)]);
  };
  go(from, [], [JSON.stringify(from)]);
  return out
    .map((c) => ({
      joints: c.length + 1,
      price: Math.round(c.reduce((sum, p) => sum + p.price, 0) * 100) / 100,
      boreM: Math.min(...c.map((p) => p.boreM)),
    }))
    .sort((a, b) => a.joints - b.joints || a.price - b.price || b.boreM - a.boreM);
}

/** Whether each end of a chain meets the next. */
function closes(chain: Chain, from: End, to: End): boolean {
  let free: End[] = [from];
  for (const { ends } of chain.parts)
    free = [0, 1].flatMap((i) =>
      free.some((f) => mates(f, ends[i] as End).verdict === 'yes') ? [ends[1 - i] as End] : [],
    );
  return free.some((f) => mates(f, to).verdict === 'yes');
}

const best = (from: End, to: End, limits = ANY): readonly Chain[] => {
  const found = chainsBetween(from, to, PARTS, limits);
  if (!found.ok) throw new Error(found.why);
  return found.best;
};

describe('chains of parts', () => {
  it('needs none where the ends mate', () => {
    expect(best(end('npt', '1/2', 'male'), end('npt', '1/2', 'female'))).toEqual([
      expect.objectContaining({ parts: [], joints: 1, price: 0 }),
    ]);
  });

  // By hand: two 1/2 in females want one nipple; 1/2 to 3/8 in male into female one bushing.
  it('takes the one part that a fitter would', () => {
    expect(best(end('npt', '1/2', 'female'), end('npt', '1/2', 'female'))[0]?.parts[0]?.label).toBe(
      'Hex nipple 1/2 in NPT',
    );
    expect(best(end('npt', '1/2', 'female'), end('npt', '3/8', 'male'))[0]?.parts[0]?.label).toContain('Bushing');
  });

  // Common practice: a finned cooler of dash 8 in a 3/8 in discharge line takes three joints at the least.
  it('takes a dash-8 cooler into a 3/8 in discharge tube', () => {
    const [first] = best(end('flare-37', '-8', 'male'), end('tube', '3/8'), DISCHARGE);
    expect(first?.parts.map((p) => p.ends.map((e) => e.family).sort())).toEqual([
      ['flare-37', 'npt'],
      ['compression', 'npt'],
    ]);
  });

  it('is what trying everything finds, on small catalogues', () => {
    const families = ['npt', 'flare-37', 'compression'];
    const small = PARTS.filter((p) =>
      p.ends.every((e) => families.includes(e.family) && ['1/4', '3/8', '1/2', '-6', '-8'].includes(e.size)),
    );
    const ends = [
      end('npt', '1/2', 'female'),
      end('npt', '1/4', 'male'),
      end('npt', '3/8', 'female'),
      end('flare-37', '-8', 'male'),
      end('flare-37', '-6', 'female'),
      end('tube', '3/8'),
      end('tube', '1/4'),
    ];
    for (const from of ends)
      for (const to of ends) {
        const found = chainsBetween(from, to, small, ANY);
        const tried = bruteForce(from, to, small).slice(0, 3);
        if (tried.length === 0) continue;
        if (!found.ok) throw new Error(found.why);
        const short = found.best.filter((c) => c.joints <= 4);
        expect(short.map((c) => [c.joints, c.price])).toEqual(
          tried.slice(0, short.length).map((t) => [t.joints, t.price]),
        );
        expect(short.length).toBe(tried.length);
        for (const chain of found.best) expect(closes(chain, from, to)).toBe(true);
      }
  });

  it('is one chain seen from either side', () => {
    const [a, b] = [end('flare-37', '-8', 'male'), end('bspp', '1/2', 'female')];
    expect(best(a, b).map((c) => c.price)).toEqual(best(b, a).map((c) => c.price));
  });

  it('keeps to the bore, the temperature and the pressure, at the limit and past it', () => {
    const [tube, port] = [end('tube', '8 mm'), end('npt', '1/4', 'female')];
    const narrowest = best(tube, port)[0]?.boreM ?? 0;
    expect(chainsBetween(tube, port, PARTS, { ...ANY, leastBoreM: narrowest }).ok).toBe(true);
    expect(chainsBetween(tube, port, PARTS, { ...ANY, leastBoreM: 0.009 })).toMatchObject({
      ok: false,
      why: expect.stringContaining('narrower'),
    });
    const pushes = (temperatureC: number): boolean =>
      best(tube, port, { ...ANY, temperatureC, gaugePa: 9e5 }).some((c) =>
        c.parts.some((p) => p.ends.some((e) => e.family === 'push-in')),
      );
    expect([pushes(60), pushes(61)]).toEqual([true, false]);
    expect(chainsBetween(tube, port, PARTS, { ...ANY, temperatureC: 300 })).toMatchObject({
      why: expect.stringContaining('temperature'),
    });
    expect(chainsBetween(tube, port, PARTS, { ...ANY, gaugePa: 2e7 })).toMatchObject({
      why: expect.stringContaining('pressure'),
    });
  });

  it('says which end blocks', () => {
    const odd = end('tube', '7/8');
    const noCups = PARTS.filter((p) => !p.ends.some((e) => e.family === 'solder'));
    expect(chainsBetween(odd, end('npt', '3/4', 'female'), noCups, ANY)).toMatchObject({ ok: false, blocks: 'first' });
    expect(chainsBetween(end('npt', '3/4', 'female'), odd, noCups, ANY)).toMatchObject({ ok: false, blocks: 'second' });
  });
});
