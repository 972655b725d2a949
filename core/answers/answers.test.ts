import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { dutyOf, kgPerDay } from '../drains/duty';
import { walk } from '../line/walk';
import { loadedHoursPerDay } from '../line/working-day';
import { beadPlaces } from '../maintenance/charge-lives';
import type { Plan, Stage } from '../plan/plan';
import { anyEdit } from '../test/any-plan';
import { all, behind, but, goodDry, goodShop, place, without } from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { chargeDutyAt } from './charge-duty-at';
import { conditionsOf, hottestOf, inConditions } from './conditions';
import { dryerDutyAt, dryingPlace } from './dryer-duty-at';
import { filterPlace } from './filter-place';
import { sizesInShort } from './sizes-in-short';
import { usualLine } from './usual-line';
import { waterToday } from './water-today';
import { whichDryer } from './which-dryer';
import { dryersOf, willDryerCope } from './will-dryer-cope';

psychrolib.SetUnitSystem(psychrolib.SI);
const usual = usualLine('refrigerated-dryer');
const chiller = (plan: Plan): Stage => dryersOf(plan)[0] as Stage;

describe('conditions', () => {
  test('the hottest day holds the water of the survey’s air (psychrolib)', () => {
    const { intakeC, intakeHumidity } = hottestOf(usual);
    expect(intakeC).toBe(37);
    expect(psychrolib.GetVapPresFromRelHum(37, intakeHumidity)).toBeCloseTo(
      psychrolib.GetVapPresFromRelHum(27, 0.65),
      -1,
    );
  });
  test('other places follow the room; in its own conditions a line is itself', () => {
    const plan = all(goodShop(), place('cold', 5));
    const hotter = inConditions(plan, { ...conditionsOf(plan), roomC: 34 });
    expect(hotter.survey.places.map((p) => p.temperatureC)).toEqual([24, 34, 15]);
    expect(inConditions(plan, conditionsOf(plan))).toEqual(plan);
  });
});

describe('will this dryer cope', () => {
  const ask = (rated?: number, roomC = 40) => {
    const cope = willDryerCope(usual, chiller(usual), { ...hottestOf(usual), roomC }, rated);
    return { ...cope, hottest: cope.hottest as NonNullable<typeof cope.hottest> };
  };
  test('by the rating that copes, from both sides; a fifth less is a quarter over it, by 0.3 °F for each per cent', () => {
    const needed = ask().neededM3PerS as number;
    expect(ask(needed * 1.01).hottest.load).toBeLessThan(1);
    expect(ask(needed * 0.99).hottest.load).toBeGreaterThan(1);
    const small = ask(needed * 0.8);
    expect(small.hottest.load).toBeCloseTo(1.25, 2);
    expect(small.hottest.dewPointC).toBeCloseTo(10 / 3 + (25 * 0.3) / 1.8, 1);
    expect([1.01, 0.99].map((share) => ask(needed * share).copes)).toEqual([true, false]);
  });
  test('one that is overloaded today already does not cope, though its dew point would still do', () => {
    const { today, hottest, copes } = ask(0.0053);
    expect(today?.load).toBeGreaterThan(1);
    expect(hottest.dewPointC).toBeLessThan(hottest.wantedC);
    expect(copes).toBe(false);
  });
  test('the hotter the day, the higher its load', () => {
    const loads = [25, 30, 35, 40, 45].map((roomC) => ask(0.008, roomC).hottest.load as number);
    expect(loads).toEqual(loads.toSorted((a, b) => a - b));
  });
  test('without a cooler the line refuses, or the advice says that the air is too hot', () => {
    const bare = all(usual, without(...usual.stages.filter((s) => s.kind === 'aftercooler').map((s) => s.id)));
    const cope = willDryerCope(bare, chiller(bare), hottestOf(bare));
    expect(cope.copes).toBe(false);
    expect(cope.refused ?? cope.faults[0]?.rule.id).toBeDefined();
  });
  test('a dryer that another one follows has to keep its usual rating only', () => {
    const plan = all(goodShop(), but('outlet', { dewPointC: -20 }), behind('fine', stageOf('bead-cartridge')));
    expect(willDryerCope(plan, chiller(plan), hottestOf(plan)).hottest?.wantedC).toBeCloseTo(10 / 3, 9);
    expect(willDryerCope(goodShop(), chiller(goodShop()), hottestOf(goodShop())).hottest?.wantedC).toBe(7);
  });
});

describe('which dryer', () => {
  const duty = dryerDutyAt(usual, walk(usual), dryingPlace(usual) as Stage) as NonNullable<
    ReturnType<typeof dryerDutyAt>
  >;
  // A refrigerated dryer stops at 35 °F, 1.7 °C (common practice).
  test.each([
    ['at 1.7 °C', { wantedC: 1.7 }, 'refrigerated'],
    ['drier', { wantedC: 1.6 }, 'desiccant'],
    ['with a pipe in frost', { wantedC: 5, coldestAfterC: -5 }, 'desiccant'],
    ['in a room where condensate freezes, under 40 °F', { coldestRoomC: 4.3 }, 'desiccant'],
    ['in a room just over it', { wantedC: 3.5, coldestRoomC: 4.5, coldestAfterC: 4.5 }, 'refrigerated'],
    ['for air too hot for either, over 120 °F', { wantedC: 3, inletC: 52 }, 'neither'],
  ] as const)('%s', (_, more, choose) => {
    expect(whichDryer({ ...duty, coldestAfterC: 15, ...more }).choose).toBe(choose);
  });
  test('it is asked with the air that reaches the dryer, and what its jobs ask', () => {
    const section = walk(usual);
    const before = section.at(usual.stages[usual.stages.findIndex((s) => s.kind === 'refrigerated-dryer') - 1]?.id);
    expect(duty).toMatchObject({ inletC: before?.temperatureC, inletPa: before?.pressurePa });
  });
  test('where no dryer stands, behind the last tank', () => {
    expect(dryingPlace(without('refrigerated-dryer')(goodShop()))?.kind).toBe('receiver');
  });
});

describe('where the filter goes', () => {
  test('at the coolest place before the dryer, and what passes there as vapour falls out later (psychrolib, ideal gas)', () => {
    const { places, best } = filterPlace(usual, conditionsOf(usual));
    expect(best?.stage.kind).toBe('receiver');
    const hot = places[0] as (typeof places)[0];
    const air = walk(usual).at(hot.stage.id) as NonNullable<ReturnType<ReturnType<typeof walk>['at']>>;
    const enters = psychrolib.GetHumRatioFromRelHum(27, 0.65, 101_325);
    const later = air.dryAirKgPerS * (enters - psychrolib.GetSatHumRatio(27, air.pressurePa));
    expect(hot.condensesLaterKgPerS / later).toBeCloseTo(1, 1);
    expect(hot.oilVapourMg / (best?.oilVapourMg as number)).toBeCloseTo(
      2 ** ((hot.temperatureC - (best?.temperatureC as number)) / 9.7), // doubled with every 17.5 °F (trade handbook)
      3,
    );
  });
  test('one right behind the compressor is too hot; behind tank and cooler it is not', () => {
    const early = all(goodShop(), behind('compressor', stageOf('bowl-filter')));
    expect(filterPlace(early, conditionsOf(early)).filters.map((f) => [f.stage.id, f.isTooHot])).toEqual([
      ['bowl-filter', true],
      ['coalescing-filter', false],
    ]);
  });
});

test('sizes: the tank by hand, V = p·Q/(4·f·Δp); what stands there beside it', () => {
  const s = sizesInShort(usual, hottestOf(usual));
  expect(s?.receiver.byStartsM3).toBeCloseTo((101_325 * 16 * 4.719474e-4) / (4 * (10 / 3600) * 30 * 6894.757), 3);
  expect(s?.receiver.volumeM3).toBeCloseTo(120 * 3.785412e-3, 6); // 88 gal: the next in the row
  // A refrigerated dryer bears 120 °F, desiccant 100 °F (trade handbook): what comes first behind the cooler counts.
  expect(sizesInShort(goodDry(), hottestOf(goodDry()))?.cooler.approachK).toBeCloseTo(25 / 1.8, 9);
  const beads = usualLine('bead-cartridge');
  expect(sizesInShort(beads, { ...hottestOf(beads), roomC: 30 })?.cooler.approachK).toBeCloseTo(10 / 1.8, 9);
  expect(s?.has).toEqual({ approachK: 10, ratedM3PerS: 0.01, volumeM3: 0.2271 });
});

describe('water today', () => {
  test('each drain gets what the Water page says; the water drawn in by hand (psychrolib)', () => {
    const plan = goodShop();
    const hours = loadedHoursPerDay(plan);
    const today = waterToday(plan, conditionsOf(plan), hours);
    const section = walk(plan);
    for (const { stage, kgPerDay: kg } of today.drains) {
      const duty = dutyOf(plan, section, stage) as NonNullable<ReturnType<typeof dutyOf>>;
      expect(kg).toBeCloseTo(kgPerDay(duty), 9);
    }
    const ratio = psychrolib.GetHumRatioFromRelHum(24, 0.55, 101_325);
    expect(today.drawnInKg / (section.dryAirKgPerS * ratio * hours * 3600)).toBeCloseTo(1, 2);
    expect(today.drainedKg).toBeLessThan(today.drawnInKg);
  });
  test('half the hours, half the water; no more than the working day', () => {
    const of = (hours: number) => waterToday(usual, conditionsOf(usual), hours).drainedKg;
    expect(of(2)).toBeCloseTo(2 * of(1), 9);
    expect(of(30)).toBe(of(9)); // 8 to 17 h
    expect(of(0)).toBe(0);
  });
});

test('beads are asked with the air that reaches them', () => {
  const plan = usualLine('bead-cartridge');
  const [beads] = beadPlaces(plan);
  const duty = beads && chargeDutyAt(plan, walk(plan), beads);
  expect(duty?.relativeHumidity).toBeCloseTo(1, 9); // behind cooler, separator and tank
  expect(duty?.massKg).toBe(beads?.parameters.massKg);
});

test('no line breaks them', () => {
  fc.assert(
    fc.property(fc.array(anyEdit, { maxLength: 12 }), (edits) => {
      const plan = all(usual, ...edits);
      const [now, hot] = [conditionsOf(plan), hottestOf(plan)];
      for (const stage of dryersOf(plan)) willDryerCope(plan, stage, hot);
      const at = dryingPlace(plan);
      const duty = at && dryerDutyAt(plan, walk(plan), at);
      expect(Number.isNaN(duty?.wantedC ?? 0)).toBe(false);
      filterPlace(plan, now);
      sizesInShort(plan, hot);
      const water = waterToday(plan, now, 4);
      expect(water.drainedKg).toBeLessThanOrEqual(water.drawnInKg * (1 + 1e-9));
    }),
    { numRuns: 60 },
  );
});
