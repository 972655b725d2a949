import { COLDER_BY_K } from '../advice/drying-need';
import { fieldsOf } from '../equipment/index';
import type { Surroundings } from '../equipment/shared/kind';
import { isCleanEnough, letter } from '../line/grade-line';
import { GAUGE_TELLS_PA, type OutletStage, outletCriteria } from '../line/outlet-criteria';
import type { Station } from '../line/section';
import { pressureDewPointOf } from '../line/walk';
import type { Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { oilClassOf } from '../purity/iso-8573';
import { COVERAGE } from '../quantity/derivation';
import type { AirStream } from '../stream/air-stream';
import { type Asked, IDS } from './base-line';
import type { FastWalk, Slack, Walked } from './fast-walk';
import { outletMarginK } from './judge-proposal';
import { isTreatedEarly } from './positions';

const SPENT_WITHIN = fieldsOf('bead-cartridge').find(([field]) => field === 'spentShare')?.[1].uncertainty?.abs ?? 0;

/** What a job gets of the air that the fast walk brings to it. */
export class AtJob {
  private readonly outlet: OutletStage;
  private readonly around: Surroundings;

  constructor(
    private readonly asked: Asked,
    private readonly fast: FastWalk,
    private readonly job: number,
  ) {
    this.outlet = stageById(asked.base, IDS.outlet(job)) as OutletStage;
    this.around = fast.atJob[job] as Surroundings;
  }

  /** Whether water condenses in the pipe of a branch, from a warmer room to a colder one, for certain (O52). */
  isPipeWet({ delivered }: Walked): boolean {
    const { asked, fast, job } = this;
    if (job === 0 || asked.question.jobs[job]?.distanceM === 0 || isTreatedEarly(asked, job)) return false;
    const { roomTemperatureC } = this.around;
    const isColder = roomTemperatureC <= fast.around.roomTemperatureC - COLDER_BY_K;
    return isColder && pressureDewPointOf(delivered) > roomTemperatureC + fast.slack.k;
  }

  /** Whether less is left than the job needs: nothing downstream gives pressure back. */
  isStarved = ({ peak }: Walked): boolean => peak.pressurePa < this.outlet.parameters.leastPressurePa - GAUGE_TELLS_PA;

  /** By how much the air is dry enough, K; nothing where drops arrive, or oil or dust above its class. */
  marginK({ delivered, dirt }: Walked): number | undefined {
    const grade = { particle: letter(dirt.particle), oil: oilClassOf(dirt.oilMg) };
    if (!isCleanEnough(grade, this.outlet.parameters) || delivered.liquidKgPerS > 0) return undefined;
    return outletMarginK(this.outlet, stationOf(delivered), this.around);
  }

  /** Whether the job still gets its air where its run has to bring what it vents besides. */
  isSupplied(arrives: Walked, leaves: Walked, run: () => readonly Stage[]): boolean {
    const brought = arrives.peak.dryAirKgPerS / leaves.peak.dryAirKgPerS;
    if (brought <= 1 + 1e-9) return true;
    const peak = arrives.peak.copy();
    peak.scale(brought);
    const again = this.fast.run({ ...arrives, peak }, run(), this.job);
    return again !== undefined && !this.isStarved(again);
  }

  /**
   * Whether how far its beads are spent alone leaves it open that the job gets what it asks for: the band of its verdict is no
   * narrower.
   * @param run the stages of the job’s run
   */
  isOpen(arrives: Walked, run: readonly Stage[], { share, k }: Slack): boolean {
    const leaves = (stages: readonly Stage[]): AirStream | undefined =>
      this.fast.run(arrives, stages, this.job)?.delivered;
    const [mid, worse] = [leaves(run), leaves(run.map(spentMore))];
    if (!mid || !worse) return false;
    return outletCriteria(this.outlet).some((c) => {
      if (!c) return false;
      const [value, high] = [mid, worse].map((air) => c.read(stationOf(air), this.around)) as [number, number];
      const slack = c.quantity === 'share' ? share * c.limit : k;
      return value + COVERAGE * Math.max(0, high - value) > c.limit + slack;
    });
  }
}

const stationOf = (air: AirStream): Station =>
  ({
    temperatureC: air.temperatureC,
    pressurePa: air.pressurePa,
    pressureDewPointC: pressureDewPointOf(air),
    vapourKgPerS: air.vapourKgPerS,
    liquidKgPerS: air.liquidKgPerS,
    dryAirKgPerS: air.dryAirKgPerS,
  }) as Station;

/** Beads by the standard uncertainty of their state further gone. */
function spentMore(s: Stage): Stage {
  if (s.kind !== 'bead-cartridge') return s;
  const spentShare = Math.min(1, s.parameters.spentShare + SPENT_WITHIN);
  return { ...s, parameters: { ...s.parameters, spentShare } };
}
