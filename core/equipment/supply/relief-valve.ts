import { z } from 'zod';
import { orificeKgPerS } from '../../pipe-flow/orifice';
import { defineKind, numberField, Refusal } from '../shared/kind';

/** Lets go before anything bursts. It must pass all that the compressor can deliver, and nothing may stand between it and the tank. */
export const reliefValve = defineKind({
  kind: 'relief-valve',
  family: 'source',
  label: 'Relief valve',
  does: 'Opens before any part bursts: set no higher than the weakest nameplate, able to pass all that the compressor delivers.',
  equation: 'passes C·A·p/√T at 110 % of its setting; working pressure at most 90 % of it',
  alsoCalled: ['safety valve', 'pop-off', 'pressure relief'],
  ids: ['relief'],
  service: ['M26'],
  cautions: ['C04', 'C36', 'C20'],
  parameters: z.strictObject({
    setPressurePa: numberField({
      label: 'Opens at',
      help: 'Stamped on it.',
      quantity: 'pressure',
      least: 1.2e5,
      most: 60e5,
      default: 12e5,
      source: 'typical of a small tank, common practice',
    }),
    boreM: numberField({
      label: 'Bore',
      quantity: 'size',
      least: 1e-3,
      most: 0.1,
      default: 8e-3,
      source: 'estimate: ¼ in valve; its stamped capacity takes precedence',
    }),
  }),
  pass(inlet, p) {
    if (inlet.pressurePa >= p.setPressurePa)
      throw new Refusal('setPressurePa', 'The line runs at or above this setting: the valve would open. Check both.');
  },
  shows(inlet, p, around) {
    const gauge = (pa: number): number => pa - around.atmosphericPa;
    const passes = orificeKgPerS(
      p.boreM,
      around.atmosphericPa + 1.1 * gauge(p.setPressurePa),
      around.atmosphericPa,
      inlet.temperatureC,
    );
    const share = gauge(inlet.pressurePa) / gauge(p.setPressurePa);
    return [
      { label: 'Passes, blowing', quantity: 'massFlow', value: passes, warns: passes < inlet.dryAirKgPerS },
      { label: 'Compressor delivers here', quantity: 'massFlow', value: inlet.dryAirKgPerS },
      { label: 'Line runs at, of its setting', quantity: 'share', value: share, warns: share > 0.9 },
    ];
  },
});
