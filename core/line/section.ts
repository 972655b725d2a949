import type { Basis } from '../air/enhancement-factor';
import { relativeHumidity, vapourFractionFromRatio } from '../air/humidity';
import type { KindName } from '../equipment/index';
import type { Stage } from '../plan/plan';
import type { Losses } from '../stream/air-stream';
import type { PreparedLine, WalkProblem } from './prepare';

/** The air as it leaves a stage, and what the stage took out of it. Flows are those while the compressor runs loaded. */
export interface Station extends Losses {
  readonly stageId: string;
  readonly kind: KindName;
  readonly temperatureC: number;
  readonly pressurePa: number;
  /** Over ice below 0 °C (frost point). */
  readonly pressureDewPointC: number;
  readonly vapourKgPerS: number;
  readonly liquidKgPerS: number;
  readonly caughtKgPerS: number;
  readonly dryAirKgPerS: number;
}

/** Where all the water went. Water in + leaked in = vapour out + liquid out + caught + frozen + adsorbed + vented. */
export interface Ledger {
  /** Drawn by the intakes. */
  readonly waterInKgPerS: number;
  readonly leakedInKgPerS: number;
  readonly vapourOutKgPerS: number;
  readonly liquidOutKgPerS: number;
  readonly caughtKgPerS: number;
  readonly frozenKgPerS: number;
  readonly adsorbedKgPerS: number;
  readonly ventedKgPerS: number;
}

const NOTHING_LOST: Losses = {
  leakedInKgPerS: 0,
  frozenKgPerS: 0,
  adsorbedKgPerS: 0,
  ventedKgPerS: 0,
  ventedAirKgPerS: 0,
};
/** How many numbers {@link Section.figures} keeps of a station, and where its dew point stands among them. */
export const KEPT = 7;
export const DEW_POINT = 2;

/**
 * The walked line. The numbers of all stations stand side by side in one array, which is what a run over many hours
 * reads; stations and ledger as objects are made from it when somebody asks for them.
 */
export class Section {
  private readonly made: Station[] = [];
  private places: ReadonlyMap<string, number> | undefined;

  constructor(
    private readonly line: PreparedLine,
    /** Dry air and water that all intakes draw. */
    readonly dryAirKgPerS: number,
    readonly waterInKgPerS: number,
    /** What left the line at its outlets and open ends. */
    readonly vapourOutKgPerS: number,
    readonly liquidOutKgPerS: number,
    /** {@link KEPT} numbers a station; not a number where the walk did not come. */
    readonly figures: Float64Array,
    /** Of the few stations where water leaves otherwise than through a drain. */
    private readonly losses: readonly (Losses | undefined)[] | undefined,
    /** What refused, and what could not be reached; the rest of the line is walked all the same. */
    readonly problems: readonly WalkProblem[],
  ) {}

  /** The first thing that is wrong. */
  get problem(): WalkProblem | undefined {
    return this.problems[0];
  }

  /** Where water left otherwise than through a drain at a station, by its place; nothing where none did. */
  lossesAt(index: number): Losses | undefined {
    return this.losses?.[index];
  }

  /** A station is made when somebody asks for it: of most walks only a few are looked at. */
  private stationAt(index: number): Station | undefined {
    const known = this.made[index];
    if (known) return known;
    const { id, kind } = this.line.stages[index] as Stage;
    const k = KEPT * index;
    const own = this.figures;
    if (Number.isNaN(own[k])) return undefined;
    const station: Station = {
      stageId: id,
      kind,
      ...(this.losses?.[index] ?? NOTHING_LOST),
      temperatureC: own[k] as number,
      pressurePa: own[k + 1] as number,
      pressureDewPointC: own[k + DEW_POINT] as number,
      vapourKgPerS: own[k + 3] as number,
      liquidKgPerS: own[k + 4] as number,
      caughtKgPerS: own[k + 5] as number,
      dryAirKgPerS: own[k + 6] as number,
    };
    this.made[index] = station;
    return station;
  }

  /** The stations that the walk reached: the main run's, then each branch's. */
  get stations(): readonly Station[] {
    return this.line.stages.flatMap((_, i) => this.stationAt(i) ?? []);
  }

  /** The station of a stage; `undefined` where the walk did not come, or the stage is only planned. */
  at(stageId: string | undefined): Station | undefined {
    this.places ??= new Map(this.line.stages.map(({ id }, i) => [id, i]));
    const index = stageId === undefined ? undefined : this.places.get(stageId);
    return index === undefined ? undefined : this.stationAt(index);
  }

  get ledger(): Ledger {
    const sum = (name: keyof Losses | 'caughtKgPerS'): number => this.stations.reduce((total, s) => total + s[name], 0);
    return {
      waterInKgPerS: this.waterInKgPerS,
      leakedInKgPerS: sum('leakedInKgPerS'),
      vapourOutKgPerS: this.vapourOutKgPerS,
      liquidOutKgPerS: this.liquidOutKgPerS,
      caughtKgPerS: sum('caughtKgPerS'),
      frozenKgPerS: sum('frozenKgPerS'),
      adsorbedKgPerS: sum('adsorbedKgPerS'),
      ventedKgPerS: sum('ventedKgPerS'),
    };
  }
}

/** Mole fraction of vapour in a stream. */
export function vapourFractionAt(station: Pick<Station, 'vapourKgPerS' | 'dryAirKgPerS'>): number {
  return vapourFractionFromRatio(station.vapourKgPerS / station.dryAirKgPerS);
}

/**
 * How far the ledger is from balancing, as a share of the water in.
 * @returns 0 where it balances
 * @example imbalance(section.ledger) < 1e-12 // true
 */
export function imbalance(ledger: Ledger): number {
  const { waterInKgPerS, leakedInKgPerS, ...went } = ledger;
  const came = waterInKgPerS + leakedInKgPerS;
  const out = Object.values(went).reduce((sum, kgPerS) => sum + kgPerS, 0);
  return came === 0 ? 0 : Math.abs(came - out) / came;
}

/**
 * Relative humidity of the air at a station, over liquid water, in the line or expanded to a pressure, at a temperature.
 * @returns 0…1
 * @example humidityAt(section.at('outlet'), 20, 101325) // 0.0333
 */
export function humidityAt(station: Station, temperatureC: number, pressurePa: number, basis: Basis = 'real'): number {
  return relativeHumidity(vapourFractionAt(station), temperatureC, pressurePa, basis);
}
