import { respond } from '@/server/respond';
import { nearestWeather } from '@/server/save-weather';

export function GET(request: Request): Promise<Response> {
  return respond((who) => nearestWeather(who, Object.fromEntries(new URL(request.url).searchParams)));
}
