import { removePin, setPin } from '@/server/people/devices';
import { readJson, respond } from '@/server/respond';

export function PUT(request: Request): Promise<Response> {
  return respond(async (who) => setPin(who, await readJson(request)));
}

export function DELETE(): Promise<Response> {
  return respond(removePin);
}
