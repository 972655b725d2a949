import type { Nominal, PipeMaterial } from '../core/pipe-flow/pipes';
import { PLAN_FORMAT, PLAN_VERSION, type Plan, planSchema, type Stage } from '../core/plan/plan';
import { demoId, fitted, stage, through } from './demo-stage';
import { SYNTHETIC } from './demo-weather';

// A made-up cheese dairy, plant size: two screws, a chilled main, a side-stream at −40 °C, a ring with twelve outlets.
export const DAIRY_PLAN_ID = demoId(2);

const BAR_G = (bar: number): number => 97_773 + bar * 1e5; // gauge at the dairy's altitude of 300 m
const perMin = (m3: number): number => m3 / 60;

const screw = (id: string, name: string): Stage =>
  stage(
    'compressor',
    id,
    name,
    {
      type: 'screw',
      freeAirDeliveryM3PerS: perMin(14),
      cutInPa: BAR_G(7),
      cutOutPa: BAR_G(7.8),
      control: 'unload',
      dischargeTemperatureFrom: 'measured',
      dischargeTemperatureC: 78, // airend oil separated, ahead of the cooler
    },
    { freeAirDeliveryM3PerS: 'nameplate', cutInPa: 'measured', cutOutPa: 'measured' },
  );
const cooled = (n: number): Stage[] => [
  stage('aftercooler', `cooler-${n}`, `Aftercooler ${n}`, {
    approachK: 9,
    drain: 'none',
    pressureLossPa: 1.2e4,
    lossAtM3PerS: perMin(14),
  }),
  stage('separator', `cyclone-${n}`, `Cyclone ${n}`, { drain: 'level', pressureLossPa: 5e3, lossAtM3PerS: perMin(14) }),
];

const pipe = (
  id: string,
  name: string,
  material: PipeMaterial,
  size: Nominal,
  lengthM: number,
  more: Partial<Extract<Stage, { kind: 'pipe' }>['parameters']> = {},
): Stage => stage('pipe', id, name, { material, size, lengthM, ...more });
const falling = (run: string): string => run.replaceAll(/(?<=\b[nesw] )[\d.]+/g, '$& falling 1 %');
/** A piece of the ring: every leg of it falls, and a drip leg hangs at its end. */
const ring = (id: string, name: string, run: string): Stage =>
  fitted(pipe(id, name, 'aluminium', '3', 1, { use: 'main', throughTees: 2, drain: 'level' }), `${falling(run)} drain`);

const job = (
  id: string,
  name: string,
  m3PerMin: number,
  usedShare: number,
  bar: number,
  needs: Partial<Extract<Stage, { kind: 'outlet' }>['parameters']> = { need: 'no-liquid' },
): Stage =>
  stage('outlet', id, name, { flowM3PerS: perMin(m3PerMin), usedShare, leastPressurePa: BAR_G(bar), ...needs });
const packed = { need: 'iso-class', waterClass: '5' } as const;

/** Beads that a balance of the laboratory is vented through. */
export const DAIRY_BEADS = 'lab-beads';

/** Both tanks, by their plates. */
const TANK = { nameplate: 'legible', ratedGaugePa: 11e5, relief: 'own', reliefSetGaugePa: 10e5 } as const;

export function dairyPlan(): Plan {
  const inHall = (stages: Stage[]): Stage[] => stages.map((s) => ({ place: 'hall', ...s }));
  const cellar = { place: 'cellar' };
  return planSchema.parse({
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    name: 'Plant air',
    survey: {
      shop: 'Thistlebrae Cheese Dairy',
      altitudeM: 300,
      pipe: 'clean',
      places: [
        { id: 'yard', name: 'Yard, louvre', temperatureC: 24, relativeHumidity: 0.72, year: through('outdoors') },
        {
          id: 'plant',
          name: 'Compressor room',
          temperatureC: 29,
          relativeHumidity: 0.5,
          year: through('sheltered', { warmerK: 8, heatedToC: 4 }),
        },
        { id: 'hall', name: 'Making hall', temperatureC: 22, relativeHumidity: 0.7, year: through('warm') },
        { id: 'cellar', name: 'Brine cellar', temperatureC: 4, relativeHumidity: 0.9, year: through('held') },
      ],
      intakePlaceId: 'yard',
      roomPlaceId: 'plant',
      working: {
        days: [1, 2, 3, 4, 5, 6],
        startsAtH: 4,
        endsAtH: 22,
        loadedShare: 0.47,
        holidays: [{ from: '12-24', to: '12-26' }],
      },
      climate: { from: 'file', yearId: SYNTHETIC[1].id },
      site: { breathed: 'no', condensate: 'separator' },
    },
    stages: [
      stage('intake', 'intake-1', 'Intake 1'),
      screw('screw-1', 'Screw 1'),
      ...cooled(1),
      stage('receiver', 'wet', 'Wet receiver', { volumeM3: 3, drain: 'level', ...TANK }, { volumeM3: 'nameplate' }),
      stage('oil-water-separator', 'oil', 'Oil–water separator', { ratedFlowM3PerS: perMin(40), carbonUsedS: 1.2e7 }),
      stage(
        'coalescing-filter',
        'coarse',
        'Coalescer 1 µm',
        { pressureLossPa: 2e4, lossAtM3PerS: perMin(28) },
        { pressureLossPa: 'measured' },
      ),
      stage(
        'cycling-dryer',
        'chiller',
        'Cycling dryer',
        { ratedFlowM3PerS: perMin(34), pressureLossPa: 2.2e4, lossAtM3PerS: perMin(28) },
        { ratedFlowM3PerS: 'nameplate' },
      ),
      stage('coalescing-filter', 'fine', 'Coalescer 0.01 µm', {
        grade: 'fine',
        pressureLossPa: 1.6e4,
        lossAtM3PerS: perMin(28),
      }),
      stage('receiver', 'dry', 'Dry receiver', { volumeM3: 5, drain: 'manual', ...TANK }, { volumeM3: 'nameplate' }),
      stage('flow-controller', 'controller', 'Flow controller', {
        setPressurePa: BAR_G(6.5),
        pressureLossPa: 3e3,
        lossAtM3PerS: perMin(28),
      }),
      ...inHall([
        fitted(
          pipe('header', 'Header to the hall', 'stainless', '4', 45, { use: 'main', gateValves: 2 }),
          falling('up 3, e 14, s 6, e 16, down 2 drain, e 4'),
        ),
        ring('east-1', 'Ring, east 1', 'e 10, s 8, e 4'),
        job('curd', 'Curd cutters', 1.6, 0.5, 5.5),
        job('press-1', 'Press line 1', 2.4, 0.6, 5.8),
        ring('east-2', 'Ring, east 2', 's 12, e 10, s 4'),
        job('press-2', 'Press line 2', 2.4, 0.6, 5.8),
        job('washer', 'Mould washer', 3.2, 0.35, 5),
        ring('east-3', 'Ring, east 3', 'e 8, s 12, w 6, s 4'),
        job('turner', 'Turning robot', 1.2, 0.7, 5.5),
        job('wax', 'Coating line', 1.8, 0.4, 5.5, { ...packed, oilClass: '2' }),
      ]),
    ],
    fitting: { thread: 'bspt', coupler: 'coupler-c' },
    branches: [
      {
        id: 'pump-2',
        name: 'Screw 2',
        from: null,
        into: 'wet',
        stages: [stage('intake', 'intake-2', 'Intake 2'), screw('screw-2', 'Screw 2'), ...cooled(2)],
      },
      {
        id: 'side',
        name: 'Side-stream −40',
        from: 'controller',
        stages: [
          stage(
            'heated-purge-tower',
            'towers',
            'Heated towers',
            { ratedFlowM3PerS: perMin(4.5), purgeShare: 0.07, pressureLossPa: 2.5e4, lossAtM3PerS: perMin(3.5) },
            { ratedFlowM3PerS: 'nameplate' },
          ),
          stage('particulate-filter', 'dust', 'Dust filter', { pressureLossPa: 6e3, lossAtM3PerS: perMin(3.5) }),
          fitted(
            pipe('side-pipe', 'Pipe to the freezer', 'stainless', '1-1/2', 70, { use: 'branch' }),
            falling('up 3, n 12, e 10 drain, n 10, e 12, n 8, e 8 drain, n 4, down 3'),
          ),
          job('sorter', 'Freezer sorter', 1.4, 0.8, 5, { need: 'dew-point', dewPointC: -30 }),
          job('powder', 'Whey powder valves', 0.8, 0.6, 5, { need: 'dew-point', dewPointC: -20 }),
        ],
      },
      {
        id: 'west',
        name: 'Ring, west',
        from: 'header',
        into: 'wax',
        split: 'pressure',
        stages: inHall([
          ring('west-1', 'Ring, west 1', 's 8, w 6, s 4'),
          job('filler', 'Tub filler', 1.5, 0.7, 5.5, { ...packed, oilClass: '2' }),
          job('sealer', 'Tub sealer', 0.9, 0.7, 5.8, packed),
          { ...ring('west-2', 'Ring, west 2: brine cellar', 'w 8, s 8, w 8, s 6, e 4'), ...cellar },
          { ...job('brine', 'Brine gates', 0.7, 0.4, 5), ...cellar },
          job('labels', 'Labeller', 0.6, 0.8, 5.5),
          ring('west-3', 'Ring, west 3', 's 12, e 10, s 6'),
          job('cases', 'Case packer', 1.6, 0.7, 5.5),
          job('pallets', 'Palletiser', 2, 0.6, 5.8),
          ring('west-4', 'Ring, west 4', 'e 8, s 6, e 6, s 4'),
        ]),
      },
      {
        id: 'laboratory',
        name: 'Laboratory',
        from: 'controller',
        stages: inHall([
          fitted(
            pipe('lab-pipe', 'Pipe to the laboratory', 'stainless', '1/2', 9, { use: 'branch' }),
            falling('up 2.4, n 2, w 2, n 1.2, down 1.4'),
          ),
          stage('bead-cartridge', DAIRY_BEADS, 'Beads at the balance', { massKg: 6, spentShare: 0.9 }),
          job('balance', 'Analytical balance', 0.03, 0.5, 3, { need: 'dew-point', dewPointC: -20 }),
        ]),
      },
      {
        id: 'workshop',
        name: 'Workshop drop',
        from: 'east-2',
        stages: inHall([
          fitted(
            pipe('drop', 'Drop pipe', 'black', '1/2', 12, { use: 'branch', gateValves: 1 }),
            falling('up 0.6, e 4, n 3.4, e 1, down 3'),
          ),
          stage('regulator', 'shop-regulator', 'Workshop regulator', {
            setPressurePa: BAR_G(6),
            droopPa: 3e4,
            droopAtM3PerS: perMin(0.8),
          }),
          stage('coupler', 'shop-coupler', 'Coupler'),
          stage('hose', 'shop-hose', 'Hose', { lengthM: 10, boreM: 0.008, insertBoreM: 0.006 }),
          job('grinder', 'Workshop grinder', 0.6, 0.1, 5.5),
        ]),
      },
    ],
  });
}
