import { judgeLine, RULES } from '../advice/judge-line';
import { type DayRemark, judgeDay } from '../day/judge-day';
import { simulateDay } from '../day/simulate-day';
import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import type { Leg } from '../piping/legs';
import { removeStage } from '../plan/edit';
import { setLegs } from '../plan/edit-legs';
import type { Plan } from '../plan/plan';
import {
  all,
  bar,
  behind,
  branch,
  but,
  type Edit,
  goodBench,
  goodDry,
  goodPlant,
  goodShop,
  goodSpray,
  place,
  site,
  standingIn,
  without,
  working,
} from './good-lines';
import { stageOf } from './plan-of';

const LEVEL: Leg = { to: 'east', lengthM: 8, fall: 0.015 };

// For each rule a good line, and the fault on which the rule must speak. Without the fault it must be silent: the two lines
// differ by nothing else. Conditions and limits: common practice and the standards that the rule names.
export type Case = readonly [line: () => Plan, ...fault: Edit[]];
const withLine =
  (line: () => Plan, ...edits: Edit[]) =>
  (): Plan =>
    all(line(), ...edits);
const beads = (p: object = {}) => stageOf('bead-cartridge', { massKg: 20, spentShare: 0.1, pressureLossPa: 5e3, ...p });
const pellets = withLine(
  goodShop,
  without('refrigerated-dryer'),
  behind('isolating-valve', stageOf('pellet-tower', { brine: 'permitted' })),
  but('outlet', { need: 'no-liquid' }),
);
const membrane = withLine(goodShop, behind('fine', stageOf('membrane', { ratedFlowM3PerS: 0.01, sweepOff: 'yes' })));
const cooling = withLine(
  goodShop,
  behind('compressor', stageOf('cooling-run', { tube: 'rated', joints: 'metal', lengthM: 3 })),
);
const hose = withLine(
  goodShop,
  behind('regulator', stageOf('hose', { jacket: 'nitrile', lengthM: 3, boreM: 0.0127, insertBoreM: 0.011 })),
);
const carbon = withLine(goodShop, behind('fine', stageOf('carbon-filter', { counted: 'yes', pressureLossPa: 3e3 })));
const bypass = withLine(
  goodShop,
  branch('Bypass', 'coalescing-filter', [stageOf('isolating-valve', { lock: 'locked' }, 'bypass-valve')], {
    into: 'fine',
    share: 0,
  }),
);
const wetPipe = withLine(goodShop, behind('separator', stageOf('pipe', { material: 'copper', legs: 1, lengthM: 10 })));
const blowGun = withLine(goodBench, but('outlet', { use: 'blow-gun', nozzle: 'relieving', mostGaugePa: 0 }));
const portable = (id: string, name: string) => ({
  id,
  name,
  form: 'portable' as const,
  is: 'here' as const,
  usedS: 0,
  countedAt: null,
});
const unitOf =
  (stageId: string, unit: string, name: string): Edit =>
  (plan) => ({
    ...plan,
    stages: plan.stages.map((s) => (s.id === stageId ? { ...s, unit } : s)),
    units: [...plan.units, portable(unit, name)],
  });

export const CASES: Readonly<Record<string, Case>> = {
  S01: [wetPipe, but('pipe', { material: 'pvc' })],
  S02: [goodShop, but('receiver', { relief: 'none' })],
  S03: [goodShop, but('receiver', { reliefSetGaugePa: 15e5 })],
  S04: [
    withLine(goodShop, behind('separator', stageOf('relief-valve', { setPressurePa: bar(13), boreM: 0.01 }))),
    but('relief-valve', { boreM: 0.001 }),
  ],
  S05: [goodShop, but('coalescing-filter', { ratedGaugePa: 10e5 })],
  S06: [withLine(goodShop, behind('separator', stageOf('bowl-filter'))), without('aftercooler')],
  S06b: [goodShop, without('aftercooler')],
  S07: [goodShop, but('outlet', { use: 'breathing' })],
  S08: [goodShop, behind('separator', stageOf('isolating-valve', {}, 'wrong-valve'))],
  S09: [goodShop, but('receiver', { nameplate: 'other' })],
  S10: [goodShop, but('intake', { near: 'explosive' })],
  S11: [goodShop, but('compressor', { dischargeTemperatureC: 210 })],
  S11b: [goodShop, but('compressor', { dischargeTemperatureC: 180 })],
  S12: [withLine(goodSpray, but('bead-cartridge', { charge: 'oven' })), but('bead-cartridge', { oily: 'yes' })],
  S13: [goodShop, site({ gas: 'other' })],
  S14: [goodShop, but('compressor', { cutOutPa: bar(14.5) })],
  S15: [withLine(goodShop, site({ area: 'rated' })), site({ area: 'unrated' })],
  O01: [withLine(goodShop, without('separator')), without('aftercooler')],
  O02: [
    withLine(goodShop, behind('aftercooler', stageOf('gauge', { rangePa: 18e5 }))),
    but('separator', { drain: 'none' }),
  ],
  O03: [
    withLine(goodShop, behind('aftercooler', stageOf('gauge', { rangePa: 18e5 }))),
    (p) => all(removeStage(p, 'separator'), behind('compressor', stageOf('separator', { drain: 'float' }))),
  ],
  O04: [goodShop, but('coalescing-filter', { drain: 'none' })],
  O05: [withLine(goodShop, without('receiver')), without('separator')],
  O06: [goodShop, without('coalescing-filter')],
  O07: [withLine(goodDry, without('coalescing-filter')), without('fine')],
  O08: [
    withLine(goodSpray, without('particulate-filter')),
    (p) => all(removeStage(p, 'bead-cartridge'), behind('coalescing-filter', beads())),
  ],
  O09: [goodDry, without('particulate-filter')],
  O10: [
    carbon,
    (p) =>
      all(removeStage(p, 'carbon-filter'), behind('coalescing-filter', stageOf('carbon-filter', { counted: 'yes' }))),
  ],
  O11: [goodSpray, behind('regulator', stageOf('lubricator'))],
  O12: [withLine(goodShop, without('separator', 'receiver')), without('aftercooler')],
  O13: [goodShop, but('outlet', { usedShare: 0.3 })],
  O14: [
    withLine(goodShop, but('refrigerated-dryer', { method: 'rated' })),
    but('refrigerated-dryer', { ratedFlowM3PerS: 0.003 }),
  ],
  O15: [
    withLine(goodShop, but('refrigerated-dryer', { method: 'rated' })),
    but('refrigerated-dryer', { ratedFlowM3PerS: 0.005 }),
  ],
  O16: [goodShop, but('outlet', { dewPointC: -20 })],
  O17: [
    withLine(
      goodShop,
      behind('regulator', stageOf('pipe', { material: 'copper', size: '1', lengthM: 3, use: 'branch' })),
      place('cold', 15),
      standingIn('pipe', 'cold'),
    ),
    place('cold', -5),
  ],
  O17b: [
    withLine(
      goodShop,
      behind('regulator', stageOf('pipe', { material: 'copper', size: '1', lengthM: 3, use: 'branch' })),
      place('cold', 16),
      standingIn('pipe', 'cold'),
    ),
    place('cold', 8),
  ],
  O18: [withLine(goodShop, place('cold', 10), standingIn('refrigerated-dryer', 'cold')), place('cold', 0)],
  O19: [
    withLine(pellets, but('receiver', { method: 'measured', outletTemperatureC: 30 })),
    but('receiver', { outletTemperatureC: 45 }),
  ],
  O20: [pellets, but('pellet-tower', { brine: 'ground' })],
  O21: [
    withLine(pellets, but('pellet-tower', { suppressionK: 2 }), place('cold', 35), standingIn('outlet', 'cold')),
    place('cold', 12),
  ],
  O22: [membrane, without('fine')],
  O23: [membrane, but('membrane', { sweepOff: 'no', ratedFlowM3PerS: 0.02, sweepShare: 0.1 })],
  O24: [goodShop, but('outlet', { flowM3PerS: 0.02 })],
  O25: [goodDry, but('twin-tower', { purgeSetPa: bar(6) })],
  O26: [
    withLine(
      goodPlant,
      but('compressor', { type: 'oilfree' }),
      behind('compressor', stageOf('heat-of-compression-tower')),
    ),
    but('compressor', { type: 'screw' }),
  ],
  O27: [
    goodShop,
    (p) =>
      all(removeStage(p, 'regulator'), behind('isolating-valve', stageOf('regulator', { setPressurePa: bar(6.5) }))),
  ],
  O28: [
    withLine(goodShop, but('coalescing-filter', { ratedFlowM3PerS: 0.02 })),
    but('coalescing-filter', { ratedFlowM3PerS: 0.004 }),
  ],
  O29: [
    withLine(goodShop, but('separator', { flowRating: 'rated', ratedFlowM3PerS: 0.012 })),
    but('separator', { ratedFlowM3PerS: 0.2 }),
  ],
  O30: [goodShop, but('coalescing-filter', { pressureLossPa: 7e4, cleanLossPa: 8e3 })],
  O31: [hose, but('hose', { boreM: 0.006, insertBoreM: 0.004, lengthM: 20 })],
  O32: [
    withLine(goodPlant, place('room', 8), but('drop-pipe', { takeOff: 'top' })),
    but('drop-pipe', { takeOff: 'side' }),
  ],
  O33: [wetPipe, but('pipe', { legs: 0 })],
  O34: [wetPipe, but('pipe', { fall: 0.001 })],
  O35: [withLine(goodShop, but('separator', { efficiency: 0.3 })), but('receiver', { drain: 'manual' })],
  O36: [
    withLine(goodShop, but('receiver', { drain: 'timer', drainEveryS: 3600, drainOpenS: 1 })),
    but('receiver', { drainEveryS: 60, drainOpenS: 5 }),
  ],
  O37: [
    withLine(goodShop, but('separator', { drain: 'unloader', drainPulseM3: 0.001 })),
    but('compressor', { control: 'speed' }),
  ],
  O38: [withLine(goodShop, but('receiver', { drain: 'float' })), but('receiver', { strainer: 'none' })],
  O39: [goodShop, site({ condensate: 'away' })],
  O40: [
    withLine(goodShop, behind('regulator', stageOf('droplet-separator', {}, 'late'))),
    site({ drainLines: 'shared' }),
  ],
  O41: [goodShop, site({ drainLiftM: 3 })],
  O42: [bypass, but('bypass-valve', { lock: 'free' })],
  O43: [cooling, but('cooling-run', { joints: 'soft' })],
  O44: [
    withLine(goodDry, behind('particulate-filter', stageOf('pipe', { material: 'copper', size: '1', lengthM: 3 }))),
    but('pipe', { material: 'galvanised' }),
  ],
  O45: [goodShop, but('compressor', { joint: 'rigid' })],
  O46: [goodShop, working({ loadedShare: 0.9 })],
  O47: [
    withLine(goodShop, but('compressor', { control: 'start-stop', startsPerHour: 30 })),
    but('receiver', { volumeM3: 0.05 }),
  ],
  O48: [withLine(goodShop, place('in', 30)), place('in', 38)],
  O52: [withLine(goodPlant, place('cold', 12), standingIn('drop-pipe', 'cold')), place('cold', -15)],
  O53: [goodSpray, but('bead-cartridge', { ratedFlowM3PerS: 0.004 })],
  O54: [goodSpray, but('bead-cartridge', { massKg: 3, spentShare: 0.9 })],
  O55: [goodPlant, but('oil-water-separator', { carbonUsedS: 5e7 })],
  O56: [
    withLine(carbon, but('compressor', { type: 'oilfree' }), but('outlet', { oilClass: '1' })),
    without('carbon-filter'),
  ],
  O57: [goodDry, but('twin-tower', { pilot: 'wet' })],
  O59: [withLine(goodShop, place('room', 30)), place('room', 36)],
  O60: [goodShop, but('fine', { indicator: 'none' })],
  O61: [goodBench, but('outlet', { mostGaugePa: 5e5 })],
  O62: [blowGun, but('outlet', { nozzle: 'plain' })],
  O63: [carbon, but('carbon-filter', { counted: 'no' })],
  O64: [
    goodShop,
    behind('fine', stageOf('coalescing-filter', { grade: 'fine', indicator: 'fitted', pressureLossPa: 8e3 }, 'again')),
  ],
  O65: [goodPlant, but('water-cooler', { waterGaugePa: 9e5 })],
  A01: [
    withLine(goodBench, without('regulator'), but('outlet', { mostGaugePa: 14e5 })),
    but('outlet', { mostGaugePa: 7e5 }),
  ],
  A02: [hose, but('hose', { print: 'no' })],
  A03: [goodShop, site({ breathed: 'not-said' })],
  A04: [goodShop, but('receiver', { relief: 'not-said' })],
  A05: [
    withLine(
      goodShop,
      without('separator', 'receiver'),
      behind('isolating-valve', stageOf('bowl-filter', { pressureLossPa: 3e3, ratedC: 200 })),
    ),
    without('aftercooler'),
  ],
  A06: [goodShop, but('intake', { conditioned: 'yes' })],
  A07: [goodShop, behind('fine', stageOf('particulate-filter', { element: '5' }))],
  A08: [
    goodShop,
    (p) => ({ ...p, stages: p.stages.map((s) => (s.id === 'separator' ? { ...s, checkFilter: true as const } : s)) }),
  ],
  A09: [goodShop, but('fine', { roomBelow: 'none' })],
  A10: [
    withLine(
      goodShop,
      branch('reel', 'receiver', [stageOf('hose-reel', { drain: 'manual' }), stageOf('outlet', {}, 'reel-outlet')]),
    ),
    but('hose-reel', { drain: 'none' }),
  ],
  A11: [goodShop, without('refrigerated-dryer')],
  A12: [
    withLine(
      goodShop,
      but('separator', { drain: 'unloader', drainPulseM3: 0.001 }),
      behind('separator', stageOf('check-valve')),
    ),
    (p) => all(removeStage(p, 'check-valve'), behind('aftercooler', stageOf('check-valve'))),
  ],
  A13: [
    withLine(goodShop, but('coalescing-filter', { drain: 'pressure-loss' }), working({ overnight: 'depressurised' })),
    working({ overnight: 'charged' }),
  ],
  A14: [
    withLine(goodShop, but('separator', { drain: 'unloader', drainPulseM3: 0.001 })),
    but('separator', { drain: 'unloader-start' }),
  ],
  A15: [
    withLine(goodShop, but('separator', { drain: 'unloader', drainPulseM3: 0.001 })),
    but('separator', { drainPulseM3: 1e-6 }),
  ],
  A16: [goodShop, site({ condensate: 'not-said' })],
  A17: [goodShop, without('isolating-valve')],
  A18: [
    withLine(goodShop, behind('regulator', stageOf('coupler', { halves: 'match', type: 'union' }))),
    but('coupler', { halves: 'flares' }),
  ],
  A19: [
    withLine(hose, but('hose', { jacket: 'pvc' }), place('cold', 5), standingIn('hose', 'cold')),
    place('cold', -15),
  ],
  A20: [goodBench, but('gauge', { rangePa: 11e5 })],
  A21: [
    withLine(
      goodShop,
      behind('regulator', stageOf('pipe', { material: 'copper', size: '1', lengthM: 8, use: 'branch' })),
    ),
    but('pipe', { lengthM: 30 }),
  ],
  A22: [
    withLine(
      goodShop,
      branch('b', 'fine', [
        stageOf('regulator', { setPressurePa: bar(6.5) }, 'other-regulator'),
        stageOf('outlet', {}, 'other'),
      ]),
      branch('c', 'fine', [
        stageOf('regulator', { setPressurePa: bar(6.5) }, 'third-regulator'),
        stageOf('outlet', {}, 'third'),
      ]),
    ),
    without('third-regulator'),
  ],
  A28: [withLine(goodBench, place('cold', 20), standingIn('outlet', 'cold')), place('cold', -9)],
  A29: [goodShop, but('refrigerated-dryer', { pressureDewPointC: 12 })],
  A30: [goodShop, but('refrigerated-dryer', { pressureDewPointC: 6 })],
  A32: [withLine(goodShop, but('outlet', { oilClass: '3' })), but('outlet', { oilClass: '1' })],
  A34: [
    withLine(goodShop, but('refrigerated-dryer', { method: 'dew-point', readAtM3PerS: 0.01, readInRoomC: 24 })),
    but('refrigerated-dryer', { readAtM3PerS: 0.006 }),
  ],
  A35: [withLine(goodShop, place('cold', 10), standingIn('receiver', 'cold')), place('cold', -3)],
  A36: [goodShop, but('aftercooler', { approachK: 25 })],
  A37: [goodShop, working({ loadedShare: 0.2 })],
  A38: [pellets, but('pellet-tower', { stands: 'leaning' })],
  A39: [
    withLine(goodSpray, but('bead-cartridge', { medium: 'alumina', charge: 'oven', ovenC: 200 })),
    but('bead-cartridge', { ovenC: 120 }),
  ],
  A40: [withLine(goodShop, but('outlet', { particleClass: '1' })), but('outlet', { particleClass: 'any' })],
  A41: [withLine(goodSpray, but('outlet', { oilClass: 'any' })), site({ oiledOnce: 'yes' })],
  A42: [
    withLine(
      goodShop,
      but('compressor', { dischargeTemperatureFrom: 'estimated' }),
      behind('separator', stageOf('bowl-filter')),
    ),
    without('aftercooler'),
  ],
  A33: [withLine(hose, but('hose', { insertBoreM: 0.006 })), but('outlet', { flowM3PerS: 0.08 })],
  A25: [goodShop, but('receiver', { drain: 'manual', sumpM3: 1e-4 })],
  A26: [goodShop, but('outlet', { leastPressurePa: bar(9) })],
  A27: [
    withLine(
      goodShop,
      but('compressor', { control: 'start-stop', startsPerHour: 30 }),
      behind('separator', stageOf('check-valve')),
      behind('compressor', stageOf('unloader')),
    ),
    but('unloader', { boreM: 0.0006 }),
  ],
  A24: [
    withLine(goodSpray, but('bead-cartridge', { charge: 'oven', ovenC: 115 })),
    but('bead-cartridge', { ovenC: 230 }),
  ],
  A43: [
    withLine(goodPlant, (p) => setLegs(p, 'drop-pipe', [LEVEL, { to: 'down', lengthM: 3, fall: 0 }])),
    (p) => setLegs(p, 'drop-pipe', [{ to: 'down', lengthM: 2, fall: 0 }, LEVEL, { to: 'up', lengthM: 1, fall: 0 }]),
  ],
  A23: [
    withLine(goodShop, unitOf('coalescing-filter', 'u1', 'Trolley'), unitOf('fine', 'u2', 'Second trolley')),
    (p) => ({ ...p, units: p.units.map((u) => ({ ...u, name: 'Trolley' })) }),
  ],
};

/** Rules that speak only of a day that was played. */
const OF_THE_DAY = ['A25', 'A26', 'A27'];
export const dayOf = (plan: Plan, id: string): readonly DayRemark[] => {
  const day = OF_THE_DAY.includes(id) ? simulateDay(plan) : undefined;
  return day ? judgeDay(plan, day) : [];
};
/** What one rule says of a line. */
export const speaks = (plan: Plan, id: string) =>
  judgeLine(
    plan,
    walk(plan),
    RULES.filter((r) => r.id === id),
    dayOf(plan, id),
    id === 'A30' ? judgeOutlets(plan, walk(plan)) : undefined,
  ).advice;
