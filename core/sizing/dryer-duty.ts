import { CFM, FREE_AIR_KG_PER_M3 } from '../quantity/constants';

/** What a dryer is asked to do, whatever its family. */
export interface DryerDuty {
  /** At its rating: the most that passes. */
  readonly dryAirKgPerS: number;
  /** On average, of that, 0…1. */
  readonly load: number;
  readonly inletC: number;
  /** Absolute. */
  readonly inletPa: number;
  readonly atmosphericPa: number;
  /** In the line, 0…1: 1 behind anything that only cools and drains. */
  readonly relativeHumidity: number;
  readonly roomC: number;
  /** The room on the hottest day, and when it is coldest. */
  readonly hottestRoomC: number;
  readonly coldestRoomC: number;
  /** The coldest that a pipe after it gets. */
  readonly coldestAfterC: number;
  /** The compressor is oil-free, and its hot air may go straight to a dryer. */
  readonly hotOilFree: boolean;
  /** Pressure dew point that the work asks for. */
  readonly wantedC: number;
  /** Under pressure with the dryer on, a year. */
  readonly hoursPerYear: number;
  readonly perKWh: number;
  readonly perHour: number;
}

/** kWh that a compressor takes for a kilogram of air: 18 kW for 100 cfm (trade handbook, at 100 psig). */
export const KWH_PER_KG_AIR = 18 / (100 * CFM * FREE_AIR_KG_PER_M3) / 3600;

export const dutyM3PerS = (d: Pick<DryerDuty, 'dryAirKgPerS'>): number => d.dryAirKgPerS / FREE_AIR_KG_PER_M3;

/** The hottest day: what cools the air against the room follows it, kelvin by kelvin (estimate). */
export const hottestInletC = (d: DryerDuty): number => d.inletC + Math.max(0, d.hottestRoomC - d.roomC);
