import AxeBuilder from '@axe-core/playwright';
import type { BrowserContext } from '@playwright/test';
import { DEMO } from './own-line';
import { expect, nowMs, type Page, settled, test } from './test';

// On a server that is shared; bin/test makes the invitation of its first owner.
test.describe.configure({ mode: 'serial' });
const FIRST = process.env.INVITATION ?? '';
const PASSWORD = 'tank drain filter';

async function join(page: Page, link: string, name: string, email: string): Promise<void> {
  await page.goto(link);
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Create the account' }).click();
  await page.waitForURL((url) => url.pathname === '/');
}

async function meetsAa(page: Page): Promise<void> {
  await settled(page);
  // A message that fades has the contrast of no moment that one reads it at.
  await expect(page.locator('[data-sonner-toast]')).toHaveCount(0);
  const viewport = page.viewportSize() ?? { width: 1280, height: 800 };
  // As high as the page: what is half under the bar at this moment is not too small.
  const height = await page.evaluate(() => document.documentElement.scrollHeight);
  await page.setViewportSize({ ...viewport, height: Math.max(height, viewport.height) });
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
      .analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).slice(0, 3)}`)).toEqual([]);
  }
  await page.setViewportSize(viewport);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(viewport.width);
}

let owner: BrowserContext;
let phone: BrowserContext;
test.beforeAll(async ({ browser }) => {
  owner = await browser.newContext();
  phone = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
  for (const context of [owner, phone]) await context.clock.install({ time: nowMs() });
});
test.afterAll(async () => {
  await owner.close();
  await phone.close();
});

test('whoever is not signed in is asked to, and comes back to where they wanted to go', async () => {
  const page = await owner.newPage();
  await join(page, FIRST, 'Ines Okafor', 'ines@example.com');
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.waitForURL(/\/sign-in/);
  await page.goto(`${DEMO}/today`);
  expect(new URL(page.url()).pathname).toBe('/sign-in');
  await meetsAa(page);
  await page.getByLabel('E-mail').fill('ines@example.com');
  await page.getByLabel('Password').fill('not this one');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('alert').first()).toHaveText('Address and password do not belong together.');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.waitForURL(new RegExp(`${DEMO}/today`));
  await page.close();
});

test('a code is used up by the account that it makes; what is wrong is said at its field', async ({ page }) => {
  await page.goto(FIRST);
  await expect(page.locator('#main')).toContainText('does not work');
  await page.getByLabel('E-mail').fill('nobody');
  await page.getByRole('button', { name: 'Create the account' }).click();
  await expect(page.locator('#main')).toContainText('Type an e-mail address');
  await expect(page.locator('#main')).toContainText('At least 10 characters');
  await meetsAa(page);
});

test('an owner invites a technician, who logs under their own name and tries plans out without saving', async () => {
  const page = await owner.newPage();
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Invite' }).click();
  await expect(page.getByAltText('The link as a QR code')).toBeVisible();
  await meetsAa(page);
  const link = await page.getByRole('status').locator('code').textContent();

  const technician = await phone.newPage();
  await join(technician, link ?? '', 'Tomasz Reyes', 'tomasz@example.com');
  await technician.goto('/settings');
  await expect(technician.getByRole('region', { name: 'People of My site' })).toHaveCount(0);
  await meetsAa(technician);

  await technician.goto(`${DEMO}/logbook`);
  await expect(technician.getByLabel('Who')).toHaveValue('Tomasz Reyes');
  await expect(technician.getByLabel('Who')).not.toBeEditable();

  await technician.goto(`${DEMO}/survey`);
  const shop = technician.getByLabel('Shop', { exact: true });
  const before = await shop.inputValue();
  await shop.fill('Another name');
  await expect(technician.locator('#main').getByRole('alert').first()).toContainText('As technician of this site');
  await expect(technician.getByTestId('save-status')).toHaveText('Not saved');
  await technician.reload();
  await expect(shop).toHaveValue(before);
  await page.close();
  await technician.close();
});

test('what is written while one is signed out waits, and is sent under the name of who wrote it alone', async () => {
  const page = await phone.newPage();
  await page.goto(`${DEMO}/logbook`);
  await page.getByLabel('How much came out').fill('123');
  await page.getByText('clear', { exact: true }).click();
  // Signed out in another tab.
  const other = await phone.newPage();
  await other.goto('/settings');
  await other.getByRole('button', { name: 'Sign out', exact: true }).click();
  await other.waitForURL(/\/sign-in/);
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.locator('#main').getByRole('alert')).toContainText('you are signed out');
  const signIn = async (email: string): Promise<void> => {
    await other.goto('/sign-in');
    await other.getByLabel('E-mail').fill(email);
    await other.getByLabel('Password').fill(PASSWORD);
    await other.getByRole('button', { name: 'Sign in', exact: true }).click();
    await other.waitForURL((url) => url.pathname === '/');
  };
  await signIn('ines@example.com');
  await page.goto(`${DEMO}/logbook`);
  await expect(page.locator('#main').getByRole('alert')).toContainText('Tomasz Reyes has to sign in');
  await signIn('tomasz@example.com');
  await expect(async () => {
    await page.goto(`${DEMO}/logbook`); // any page that is open sends it
    await expect(page.locator('#main')).toContainText('clear · Tomasz Reyes', { timeout: 2000 });
  }).toPass();
  await page.close();
  await other.close();
});

test('an owner sees who changed what, before and after', async () => {
  const page = await owner.newPage();
  await page.goto(`${DEMO}/survey`);
  const shop = page.getByLabel('Shop', { exact: true });
  const before = await shop.inputValue();
  await shop.fill('Hall two');
  await expect(page.getByTestId('save-status')).toHaveText('Saved');
  await page.goto('/settings');
  await page.getByRole('link', { name: 'Who changed what' }).click();
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: `${before} → Hall two` })
      .first(),
  ).toContainText('Ines Okafor');
  await expect(page.locator('#main')).toContainText('Joined as technician.');
  await meetsAa(page);
  await page.close();
});

test('a technician proposes what they tried out, and the owner accepts it', async () => {
  test.slow(); // several people, each with their own browser
  const technician = await phone.newPage();
  await technician.goto(`${DEMO}/survey`);
  await technician.getByLabel('Shop', { exact: true }).fill('Hall nine');
  await technician.getByRole('button', { name: 'Propose it' }).click();
  await expect(technician.getByText('Say in a few words why.')).toBeVisible();
  await technician.getByLabel('Why the line').fill('So it says on the door');
  await meetsAa(technician);
  await technician.getByRole('button', { name: 'Propose it' }).click();
  await technician.getByRole('link', { name: 'See it' }).click();
  await expect(technician.getByRole('region', { name: 'Proposals' })).toContainText('So it says on the door');

  const page = await owner.newPage();
  await page.goto(`${DEMO}/survey`);
  await page.getByRole('link', { name: 'Decide' }).click();
  const proposals = page.getByRole('region', { name: 'Proposals' });
  await expect(proposals).toContainText('→ Hall nine');
  await meetsAa(page);
  await proposals.getByRole('button', { name: 'Accept' }).click();
  await expect(proposals).toContainText('accepted by Ines Okafor');
  await page.goto(`${DEMO}/survey`);
  await expect(page.getByLabel('Shop', { exact: true })).toHaveValue('Hall nine');
  await page.close();
  await technician.close();
});

test('a customer reads the site with a link, until the owner revokes it', async ({ browser }) => {
  const page = await owner.newPage();
  await page.goto('/settings');
  const links = page.getByRole('region', { name: 'Links to read it' });
  await links.getByRole('button', { name: 'Make a link' }).click();
  await expect(links).toContainText('Whom is it for?');
  await links.getByLabel('Whom it is for').fill('Mill & Sons');
  await links.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByRole('status').locator('code').textContent();
  await meetsAa(page);

  const customer = await browser.newContext();
  const theirs = await customer.newPage();
  await theirs.goto(link ?? '');
  await theirs.getByRole('link', { name: 'Look at' }).first().click();
  await theirs.waitForURL(/\/lines\//);
  await theirs.goto(`${DEMO}/survey`);
  await theirs.getByLabel('Shop', { exact: true }).fill('Ours');
  await expect(theirs.locator('#main').getByRole('alert').first()).toContainText('As viewer of this site');
  await expect(theirs.getByRole('button', { name: 'Propose it' })).toHaveCount(0);

  await page.reload();
  await expect(links).toContainText('last opened');
  await links.getByRole('button', { name: 'Revoke' }).click();
  await expect(links.getByRole('button', { name: 'Revoke' })).toHaveCount(0);
  await theirs.goto(`${DEMO}/today`);
  expect(new URL(theirs.url()).pathname).toBe('/sign-in');
  await theirs.goto(link ?? '');
  await expect(theirs.locator('#main')).toContainText('This link does not work, or not any more.');
  await customer.close();
  await page.close();
});

test('on a shared device people say with a PIN who they are, and what they log carries their name', async ({
  browser,
}) => {
  test.slow(); // several people, each with their own browser
  const technician = await phone.newPage();
  await technician.goto('/settings');
  await technician.getByLabel('PIN, four to six digits').fill('4711');
  await technician.getByRole('button', { name: 'Set it' }).click();
  await expect(technician.getByText('Your PIN is set.')).toBeVisible();

  const terminal = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  await terminal.clock.install({ time: nowMs() });
  const page = await terminal.newPage();
  await page.goto('/sign-in?to=/settings');
  await page.getByLabel('E-mail').fill('ines@example.com');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.getByLabel('Name of this device').fill('Pump room');
  await page.getByRole('button', { name: 'Share this device' }).click();
  await page.waitForURL((url) => url.pathname === '/');

  await page.goto(`${DEMO}/logbook`);
  await page.getByLabel('How much came out').fill('77');
  await page.getByText('clear', { exact: true }).click();
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.locator('#main').getByRole('alert')).toContainText('role');
  await page.getByRole('button', { name: 'Who?' }).click();
  await page.getByRole('button', { name: 'Tomasz Reyes' }).click();
  const pin = page.getByLabel('PIN of Tomasz Reyes');
  await pin.fill('9999');
  await page.getByRole('button', { name: 'Go on as Tomasz Reyes' }).click();
  await expect(page.getByText('This PIN is not right.')).toBeVisible();
  await meetsAa(page);
  await pin.fill('4711');
  await page.getByRole('button', { name: 'Go on as Tomasz Reyes' }).click();
  await expect(page.getByRole('button', { name: 'Tomasz Reyes: Say who' })).toBeVisible();
  await expect(page.locator('#main')).toContainText('clear · Tomasz Reyes');
  await page.goto('/settings');
  await expect(page.getByRole('region', { name: 'PIN' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Tomasz Reyes: Say who' }).click();
  await page.getByRole('button', { name: 'Tomasz Reyes leaves' }).click();
  await expect(page.getByRole('button', { name: 'Who?' })).toBeVisible();
  await terminal.close();

  const settings = await owner.newPage();
  await settings.goto('/settings');
  const devices = settings.getByRole('region', { name: 'Shared devices' });
  await devices.getByRole('button', { name: 'Remove' }).click();
  await expect(devices.getByRole('listitem')).toHaveCount(0);
  await settings.close();
  await technician.close();
});

test('with a passkey one signs in without typing, until it is removed', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL: (baseURL ?? '').replace('127.0.0.1', 'localhost') });
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('WebAuthn.enable');
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  await page.goto('/sign-in?to=/settings');
  await page.getByLabel('E-mail').fill('ines@example.com');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.getByRole('button', { name: 'Add a passkey' }).click();
  const passkeys = page.getByRole('region', { name: 'Passkeys' });
  await expect(passkeys.getByRole('listitem')).toContainText('for localhost');
  await meetsAa(page);
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.waitForURL(/\/sign-in/);
  await page.goto('/sign-in?to=/settings');
  await page.getByRole('button', { name: 'Sign in with a passkey' }).click();
  await expect(passkeys.getByRole('listitem')).toContainText('last used');
  await passkeys.getByRole('button', { name: 'Remove passkey' }).click();
  await expect(passkeys.getByRole('listitem')).toHaveCount(0);
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.waitForURL(/\/sign-in/);
  await page.getByRole('button', { name: 'Sign in with a passkey' }).click();
  await expect(page.getByRole('alert').first()).toHaveText(
    'This passkey is not known here. Sign in with your password.',
  );
  await meetsAa(page);
  await context.close();
});

test('a long name without a space makes no page wider than a phone', async () => {
  const page = await owner.newPage();
  await page.setViewportSize({ width: 390, height: 844 });
  const site = '5c7e1b0a-0000-4000-8000-000000000001';
  await page.goto('/settings');
  await page.request.patch(`/api/sites/${site}`, { data: { name: 'Compressorhouse'.repeat(5) } });
  for (const address of ['/settings', `/settings/changes?site=${site}`, '/sites', `/sites/${site}`]) {
    await page.goto(address);
    await settled(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), address).toBeLessThanOrEqual(390);
  }
  await page.request.patch(`/api/sites/${site}`, { data: { name: 'My site' } });
  await page.close();
});

test('whoever is taken off a site sees nothing of it from the next page on', async () => {
  const page = await owner.newPage();
  page.on('dialog', (dialog) => void dialog.accept());
  await page.goto('/settings');
  const member = page.getByRole('listitem').filter({ hasText: 'tomasz@example.com' });
  await member.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(member).toHaveCount(0);
  const technician = await phone.newPage();
  await technician.goto(`${DEMO}/today`);
  await expect(technician.locator('body')).toContainText('There is nothing at this address');
  await technician.goto('/');
  await expect(technician.locator('#main')).toContainText('You are on no site');
  await expect(technician.locator('#main')).not.toContainText('Look at');
  await page.close();
  await technician.close();
});

test('the last owner cannot leave the site without one', async () => {
  const page = await owner.newPage();
  page.on('dialog', (dialog) => void dialog.accept());
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('A site needs an owner.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'ines@example.com' })).toBeVisible();
  await page.close();
});
