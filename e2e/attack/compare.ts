import type { Writers } from './writers';

/** Which of the acknowledged writes are missing or other than they were sent, and how many are there twice. */
export async function compared(
  url: string,
  planId: string,
  { acknowledged }: Writers,
): Promise<{ lost: string[]; doubled: number }> {
  const copy = await (await fetch(`${url}/api/plans/${planId}/copy`)).text();
  const texts: string[] = [];
  const text = new Map<string, string>();
  for (const line of copy.trim().split('\n')) {
    const record = JSON.parse(line);
    const own = record.entry ?? record.charge ?? record;
    text.set(own.id, own.what || own.note || own.name);
    texts.push(own.what || own.note || own.name);
  }
  const whats = texts.filter((t) => /^n\d+-/.test(t));
  return {
    lost: acknowledged.filter((w) => text.get(w.id) !== w.what).map((w) => `${w.path} ${w.id}`),
    doubled: whats.length - new Set(whats).size,
  };
}
