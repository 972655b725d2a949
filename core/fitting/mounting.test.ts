import { demoPlan } from '../../db/demo';
import { walk } from '../line/walk';
import { insertStage, newStage, removeStage, setParameters } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { thingSchema } from '../plan/thing-fields';
import { assemblyOf } from './assembly';
import { heatOfCoolerW, mountingOf, WARM_WIND_K } from './mounting';

const plan = demoPlan();
const section = walk(plan);
const at = (p: Plan, id: string): Stage => stageById(p, id) as Stage;

it('says which way the air goes on the wall that one faces', () => {
  const says = (along: 'east' | 'west' | 'north' | 'south' | 'up') =>
    mountingOf(section, at(plan, 'regulator'), undefined, along)[0];
  expect(says('east')).toContain('wall to the north from left to right');
  expect(says('west')).toContain('right to left');
  expect(says('north')).toContain('wall to the west from left to right');
  expect(says('south')).toContain('right to left');
  expect(says('up')).toBe('Air comes from below.');
});

it('takes as much heat from the air as psychrometrics have it', () => {
  // By hand: 0.62 m³/min of free air at 27 °C and 58 %, about 0.0118 kg/s; 128 to 37 °C: 0.0118 · 1006 · 91 = 1080 W dry, and some
  // 2.4 MJ for each kilogram that condenses on the way.
  const [before, after] = [section.at('compressor'), section.at('aftercooler')];
  if (!before || !after) throw new Error('not walked');
  const dry = before.dryAirKgPerS * 1006 * (before.temperatureC - after.temperatureC);
  const condensed = after.liquidKgPerS + after.caughtKgPerS;
  const heat = heatOfCoolerW(before, after);
  const vapour = before.vapourKgPerS * 1860 * (before.temperatureC - after.temperatureC);
  expect(heat).toBeGreaterThan(dry + condensed * 2.3e6);
  expect(heat).toBeLessThan(dry + vapour + condensed * 2.6e6);
});

it('warns of a motor behind a cooler in its wind from the limit on', () => {
  const inWind = (m3PerS: number): string => {
    const cooler = { ...newStage('fluid-cooler', 'c') };
    const own = setParameters(
      setParameters(insertStage(removeStage(plan, 'aftercooler'), cooler, 2), 'c', { wind: 'pump' }),
      'compressor',
      { freeAirDeliveryM3PerS: m3PerS },
    );
    return mountingOf(walk(own), at(own, 'c'), at(own, 'compressor'), 'east').join(' ');
  };
  const kelvin = (text: string): number => Number(/\{([\d.]+) K\}/.exec(text)?.[1]);
  for (const flow of [0.003, 0.03]) {
    const text = inWind(flow);
    expect([flow, text.includes('Too warm for a motor')]).toEqual([flow, kelvin(text) > WARM_WIND_K]);
  }
  expect(kelvin(inWind(0.003))).toBeLessThan(WARM_WIND_K);
  expect(kelvin(inWind(0.03))).toBeGreaterThan(WARM_WIND_K);
});

it('tells what the plate asks for and what was found at the place, and nothing where nobody said', () => {
  const dryer = at(plan, 'dryer');
  const says = (thing: object): string =>
    mountingOf(section, { ...dryer, thing: thingSchema.parse(thing) }, undefined, 'east').join(' ');
  expect(says({ clearanceM: 0.5 })).toContain('Leave {0.5 m} free');
  expect(says({ cordM: 1.8 })).toContain('{1.8 m} long');
  expect(says({ outlet: 'shared' })).toContain('ask the electrician');
  expect(says({ outlet: 'own' })).toBe(says({}));
});

it('gives the electrician watts and amperes, in the step in which it is mounted', () => {
  const how =
    assemblyOf(plan, section)
      .find((s) => s.id === 'mount dryer')
      ?.how.join(' ') ?? '';
  // 750 W for 100 cfm (trade handbook): 0.014 m³/s are 29.7 cfm, 222 W.
  expect(how).toContain('about 220 W');
  expect(how).toContain('1.9 A at 120 V or 1.0 A at 230 V');
});
