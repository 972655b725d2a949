import { expect, settled, test } from './test';

test('a search by the book: suspect, read, repair in safety, prove, and see the weeks', async ({ page }) => {
  await page.goto('/');
  await settled(page);
  await page.getByRole('link', { name: 'Practice', exact: true }).click();
  await page.waitForURL(/\/practice/);
  await page
    .getByRole('region', { name: 'Made by hand' })
    .getByRole('link', { name: /It stopped giving water/ })
    .click();
  await settled(page);
  const cause = 'Receiver: its drain stays shut';
  await page.getByRole('button', { name: 'Begin to measure' }).click();
  await expect(page.getByText('Say what you think it is; it costs nothing.')).toBeVisible();
  await page.getByLabel(/^Before anything is measured/).selectOption({ label: cause });
  await page.getByRole('button', { name: 'Begin to measure' }).click();
  const read = page.getByRole('button', { name: /Read.*Receiver: water that stands behind its drain/ });
  await read.click();
  await expect(page.getByRole('status', { name: 'Clock' })).toContainText('12 min');
  await page.getByRole('button', { name: 'Do it' }).click();
  await expect(page.getByText('Say what is done.')).toBeVisible();
  const repair = 'Receiver: Clear or change the drain';
  await page.getByLabel('What do you do?').selectOption({ label: repair });
  await page.getByLabel(/^Isolated, vented/).check();
  await page.getByRole('button', { name: 'Do it' }).click();
  await read.click();
  await page.getByRole('button', { name: 'Close the case' }).click();
  const debrief = page.getByRole('region', { name: 'Debrief' });
  await expect(debrief).toContainText('✓ Right 100 % of what there was to get');
  await expect(debrief).toContainText('Receiver: its drain stays shut, and it was');

  // The same case again, opened under pressure: it ends there, and comes again.
  await page.goto('/practice?case=no-water');
  await settled(page);
  await page.getByLabel(/^Before anything is measured/).selectOption({ label: cause });
  await page.getByRole('button', { name: 'Begin to measure' }).click();
  await page.getByLabel('What do you do?').selectOption({ label: repair });
  await page.getByRole('button', { name: 'Do it' }).click();
  await expect(debrief.getByRole('alert')).toContainText('opened under pressure or power');
});

test('a case of each other kind is answered and explained; the results are a file', async ({ page }) => {
  const debrief = page.getByRole('region', { name: 'Debrief' });
  const open = async (address: string): Promise<void> => {
    await page.goto(address);
    await settled(page);
  };
  await open('/practice?case=bucket');
  const answer = page.getByRole('form', { name: 'Your answer' });
  const give = answer.getByRole('button', { name: 'That is my answer' });
  await answer.getByLabel(/^Your estimate/).fill('much');
  await give.click();
  await expect(answer.getByRole('alert')).toContainText('“much” is not a number');
  await answer.getByLabel(/^Your estimate/).fill('1.2 L');
  await give.click();
  await expect(debrief).toContainText('✓ Right');
  await expect(debrief).toContainText('Caught here, loaded');

  await open('/practice?case=timer');
  await answer.getByLabel(/^Your estimate/).fill('3 h');
  await give.click();
  await expect(debrief).toContainText('✗ Not right');

  await open('/practice?case=crate');
  for (let i = 0; i < 3; i++) await answer.getByRole('button', { name: 'Aftercooler: earlier' }).click();
  await give.click();
  await expect(debrief).toContainText('You said: Aftercooler →');

  // With less money than all of it costs, something is left out.
  await open('/practice?kind=order&seed=5&level=1');
  await give.click();
  await expect(answer.getByRole('status')).toContainText('too much. Leave something out.');
  await answer.getByRole('button', { name: 'Refrigerated dryer: leave it out' }).click();
  await expect(answer.getByRole('status')).toHaveText('520 of 2086 spent');
  for (const name of ['Aftercooler', 'Aftercooler', 'Separator'])
    await answer.getByRole('button', { name: `${name}: earlier` }).click();
  await give.click();
  await expect(debrief).toContainText('✓ Right 100 % of what there was to get');

  await open('/practice?case=few-minutes');
  for (const box of await answer.getByRole('checkbox').all()) await box.check();
  await give.click();
  await expect(answer.getByRole('status')).toContainText('too many. Leave something out.');
  await answer.getByRole('checkbox').last().uncheck();
  for (const box of (await answer.getByRole('checkbox').all()).slice(2)) await box.uncheck();
  await give.click();
  await expect(debrief).toContainText('Best is:');

  for (const [address, says] of [
    ['/practice?case=gauges', 'That at the filter bowl'],
    ['/practice?case=larger-tank', 'The first'],
  ] as const) {
    await open(address);
    await page.getByRole('group', { name: 'Your answer' }).getByRole('button', { name: says }).click();
    await expect(debrief).toContainText('✓ Right');
  }

  await open('/practice');
  await expect(page.getByRole('link', { name: /^Estimate/ }).first()).toContainText('100 % of the newest five');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Results as CSV' }).click();
  expect((await download).suggestedFilename()).toBe('practice.csv');
  await open('/practice?kind=nothing&seed=0'); // no such case: the cases
  await expect(page.getByRole('region', { name: 'Made by hand' })).toBeVisible();
});
