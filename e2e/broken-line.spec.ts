import { createConnection } from 'mysql2/promise';
import { expect, test } from './test';

const DEMO = '/api/plans/d0000000-0000-4000-8000-000000000001';

test('a line that cannot be read says so, can be kept and opened as it once was, and takes no other with it', async ({
  page,
  request,
}) => {
  const { plan } = await (await request.get(DEMO)).json();
  const [broken, sound] = [crypto.randomUUID(), crypto.randomUUID()];
  await request.post('/api/plans', { data: { id: broken, plan: { ...plan, name: 'Broken line' } } });
  await request.post('/api/plans', { data: { id: sound, plan: { ...plan, name: 'Sound line' } } });
  await request.post(`/api/plans/${broken}/revisions`, {
    data: { id: crypto.randomUUID(), name: 'As it was in May', plan: { ...plan, name: 'Repaired line' } },
  });
  const database = await createConnection(process.env.DATABASE_URL ?? '');
  await database.execute(
    `UPDATE plans SET document = JSON_SET(document, '$.stages[0].kind', 'no such kind') WHERE id = ?`,
    [broken],
  );
  await database.end();

  const answer = await request.get(`/api/plans/${broken}`);
  expect([answer.status(), (await answer.json()).error.code]).toEqual([422, 'unreadable']);
  expect((await (await request.get(`/api/plans/${broken}/file?stored`)).json()).name).toBe('Broken line');
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Broken line/ })).toBeVisible();
  await page.goto(`/lines/${sound}/line`);
  await expect(page.getByRole('heading', { name: 'Sound line' })).toBeVisible();
  await page.goto(`/lines/${broken}/line`);
  await expect(page.getByRole('heading', { name: 'This page cannot be shown' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Download the line' })).toHaveAttribute('href', /file\?stored$/);
  await page.getByRole('button', { name: 'Open it as a line of its own' }).click();
  await expect(page.getByRole('heading', { name: 'Repaired line' })).toBeVisible();
});
