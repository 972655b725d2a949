import { readJson, respond } from '@/server/respond';
import { listWeather, saveWeather } from '@/server/save-weather';

export function GET(): Promise<Response> {
  return respond(listWeather);
}

export function POST(request: Request): Promise<Response> {
  return respond(async (who) => saveWeather(who, await readJson(request)), 201);
}
