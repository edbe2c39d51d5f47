import type { Page } from '@playwright/test';
import { expect, goTo, openDemo, saved, signIn, tape, test } from './harness';

const rename = async (page: Page, name: string) => {
  await page.getByLabel('Name of the house').fill(name);
  await page.getByLabel('Name of the house').press('Enter');
};

test('the server dies in a burst of edits: all that waits goes through after it is back, over a reload', async ({
  app,
  owner: page,
}) => {
  await openDemo(page, 'House');
  await rename(page, 'Before the crash');
  await saved(page);
  await app.kill();
  await rename(page, 'After the crash');
  await tape(page, "den 10' x 9' east of Kitchen");
  await tape(page, "office 10' x 9' east of Dining room");
  await expect(page.getByText('Offline, 3 edits waiting')).toBeVisible();
  await app.start();
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible({ timeout: 25_000 });
  await page.reload();
  await expect(page.getByLabel('Name of the house')).toHaveValue('After the crash');
  await goTo(page, 'House');
  await expect(page.getByRole('button', { name: /^Office/ })).toBeVisible();
});

test('an edit is kept though the page is left while it is busy, before it has heard that it is kept', async ({
  owner: page,
}) => {
  await openDemo(page, 'House');
  for (const name of ['Left at once', 'Left again']) {
    await page.getByLabel('Name of the house').evaluate((field: HTMLInputElement, value) => {
      field.value = value;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      field.dispatchEvent(new Event('change', { bubbles: true }));
      setTimeout(() => {
        const end = performance.now() + 400;
        while (performance.now() < end);
      });
    }, name);
    await page.reload();
    await expect(page.getByLabel('Name of the house')).toHaveValue(name);
  }
});

test('a device that keeps nothing says so, and the server still gets every edit', async ({ owner: page }) => {
  await page.addInitScript(() =>
    Object.defineProperty(IDBObjectStore.prototype, 'put', { value: () => Promise.reject(new Error('full')) }),
  );
  await page.reload();
  await openDemo(page, 'House');
  await rename(page, 'Kept by the server alone');
  await expect(page.getByText(/This device keeps nothing/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Name of the house')).toHaveValue('Kept by the server alone');
});

test('two windows on one device, both closed with edits waiting: neither loses any, and a clash is asked about', async ({
  app,
  owner: page,
}) => {
  const other = await page.context().newPage();
  await other.goto(app.url);
  await openDemo(page, 'House');
  await openDemo(other, 'House');
  const house = page.url();
  await app.kill();
  await rename(page, 'Named in the one');
  await tape(other, "den 10' x 9' east of Kitchen");
  await expect(page.getByText('Offline, 1 edit waiting')).toBeVisible();
  await expect(other.getByText('Offline, 1 edit waiting')).toBeVisible();
  await other.close();
  await page.goto('about:blank');
  await app.start();
  await page.goto(house);
  await expect(page.getByLabel('Name of the house')).toHaveValue('Named in the one');
  await expect(page.getByRole('button', { name: /^Den/ })).toBeVisible();
  await saved(page);
  // And it is the server that has them, not this device.
  const storageState = await page.context().storageState();
  const elsewhere = await (await page.context().browser()!.newContext({ storageState })).newPage();
  await elsewhere.goto(house);
  await expect(elsewhere.getByLabel('Name of the house')).toHaveValue('Named in the one');
  await expect(elsewhere.getByRole('button', { name: /^Den/ })).toBeVisible();

  // Both name it: whoever is taken over second no longer fits, stays, and is asked about when the house is opened again.
  const third = await page.context().newPage();
  await third.goto(house);
  await saved(third);
  await app.kill();
  await rename(page, 'One name');
  await rename(third, 'Another name');
  await expect(third.getByText('Offline, 1 edit waiting')).toBeVisible();
  await third.close();
  await page.goto('about:blank');
  await app.start();
  await page.goto(house);
  await expect(page.getByText(/no longer fit/)).toBeVisible({ timeout: 25_000 });
  await expect(page.getByLabel('Name of the house')).toHaveValue('One name');
  await saved(page);
  await page.getByRole('link', { name: 'All houses' }).click();
  await page.getByRole('link', { name: 'One name' }).click();
  await expect(page.getByRole('dialog')).toContainText('Another name');
  await page.getByRole('button', { name: 'Keep mine on top of theirs' }).click();
  await expect(elsewhere.getByLabel('Name of the house')).toHaveValue('Another name', { timeout: 15_000 });
  await elsewhere.context().close();
});

test('two windows of one house: disjoint edits meet, a clash is shown side by side', async ({
  app,
  owner: anna,
  browser,
}) => {
  await openDemo(anna, 'House');
  const ben = await (await browser.newContext()).newPage();
  await signIn(ben, app.url, 'crew@demo.example');
  await openDemo(ben, 'House');
  await rename(anna, 'Named by Anna');
  await expect(ben.getByLabel('Name of the house')).toHaveValue('Named by Anna');

  // Ben loses the line, both rename, Ben comes back.
  await ben.context().setOffline(true);
  await rename(ben, 'Named by Ben');
  await tape(ben, "den 10' x 9' east of Kitchen");
  await expect(ben.getByText(/Offline, 2 edits waiting/)).toBeVisible();
  await rename(anna, 'Named by Anna again');
  await saved(anna);
  await ben.context().setOffline(false);
  const dialog = ben.getByRole('dialog');
  await expect(dialog).toContainText('Two changes of the same place', { timeout: 25_000 });
  await expect(dialog).toContainText('Named by Ben');
  await expect(dialog).toContainText('Named by Anna again');
  await dialog.getByRole('button', { name: 'Keep mine on top of theirs' }).click();
  await expect(anna.getByLabel('Name of the house')).toHaveValue('Named by Ben', { timeout: 15_000 });
  await expect(anna.getByRole('button', { name: /^Den/ })).toBeVisible();
});

test('a viewer looks and cannot change', async ({ app, page }) => {
  await signIn(page, app.url, 'viewer@demo.example');
  await openDemo(page, 'House');
  await expect(page.getByLabel('Tape line')).toHaveCount(0);
  await expect(page.getByLabel('Edition of the code')).toBeDisabled();
  await goTo(page, 'Circuits');
  await expect(page.getByRole('button', { name: 'New circuit' })).toHaveCount(0);
});
