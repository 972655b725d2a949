import { simulateDay } from '../../day/simulate-day';
import { faultById } from '../../fault/faults';
import { walkedWith } from '../../fault/walked';
import { airBalance } from '../../line/balance';
import { HOUR_S } from '../../quantity/constants';
import { all, behind, but, place, working } from '../../test/good-lines';
import { SHOP } from '../../test/look-for';
import { stageOf } from '../../test/plan-of';
import { lostAtRestPa, reachesTankM3PerS } from './at-the-tank';
import { showsComplaint } from './complaint';

const LINE = all(
  SHOP,
  but('receiver', { volumeM3: 0.23 }),
  behind('compressor', stageOf('unloader')),
  behind('aftercooler', stageOf('check-valve')),
);
const SOUND = walkedWith(LINE);
const put = (id: string, stageId: string, size: number, plan = LINE) =>
  walkedWith(plan, [{ fault: faultById(id), stageId, size }]);
/** Pressure before work and loaded time of a day. */
const day = ({ plan }: typeof SOUND) => {
  const cycle = simulateDay(plan);
  if (!cycle) throw new Error('no tank');
  const startS = plan.survey.working.startsAtH * HOUR_S;
  return { dawnPa: cycle.pressurePa[startS - 1] as number, loadedS: cycle.compressors[0]?.loadedS as number };
};

describe('air that a fault lets out', () => {
  // 0.001 m³/s of free air at 1.19 kg/m³ out of a tank of p·V/(R·T): a share of exp(−ṁ·600/m) is left after ten minutes.
  it('empties the tank at rest as a nozzle does, never below the room', () => {
    const lost = ({ plan, section }: typeof SOUND) => lostAtRestPa(plan, section, 'receiver');
    const at = SOUND.section.at('receiver') ?? { pressurePa: 0, temperatureC: 0 };
    const heldKg = (at.pressurePa * 0.23) / 287.05 / (at.temperatureC + 273.15);
    const expected = at.pressurePa * (1 - Math.exp((-0.001 * 1.19 * 600) / heldKg));
    expect(lost(put('leaks', 'hose', 0.001)) / expected).toBeCloseTo(1, 1);
    expect(lost(put('check-valve-leaks', 'check-valve', 0.001)) / expected).toBeCloseTo(1, 1);
    expect(lost(put('leaks', 'hose', 0.05))).toBeCloseTo(at.pressurePa - 101_325, 6);
    // At rest nothing stands on the unloader, and a drain upstream of the check valve is off the tank.
    expect([SOUND, put('unloader-leaks', 'unloader', 0.001)].map(lost)).toEqual([0, 0]);
  });

  it('is in the day: leaks take the tank down overnight, and load the compressor longer', () => {
    const sound = day(SOUND);
    for (const faulty of [put('leaks', 'hose', 0.0005), put('drain-open', 'receiver', 1)]) {
      expect(day(faulty).dawnPa).toBeLessThan(sound.dawnPa - 1e5);
      expect(day(faulty).loadedS).toBeGreaterThan(1.1 * sound.loadedS);
    }
    expect(day(put('check-valve-leaks', 'check-valve', 0.0005)).dawnPa).toBeLessThan(sound.dawnPa - 1e5);
    expect(day(put('unloader-leaks', 'unloader', 0.001)).loadedS).toBeGreaterThan(1.05 * sound.loadedS);
  });

  it('is in the balance, and a pump-up reads without what goes upstream of the tank', () => {
    const { lostM3PerS, deliveredM3PerS } = airBalance(LINE, SOUND.section);
    const leaky = put('leaks', 'hose', 0.001);
    const reads = ({ plan, section }: typeof SOUND) => reachesTankM3PerS(plan, section, 'compressor') ?? 0;
    expect(airBalance(leaky.plan, leaky.section).lostM3PerS - lostM3PerS).toBeCloseTo(0.001, 4);
    expect(reads(SOUND)).toBeCloseTo(deliveredM3PerS, 9);
    expect(reads(leaky)).toBeCloseTo(deliveredM3PerS, 9);
    expect(reads(put('unloader-leaks', 'unloader', 0.001))).toBeCloseTo(deliveredM3PerS - 0.001, 4);
  });

  it('is felt from a tenth of the delivery', () => {
    const { deliveredM3PerS } = airBalance(LINE, SOUND.section);
    const felt = (share: number) =>
      showsComplaint({ symptom: 'D14' }, SOUND, put('leaks', 'hose', share * deliveredM3PerS));
    expect([felt(0.095), felt(0.105)]).toEqual([false, true]);
  });
});

describe('water first thing in the morning', () => {
  // Indoors, read at 24 °C by day: a day outdoors swings by 10 K, of which 1/√(1 + (2π·3/24)²) = 0.786 comes through 3 h of lag.
  const dry = all(LINE, place('room', 24));
  const dewPointC = walkedWith(dry).section.at('hose')?.pressureDewPointC ?? Number.NaN;
  const shows = (colder: number, plan = dry) =>
    showsComplaint({ symptom: 'D03' }, SOUND, put('cold-overnight', 'hose', colder, plan));

  it('comes where a hose gets colder overnight than its air has its dew point, and not in one that is depressurised', () => {
    const colder = 24 - 7.86 - dewPointC;
    expect([shows(colder - 0.2), shows(colder + 0.2)]).toEqual([false, true]);
    expect(shows(colder + 0.2, all(dry, working({ overnight: 'depressurised' })))).toBe(false);
  });
});
