import { chromium } from '@playwright/test';

// Makes docs/screenshots/ anew from the demo of a running server: node_modules/.bin/tsx bin/lib/take-pictures.ts.
const base = process.env.BASE_URL ?? 'http://127.0.0.1:3000';
const demo = '/lines/d0000000-0000-4000-8000-000000000001';
const dairy = '/lines/d0000000-0000-4000-8000-000000000002';
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const PICTURES = [
  { name: 'start', at: '/', size: DESK, theme: 'light' },
  { name: 'line', at: `${demo}/line?stage=aftercooler`, size: DESK, theme: 'light' },
  { name: 'advice', at: `${dairy}/advice`, size: DESK, theme: 'light' },
  {
    name: 'compare',
    at: `${demo}/compare?with=revision:d0000000-0000-4000-8000-000000000900`,
    size: { width: 1280, height: 1000 },
    theme: 'light',
  },
  { name: 'run', at: `${dairy}/fitting`, size: { width: 1280, height: 1000 }, theme: 'light' },
  { name: 'joints', at: `${demo}/fitting/joints`, size: DESK, theme: 'light' },
  { name: 'parts', at: `${demo}/fitting/parts`, size: { width: 1280, height: 1000 }, theme: 'light' },
  { name: 'assembly-phone', at: `${demo}/fitting/assembly`, size: PHONE, theme: 'dark' },
  { name: 'find-phone', at: `${demo}/find?complaint=D14`, size: PHONE, theme: 'light' },
  { name: 'find', at: `${demo}/find?complaint=D13&at=pallets`, size: { width: 1280, height: 1000 }, theme: 'light' },
  { name: 'practice', at: '/practice', size: DESK, theme: 'light' },
  { name: 'debrief', at: '/practice?case=larger-tank', size: DESK, theme: 'light', press: /^The other/ },
  { name: 'day', at: `${demo}/day`, size: DESK, theme: 'light' },
  { name: 'water-year', at: `${demo}/water/year`, size: DESK, theme: 'light' },
  { name: 'logbook', at: `${demo}/logbook?point=separator`, size: DESK, theme: 'light', press: /^Cyclone, .*less/ },
  { name: 'today', at: `${demo}/today`, size: DESK, theme: 'light' },
  { name: 'round-phone', at: `${demo}/rounds/go?at=receiver`, size: PHONE, theme: 'dark', offline: true },
  {
    name: 'planner',
    at: '/planner',
    size: { width: 1280, height: 1100 },
    theme: 'light',
    press: /^Find the lines/,
    until: /^Build this line/,
  },
  { name: 'charges', at: `${demo}/charges`, size: DESK, theme: 'light' },
] as const;

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
for (const picture of PICTURES) {
  const page = await browser.newPage({ locale: 'en-GB', viewport: picture.size, colorScheme: picture.theme });
  await page.goto(base + picture.at);
  if ('offline' in picture) {
    const isKept = () =>
      page.evaluate(async (path) => (await caches.match(path)) !== undefined, picture.at.replace(/\?.*/, ''));
    while (!(await isKept())) await page.waitForTimeout(500);
    await page.context().setOffline(true);
    await page.goto(base + picture.at);
  }
  await page.waitForTimeout(900);
  const busy = page
    .locator('#main')
    .getByText(/calculating|asking for a forecast/i)
    .filter({ visible: true });
  while ((await busy.count()) > 0) await page.waitForTimeout(100);
  await page.waitForTimeout(600); // charts measure their place before they draw
  const broken = page.getByRole('heading', { name: /does not answer|went wrong/i });
  if (await broken.count()) throw new Error(`${picture.name}: ${await broken.first().textContent()}`);
  if ('press' in picture) {
    await page.getByRole('button', { name: picture.press }).first().click();
    if ('until' in picture) await page.getByRole('button', { name: picture.until }).waitFor({ timeout: 60_000 });
    await page.waitForTimeout(600);
  }
  await page.evaluate(async () => void (await document.fonts.ready));
  await page.screenshot({ path: `docs/screenshots/${picture.name}.png` });
  await page.close();
}
await browser.close();
