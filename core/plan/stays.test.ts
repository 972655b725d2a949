import { goodShop } from '../test/good-lines';
import type { Stage } from './plan';
import { installed, takenDown } from './stays';
import { thingSchema } from './thing-fields';

const LINE = { planId: 'd0000000-0000-4000-8000-000000000001', name: 'Loft line' };
const receiver = goodShop().stages.find((s) => s.kind === 'receiver') as Stage;

it('a thing carries where it was from one line to the next, and its plate with it', () => {
  const thing = thingSchema.parse({ serial: 'R-77', installedOn: '2024-05-01' });
  const once = takenDown({ ...receiver, thing }, LINE, '2026-11-30');
  const again = takenDown(
    { ...receiver, id: 'other', thing: installed(once, '2026-12-02') },
    { ...LINE, name: 'Press line' },
    '2027-01-05',
  );
  expect(thingSchema.parse(again.thing)).toEqual(again.thing); // a shelf takes it
  expect([again.kind, again.thing.serial, again.thing.installedOn]).toEqual(['receiver', 'R-77', undefined]);
  expect(again.thing.stays).toMatchObject([
    { line: 'Loft line', stageId: receiver.id, from: '2024-05-01', to: '2026-11-30' },
    { line: 'Press line', stageId: 'other', from: '2026-12-02', to: '2027-01-05' },
  ]);
});

it('says no day of installing that is after the day on which it was taken down', () => {
  const thing = thingSchema.parse({ installedOn: '2026-12-01' });
  expect(takenDown({ ...receiver, thing }, LINE, '2026-11-30').thing.stays[0]).not.toHaveProperty('from');
});
