import { readStored, store } from '@/ui/browser-store';

/** Who is at work, as this browser remembers it. */
export const rememberedWho = (): string => readStored('cool-dram.who') ?? '';
export const rememberWho = (who: string): void => void store('cool-dram.who', who);
