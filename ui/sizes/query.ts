import { parseAsFloat, parseAsStringLiteral } from 'nuqs';
import { atmosphericPressurePa, SEA_LEVEL_PA } from '@/core/air/atmosphere';
import { saturatedHumidityRatio } from '@/core/air/humidity';
import { HOTTEST_C } from '@/core/answers/sizes-in-short';
import { estimatedDischargeC } from '@/core/equipment/supply/compressor';
import { CFM, FREE_AIR_KG_PER_M3, HOUR_S, PSI } from '@/core/quantity/constants';
import { coolerByUa, coolerUa } from '@/core/sizing/own-cooler';
import { sizeAftercooler } from '@/core/sizing/size-aftercooler';
import { sizeCompressor } from '@/core/sizing/size-compressor';
import { sizeCoupler } from '@/core/sizing/size-coupler';
import { sizeFilter } from '@/core/sizing/size-filter';
import { sizeHose } from '@/core/sizing/size-hose';
import { sizePipe } from '@/core/sizing/size-pipe';
import { sizeReceiver } from '@/core/sizing/size-receiver';
import { sizeRegulator } from '@/core/sizing/size-regulator';
import { sizeSeparator } from '@/core/sizing/size-separator';
import type { AskFor, Bounds } from '@/ui/forms/ask';

const TYPES = ['piston1', 'piston2', 'screw', 'oilfree'] as const;
const SHAPES = ['single', 'ring'] as const;
const MADE_FOR = ['oil', 'air'] as const;
const FOLLOWS = ['refrigerated', 'desiccant'] as const;

/** The question, as the address bar holds it; SI, pressures above the atmosphere. */
export const STATE = {
  type: parseAsStringLiteral(TYPES).withDefault('piston2'),
  avg: parseAsFloat.withDefault(8 * CFM),
  peak: parseAsFloat.withDefault(16 * CFM),
  lasts: parseAsFloat.withDefault(120),
  leak: parseAsFloat.withDefault(0.1),
  growth: parseAsFloat.withDefault(0.15),
  hours: parseAsFloat.withDefault(40 * 3600),
  in: parseAsFloat.withDefault(135 * PSI),
  out: parseAsFloat.withDefault(175 * PSI),
  starts: parseAsFloat.withDefault(10),
  tank: parseAsFloat.withDefault(0),
  c: parseAsFloat.withDefault(30),
  rh: parseAsFloat.withDefault(0.65),
  room: parseAsFloat.withDefault(33),
  alt: parseAsFloat.withDefault(0),
  plate: parseAsFloat.withDefault(0),
  plateK: parseAsFloat.withDefault(50),
  madeFor: parseAsStringLiteral(MADE_FOR).withDefault('oil'),
  follows: parseAsStringLiteral(FOLLOWS).withDefault('refrigerated'),
  main: parseAsFloat.withDefault(15),
  shape: parseAsStringLiteral(SHAPES).withDefault('single'),
  tool: parseAsFloat.withDefault(14 * CFM),
  at: parseAsFloat.withDefault(40 * PSI),
  hose: parseAsFloat.withDefault(7.62),
};
export type Query = { [K in keyof typeof STATE]: (typeof STATE)[K]['defaultValue'] };
type Numbers = { [K in keyof Query]: Query[K] extends number ? K : never }[keyof Query];
export type Ask = AskFor<Numbers>;

export const BOUNDS: Bounds<Numbers> = {
  avg: [1e-5, 1],
  peak: [1e-5, 1],
  lasts: [1, 14_400],
  leak: [0, 0.5],
  growth: [0, 1],
  hours: [3600, 168 * 3600],
  in: [2e5, 13e5],
  out: [2.2e5, 13.7e5],
  starts: [1, 60],
  tank: [0, 20],
  c: [-10, 50],
  rh: [0.05, 1],
  room: [0, 50],
  alt: [-400, 4500],
  plate: [0, 1e6],
  plateK: [1, 200],
  main: [0.5, 3000],
  tool: [1e-5, 0.5],
  at: [1e4, 13e5],
  hose: [0.5, 60],
};

/** All sizes of a question, each from the ones before it. */
export function sizesOf(q: Query) {
  const outPa = Math.max(q.out, q.in + 2e4);
  const atmosphericPa = atmosphericPressurePa(q.alt);
  const [cutInPa, cutOutPa] = [atmosphericPa + q.in, atmosphericPa + outPa];
  const peakM3PerS = Math.max(q.peak, q.avg);
  const jobs = { averageM3PerS: q.avg, peakM3PerS, peakLastsS: q.lasts, leakShare: q.leak, growthShare: q.growth };
  const storedM3 = (q.tank * Math.max(0, q.in - q.at)) / SEA_LEVEL_PA;
  const compressor = sizeCompressor({ ...jobs, type: q.type, storedM3, atmosphericPa });
  // Tools state air of sea level; a compressor, of where it stands.
  const atSeaLevel = atmosphericPa / SEA_LEVEL_PA;
  const c = compressor.deliversM3PerS;
  const receiver = sizeReceiver({
    deliversM3PerS: c,
    bandPa: outPa - q.in,
    startsPerHour: q.starts,
    burstM3PerS: Math.max(0, peakM3PerS / atSeaLevel - c),
    burstLastsS: q.lasts,
    burstFallsPa: Math.max(1e4, q.in - q.at),
    atmosphericPa,
  });
  const bandPa = (cutInPa + cutOutPa) / 2;
  const kgPerS = c * atSeaLevel * FREE_AIR_KG_PER_M3;
  const inletC = Math.min(195, estimatedOrLess(q, bandPa / atmosphericPa));
  const humidityRatio = q.rh * saturatedHumidityRatio(q.c, atmosphericPa);
  const need = {
    dryAirKgPerS: kgPerS,
    humidityRatio,
    inletC,
    pressurePa: bandPa,
    coolingC: q.room,
    hottestOutC: HOTTEST_C[q.follows],
  };
  const cooler = sizeAftercooler(need);
  const plate = { heatW: q.plate, differenceK: q.plateK, madeFor: q.madeFor };
  const own = q.plate > 0 ? coolerByUa(need, coolerUa(plate)) : undefined;
  const passesM3PerS = Math.max(c * atSeaLevel, peakM3PerS);
  const separator = sizeSeparator({
    passesM3PerS: c * atSeaLevel,
    pressurePa: cutInPa,
    dropsKgPerS: cooler.condensesKgPerS,
  });
  const filter = sizeFilter({ grade: 'fine', passesM3PerS, pressurePa: cutInPa, hoursPerWeek: q.hours / HOUR_S });
  const main = sizePipe({
    kgPerS: passesM3PerS * FREE_AIR_KG_PER_M3,
    temperatureC: q.room,
    pressurePa: cutInPa,
    lengthM: q.main,
    material: 'aluminium',
    use: 'main',
    shape: q.shape,
  });
  const toolKgPerS = q.tool * FREE_AIR_KG_PER_M3;
  const regulator = sizeRegulator({ kgPerS: toolKgPerS, supplyPa: cutInPa, temperatureC: q.room });
  const hose = sizeHose({
    kgPerS: toolKgPerS,
    temperatureC: q.room,
    pressurePa: atmosphericPa + q.at,
    lengthM: q.hose,
  });
  const coupler = sizeCoupler({ kgPerS: toolKgPerS, pressurePa: atmosphericPa + q.at, temperatureC: q.room });
  return {
    compressor,
    receiver,
    cooler,
    own,
    inletC,
    separator,
    filter,
    passesM3PerS,
    main,
    regulator,
    coupler,
    hose,
  };
}

/** What leaves the compressor; where the estimate ends, what the equations still hold for. */
function estimatedOrLess(q: Query, ratio: number): number {
  try {
    return estimatedDischargeC(q.type, q.c, ratio, q.room);
  } catch {
    return 195;
  }
}
