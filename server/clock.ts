import { format } from 'date-fns';
import type { ShopTime } from '../core/record/shop-clock';

/** How far this server's clock is shifted, ms: tests run on dates of their own by setting it. */
const SHIFT_MS = Number(process.env.CLOCK_SHIFT_MS ?? 0);

/** Now, ms since 1970. */
export const clockMs = (): number => Date.now() + SHIFT_MS;

/** Now, on the wall clock of the place where the server stands. */
export const clockOnTheWall = (): ShopTime => format(clockMs(), "yyyy-MM-dd'T'HH:mm");
