import { expectDrain } from '../../core/log/expect-drain';
import { siteTimeMs, siteTimeOf } from '../../core/log/site-clock';
import { drainPoints } from '../../core/plan/edit';
import { placeOf } from '../../core/plan/survey';
import { DAY_MS, WATER_KG_PER_M3 } from '../../core/quantity/constants';
import { demoSites } from '../../db/demo-sites';
import { clockOnTheWall } from '../../server/clock';
import { logADrain } from '../../server/log-a-drain';
import { logAnEntry } from '../../server/log-an-entry';
import { ALONE } from '../../server/people/may';
import { createPlan } from '../../server/save-plan';
import { changeSite, createSite } from '../../server/sites/save-site';

// Adds made-up sites, to see what many are like: bin/demo-sites [N]. Run again it adds nothing twice.
const nowMs = siteTimeMs(clockOnTheWall());
const many = Number(process.argv[2] ?? 40);
for (const { id, planId, plan, name, complains, waterShare, ...details } of demoSites(many, nowMs)) {
  const made = await createSite(ALONE, { id, name }).catch(() => undefined);
  if (!made) continue;
  await changeSite(ALONE, id, {
    customer: details.customer,
    address: details.address,
    contacts: details.contacts,
    notes: details.notes,
  });
  await createPlan(ALONE, { id: planId, siteId: id, plan });
  const point = drainPoints(plan)[0];
  const air = placeOf(plan.survey, plan.survey.intakePlaceId);
  for (const days of point ? [5, 3, 1] : []) {
    const [drainedAt, sinceAt] = [days, days + 1].map((d) => siteTimeOf(nowMs - d * DAY_MS)) as [string, string];
    const drain = {
      stageId: point?.id ?? '',
      drainedAt,
      sinceAt,
      loadedHours: null,
      intakeTemperatureC: air.temperatureC,
      intakeRelativeHumidity: air.relativeHumidity,
    };
    const expected = expectDrain(plan, drain)?.expectedKg ?? 0;
    const amountM3 = Math.max(1e-6, (expected * waterShare) / WATER_KG_PER_M3);
    const who = details.contacts.split(',')[0] ?? 'Service';
    await logADrain(ALONE, planId, { ...drain, id: crypto.randomUUID(), amountM3, appearance: 'clear', who, note: '' });
  }
  if (complains)
    await logAnEntry(ALONE, planId, {
      id: crypto.randomUUID(),
      kind: 'complaint',
      stageId: '',
      what: 'Water at the tool after the weekend',
      who: 'Foreman',
      measuredAt: siteTimeOf(nowMs - 2 * DAY_MS),
    });
}
console.error(`${many} made-up sites are there.`);
process.exit(0);
