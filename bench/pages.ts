import { chromium } from '@playwright/test';

// How pages load on a phone and on a desk: layout shift, blocked main thread, script, largest paint. Against a running server:
// BASE_URL=http://127.0.0.1:3000 node_modules/.bin/tsx bench/pages.ts [NAME]
const base = process.env.BASE_URL ?? 'http://127.0.0.1:3000';
const line = '/lines/d0000000-0000-4000-8000-000000000001';
const PAGES: Readonly<Record<string, string>> = {
  start: '/',
  line: `${line}/line`,
  water: `${line}/water`,
  today: `${line}/today`,
  rounds: `${line}/rounds`,
  logbook: `${line}/logbook`,
  survey: `${line}/survey`,
  day: `${line}/day`,
  charges: `${line}/charges`,
  advice: `${line}/advice`,
  compare: `${line}/compare`,
  'water year': `${line}/water/year`,
};
// As Lighthouse has a phone: a slow fourth-generation network, and a processor four times slower than this one (recalled).
const PHONE = {
  slower: 4,
  network: { offline: false, latency: 150, downloadThroughput: 204_800, uploadThroughput: 96_000 },
};
const DESK = {
  slower: 1,
  network: { offline: false, latency: 40, downloadThroughput: 1_310_720, uploadThroughput: 1_310_720 },
};
const SETTLED_MS = 6000;
/** What of a task is longer blocks whoever types (web.dev, total blocking time). */
const LONG_TASK_MS = 50;

/** In the page, as text: what compiles this file puts calls into functions that no page knows. */
const OBSERVE = `
  window.seen = { shift: 0, blocked: 0, largest: 0, first: 0, sources: [] };
  const on = (type, each) =>
    new PerformanceObserver((list) => list.getEntries().forEach(each)).observe({ type, buffered: true });
  on('layout-shift', (e) => {
    if (e.hadRecentInput) return;
    seen.shift += e.value;
    const where = e.sources.map((s) => s.node?.nodeName + ' ' + s.node?.textContent?.slice(0, 30) + (s => ' y ' + Math.round(s.previousRect.top) + '→' + Math.round(s.currentRect.top) + ' h ' + Math.round(s.previousRect.height) + '→' + Math.round(s.currentRect.height))(s)).join(' | ');
    seen.sources.push(e.value.toFixed(3) + ' at ' + Math.round(e.startTime) + ': ' + where);
  });
  on('longtask', (e) => (seen.blocked += Math.max(0, e.duration - ${LONG_TASK_MS})));
  on('largest-contentful-paint', (e) => (seen.largest = e.startTime));
  on('paint', (e) => e.name === 'first-contentful-paint' && (seen.first = e.startTime));
`;

interface Seen {
  shift: number;
  blocked: number;
  largest: number;
  first: number;
}

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const wanted = process.argv[2];
console.log('| page | on | shift | blocked, ms | first paint, ms | largest, ms | script, kB |');
console.log('|---|---|---|---|---|---|---|');
for (const [name, address] of Object.entries(PAGES)) {
  if (wanted && name !== wanted) continue;
  for (const [on, { slower, network }] of Object.entries({ phone: PHONE, desk: DESK })) {
    const viewport = on === 'phone' ? { width: 412, height: 823 } : { width: 1350, height: 940 };
    const context = await browser.newContext({ viewport, locale: 'en-GB', serviceWorkers: 'block' });
    const page = await context.newPage();
    const cdp = await context.newCDPSession(page);
    await cdp.send('Network.enable');
    await cdp.send('Network.emulateNetworkConditions', network);
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: slower });
    let script = 0;
    const scripts = new Map<string, string>();
    const sizes: [string, number][] = [];
    cdp.on('Network.responseReceived', ({ requestId, type, response }) => {
      if (type === 'Script') scripts.set(requestId, response.url);
    });
    cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      const url = scripts.get(requestId);
      if (url === undefined) return;
      script += encodedDataLength;
      sizes.push([url.slice(base.length), encodedDataLength]);
    });
    await page.addInitScript(OBSERVE);
    await page.goto(base + address);
    await page.waitForTimeout(SETTLED_MS);
    const seen = await page.evaluate(() => (window as unknown as { seen: Seen & { sources: string[] } }).seen);
    const ms = (x: number): string => x.toFixed(0);
    console.log(
      `| ${name} | ${on} | ${seen.shift.toFixed(3)} | ${ms(seen.blocked)} | ${ms(seen.first)} | ${ms(seen.largest)} | ${ms(script / 1000)} |`,
    );
    if (wanted)
      console.log(
        [...seen.sources, ...sizes.toSorted((a, b) => b[1] - a[1]).map(([url, n]) => `${n} ${url}`)].join('\n'),
      );
    await context.close();
  }
}
await browser.close();
