import { format } from 'date-fns';
import type { SiteTime } from '../core/log/site-clock';

/** Now, on the wall clock of the place where the server stands. */
export const clockOnTheWall = (): SiteTime => format(new Date(), "yyyy-MM-dd'T'HH:mm");
