import { NOMINAL } from '@/core/pipe-flow/pipes';
import { DAY_S } from '@/core/quantity/constants';
import type { useUnits } from '@/ui/units/units';
import { type Query, sizesOf } from './query';

/** A part with its size, why, and the sizes beside it. */
export interface SizeRow {
  readonly what: string;
  readonly size: string;
  readonly why: string;
  readonly down: string;
  readonly up: string;
  readonly wrong?: boolean;
  /** What stands there now. */
  readonly yours?: string;
}

type Units = ReturnType<typeof useUnits>;
type Sizes = ReturnType<typeof sizesOf>;

const largest = 'the largest made';
const smallest = 'the smallest made';

export function coolerRow(cooler: Sizes['cooler'], { say, number }: Units): SizeRow {
  const approach = (at: typeof cooler.beside.up, none: string): string =>
    at ? `${say(at.approachK, 'temperatureDifference')}: out at ${say(at.outletC, 'temperature')}` : none;
  return {
    what: 'Aftercooler',
    size: `approach ${say(cooler.approachK, 'temperatureDifference')}`,
    why: `out at ${say(cooler.outletC, 'temperature')}; ${say(cooler.condensesKgPerS, 'waterFlow')} of water; ${number(cooler.heatW / 1000, undefined, 2)} kW, ${number(cooler.uaWPerK, undefined, 2)} W/K, wind ${say(cooler.windM3PerS, 'volumeFlow')}`,
    down: approach(cooler.beside.down, smallest),
    up: approach(cooler.beside.up, largest),
    wrong: !cooler.fits,
  };
}

export function separatorRow(separator: Sizes['separator'], { say }: Units): SizeRow {
  const flow = (m3PerS: number): string => say(m3PerS, 'volumeFlow');
  const cyclone = (at: typeof separator.beside.up, none: string): string =>
    at ? `${flow(at.ratedM3PerS)}: catches ${say(at.catchesShare, 'share')}` : none;
  return {
    what: 'Separator',
    size: flow(separator.ratedM3PerS),
    why: `${say(separator.loadShare, 'share')} of its rating; drain ${separator.drain === 'manual' ? 'by hand' : separator.drain === 'float' ? 'with a float' : 'level-sensing'}, ${say(separator.drainKgPerS, 'waterFlow')}`,
    down: cyclone(separator.beside.down, smallest),
    up: cyclone(separator.beside.up, largest),
  };
}

export function receiverRow(r: Sizes['receiver'], starts: number, { say, number }: Units): SizeRow {
  const tank = (at: typeof r.beside.up, none: string): string =>
    at ? `${say(at.volumeM3, 'volume')}: ${number(at.startsPerHour, 0)} starts an hour` : none;
  return {
    what: 'Receiver',
    size: say(r.volumeM3, 'volume'),
    why: [
      `${say(r.byStartsM3, 'volume')} for ${number(starts, 0)} starts an hour`,
      ...(r.byBurstM3 > 0
        ? [`${say(r.byBurstM3, 'volume')} for the peak, best dry: downstream of the dryer, which it spares the peak`]
        : []),
    ].join(', '),
    down: tank(r.beside.down, smallest),
    up: tank(r.beside.up, largest),
    wrong: !r.fits,
  };
}

function filterRow(f: Sizes['filter'], passesM3PerS: number, { say, number }: Units): SizeRow {
  const plate = (at: typeof f.beside.up, none: string): string =>
    at
      ? `${say(at.ratedM3PerS, 'volumeFlow')}: ${at.loadShare > 1 ? 'oil is carried through' : `loses ${say(at.wetLossPa, 'pressureDifference')}`}`
      : none;
  return {
    what: 'Filters',
    size: say(f.ratedM3PerS, 'volumeFlow'),
    why: `${say(passesM3PerS, 'volumeFlow')} pass at cut-in, the plate is for ${say(7e5, 'pressureDifference')}; 0.01 µm loses ${say(f.wetLossPa, 'pressureDifference')} when wet; an element lasts ${number(f.lifeS / DAY_S / 30.4, 0)} months`,
    down: plate(f.beside.down, smallest),
    up: plate(f.beside.up, largest),
    wrong: f.loadShare > 1,
  };
}

/** All parts of a question. */
export function rowsOf(q: Query, units: Units): SizeRow[] {
  const { say, number } = units;
  const s = sizesOf(q);
  const hp = (motor: number): string => number(motor, motor % 1 === 0 ? 0 : 1);
  const flow = (m3PerS: number): string => say(m3PerS, 'volumeFlow');
  const { compressor: c, main, regulator, coupler, hose } = s;
  const motor = (at: typeof c.beside.up, none: string): string =>
    at ? `${hp(at.hp)} hp: loaded ${say(at.loadedShare, 'share')}` : none;
  const pipe = (at: typeof main.beside.up, none: string): string =>
    at
      ? `${NOMINAL[at.size]}: ${say(at.velocityMPerS, 'speed')}, ${Number.isFinite(at.lossPa) ? say(at.lossPa, 'pressureDifference') : 'chokes'}`
      : none;
  const droop = (at: typeof regulator.beside.up, none: string): string =>
    at
      ? `${NOMINAL[at.port]}: ${Number.isFinite(at.droopHerePa) ? `droops ${say(at.droopHerePa, 'pressureDifference')}` : 'chokes'}`
      : none;
  const joint = (at: typeof coupler.beside.up, none: string): string =>
    at
      ? `${NOMINAL[at.body]} ${at.pattern}: ${Number.isFinite(at.lossPa) ? `loses ${say(at.lossPa, 'pressureDifference')}` : 'chokes'}`
      : none;
  const through = (at: typeof hose.beside.up, none: string): string =>
    at
      ? `${say(at.boreM, 'size')}: ${Number.isFinite(at.lossPa) ? `loses ${say(at.lossPa, 'pressureDifference')}` : 'chokes'}`
      : none;
  return [
    {
      what: 'Compressor',
      size: `${hp(c.hp)} hp`,
      why: `${flow(c.neededM3PerS)} needed by the ${c.by === 'average' ? 'average' : q.tank > 0 ? 'peak, less what the tank gives' : 'peak without a tank'}; loaded ${say(c.loadedShare, 'share')} of the time`,
      down: motor(c.beside.down, smallest),
      up: motor(c.beside.up, largest),
      wrong: !c.fits,
    },
    receiverRow(s.receiver, q.starts, units),
    {
      ...coolerRow(s.cooler, units),
      ...(s.own && { yours: `yours: out at ${say(s.own.outletC, 'temperature')}` }),
    },
    separatorRow(s.separator, units),
    filterRow(s.filter, s.passesM3PerS, units),
    {
      what: q.shape === 'ring' ? 'Ring main' : 'Main pipe',
      size: NOMINAL[main.size],
      why: `${say(main.velocityMPerS, 'speed')}, loses ${say(main.lossPa, 'pressureDifference')}${q.shape === 'ring' ? ' to the place opposite its feed, half the air each way' : ''}; aluminium`,
      down: pipe(main.beside.down, smallest),
      up: pipe(main.beside.up, largest),
      wrong: !main.fits,
    },
    {
      what: 'Regulator',
      size: `${NOMINAL[regulator.port]}`,
      why: `droops ${say(regulator.droopHerePa, 'pressureDifference')}; used to ${say(regulator.usedShare, 'share')} of what it chokes at`,
      down: droop(regulator.beside.down, smallest),
      up: droop(regulator.beside.up, largest),
    },
    {
      what: 'Coupler',
      size: `${NOMINAL[coupler.body]} ${coupler.pattern}`,
      why: Number.isFinite(coupler.lossPa)
        ? `loses ${say(coupler.lossPa, 'pressureDifference')} of the tool’s pressure`
        : 'chokes',
      down: joint(coupler.beside.down, smallest),
      up: joint(coupler.beside.up, largest),
      wrong: !coupler.fits,
    },
    {
      what: 'Hose to the tool',
      size: `${say(hose.boreM, 'size')} bore`,
      why: Number.isFinite(hose.lossPa) ? `loses ${say(hose.lossPa, 'pressureDifference')}` : 'chokes',
      down: through(hose.beside.down, smallest),
      up: through(hose.beside.up, largest),
      wrong: !hose.fits,
    },
  ];
}
