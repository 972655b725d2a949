import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { allStages } from '../core/plan/runs';
import { demoPlan } from '../db/demo';
import { DEMO } from './own-line';
import { expect, type Page, settled, test } from './test';

interface Sheet {
  readonly text: string;
  /** How far the text goes to the right, of the width of the paper. */
  readonly right: number;
}

/** The pages that come out of the printer. */
async function printed(page: Page, format: 'A4' | 'Letter'): Promise<Sheet[]> {
  const pdf = await getDocument({ data: new Uint8Array(await page.pdf({ format })) }).promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const sheet = await pdf.getPage(i + 1);
      const { items } = await sheet.getTextContent();
      const texts = items.flatMap((t) => ('str' in t && t.str.trim() !== '' ? [t] : []));
      return {
        text: texts
          .map((t) => t.str)
          .join(' ')
          .normalize('NFKC'), // its µ is a Greek letter
        right: Math.max(0, ...texts.map((t) => t.transform[4] + t.width)) / sheet.getViewport({ scale: 1 }).width,
      };
    }),
  );
}

for (const format of ['A4', 'Letter'] as const)
  test(`a printed line is complete on ${format}: all stages, a head on every page, nothing cut off, none empty`, async ({
    page,
  }) => {
    await page.emulateMedia({ colorScheme: 'dark' });
    await page.goto(`${DEMO}/line`);
    await settled(page);
    const sheets = await printed(page, format);
    const plan = demoPlan();
    const all = sheets.map((s) => s.text).join(' ');
    for (const stage of allStages(plan)) expect(all).toContain(stage.name.normalize('NFKC'));
    for (const { text, right } of sheets) {
      expect(text).toContain(`${plan.survey.shop} · ${plan.name}`);
      expect(text).toMatch(/°C, bar, m3\/min/);
      expect(right).toBeLessThan(1);
      expect(text.length).toBeGreaterThan(plan.name.length + 120); // more than its head
    }
    expect(all).not.toMatch(/Add a stage|Settings|Saved/);
    await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
    const ink = await page.evaluate(() => getComputedStyle(document.querySelector('main table') as Element).color);
    expect(ink).toBe('rgb(29, 43, 47)');
  });

test('no page that is printed ends with an empty one, or is cut off', async ({ page }) => {
  for (const address of [
    `${DEMO}/rounds/cards`,
    `${DEMO}/rounds/sheet`,
    `${DEMO}/water/plan`,
    `${DEMO}/fitting`,
    `${DEMO}/fitting/assembly`,
    `${DEMO}/fitting/parts`,
    '/work/visit?sites=5c7e1b0a-0000-4000-8000-000000000001',
  ]) {
    await page.goto(address);
    await settled(page);
    for (const format of ['A4', 'Letter'] as const)
      for (const [n, { text, right }] of (await printed(page, format)).entries()) {
        expect([address, n, text.length > 20]).toEqual([address, n, true]);
        expect([address, n, right <= 1]).toEqual([address, n, true]);
      }
  }
});
