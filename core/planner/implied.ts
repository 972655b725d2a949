import { walk } from '../line/walk';
import { hoursPerWeek } from '../plan/working-time';
import { HOUR_S } from '../quantity/constants';
import { askedOf } from './base-line';
import { dutyOf } from './loaded-line';
import { compressorsFor } from './open-compressor';
import type { Question } from './question';

/** What a question implies before anything is planned. */
export interface Implied {
  /** Share of the time that the compressor is loaded, and what its type bears. */
  readonly loadedShare: number;
  readonly dutyLimit: number;
  /** What the jobs take on average and all at once, m³/s of free air. */
  readonly averageM3PerS: number;
  readonly peakM3PerS: number;
  /** Water that the compressor draws in on a working day of the design hour, kg. */
  readonly waterKgPerDay: number;
  /** Of an open compressor the smallest that will do, with its tank. */
  readonly compressor: Pick<Question['compressor'], 'type' | 'freeAirDeliveryM3PerS'>;
  readonly receiverM3: number;
}

/**
 * What a question implies at once: the duty of the compressor, and the water of a day.
 * @source walk of the intake and the compressor; demand = Σ flow · share in use
 * @example impliedBy(question({})).loadedShare // 0.409
 */
export function impliedBy(question: Question): Implied {
  const [sized = question] = compressorsFor(question);
  const asked = askedOf(sized);
  const { base, demandM3PerS, peaksM3PerS } = asked;
  const { share: loadedShare, limit: dutyLimit } = dutyOf(asked);
  const hoursPerDay = hoursPerWeek(base.survey.working) / question.daysPerWeek;
  return {
    loadedShare,
    compressor: sized.compressor,
    receiverM3: sized.receiverM3,
    dutyLimit,
    averageM3PerS: demandM3PerS,
    peakM3PerS: peaksM3PerS.reduce((sum, p) => sum + p, 0),
    waterKgPerDay: walk(base).waterInKgPerS * Math.min(1, loadedShare) * hoursPerDay * HOUR_S,
  };
}
