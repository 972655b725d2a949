import { respond } from '@/server/respond';
import { readWeather, removeWeather } from '@/server/save-weather';

interface Context {
  params: Promise<{ id: string }>;
}

export function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => readWeather(who, (await params).id));
}

export function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async (who) => removeWeather(who, (await params).id));
}
