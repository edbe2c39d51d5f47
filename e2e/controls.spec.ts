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
  const dialog = page.getByRole('dialog');
  for (const part of ['Heights', 'Circuits', 'Boxes', 'Decisions']) {
    await dialog.getByRole('tab', { name: part }).click();
    await page.waitForTimeout(250);
    expect(await dialog.locator('.v-input').count(), part).toBeLessThanOrEqual(MOST);
  }
});
