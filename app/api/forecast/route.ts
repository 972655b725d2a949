import { readForecast } from '@/server/read-forecast';
import { respond } from '@/server/respond';

export const dynamic = 'force-dynamic';

export function GET(request: Request): Promise<Response> {
  return respond(() => readForecast(Object.fromEntries(new URL(request.url).searchParams)));
}
