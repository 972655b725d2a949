import { DISCHARGE, orificeKgPerS } from '../pipe-flow/orifice';
import type { Stage } from '../plan/plan';
import type { Station } from './section';

/**
 * Whether a timed drain never shuts: as if dirt held it open.
 * @example isHeldOpen(stage('receiver')) // false
 */
export const isHeldOpen = ({ parameters: p }: Stage): boolean =>
  'drainOpenS' in p && p.drain === 'timer' && p.drainOpenS >= p.drainEveryS;

/**
 * Air that a timed drain blows away on average, kg/s: open for its seconds, whether water comes or not. Drains by float,
 * level or hand are taken to lose none.
 * @source choked flow through its bore (trade handbook: loss = flow · t_open / interval)
 * @example drainAirKgPerS(stage('receiver'), section.at('receiver'), 101325) // 0
 */
export function drainAirKgPerS(
  stage: Stage,
  station: Pick<Station, 'pressurePa' | 'temperatureC'>,
  atmosphericPa: number,
): number {
  const p = stage.parameters;
  if (!('drainOpenS' in p) || p.drain !== 'timer') return 0;
  const openShare = Math.min(1, p.drainOpenS / p.drainEveryS);
  return (
    openShare * orificeKgPerS(p.drainBoreM, station.pressurePa, atmosphericPa, station.temperatureC, DISCHARGE.drain)
  );
}
