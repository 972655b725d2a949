import type { KindName } from '../equipment/index';
import { newStage } from '../plan/edit';
import type { Stage } from '../plan/plan';
import { CFM } from '../quantity/constants';
import { RATED_M3_PER_S, ratingFor } from '../sizing/next-size';
import { WET_LOSS_PA } from '../sizing/size-filter';
import type { Asked } from './base-line';
import type { Ownable } from './question';

/** What is bought and fitted together. */
interface Treatment {
  readonly stages: readonly Stage[];
}

const BEFORE_FILTERS_PA = 5e4; // lost upstream of the last filter, so that its rating still holds there (estimate)
/** Losses of new, clean elements at their rated flow, wet, Pa (trade handbook). */
const LOSS = {
  ...WET_LOSS_PA,
  dust: 7e3,
  fineDust: 14e3,
  carbon: 7e3,
  bowl: 10e3,
  chilled: 20e3,
  towers: 28e3,
  cooler: 15e3,
};
/** Cartridges that are sold, kg of dry beads: 2 to 44 lb (common practice, no source). */
const CARTRIDGES_KG = [0.91, 2.27, 6.8, 20];
/** Where a copper run is still worth hanging on a wall, m³/s: its table ends at some 25 cfm (trade handbook). */
const RUN_MOST_M3_PER_S = 30 * CFM;
/** Least for which towers with a heater are built, m³/s (trade handbook). */
const HEATED_LEAST_M3_PER_S = 250 * CFM;
const MEMBRANE_MOST_M3_PER_S = 100 * CFM; // for branches and instruments (trade handbook)
/** Dew point that a refrigerated dryer is asked for: 35 °F, the lowest before ice (common practice). */
const CHILLED_DEW_POINT_C = 1.7;
const BEFORE_TOWERS_PA = 2e4; // lost in cooler and filters on the way to them (estimate)
const PURGE_SHARE = 0.15; // of the rated flow, trade handbook
const SIZES_TRIED = 2;

/** A stage as it would be bought, every number of it proposed. */
function proposed<K extends KindName>(kind: K, id: string, parameters: object = {}, name?: string): Stage {
  const plain = newStage(kind, id, name);
  return { ...plain, parameters: { ...plain.parameters, ...parameters } } as Stage;
}

/** The first sizes of the usual row that are rated for a flow. */
const ratedFor = (flowM3PerS: number, sizes = SIZES_TRIED): readonly number[] => {
  const from = RATED_M3_PER_S.findIndex((r) => r >= flowM3PerS);
  return from < 0 ? RATED_M3_PER_S.slice(-1) : RATED_M3_PER_S.slice(from, from + sizes);
};

/**
 * What could treat the air at one place, sized for the most that passes there, by what it does.
 * @example treatmentAt(asked, 'main', 0.01).chill.length // 3
 */
export function treatmentAt(asked: Asked, where: 'main' | number, passesM3PerS: number) {
  const { question: q, atmosphericPa } = asked;
  const cutInPa = atmosphericPa + q.compressor.cutInGaugePa;
  const id = (name: string): string => (where === 'main' ? name : `${name}-${where + 1}`);
  const may = (kind: Ownable): boolean => !q.refused.includes(kind);
  const power = q.hasPower === 'yes';
  const mayBlow = q.noise === 'any';
  /** Plate at 7 bar for what passes at cut-in. */
  const filterM3PerS = ratingFor(passesM3PerS, cutInPa - BEFORE_FILTERS_PA);
  const plate = { ratedFlowM3PerS: filterM3PerS, lossAtM3PerS: filterM3PerS };
  const element = (lossPa: number) => ({ ...plate, pressureLossPa: lossPa, cleanLossPa: lossPa });
  const bowl = { roomBelow: 'enough' as const };
  const option = (...stages: Stage[]): Treatment => ({ stages });
  const coalescer = (grade: 'general' | 'fine'): Treatment[] =>
    may('coalescing-filter')
      ? [
          option(
            proposed(
              'coalescing-filter',
              id(`coalescer-${grade}`),
              { grade, ...element(LOSS[grade]), ...bowl, indicator: 'fitted' },
              grade === 'fine' ? 'Coalescer 0.01 µm' : 'Coalescer 1 µm',
            ),
          ),
        ]
      : [];
  const chilled = !(may('refrigerated-dryer') && power)
    ? []
    : ratedFor(passesM3PerS, SIZES_TRIED + 1).map((ratedFlowM3PerS) =>
        option(
          proposed('refrigerated-dryer', id('chiller'), {
            method: 'rated',
            pressureDewPointC: CHILLED_DEW_POINT_C,
            ratedFlowM3PerS,
            pressureLossPa: LOSS.chilled,
            lossAtM3PerS: ratedFlowM3PerS,
            drain: 'level',
          }),
        ),
      );
  const beads = !may('bead-cartridge')
    ? []
    : CARTRIDGES_KG.map((massKg) =>
        option(
          proposed('bead-cartridge', id('beads'), {
            massKg,
            spentShare: 0.5,
            ratedFlowM3PerS: 2 * filterM3PerS,
            pressureLossPa: 14e3,
            lossAtM3PerS: 2 * filterM3PerS,
          }),
        ),
      );
  const membranes =
    !may('membrane') || passesM3PerS > MEMBRANE_MOST_M3_PER_S
      ? []
      : ratedFor(passesM3PerS).map((ratedFlowM3PerS) =>
          option(
            proposed('membrane', id('membrane'), {
              ratedFlowM3PerS,
              lossAtM3PerS: ratedFlowM3PerS,
              sweepOff: 'yes',
            }),
          ),
        );
  const towers =
    may('twin-tower') && power && mayBlow
      ? ratedFor(passesM3PerS).flatMap((ratedFlowM3PerS) => [
          option(
            proposed('twin-tower', id('towers'), {
              ratedFlowM3PerS,
              purgeM3PerS: PURGE_SHARE * ratedFlowM3PerS,
              purgeSetPa:
                atmosphericPa + (q.compressor.cutInGaugePa + q.compressor.cutOutGaugePa) / 2 - BEFORE_TOWERS_PA,
              control: 'dew-point',
              pressureLossPa: LOSS.towers,
              lossAtM3PerS: ratedFlowM3PerS,
              pilot: 'dry',
            }),
          ),
          ...(passesM3PerS >= HEATED_LEAST_M3_PER_S
            ? [
                option(
                  proposed('heated-purge-tower', id('towers'), {
                    ratedFlowM3PerS,
                    pressureLossPa: LOSS.towers,
                    lossAtM3PerS: ratedFlowM3PerS,
                    control: 'dew-point',
                  }),
                ),
              ]
            : []),
        ])
      : [];
  const bowlFilter = may('bowl-filter')
    ? [option(proposed('bowl-filter', id('bowl'), { drain: 'float', ...element(LOSS.bowl), ...bowl }))]
    : [];
  const dust = may('particulate-filter')
    ? (['1', '0.01'] as const).map((grade) =>
        option(
          proposed(
            'particulate-filter',
            id('dust'),
            { element: grade, ...element(grade === '1' ? LOSS.dust : LOSS.fineDust) },
            `Dust filter ${grade} µm`,
          ),
        ),
      )
    : [];
  const carbon = may('carbon-filter')
    ? [option(proposed('carbon-filter', id('carbon'), { ...element(LOSS.carbon), counted: 'yes' }))]
    : [];
  return {
    bowl: bowlFilter,
    general: coalescer('general'),
    chill: chilled,
    fine: coalescer('fine'),
    beads,
    dry: [...membranes, ...towers],
    dust,
    carbon,
  };
}

/**
 * Coolers upstream of the tank, each with its separator: what is cooled drops its water (O02).
 * @example coolersOf(asked).length // 2
 */
export function coolersOf({ question: { refused, hasPower }, deliversM3PerS }: Asked): Treatment[] {
  if (refused.includes('aftercooler') || refused.includes('separator') || hasPower !== 'yes') return [];
  const cooler = (approachK: number, times: number): Treatment => ({
    stages: [
      proposed('aftercooler', 'cooler', {
        approachK,
        pressureLossPa: LOSS.cooler,
        lossAtM3PerS: times * deliversM3PerS,
      }),
      proposed('separator', 'separator', { ratedC: 200 }),
    ],
  });
  // A cooler with half the approach has about twice the surface and price (estimate).
  return [cooler(10, 1), cooler(5, 2)];
}

/**
 * A copper run downstream of the tank, where it is not refused and its tubes still do.
 * @example coolingRunsOf(asked).length // 1
 */
export const coolingRunsOf = ({ question: { refused }, deliversM3PerS }: Asked): Treatment[] =>
  refused.includes('cooling-run') || deliversM3PerS > RUN_MOST_M3_PER_S
    ? []
    : [{ stages: [proposed('cooling-run', 'cooling-run', { tube: 'rated', joints: 'metal' })] }];
