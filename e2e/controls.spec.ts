import { expect, goTo, openDemo, test, STOPS } from './harness';

/** Mounted at once, more of them make a stage slow to open: fields, choices and ticks of Vuetify. */
const MOST = 30;

test('no stage mounts more than thirty heavy controls, and none is raw', async ({ owner: page }) => {
  await openDemo(page, 'Boxes');
  const within = async (what: string) => {
    await page.waitForTimeout(250);
    expect(await page.locator('.v-input').count(), what).toBeLessThanOrEqual(MOST);
    const raw = page.locator(
      'select, textarea:not(.v-field__input), button:not(.v-btn):not(.v-tab):not(.v-expansion-panel-title):not(.v-icon--clickable)',
    );
    expect(await raw.evaluateAll((all) => all.map((one) => one.outerHTML.slice(0, 120))), what).toEqual([]);
  };
  for (const stop of STOPS) {
    await goTo(page, stop);
    await within(stop);
  }
  await goTo(page, 'Switching');
  await page.getByRole('button', { name: /Back hall light/ }).click();
  await within('a switch group');
  await goTo(page, 'Boxes');
  await page.getByRole('button', { name: /^ST-2,/ }).click();
  await within('a box');
  await page.getByRole('button', { name: 'Job' }).click();
  const dialog = page.getByRole('region', { name: 'Job and shop standards' });
  for (const part of ['Heights', 'Circuits', 'Boxes', 'Decisions']) {
    await dialog.getByRole('tab', { name: part }).click();
    await page.waitForTimeout(250);
    expect(await dialog.locator('.v-input').count(), part).toBeLessThanOrEqual(MOST);
  }
});

test('a standard is found by a word, in whatever part it is, and changed there', async ({ owner: page }) => {
  await openDemo(page, 'Boxes');
  await page.getByRole('button', { name: 'Job' }).click();
  const dialog = page.getByRole('region', { name: 'Job and shop standards' });
  const find = dialog.getByRole('textbox', { name: 'Find a standard' });
  await find.fill('television');
  const height = dialog.getByRole('textbox', { name: 'Television' });
  await expect(dialog.getByRole('region', { name: 'Heights' })).toBeVisible();
  await height.fill('5\' 2"');
  await height.press('Enter');
  await find.fill('slack');
  await expect(dialog.getByRole('textbox', { name: 'Slack for each cable' })).toBeVisible();
  await find.fill('xylophone');
  await expect(dialog.getByRole('status').filter({ hasText: 'No standard speaks of that.' })).toBeVisible();
  await dialog.getByRole('tab', { name: 'Heights' }).click();
  await expect(dialog.getByRole('textbox', { name: 'Television' })).toHaveValue('5\'-2"');
});
