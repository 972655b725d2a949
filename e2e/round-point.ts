import type { Page } from './test';

/** Answers whatever the round asks at this point, as a person would. */
export async function answerPoint(page: Page, who: string, number = '24'): Promise<void> {
  const pad = page.getByRole('group', { name: 'Number pad' });
  if (await pad.isVisible()) {
    for (const key of number)
      await pad.getByRole('button', { name: key === '.' ? 'Decimal point' : key, exact: true }).click();
  }
  const looks = page.getByRole('radiogroup', { name: 'It looked' });
  if (await looks.isVisible()) await looks.getByRole('radio', { name: 'clear' }).click();
  const name = page.getByLabel('Who', { exact: true });
  if (await name.isVisible()) await name.fill(who);
}
