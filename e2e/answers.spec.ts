import { expect, test } from '@playwright/test';
import { DEMO } from './own-line';

test('six questions lead from the start page to an answer each; the address keeps what was typed', async ({ page }) => {
  await page.goto('/');
  const answer = page.getByRole('region', { name: 'Answer' });
  await page.getByRole('link', { name: 'Will this dryer cope on the hottest day?' }).click();
  await expect(answer).toContainText('Yes: it keeps');
  // Overloaded, though its dew point would still do.
  await page.getByLabel('Rating on its plate').fill('11 cfm');
  await expect(answer).toContainText('No: it is past its limits then.');
  await page.getByLabel('Rating on its plate').fill('5 cfm');
  await expect(answer).toContainText('No');
  await expect(answer).toContainText('It takes a rating of');
  await page.getByLabel('Rating on its plate').fill('much');
  await expect(page.getByText('is not a number')).toBeVisible();
  await page.reload();
  await expect(answer).toContainText('No');

  await page.getByRole('link', { name: 'Desiccant or refrigerated?' }).click();
  await expect(answer).toContainText('Refrigerated: it reaches');
  await page.getByLabel('Pressure dew point wanted').fill('-20 °C');
  await expect(answer).toContainText('Desiccant: it reaches');

  await page.getByRole('link', { name: 'Where does the filter go?' }).click();
  await expect(answer).toContainText('Downstream of Receiver.');
  await page.getByRole('link', { name: 'What size of cooler, separator and tank?' }).click();
  await expect(answer.getByRole('row', { name: /^Receiver/ })).toContainText('starts an hour');
  await page.getByRole('link', { name: /How much water today/ }).click();
  await expect(answer).toContainText('to drain today');
  await page.getByRole('link', { name: 'When do I change the beads?' }).click();
  await expect(answer).toContainText('within a working day');
});

test('from a line they are answered with its numbers: the Water page says the same', async ({ page }) => {
  await page.goto(`${DEMO}/water`);
  const said = await page.getByText('on a working day like today').textContent();
  const [, water] = / · (.+?) on a working day/.exec((said ?? '').replace(/\s+/g, ' ')) ?? [];
  await page.goto(`/answers/water-today?from=${DEMO.split('/').at(-1)}`);
  await expect(page.getByText('With the numbers of')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Answer' })).toContainText(`${water} to drain today`);
});
