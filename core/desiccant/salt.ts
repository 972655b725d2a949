/** Salt that a kilogram of water dissolves out of a pellet tower, kg: 0.3–1 (trade handbook, estimate; the middle). */
export const SALT_PER_WATER = 0.65;
