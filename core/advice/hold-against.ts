import { is } from '../equipment/groups';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { LineFacts } from './line-facts';
import type { Measure } from './measures';
import type { Dispute, School } from './schools';

/**
 * What a line gives, in the measures of the disputes; what the walk does not reach is left out.
 * @example measured(plan).dewPointC // -0.961
 */
export function measured(plan: Plan): Partial<Record<Measure, number>> {
  const line = new LineFacts(plan, walk(plan));
  const reached = line.of('outlet').flatMap((o) => {
    const station = line.at(o);
    return station ? [{ o, station }] : [];
  });
  if (reached.length === 0) return {};
  const tank = line.of('receiver')[0];
  const comes = tank ? line.inlet(tank) : line.at(line.stages[2]);
  const pressures = reached.map(
    ({ o }) => line.moments.get(o.id)?.section.at(o.id)?.pressurePa ?? line.at(o)?.pressurePa ?? 0,
  );
  const spare = line.stages.flatMap((s) =>
    is(['pipe', 'hose', 'hose-reel', 'outlet'], s.kind) && line.at(s)
      ? [line.roomC(s) - (line.at(s)?.pressureDewPointC ?? 0)]
      : [],
  );
  return {
    ...(comes && { intoTank: comes.vapourKgPerS + comes.liquidKgPerS }),
    drops: reached.reduce((sum, { station }) => sum + station.liquidKgPerS, 0),
    dewPointC: Math.max(...reached.map(({ station }) => station.pressureDewPointC)),
    spareK: Math.min(...spare),
    weakestPa: Math.min(...pressures),
    airLost: line.balance.lostM3PerS,
    oilMg: Math.max(...reached.map(({ o }) => line.grades.get(o.id)?.dirt.oilMg ?? 0)),
  };
}

/**
 * What each school of a dispute would give on a line.
 * @example holdAgainst(plan, disputesOf(plan)[0], newId).length // 2
 */
export function holdAgainst(
  plan: Plan,
  { schools }: Dispute,
  newId: () => string,
): readonly {
  readonly school: School;
  readonly plan: Plan | undefined;
  readonly gives: Partial<Record<Measure, number>>;
}[] {
  return schools.map((school) => {
    if (school.gives) return { school, plan: undefined, gives: school.gives };
    const theirs = school.edit ? school.edit(plan, newId) : plan;
    return { school, plan: school.edit ? theirs : undefined, gives: measured(theirs) };
  });
}
