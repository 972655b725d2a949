import { QUANTITIES, type QuantityName } from './units';

/**
 * A figure to be kept within a text, whatever units its reader will have.
 * @param si in the SI unit of the quantity
 * @example keepFigure(8e5, 'pressureDifference') // '[[800000 pressureDifference]]'
 */
export const keepFigure = (si: number, quantity: QuantityName): string => `[[${si} ${quantity}]]`;

/**
 * A text with the figures that {@link keepFigure} put into it, in the units of whoever reads; what is no figure stays.
 * @param say a value in those units
 * @example sayKept('loss: [[20000 pressureDifference]].', (si) => `${si / 1e5} bar`) // 'loss: 0.2 bar.'
 */
export const sayKept = (text: string, say: (si: number, quantity: QuantityName) => string): string =>
  text.replace(/\[\[(-?[\d.]+(?:e[+-]?\d+)?) (\w+)\]\]/g, (all, si: string, quantity: string) =>
    Object.hasOwn(QUANTITIES, quantity) && Number.isFinite(Number(si))
      ? say(Number(si), quantity as QuantityName)
      : all,
  );
