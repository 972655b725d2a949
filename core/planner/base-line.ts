import { newStage } from '../plan/edit';
import { JOBS, setJob } from '../plan/jobs';
import { PLAN_FORMAT, PLAN_VERSION, type Plan, planSchema, type Stage } from '../plan/plan';
import { withStage } from '../plan/runs';
import { freeAirKgPerM3, surroundingsOf } from '../plan/surroundings';
import { surveyAtmosphericPa } from '../plan/survey';
import { loadedShareFor } from '../plan/working-time';
import { FREE_AIR_KG_PER_M3 } from '../quantity/constants';
import { dryAirKgPerS } from '../quantity/flow-basis';
import { DUTY_LIMIT, motorHp } from '../sizing/size-compressor';
import { MOST_HOSE_LOSS_PA, sizeHose } from '../sizing/size-hose';
import { MOST_PIPE_LOSS, sizePipe } from '../sizing/size-pipe';
import { sizeRegulator } from '../sizing/size-regulator';
import { jobNeedsSchema, type Question, type QuestionJob } from './question';

/** The stages of a line between which the planner puts its own, by their ids. */
export const IDS = {
  intake: 'intake',
  compressor: 'compressor',
  receiver: 'receiver',
  valve: 'tank-valve',
  pipe: (job: number) => `pipe-${job + 1}`,
  regulator: (job: number) => `regulator-${job + 1}`,
  hose: (job: number) => `hose-${job + 1}`,
  outlet: (job: number) => `job-${job + 1}`,
  branch: (job: number) => `branch-${job + 1}`,
  place: (job: number) => `place-${job + 1}`,
} as const;

const HOSE_M = 7.62; // 25 ft, the usual whip hose (common practice, no source)
const HOSE_WALLS_M = 0.0065; // both walls of a rubber hose (estimate)
const LEG_EVERY_M = 30; // 15–30 m (common practice)
/** Flow for which pipe, regulator and hose are sized, over the job’s own: the smallest that will do, and two larger choices. */
const WIDER = [1, 1.5, 2.5] as const;
const SPARE_PA = 2e4; // what a gauge of a regulator cannot be set closer than (estimate)
/** Rated pressure of what is bought for a line, over the cut-out pressure: the next plate up (common practice, no source). */
const PLATE_OVER = 1.25;
/** Loaded share of the time that a compressor bears, by its type. */
export const dutyLimitOf = (type: keyof typeof DUTY_LIMIT): number => DUTY_LIMIT[type];
const STARTS_AT_H = 8;

/** What the sizes of a question turn on. */
interface Sizes {
  readonly question: Question;
  readonly atmosphericPa: number;
  /** Each job while in use, kg/s of dry air. */
  readonly flowsKgPerS: readonly number[];
}

/** A question as its numbers come to be used, worked out once. */
export interface Asked extends Sizes {
  /** The line with nothing between compressor, tank and jobs. */
  readonly base: Plan;
  /** The most that the compressor delivers, m³/s of free air. */
  readonly deliversM3PerS: number;
  /** Each job, m³/s of free air while in use. */
  readonly peaksM3PerS: readonly number[];
  readonly demandM3PerS: number;
}

/** A place of the survey, with humidity nobody needs where only its temperature counts. */
const place = (id: string, name: string, temperatureC: number, relativeHumidity = 0.6) => ({
  id,
  name,
  temperatureC,
  relativeHumidity,
});

function surveyOf(q: Question, loadedShare: number) {
  const endsAtH = Math.min(24, STARTS_AT_H + q.hoursPerDay / 3600);
  return {
    shop: q.name,
    altitudeM: q.altitudeM,
    pipe: 'clean' as const,
    places: [
      place('intake-air', 'Intake, design hour', q.intakeC, q.intakeHumidity),
      place('room', 'Compressor room', q.roomC),
      ...q.jobs.map((j, i) => place(IDS.place(i), JOBS[j.job].label, j.isCold === 'always' ? j.coldestC : j.roomC)),
    ],
    intakePlaceId: 'intake-air',
    roomPlaceId: 'room',
    climate: q.climate,
    working: {
      days: Array.from({ length: q.daysPerWeek }, (_, i) => i + 1),
      startsAtH: Math.max(0, endsAtH - q.hoursPerDay / 3600),
      endsAtH,
      loadedShare,
    },
    site: { breathed: q.breathed, condensate: q.condensate },
  };
}

/**
 * What a job’s own run holds besides what treats its air: pipe, regulator, hose and outlet.
 * @param steps by how many sizes they are larger than the smallest that will do
 */
export function stagesOfJob({ question: q, atmosphericPa, flowsKgPerS }: Sizes, i: number, steps: number): Stage[] {
  const job = q.jobs[i] as QuestionJob;
  const kgPerS = flowsKgPerS[i] as number;
  const needsPa = atmosphericPa + job.leastGaugePa;
  const cutInPa = atmosphericPa + q.compressor.cutInGaugePa;
  const temperatureC = q.roomC;
  const duty = { kgPerS, temperatureC, pressurePa: cutInPa, lengthM: job.distanceM } as const;
  const larger = WIDER[steps] as number;
  const pipe = sizePipe({
    ...duty,
    material: 'aluminium',
    use: 'branch',
    mostLossPa: (MOST_PIPE_LOSS * cutInPa) / larger ** 2,
  });
  const hose = sizeHose({
    kgPerS,
    temperatureC,
    pressurePa: needsPa,
    lengthM: HOSE_M,
    mostLossPa: MOST_HOSE_LOSS_PA / larger ** 2,
  });
  const regulator = sizeRegulator({ kgPerS: kgPerS * larger, supplyPa: cutInPa, temperatureC });
  const droopPa = (regulator.droopPa * kgPerS) / (regulator.droopAtM3PerS * FREE_AIR_KG_PER_M3);
  const setPressurePa = Math.min(cutInPa, needsPa + hose.lossPa + droopPa + SPARE_PA);
  const elsewhere = { place: IDS.place(i) };
  const [p, r, h, o] = [
    newStage('pipe', IDS.pipe(i)),
    newStage('regulator', IDS.regulator(i)),
    newStage('hose', IDS.hose(i)),
    newStage('outlet', IDS.outlet(i), JOBS[job.job].label),
  ];
  const own = (stage: Stage, parameters: object): Stage =>
    ({ ...stage, ...elsewhere, parameters: { ...stage.parameters, ...parameters } }) as Stage;
  const { lengthM } = duty;
  return [
    ...(lengthM > 0
      ? [
          own(p, {
            material: 'aluminium',
            size: pipe.size,
            lengthM,
            use: 'branch',
            takeOff: 'top',
            legs: Math.max(1, Math.round(lengthM / LEG_EVERY_M)),
          }),
        ]
      : []),
    own(r, {
      setPressurePa,
      droopPa: regulator.droopPa,
      droopAtM3PerS: regulator.droopAtM3PerS,
      passes: 'sheet',
      conductance: regulator.conductance,
    }),
    own(h, {
      lengthM: HOSE_M,
      boreM: hose.boreM,
      insertBoreM: hose.insertBoreM,
      outsideDiameterM: hose.boreM + HOSE_WALLS_M,
      hangs: 'falls',
      jacket: 'nitrile',
    }),
    own(o, {}),
  ];
}

/**
 * A question made ready: the survey at its design hour, and the line without any treatment.
 * @example askedOf(question({})).base.stages.length // 8
 */
export function askedOf(q: Question): Asked {
  const intake = newStage('intake', IDS.intake);
  const { cutInGaugePa, cutOutGaugePa, type, freeAirDeliveryM3PerS, sized } = q.compressor;
  const motor = `Compressor ${motorHp(type, freeAirDeliveryM3PerS)} hp`;
  const plain = newStage('compressor', IDS.compressor, sized === 'open' ? motor : undefined);
  const bare = planSchema.parse({
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    name: 'Proposed line',
    survey: surveyOf(q, 0.5),
    stages: [intake, plain],
    money: q.money,
  });
  const atmosphericPa = surveyAtmosphericPa(bare.survey);
  const kgPerM3 = freeAirKgPerM3(surroundingsOf(bare));
  const flowsKgPerS = q.jobs.map((j) => dryAirKgPerS(j.flowM3PerS, 'anr', kgPerM3));
  const peaksM3PerS = flowsKgPerS.map((kg) => kg / kgPerM3);
  const demandM3PerS = q.jobs.reduce((sum, j, i) => sum + (peaksM3PerS[i] as number) * j.usedShare, 0);
  const loadedShare = loadedShareFor(demandM3PerS / freeAirDeliveryM3PerS);
  const compressor: Stage = {
    ...plain,
    parameters: {
      ...plain.parameters,
      type,
      freeAirDeliveryM3PerS,
      cutInPa: atmosphericPa + cutInGaugePa,
      cutOutPa: atmosphericPa + cutOutGaugePa,
      dutyLimit: DUTY_LIMIT[type],
      control: type.startsWith('piston') ? 'start-stop' : 'unload',
      joint: 'flexible',
    },
  };
  const tank = newStage('receiver', IDS.receiver);
  const reliefSetGaugePa = cutOutGaugePa * 1.1; // working pressure at most 90 % of the setting (common practice)
  const receiver: Stage = {
    ...tank,
    parameters: {
      ...tank.parameters,
      volumeM3: q.receiverM3,
      relief: 'own',
      reliefSetGaugePa,
      nameplate: 'legible',
      ratedGaugePa: cutOutGaugePa * PLATE_OVER,
    },
  };
  const [first, ...others] = q.jobs.map((_, i) => stagesOfJob({ question: q, atmosphericPa, flowsKgPerS }, i, 0));
  const plan = planSchema.parse({
    ...bare,
    survey: { ...bare.survey, working: { ...bare.survey.working, loadedShare } },
    stages: [intake, compressor, receiver, newStage('isolating-valve', IDS.valve), ...(first as Stage[])],
    branches: others.map((stages, i) => ({
      id: IDS.branch(i + 1),
      name: JOBS[(q.jobs[i + 1] as QuestionJob).job].label,
      from: IDS.valve,
      into: null,
      split: 'pressure',
      stages,
    })),
    routine: { ...bare.routine, level: 'normal' },
  });
  const base = q.jobs.reduce((now, asked, i) => {
    const { job, flowM3PerS, leastGaugePa, usedShare } = asked;
    const leastPressurePa = atmosphericPa + leastGaugePa;
    const asks = { ...jobNeedsSchema.parse(asked), flowM3PerS, usedShare, leastPressurePa, nozzle: 'relieving' };
    return withStage(
      setJob(now, IDS.outlet(i), job),
      IDS.outlet(i),
      (s) => ({ ...s, parameters: { ...s.parameters, ...asks } }) as Stage,
    );
  }, plan);
  return {
    question: q,
    base,
    atmosphericPa,
    flowsKgPerS,
    deliversM3PerS: freeAirDeliveryM3PerS,
    peaksM3PerS,
    demandM3PerS,
  };
}
