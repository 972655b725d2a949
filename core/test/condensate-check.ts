import type { Plan, Stage } from '../plan/plan';
import { CFM } from '../quantity/constants';
import { planOf, stageOf } from './plan-of';
import type { Check } from './reference';

/** Any: only their sum matters. */
const APPROACH_K = 3;

/** The stages of a group 6 case, each with the outlet temperature and pressure that it states. */
export function planOfCheck(check: Check): Plan {
  const { inputs } = check;
  const efficiency = (inputs.liquid_separation_efficiency_each_stage as number | undefined) ?? 1;
  const given = inputs.stages as unknown as { name: string; T_C: number; p_Pa_abs: number }[];
  const stages = given.map(({ name, T_C }): Stage => {
    if (name === 'aftercooler')
      return stageOf(
        'aftercooler',
        {
          method: 'measured',
          outletTemperatureC: T_C,
          drain: 'manual',
          catchEfficiency: efficiency,
          pressureLossPa: 0,
        },
        name,
      );
    if (name === 'refrigerated_dryer')
      return stageOf(
        'refrigerated-dryer',
        {
          method: 'evaporator',
          evaporatorTemperatureC: T_C - APPROACH_K,
          approachK: APPROACH_K,
          separatorEfficiency: efficiency,
          reheat: 'no',
          pressureLossPa: 0,
        },
        name,
      );
    return stageOf('receiver', { method: 'measured', outletTemperatureC: T_C, settlingEfficiency: efficiency }, name);
  });
  return planOf(
    {
      temperatureC: inputs.intake_T_C as number,
      relativeHumidity: (inputs.intake_RH_percent as number) / 100,
      roomC: -20,
      atmosphericPa: inputs.p_atm_Pa as number,
      flowM3PerS: 'flow_icfm' in inputs ? (inputs.flow_icfm as number) * CFM : (inputs.flow_m3_min as number) / 60,
      pressurePa: given[0]?.p_Pa_abs as number,
    },
    ...stages,
  );
}
