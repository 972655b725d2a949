import { newStage } from '../plan/edit';
import { PLAN_FORMAT, PLAN_VERSION, type Plan, planSchema, type Stage } from '../plan/plan';

/** The band of a pressure switch whose middle is a working pressure. */
export const bandAround = (middlePa: number) => ({ cutInPa: middlePa - 3e4, cutOutPa: middlePa + 3e4 });

type Parameters<K extends Stage['kind']> = Partial<Extract<Stage, { kind: K }>['parameters']>;

/** Flows of jobs in free air, and regulators that hold their setting: so that a line can be followed by hand. */
const BY_HAND = {
  outlet: { flowBasis: 'inlet' },
  regulator: { droopPa: 0, droopAtM3PerS: 0, passes: 'not-said' },
};

/** A stage with some parameters set, its id its kind unless given. */
export function stageOf<K extends Stage['kind']>(kind: K, parameters: Parameters<K> = {}, id: string = kind): Stage {
  const fresh = newStage(kind, id);
  return {
    ...fresh,
    parameters: { ...fresh.parameters, ...(BY_HAND as Record<string, object>)[kind], ...parameters },
  } as Stage;
}

interface PlanOf {
  readonly temperatureC?: number;
  readonly relativeHumidity?: number;
  readonly roomC?: number;
  readonly atmosphericPa?: number;
  readonly flowM3PerS?: number;
  readonly pressurePa?: number;
  readonly dischargeC?: number;
}

/** A plan of a bare intake, a compressor with its discharge measured, and further stages. */
export function planOf(o: PlanOf, ...stages: Stage[]): Plan {
  const place = { temperatureC: o.temperatureC ?? 25, relativeHumidity: o.relativeHumidity ?? 0.6 };
  return planSchema.parse({
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    name: 'test',
    survey: {
      shop: 'test',
      atmosphereFrom: 'barometer',
      barometerPa: o.atmosphericPa ?? 101325,
      places: [
        { id: 'in', name: 'intake', ...place },
        { id: 'room', name: 'room', ...place, temperatureC: o.roomC ?? place.temperatureC },
      ],
      intakePlaceId: 'in',
      roomPlaceId: 'room',
      working: {},
    },
    stages: [
      stageOf('intake', { filterLossPa: 0 }),
      stageOf('compressor', {
        freeAirDeliveryM3PerS: o.flowM3PerS ?? 0.01,
        ...bandAround(o.pressurePa ?? 8e5),
        dischargeTemperatureFrom: 'measured',
        dischargeTemperatureC: o.dischargeC ?? 120,
      }),
      ...stages,
    ],
  });
}
