import type { QuantityName } from './units';

const UNITS: Record<string, { quantity: QuantityName; si: number }> = {
  '°C': { quantity: 'temperature', si: 1 },
  K: { quantity: 'temperatureDifference', si: 1 },
  bar: { quantity: 'pressureDifference', si: 1e5 },
  'm³/min': { quantity: 'volumeFlow', si: 1 / 60 },
  m: { quantity: 'length', si: 1 },
  mm: { quantity: 'size', si: 1e-3 },
  mL: { quantity: 'drained', si: 1e-6 },
};

/**
 * A text with the figures that stand in braces in it, as `{8 K}`, in the units of whoever reads.
 * @param say a value in those units
 * @example sayText('over {8 K}', (si, of) => `${si * 1.8} °F of ${of}`) // 'over 14.4 °F of temperatureDifference'
 */
export const sayText = (text: string, say: (si: number, quantity: QuantityName) => string): string =>
  text.replace(/\{([−-]?[\d.]+) (°C|K|bar|m³\/min|mm|mL|m)\}/g, (all, number: string, unit: string) => {
    const of = UNITS[unit];
    return of ? say(Number(number.replace('−', '-')) * of.si, of.quantity) : all;
  });
