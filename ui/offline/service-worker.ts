import { NetworkFirst, NetworkOnly, type PrecacheEntry, Serwist, type SerwistPlugin } from 'serwist';
import { keptSignedIn } from '@/ui/outbox/outbox';
import { CHANNEL } from '@/ui/outbox/outbox-channel';
import { sendWaiting } from '@/ui/outbox/send-waiting';
import { type KeepPages, PAGES } from './kept-pages';

// Runs beside the pages: keeps the program and the pages of opened lines, and sends the outbox when no page does.

interface WorkerEvent extends Event {
  waitUntil(work: Promise<unknown>): void;
  readonly data?: unknown;
  readonly tag?: string;
}
declare const self: {
  /** The files of the build, and its name: put in where the worker is built. */
  readonly __BUILD: { readonly id: string; readonly files: readonly PrecacheEntry[] };
  addEventListener(type: string, listener: (event: WorkerEvent) => void): void;
};
const { id: build, files } = self.__BUILD;
const cacheName = PAGES + build;

const SLOW_S = 5; // without an answer for so long, the kept page is shown; a choice of ours
const MOST_PAGES = 500; // a choice of ours: some 50 lines, 30 MB
const RECENT_MS = 10 * 60_000; // a copy this new is not fetched again; a choice of ours

/** Without its query: the first page of a list stands for all of them. */
const addressOf = (url: string): string => {
  const { origin, pathname } = new URL(url);
  return origin + pathname;
};

/** Whether an answer is a page worth keeping: whole, not another one, and not one that tells of a dead database. */
const isKept = async (answer: Response): Promise<boolean> =>
  answer.status === 200 && !answer.redirected && !(await answer.clone().text()).includes('data-not-kept');

const pages: SerwistPlugin = {
  cacheKeyWillBeUsed: async ({ request, mode }) => (mode === 'read' ? addressOf(request.url) : request),
  cacheWillUpdate: async ({ response }) => ((await isKept(response)) ? response : null),
  // A proxy whose server is gone answers too.
  fetchDidSucceed: async ({ response }) => {
    if (response.status >= 502) throw new Error('no answer of the program');
    return response;
  },
  // Tells the page that it is a copy, and of when.
  cachedResponseWillBeUsed: async ({ cachedResponse }) => {
    if (!cachedResponse) return null;
    const { status, headers } = cachedResponse;
    const page = await cachedResponse.text();
    return new Response(page.replace('<html', `<html data-copy-of="${headers.get('date') ?? ''}"`), {
      status,
      headers,
    });
  },
};

/** Without an address of its own a file has the one it is asked by, and a web worker finds there what it is to do (#…). */
const nameless: SerwistPlugin = {
  cachedResponseWillBeUsed: async ({ cachedResponse }) =>
    cachedResponse &&
    new Response(cachedResponse.body, { status: cachedResponse.status, headers: cachedResponse.headers }),
};

/** The page that stands in for others is nobody's. */
const anonymous: SerwistPlugin = {
  requestWillFetch: async ({ request }) => new Request(request, { credentials: 'omit' }),
};

const serwist = new Serwist({
  precacheEntries: [...files, { url: '/outbox', revision: build }],
  precacheOptions: { plugins: [nameless, anonymous] },
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, sameOrigin, url }) =>
        sameOrigin && request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
      handler: new NetworkFirst({ cacheName, networkTimeoutSeconds: SLOW_S, plugins: [pages] }),
    },
    {
      // The part of a page that changes: without an answer the browser asks for the whole one, which may be kept.
      matcher: ({ request, sameOrigin }) => sameOrigin && request.headers.get('rsc') === '1',
      handler: new NetworkOnly({ networkTimeoutSeconds: 2 * SLOW_S }),
    },
  ],
  fallbacks: { entries: [{ url: '/outbox', matcher: ({ request }) => request.mode === 'navigate' }] },
});
serwist.addEventListeners();

async function keep(urls: readonly string[], anew: boolean): Promise<void> {
  const cache = await caches.open(cacheName);
  for (const url of urls) {
    const date = (await cache.match(url))?.headers.get('date');
    if (!anew && date && Date.now() - Date.parse(date) < RECENT_MS) continue;
    const answer = await fetch(url).catch(() => undefined);
    if (!answer) return; // no network: what is kept stays
    if (await isKept(answer)) await cache.put(url, answer);
  }
  const all = await cache.keys();
  for (const oldest of all.slice(0, Math.max(0, all.length - MOST_PAGES))) await cache.delete(oldest);
}

/** Fetches what an earlier build of the program kept, as its pages need files that go with it; then lets go of that. */
async function takeOver(): Promise<void> {
  for (const name of (await caches.keys()).filter((n) => n.startsWith(PAGES) && n !== cacheName)) {
    const requests = await (await caches.open(name)).keys();
    await keep([...new Set(requests.map(({ url }) => addressOf(url)))], false);
    await caches.delete(name);
  }
}

self.addEventListener('activate', (event) => event.waitUntil(takeOver()));
self.addEventListener('message', (event) => {
  const { keep: urls, anew } = (event.data ?? {}) as Partial<KeepPages>;
  if (urls) event.waitUntil(keep(urls, anew === true));
});
self.addEventListener('sync', (event) => {
  if (event.tag !== 'outbox') return;
  const channel = new BroadcastChannel(CHANNEL);
  const send = async (): Promise<void> => {
    const delayed = await sendWaiting(await keptSignedIn(), (sent) =>
      channel.postMessage({ ...sent, one: { ...sent.one, body: null } }),
    );
    channel.postMessage('changed');
    if (delayed.size > 0) throw new Error('something still waits'); // the browser tries again later
  };
  event.waitUntil(send());
});
