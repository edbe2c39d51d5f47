import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Secret, TOTP } from 'otpauth';
import { confirmPassword, expect, menu, openDemo, saved, signIn, tape, test } from './harness';

const root = fileURLToPath(new URL('..', import.meta.url));
const NEW_PASSWORD = 'seven boxes on one stud';

test('an account is opened, refused a common password in words, and its second factor asked for at the next sign-in', async ({
  app,
  page,
}) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: 'New here: open an account' }).click();
  await page.getByLabel('Firm').fill('Second firm');
  await page.getByLabel('Your name').fill('Sam');
  await page.getByLabel('E-mail').fill('sam@second.example');
  await page.getByLabel(/^Password/).fill('passwordpassword');
  await page.getByRole('button', { name: 'Open the account' }).click();
  await expect(page.getByRole('alert')).toContainText('common passwords');
  await page.getByLabel(/^Password/).fill(NEW_PASSWORD);
  await page.getByRole('button', { name: 'Open the account' }).click();
  await expect(page.getByRole('heading', { name: 'Houses' })).toBeVisible();

  await page.getByRole('link', { name: 'Account' }).click();
  await page.getByRole('button', { name: 'Set up a second factor' }).click();
  await confirmPassword(page, NEW_PASSWORD);
  await expect(page.getByAltText('Code for the authenticator')).toBeVisible();
  const secret = (await page.locator('.scan p').innerText()).replaceAll(' ', '');
  const codeAt = (ms: number) => new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: ms });
  await page.getByLabel('Six digits').fill(codeAt(Date.now() - 30_000));
  await page.getByRole('button', { name: 'Turn it on' }).click();
  await expect(page.locator('.codes li')).toHaveCount(10);

  await page.getByRole('link', { name: 'Houses' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: 'Sign out, keep the houses on this device' }).click();
  await page.getByLabel('E-mail').fill('sam@second.example');
  await page.getByLabel('Password', { exact: true }).fill(NEW_PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.getByLabel(/Code of your authenticator/).fill(codeAt(Date.now()));
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Houses' })).toBeVisible();
});

test('an owner invites, by a link that is handed over; a house is deleted with the password and brought back', async ({
  app,
  owner: page,
  browser,
}) => {
  await page.getByRole('link', { name: 'Account' }).click();
  await page.getByRole('tab', { name: 'Firm' }).click();
  await page.getByLabel('Name').fill('Ben');
  await page.getByLabel('E-mail').fill('ben@demo.example');
  await page.getByRole('button', { name: 'Invite' }).click();
  const link = await page.getByLabel('Link to hand over').inputValue();
  const ben = await (await browser.newContext()).newPage();
  await ben.goto(link.replace(/^https?:\/\/[^/]+/, app.url));
  await expect(ben.getByText('Ben, you are invited to Demo crew.')).toBeVisible();
  await ben.getByLabel(/^Password/).fill(NEW_PASSWORD);
  await ben.getByRole('button', { name: 'Join' }).click();
  await expect(ben.getByRole('link', { name: 'Studio house on the narrow lot' })).toBeVisible();

  await page.getByRole('link', { name: 'Houses' }).click();
  await menu(page, 'More: Studio house on the narrow lot', 'Delete');
  await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click();
  await confirmPassword(page);
  await expect(page.getByText('No house yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Account' }).click();
  await page.getByRole('tab', { name: 'Firm' }).click();
  await page.getByRole('button', { name: 'Bring back Studio house on the narrow lot' }).click();
  await expect(page.getByText('Studio house on the narrow lot is back.')).toBeVisible();
  await page.getByRole('tab', { name: 'Audit log' }).click();
  await expect(page.getByRole('row', { name: /Demo owner house brought back/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Ben joined/ })).toBeVisible();
  await ben.context().close();
});

test('a session that ends while one works takes nothing away: one signs in where one stands, and what waited is sent', async ({
  app,
  page,
  faults,
}) => {
  await signIn(page, app.url, 'crew@demo.example');
  await openDemo(page, 'House');
  await saved(page);
  await app.query(`delete from session where user_id = (select id::text from users where email = 'crew@demo.example')`);
  await tape(page, "den 10' x 9' east of Kitchen");
  await expect(page.getByText('Your session has ended.')).toBeVisible();
  await tape(page, "office 10' x 9' east of Dining room");
  await expect(page.getByText(/Signed out, 2 edits waiting/)).toBeVisible();
  await page.getByRole('button', { name: 'Sign in again' }).click();
  await page.getByRole('dialog').getByLabel('Password').fill('not it');
  await page.getByRole('dialog').getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('dialog')).toContainText('do not match');
  await page.getByRole('dialog').getByLabel('Password').fill('demo house 4310');
  await page.getByRole('dialog').getByRole('button', { name: 'Sign in', exact: true }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Office/ })).toBeVisible();
  faults.length = 0;
});

test('after a restore a window that stayed open is told, keeps its edits, and may put them on top', async ({
  ownApp: app,
  page,
}) => {
  await signIn(page, app.url, 'owner@demo.example');
  const folder = mkdtempSync(join(tmpdir(), 'winculum-restore-'));
  const run = (...args: string[]) => {
    const env = { ...process.env, DATABASE_URL: app.databaseUrl, SKIP_BUILD: '1' };
    const done = spawnSync('./start', args, { cwd: root, encoding: 'utf8', env });
    expect(done.status, done.stderr).toBe(0);
  };
  await openDemo(page, 'House');
  await saved(page);
  run('--backup', join(folder, 'all'));
  await tape(page, "den 10' x 9' east of Kitchen");
  await saved(page);
  await app.kill();
  await tape(page, "office 10' x 9' east of Dining room");
  await expect(page.getByText('Offline, 1 edit waiting')).toBeVisible();
  run('--restore', join(folder, 'all'), '--yes');
  await app.start();
  // Every session has ended with the restore.
  await page.getByRole('button', { name: 'Sign in again' }).click({ timeout: 60_000 });
  await page.getByRole('dialog').getByLabel('Password').fill('demo house 4310');
  await page.getByRole('dialog').getByRole('button', { name: 'Sign in', exact: true }).click();
  const dialog = page.getByRole('dialog').filter({ hasText: 'restored from a backup' });
  await expect(dialog).toBeVisible();
  const download = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Save what this window shows as a file' }).click();
  await download;
  await dialog.getByRole('button', { name: 'Keep mine on top of theirs' }).click();
  await saved(page);
  await page.reload();
  // The edit that waited is there; the one that was done after the backup is gone, as the window was told.
  await expect(page.getByRole('button', { name: /^Office/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Den/ })).toHaveCount(0);
  rmSync(folder, { recursive: true });
});
