import { format } from 'date-fns';
import { type ShopTime, shopTimeMs } from '@/core/record/shop-clock';

/** A shop time in words: “Mon 16 Nov, 16:05”. The shop's clock has no zone, so it is read as if it were local. */
export function sayTime(time: ShopTime): string {
  const ms = shopTimeMs(time);
  return Number.isFinite(ms) ? format(new Date(time), 'EEE d MMM, HH:mm') : time;
}

/** Now, on the clock of this device. */
export function nowOnTheWall(): ShopTime {
  return format(new Date(), "yyyy-MM-dd'T'HH:mm");
}
