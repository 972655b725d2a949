import { z } from 'zod';
import { readStored, store } from '@/ui/browser-store';

const KEY = 'cool-dram.opened-lines';
const MOST = 50; // the oldest is forgotten; a choice of ours
const schema = z.array(z.object({ id: z.string(), name: z.string() })).catch([]);

/** Lines that were opened on this device, the last first. */
export function openedLines(): readonly { readonly id: string; readonly name: string }[] {
  try {
    return schema.parse(JSON.parse(readStored(KEY) ?? '[]'));
  } catch {
    return [];
  }
}

/** Remembers the name of a line, for the list of what opens without a network. */
export function rememberLine(id: string, name: string): void {
  const others = openedLines().filter((line) => line.id !== id);
  store(KEY, JSON.stringify([{ id, name }, ...others].slice(0, MOST)));
}
