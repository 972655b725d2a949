import { moneySchema, PLACEHOLDERS, priceOfStage } from '../plan/money';
import { CFM } from '../quantity/constants';
import { all, behind, but, goodDry, goodShop, without, working } from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { costOfLine } from './cost-of-line';

const money = moneySchema.parse({ currency: '€', perKWh: 0.12, perHour: 0, years: 10 });

test('15 % purge of a plant that runs all day: 2.7 kW for each 100 cfm (trade handbook, computed there)', () => {
  // 100 cfm delivered, 15 cfm of it purged at every working hour, a screw of 18 kW for 100 cfm at 100 % load.
  const plan = all(
    goodShop(),
    without('refrigerated-dryer'),
    but('compressor', { type: 'screw', freeAirDeliveryM3PerS: 100 * CFM }),
    behind(
      'fine',
      stageOf('twin-tower', { ratedFlowM3PerS: 100 * CFM, purgeM3PerS: 15 * CFM, purgeSetPa: 8.5e5, control: 'fixed' }),
    ),
    working({ loadedShare: 1, startsAtH: 0, endsAtH: 24, days: [1, 2, 3, 4, 5, 6, 7] }),
  );
  const hours = 24 * 7 * 50;
  const kW = costOfLine(plan, money).kWh.purge / hours;
  // The nozzle blows more at the pressure that reaches it than where it was set.
  expect(kW).toBeGreaterThan(2.6);
  expect(kW).toBeLessThan(3.4);
});

test('each psi lost costs about half a per cent of the power (US DOE, recalled)', () => {
  const [a, b] = [0, 6894.757].map(
    (more) => costOfLine(but('coalescing-filter', { pressureLossPa: 8e3 + more })(goodShop()), money).kWh.pressure,
  );
  const yearKWh = (21.5 / 100 / CFM) * 0.01 * (9 * 0.4 * 5 * 50); // two-stage piston, 0.01 m³/s, 9 h of 40 %
  expect(((b ?? 0) - (a ?? 0)) / yearKWh).toBeCloseTo(0.005, 4);
});

test('the sum is what it is made of; a price of one’s own replaces the placeholder, and only that', () => {
  const plan = goodDry();
  const cost = costOfLine(plan, money);
  expect(cost.yearly).toBeCloseTo(
    cost.pressure +
      cost.purge +
      cost.airLost +
      cost.refrigeration +
      cost.elements +
      cost.media +
      cost.service +
      cost.labour,
    9,
  );
  expect(cost.whole).toBeCloseTo(cost.first + 10 * cost.yearly, 6);
  expect(cost.placeholders).toContain('twin-tower');
  const own = costOfLine(plan, { ...money, prices: { 'twin-tower': { first: 3000, yearly: 100 } } });
  // The placeholder is for 16 cfm; this tower is rated for 0.012 m³/s.
  const placeholder = (PLACEHOLDERS['twin-tower']?.first ?? 0) * (0.012 / (16 * CFM)) ** 0.8;
  expect(own.first - cost.first).toBeCloseTo(3000 - placeholder, 9);
  expect(own.placeholders).not.toContain('twin-tower');
});

test('what dry air is worth counts against the cost, year by year', () => {
  const worth = [{ what: 'fewer rejects', yearly: 500, claim: true }];
  expect(costOfLine(goodShop(), money).whole - costOfLine(goodShop(), { ...money, worth }).whole).toBeCloseTo(5000, 6);
});

test('drains by hand cost more minutes than drains that open by themselves', () => {
  const minutes = (drain: string): number => costOfLine(but('receiver', { drain })(goodShop()), money).minutes;
  // 3 min daily (M01) against 2 min weekly and 20 min each 150 days (M03, M04), by the routine’s own month of 30.4 days.
  const [daily, weekly] = [3 * 364.8, (2 * 364.8) / 7];
  expect(minutes('manual') - minutes('level')).toBeCloseTo(daily - weekly, 6);
});

test.each([
  [{ currency: ' ' }, /currency/],
  [{ years: 0 }, /one year/],
  [{ years: 2.5 }, /Whole years/],
  [{ perKWh: -1 }, /Tariff: not below 0/],
  [{ prices: { receiver: { first: 'free', yearly: 0 } } }, /To buy: a number/],
  [{ worth: [{ what: '', yearly: 3 }] }, /Say what/],
])('%j is refused in words', (input, message) => {
  const result = moneySchema.safeParse(input);
  expect(result.error?.issues.map((i) => i.message).join()).toMatch(message);
});

test('a placeholder grows with size as handbook prices do, from 6,500 at 100 cfm to 41,000 at 1,000; a drain has its own', () => {
  const price = (kind: 'twin-tower' | 'separator', parameters: object): number =>
    priceOfStage(money, { kind, parameters }).price.first;
  const [hundred, thousand] = [100, 1000].map((cfm) => price('twin-tower', { ratedFlowM3PerS: cfm * CFM }));
  // Trade handbook (recalled): heatless towers, 5–8 k at 100 cfm, 35–50 k at 1000 cfm.
  expect((thousand as number) / (hundred as number)).toBeCloseTo(41_000 / 6500, 1);
  const drained = (drain: string): number => price('separator', { drain });
  expect([drained('float'), drained('level')].map((p) => p - drained('manual'))).toEqual([40, 200]);
});
