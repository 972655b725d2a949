import { buildOwnLine, expectSaved } from './own-line';
import { expect, nowMs, settled, test } from './test';

/** What Parts calls it: three things hang by two each. */
const SCREW = 'Screw with wall plug, for a bracket';
const PDF = Buffer.from('%PDF-1.4\n1 0 obj <<>> endobj\ntrailer <<>>\n%%EOF\n');

test('a thing keeps its plate and its manual, goes to the shelf with them, and comes into another line', async ({
  page,
}) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/fitting/things`);
  await settled(page);
  const pick = (name: string) => page.getByRole('button', { name: new RegExp(`^\\d+ ${name}`) }).click();
  await pick('Receiver');
  const form = page.getByRole('form', { name: 'What is installed: Receiver' });
  const [photo, document] = [form.locator('input[type=file]').first(), form.locator('input[type=file]').last()];
  await document.setInputFiles({ name: 'manual.pdf', mimeType: 'application/pdf', buffer: Buffer.from('no document') });
  await expect(form.getByRole('alert')).toContainText('no JPEG picture');
  await document.setInputFiles({ name: 'manual.pdf', mimeType: 'application/pdf', buffer: PDF });
  await expect(form.getByRole('link', { name: 'manual.pdf' })).toBeVisible();
  await photo.setInputFiles('docs/screenshots/line.png');
  await expect(form.getByAltText('Plate of Receiver')).toBeVisible();
  await form.getByLabel('Serial number').fill('R-7719');
  await form.getByLabel('Its outlet is').selectOption('shared');
  await expectSaved(page);
  const manual = await page.request.get(
    (await form.getByRole('link', { name: 'manual.pdf' }).getAttribute('href')) as string,
  );
  expect([manual.headers()['content-type'], manual.headers()['content-disposition']]).toEqual([
    'application/pdf',
    'attachment; filename="document.pdf"',
  ]);

  // What is logged of it goes with it.
  const [, planId] = /lines\/([^/]+)/.exec(line) as RegExpExecArray;
  const { stages } = (await (await page.request.get(`/api/plans/${planId}`)).json()).plan;
  const yesterday = new Date(nowMs() - 86_400_000).toISOString().slice(0, 16);
  const entry = { kind: 'done', task: 'M11', measuredAt: yesterday, who: 'Ola', what: 'Rust at the seam' };
  const logged = await page.request.post(`/api/plans/${planId}/entries`, {
    data: {
      ...entry,
      id: crypto.randomUUID(),
      stageId: stages.find((s: { kind: string }) => s.kind === 'receiver').id,
    },
  });
  expect(logged.status()).toBe(201);

  const move = page.getByRole('form', { name: 'Put Receiver on a shelf' });
  await move.getByLabel('Where it lies').fill('x'.repeat(81));
  await move.getByRole('button', { name: 'Taken down: put it on the shelf' }).click();
  await expect(move.getByText('At most 80 characters.')).toBeVisible();
  await move.getByLabel('Where it lies').fill('Behind the door');
  await move.getByRole('button', { name: 'Taken down: put it on the shelf' }).click();
  await expect(form.getByLabel('Serial number')).toHaveValue('');
  await expectSaved(page);

  // On the shelf it is found by its plate; another line takes it, and knows where it was.
  await page.goto('/shelf');
  await page.getByLabel('Find by name, thread or place').fill('r-7719');
  await expect(page.getByRole('row').filter({ hasText: 'Behind the door' })).toBeVisible();
  const other = await buildOwnLine(page, 'Harp shop');
  await page.goto(`${other}/fitting/things`);
  await settled(page);
  await pick('Receiver');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'R-7719' })
    .getByRole('button', { name: 'Install this one' })
    .click();
  await expect(form.getByLabel('Serial number')).toHaveValue('R-7719');
  await expect(form.getByAltText('Plate of Receiver')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Where it was' })).toContainText('Receiver, Main line');
  await page.getByText('Its log there: 1').click();
  await expect(page.getByText('Rust at the seam')).toBeVisible();
  await expectSaved(page);
  await page.goto('/shelf');
  await settled(page);
  await expect(page.getByText('Behind the door')).toHaveCount(0);

  // Its stage goes, and the thing stays: it is installed again where there is one of its kind.
  await page.goto(`${other}/line`);
  await settled(page);
  await page.locator('[data-stage]', { hasText: 'Receiver' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expectSaved(page);
  await page.goto(`${other}/fitting/things`);
  await expect(page.getByRole('region', { name: 'Taken out of the line' })).toContainText('R-7719');
  await settled(page);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('region', { name: 'Taken out of the line' })).toHaveCount(0);
  await expectSaved(page);
});

test('a part comes from the shelf and goes back to it when the line needs it no more; a price is one’s own', async ({
  page,
}) => {
  const line = await buildOwnLine(page);
  await page.goto('/shelf');
  await settled(page);
  const put = page.getByRole('form', { name: 'Put on the shelf' });
  await put.getByLabel('What it is').fill(SCREW);
  await put.getByLabel('How many').fill('6');
  await put.getByLabel('Where it lies').fill('Drawer 11');
  await put.getByRole('button', { name: 'Put on the shelf' }).click();
  const drawer = page.getByRole('row').filter({ hasText: SCREW });
  await expect(drawer).toContainText('6');

  await page.goto(`${line}/fitting/parts`);
  await settled(page);
  const row = page.getByRole('listitem').filter({ hasText: SCREW });
  await page.getByLabel('Type prices').check();
  await row.getByLabel(`Price of one ${SCREW}`).fill('nine');
  await expect(row.getByRole('alert')).toHaveText('Type a number from 0 to 1,000,000.');
  await row.getByLabel(`Price of one ${SCREW}`).fill('9,5');
  await expect(row.getByRole('alert')).toHaveCount(0);
  await page.getByLabel(`State of ${SCREW}`).selectOption('from the shelf');
  await expect(page.getByLabel('Sum')).toContainText('from the shelf 57'); // six at 9.5
  await expect(row).not.toContainText('already on the shelf');
  await page.getByLabel(`State of ${SCREW}`).selectOption('waiting for it'); // after all another one
  await expect(page.getByLabel('Sum')).toContainText('waiting for it 57');
  await page.getByLabel(`State of ${SCREW}`).selectOption('fitted');
  await expectSaved(page);
  await page.goto('/shelf');
  await settled(page);
  await expect(drawer).toContainText('6');

  // What hung on it goes: it is over, and lies beside the other.
  await page.goto(`${line}/line`);
  await settled(page);
  await page.locator('[data-stage]', { hasText: 'Separator' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expectSaved(page);
  await page.goto(`${line}/fitting/parts`);
  await settled(page);
  const over = page.getByRole('region', { name: 'No more needed' }).getByRole('listitem').filter({ hasText: SCREW });
  await expect(over).toHaveText(/^2 × Screw with wall plug, for a bracket fitted/);
  await over.getByRole('button', { name: 'Put on the shelf' }).click();
  await expect(over).toHaveCount(0);
  await expectSaved(page);
  await page.goto('/shelf');
  await settled(page);
  await expect(drawer).toContainText('8');

  // What still lies there and is needed is taken with one press.
  await page.goto(`${line}/fitting/parts`);
  await settled(page);
  await page.getByRole('button', { name: 'Take all that lies on the shelf' }).click();
  await expect(page.getByLabel('State of Wall bracket')).toHaveValue('shelf');
  await expect(page.getByRole('button', { name: 'Take all that lies on the shelf' })).toHaveCount(0);
});
