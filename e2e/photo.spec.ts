import { buildOwnLine } from './own-line';
import { expect, test } from './test';

test('a photo is made small, shown and kept with its entry; a file that is no picture is refused in words', async ({
  page,
}) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/logbook/all`);
  const form = page.getByRole('form', { name: 'Log something' });
  await form.getByLabel('What', { exact: true }).selectOption('observation');
  const file = form.locator('input[type=file]');
  await file.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(form.getByRole('alert')).toContainText('“notes.txt” is no picture');
  await file.setInputFiles('docs/screenshots/line.png');
  await expect(form.getByAltText('As it will be kept')).toBeVisible();
  await form.getByLabel('What was seen').fill('Rust in the bowl');
  await form.getByLabel('Who').fill('Ida');
  await form.getByRole('button', { name: 'Log it' }).click();
  const link = page.getByRole('listitem').filter({ hasText: 'Rust in the bowl' }).getByRole('link', { name: 'photo' });
  const picture = await page.request.get((await link.getAttribute('href')) as string);
  expect(picture.headers()['content-type']).toBe('image/jpeg');
  expect((await picture.body()).length).toBeLessThan(500_000);
});
