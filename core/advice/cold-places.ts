import { CATCHERS, CHILLED, is } from '../equipment/groups';
import { setPlace } from '../plan/edit';
import type { Stage } from '../plan/plan';
import { at } from './fix';
import type { LineFacts } from './line-facts';
import type { Rule } from './rule';

export const FROST_C = 2; // a reading in the room, and the coldest corner of it, differ by that much (estimate)
const WARM_C = 5; // warm enough to send a stage to: over the margin for a cold corner (estimate)

/** Whether water stands or runs in a stage: what it catches, drops in it, or a dew point above its room. */
function holdsWater(line: LineFacts, s: Stage): boolean {
  const [comes, leaves] = [line.inlet(s), line.at(s)];
  if (!comes || !leaves) return false;
  return leaves.caughtKgPerS > 0 || comes.liquidKgPerS > 0 || comes.pressureDewPointC > line.roomC(s);
}

/** What freezes, by the places as they were surveyed: no year of weather is needed for it. */
export const COLD_PLACES: readonly Rule[] = [
  {
    id: 'A35',
    grade: 'must',
    when: 'a receiver, separator, filter, cooling run or drain with water in it where it is below 36 °F (2 °C)',
    fix: 'Move it where it is warm, or heat and insulate it with its drain; until then empty it before each cold night.',
    source: 'freezing point of water; the margin is an estimate',
    finds: (line) =>
      line
        .of(...CATCHERS, 'cooling-run', 'aftercooler', 'fluid-cooler')
        .filter((s) => !is([...CHILLED, 'high-inlet-dryer'], s.kind))
        .filter((s) => line.roomC(s) < FROST_C && holdsWater(line, s))
        .map((s) => {
          const warm = line.plan.survey.places.find((p) => p.temperatureC >= WARM_C);
          return at(
            s,
            (say) => `Water freezes in ${s.name}: it stands at ${say(line.roomC(s), 'temperature')}.`,
            'Ice shuts its drain, blocks the way of the air, and can burst it.',
            warm && { does: `Move it to ${warm.name}`, edit: (plan) => setPlace(plan, s.id, warm.id) },
          );
        }),
  },
];
