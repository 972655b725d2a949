import type { DrainEntry } from '../core/log/drain-entry';
import { type DrainConditions, expectDrain } from '../core/log/expect-drain';
import { type SiteTime, siteTimeOf } from '../core/log/site-clock';
import { end } from '../core/piping/ends';
import { removeStage, setParameter } from '../core/plan/edit';
import { PLAN_FORMAT, PLAN_VERSION, type Plan, planSchema } from '../core/plan/plan';
import { DAY_MS } from '../core/quantity/constants';
import { demoId, fitted, stage, through } from './demo-stage';
import { SYNTHETIC } from './demo-weather';

// A made-up pipe-organ workshop.
export const DEMO_PLAN_ID = demoId(1);
export const DEMO_STAGES = {
  separator: 'separator',
  receiver: 'receiver',
  coalescer: 'coalescer',
  dryer: 'dryer',
  bowl: 'frame-bowl',
  beads: 'press-beads',
} as const;

const BAR_G = (bar: number): number => 100129 + bar * 1e5; // gauge at the demo's altitude of 100 m

/** Free air while in use, m³/min, and the share of the working time. Together the jobs ask for 45 % of what the pump gives. */
const uses = (m3PerMin: number, usedShare: number) => ({ flowM3PerS: m3PerMin / 60, usedShare });

/** Equipment that stands already. */
const fittedNow = (ids: readonly string[]) =>
  Object.fromEntries(ids.map((id) => [`equipment:${id}`, { as: 'fitted', count: 1 }]));

export function demoPlan(): Plan {
  return planSchema.parse({
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    name: 'Voicing loft line',
    survey: {
      shop: 'Quillmere Organ Works',
      altitudeM: 100,
      places: [
        { id: 'pump-room', name: 'Pump room', temperatureC: 27, relativeHumidity: 0.58 },
        { id: 'yard', name: 'Yard, north wall', temperatureC: 31, relativeHumidity: 0.66, year: through('outdoors') },
      ],
      intakePlaceId: 'pump-room',
      roomPlaceId: 'pump-room',
      working: {
        days: [1, 2, 3, 4, 5],
        startsAtH: 7.5,
        endsAtH: 16.5,
        loadedShare: 0.45,
        holidays: [
          { from: '12-24', to: '01-02' },
          { from: '08-03', to: '08-14' },
        ],
      },
      climate: { from: 'file', yearId: SYNTHETIC[0].id },
      site: { breathed: 'no', condensate: 'collected' },
    },
    stages: [
      stage('intake', 'intake', 'Intake'),
      stage(
        'compressor',
        'compressor',
        'Pump',
        {
          type: 'piston2',
          freeAirDeliveryM3PerS: 0.62 / 60,
          cutInPa: BAR_G(8.8),
          cutOutPa: BAR_G(10.4),
          dischargeTemperatureFrom: 'measured',
          dischargeTemperatureC: 128,
        },
        { freeAirDeliveryM3PerS: 'nameplate', cutInPa: 'measured', cutOutPa: 'measured' },
      ),
      fitted(stage('aftercooler', 'aftercooler', 'Finned cooler', { approachK: 10 }), 'up 0.5, east 0.9, down 0.3', {
        in: end('flare-37', '-10', 'male'),
        out: end('flare-37', '-10', 'male'),
      }),
      fitted(stage('separator', DEMO_STAGES.separator, 'Cyclone', { drain: 'float' }), 'down 0.6, east 0.4'),
      fitted(
        stage(
          'receiver',
          DEMO_STAGES.receiver,
          'Receiver',
          {
            volumeM3: 0.27,
            method: 'measured',
            outletTemperatureC: 31,
            nameplate: 'legible',
            ratedGaugePa: 12e5,
            relief: 'own',
            reliefSetGaugePa: 11.5e5,
          },
          { volumeM3: 'nameplate' },
        ),
        'up 0.8, south 1.6 falling 2 %, down 0.5',
      ),
      {
        ...stage('coalescing-filter', DEMO_STAGES.coalescer, 'Coalescer 1 µm'),
        thing: {
          ...{ maker: '', model: 'inline, 1 µm, 1/2 in', serial: '' },
          installedOn: '2024-05-14',
          warrantyUntil: '2026-05-14',
          files: [],
          // It hung at the frame shop before.
          stays: [
            {
              ...{ planId: DEMO_PLAN_ID, line: 'Organ workshop', stageId: DEMO_STAGES.bowl, stage: 'Bowl at the drop' },
              ...{ from: '2023-02-06', to: '2024-05-14' },
            },
          ],
          opens: 'Strap wrench, a quarter turn to the left. The float falls out with the bowl.',
          settings: [],
        },
      },
      stage(
        'refrigerated-dryer',
        DEMO_STAGES.dryer,
        'Chilled dryer',
        {
          method: 'rated',
          ratedFlowM3PerS: 0.014,
          pressureDewPointC: 3,
          drainEveryS: 5400,
          drainOpenS: 8,
          sumpM3: 1.2e-4,
          drainPower: 'yes',
        },
        { pressureDewPointC: 'nameplate', ratedFlowM3PerS: 'nameplate' },
      ),
      stage('regulator', 'regulator', 'Loft regulator', { setPressurePa: BAR_G(6.5) }),
      stage('outlet', 'pallets', 'Pallet-valve bench', {
        need: 'dew-point',
        dewPointC: 7,
        leastPressurePa: BAR_G(6),
        use: 'instruments',
        ...uses(0.12, 0.5),
      }),
      stage('outlet', 'shellac', 'Shellac bench', {
        need: 'humidity-in-line',
        relativeHumidity: 0.1,
        leastPressurePa: BAR_G(3),
        use: 'spray',
        ...uses(0.35, 0.3),
      }),
      stage('bead-cartridge', DEMO_STAGES.beads, 'Beads at the press', { massKg: 9, spentShare: 0.4 }),
      stage('outlet', 'action', 'Action leather press', {
        need: 'iso-class',
        waterClass: '4',
        leastPressurePa: BAR_G(5.5),
        ...uses(0.1, 0.4),
      }),
    ],
    fitting: {
      thread: 'bspt',
      coupler: 'coupler-7.2',
      // As the last work on the line left it.
      ticks: {
        ...fittedNow(['compressor', 'aftercooler', 'separator', 'receiver', 'coalescer', 'dryer', 'regulator']),
        ...fittedNow(['press-beads', 'frame-bowl', 'frame-regulator']),
        'supports:Wall bracket': { as: 'fitted', count: 2 },
        'sealing:nut 15 mm': { as: 'bought', count: 6 },
      },
    },
    branches: [
      {
        id: 'frame-drop',
        name: 'Frame shop drop',
        from: DEMO_STAGES.receiver,
        stages: [
          stage('bowl-filter', DEMO_STAGES.bowl, 'Bowl at the drop'),
          stage('regulator', 'frame-regulator', 'Frame regulator', { setPressurePa: BAR_G(7) }),
          stage('outlet', 'frames', 'Frame shop nailers', {
            need: 'no-liquid',
            leastPressurePa: BAR_G(6),
            ...uses(0.25, 0.3),
          }),
        ],
      },
    ],
  });
}

/** The workshop as it was found, before anything cooled the air: to hold today’s against. */
export function demoRevision(): { id: string; name: string; document: Plan } {
  const uncooled = ['aftercooler', DEMO_STAGES.separator].reduce(removeStage, demoPlan());
  const found = setParameter(uncooled, DEMO_STAGES.receiver, 'method', 'estimated'); // nobody had measured it
  return { id: demoId(900), name: 'As found, without a cooler', document: planSchema.parse(found) };
}

// Thirty working days of made-up weather at the intake: °C and relative humidity.
const WEATHER: readonly (readonly [number, number])[] = [
  [24, 0.52],
  [25, 0.55],
  [26, 0.6],
  [27, 0.62],
  [26, 0.66],
  [25, 0.63],
  [24, 0.58],
  [23, 0.55],
  [24, 0.6],
  [26, 0.64],
  [28, 0.6],
  [29, 0.57],
  [28, 0.62],
  [27, 0.66],
  [26, 0.7],
  [25, 0.68],
  [24, 0.64],
  [25, 0.6],
  [26, 0.58],
  [27, 0.56],
  [28, 0.58],
  [28, 0.61],
  [27, 0.63],
  [26, 0.65],
  [25, 0.62],
  [26, 0.58],
  [27, 0.55],
  [28, 0.54],
  [27, 0.57],
  [27, 0.58],
];
/** What the hand makes of the true amount: spilt, sprayed, rounded. */
const SCATTER = [1.04, 0.95, 0.99, 1.06, 0.93, 1.01, 0.97, 1.05, 0.96, 1.02, 0.94, 1.03, 1, 0.98];
const STUCK = { from: 19, to: 23 } as const; // working days on which the float hangs
const PEOPLE = ['Ottilie', 'Bram', 'Ottilie', 'Yusra'] as const;

/** The last thirty working days before a day, oldest first, as midnights. */
function workingDaysBefore(nowMs: number): number[] {
  const days: number[] = [];
  for (let day = Math.floor(nowMs / DAY_MS) * DAY_MS - DAY_MS; days.length < WEATHER.length; day -= DAY_MS) {
    const weekday = new Date(day).getUTCDay();
    if (weekday !== 0 && weekday !== 6) days.unshift(day);
  }
  return days;
}

/**
 * Six weeks of drains: cyclone and receiver every second working day, the dryer's bottle every fifth. For a week the
 * cyclone's float hangs: its water then goes on to the receiver, as the core says it must.
 */
export function demoDrains(nowMs: number): DrainEntry[] {
  const plan = demoPlan();
  const flooded: Plan = {
    ...plan,
    stages: plan.stages.map((s) =>
      s.id === DEMO_STAGES.separator ? stage('separator', s.id, s.name, { drain: 'none' }) : s,
    ),
  };
  const days = workingDaysBefore(nowMs);
  const at = (index: number, minute: number): SiteTime => siteTimeOf((days[index] ?? 0) + (16 * 60 + minute) * 60_000);
  const entries: DrainEntry[] = [];
  const log = (stageId: string, index: number, every: number, minute: number): void => {
    const [temperature, humidity] = WEATHER[index] as readonly [number, number];
    const stuck = index >= STUCK.from && index <= STUCK.to;
    const conditions: DrainConditions = {
      stageId,
      drainedAt: at(index, minute),
      sinceAt: at(index - every, minute),
      loadedHours: null,
      intakeTemperatureC: temperature,
      intakeRelativeHumidity: humidity,
    };
    const float = stuck && stageId === DEMO_STAGES.separator;
    const kg = (expectDrain(float || !stuck ? plan : flooded, conditions)?.expectedKg ?? 0) * (float ? 0.08 : 1);
    const n = entries.length;
    entries.push({
      ...conditions,
      id: demoId(1000 + n),
      amountM3: Math.round(kg * (SCATTER[n % SCATTER.length] as number) * 100) / 100 / 1000,
      appearance:
        stageId === DEMO_STAGES.receiver
          ? stuck
            ? 'rusty'
            : 'clear'
          : stageId === DEMO_STAGES.separator
            ? 'milky'
            : 'clear',
      who: PEOPLE[n % PEOPLE.length] as string,
      note:
        float && index >= STUCK.to - 1
          ? 'Hardly anything again. Float seized, taken apart and cleaned on the next morning.'
          : '',
    });
  };
  for (let index = 5; index < days.length; index++) {
    if (index % 2 === 1) {
      log(DEMO_STAGES.separator, index, 2, 0);
      log(DEMO_STAGES.receiver, index, 2, 5);
    }
    if (index % 5 === 4) log(DEMO_STAGES.dryer, index, 5, 10);
  }
  return entries;
}
