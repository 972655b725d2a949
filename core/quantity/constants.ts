/** Density of water, kg/m³; 998.2 at 20 °C (handbook). One litre counts as one kilogram throughout. */
export const WATER_KG_PER_M3 = 1000;

/** An international inch and foot, m; an avoirdupois pound, kg (exact, 1959). */
export const INCH = 0.0254;
export const FOOT = 0.3048;
export const POUND = 0.45359237;
/** A pound-force per square inch, Pa; a cubic foot a minute, m³/s. */
export const PSI = 6894.757;
export const CFM = 4.719474e-4;

export const HOUR_S = 3600;
export const DAY_S = 86_400;
export const YEAR_S = 365 * DAY_S;
export const HOUR_MS = 3_600_000;
export const DAY_MS = 86_400_000;
/** Weeks of work in a year, with two of holidays (estimate). */
export const WORKING_WEEKS = 50;

/** Dry air at 20 °C and 1 bar, kg/m³: the free air of a rating. ISO 1217, ISO 7183. */
export const FREE_AIR_KG_PER_M3 = 1.189;
