'use client';

import { setSiteZone } from '@/ui/units/when';

/** From here on the clock of the site counts; drawn before what asks for the time. */
export function SiteZone({ zone }: { zone: string }) {
  if (typeof window !== 'undefined') setSiteZone(zone);
  return null;
}
