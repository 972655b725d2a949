/** Names of the caches of pages begin with it; the build of the program follows. */
export const PAGES = 'pages.';

/** What of a line is kept on a device that has opened it, to be opened without a network. */
const OF_A_LINE = [
  ...['today', 'rounds', 'rounds/go', 'rounds/sheet', 'logbook', 'find', 'line', 'water', 'charges', 'advice'],
  ...['fitting/parts', 'fitting/assembly', 'fitting/leak-test'],
];
/** What else is. */
const OF_ALL = ['/', '/outbox'];

/** What a page asks of the service worker: to fetch and keep these addresses, also where it has a recent copy. */
export interface KeepPages {
  readonly keep: readonly string[];
  readonly anew: boolean;
}

/** Keeps the pages of a line on this device. */
export async function keepPages(planId: string, anew: boolean): Promise<void> {
  const worker = await navigator.serviceWorker?.ready; // never, where there is none
  const message: KeepPages = { keep: [...OF_ALL, ...OF_A_LINE.map((page) => `/lines/${planId}/${page}`)], anew };
  worker?.active?.postMessage(message);
}

/** Removes every page that is kept on this device: they are those of whoever was signed in. */
export async function forgetKeptPages(): Promise<void> {
  if (typeof caches === 'undefined') return;
  for (const name of await caches.keys()) if (name.startsWith(PAGES)) await caches.delete(name);
}

/** Fetches every page anew that is kept on this device, for whoever uses it from now on. */
export async function fetchKeptPagesAnew(): Promise<void> {
  const paths = await keptPaths();
  await forgetKeptPages();
  if (paths.length === 0) return;
  const worker = await navigator.serviceWorker?.ready;
  const message: KeepPages = { keep: paths, anew: true };
  worker?.active?.postMessage(message);
}

/** Paths of the pages that are kept on this device. */
export async function keptPaths(): Promise<readonly string[]> {
  if (typeof caches === 'undefined') return [];
  const names = (await caches.keys()).filter((name) => name.startsWith(PAGES));
  const requests = await Promise.all(names.map(async (name) => (await caches.open(name)).keys()));
  return requests.flat().map(({ url }) => new URL(url).pathname);
}
