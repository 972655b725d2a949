/** Salt that a kilogram of water dissolves out of a pellet tower, kg: 0.3–1 (handbook of practice, estimate; the middle). */
export const SALT_PER_WATER = 0.65;
